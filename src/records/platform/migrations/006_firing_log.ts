import type { Knex } from 'knex';
import { id, ref } from './columns';

const HASH = 'char(43) character set ascii collate ascii_bin';

/** What really happens in a kiln: its parts, programmes, logs, events, witness cones, and where pieces stand. */
export async function up(knex: Knex): Promise<void> {
  await tablesOfTheKiln(knex);
  await tablesOfTheLog(knex);
  await tablesOfTheLoad(knex);
}

async function tablesOfTheKiln(knex: Knex): Promise<void> {
  await knex.schema.alterTable('kiln', (t) => {
    t.string('controller', 200).notNullable().defaultTo('');
    t.integer('open_below').notNullable().defaultTo(50);
    t.integer('most_celsius').notNullable().defaultTo(1300);
    t.integer('shelf_width_mm').notNullable().defaultTo(500);
    t.integer('shelf_depth_mm').notNullable().defaultTo(500);
    t.boolean('round_shelves').notNullable().defaultTo(false);
    t.integer('version').notNullable().defaultTo(1);
  });
  await knex.schema.createTable('kiln_part', (t) => {
    id(t);
    ref(t, 'kiln_id', 'kiln').notNullable();
    t.string('part', 20).notNullable();
    t.date('changed_on').notNullable();
    t.string('note', 400).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.index(['kiln_id', 'ended_at', 'changed_on']);
  });
  await knex.schema.createTable('programme', (t) => {
    id(t);
    t.string('name', 80).notNullable().unique();
    t.json('segments').notNullable();
    t.text('note').notNullable();
    t.integer('version').notNullable().defaultTo(1);
    t.datetime('ended_at', { precision: 3 }).nullable();
  });
  await knex.schema.createTable('setting', (t) => {
    t.string('name', 40).notNullable().primary();
    t.json('value').notNullable();
    t.integer('version').notNullable().defaultTo(1);
  });
}

async function tablesOfTheLog(knex: Knex): Promise<void> {
  await knex.schema.alterTable('firing', (t) => {
    ref(t, 'programme_id', 'programme').nullable();
    t.json('segments').nullable();
    t.string('starts_at', 5).notNullable().defaultTo('18:00');
    t.double('logged_cone').nullable();
    t.double('achieved_low').nullable();
    t.double('achieved_high').nullable();
  });
  await knex.schema.createTable('log_source', (t) => {
    id(t);
    ref(t, 'firing_id', 'firing').notNullable();
    t.enum('kind', ['controller', 'file']).notNullable();
    t.string('name', 200).notNullable();
    t.double('speed').notNullable().defaultTo(1);
    t.boolean('live').notNullable();
    t.string('fault', 200).nullable();
    t.datetime('heard_at', { precision: 3 }).nullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.index(['live']);
    t.index(['firing_id']);
  });
  await knex.schema.createTable('log_reading', (t) => {
    ref(t, 'source_id', 'log_source').notNullable();
    t.integer('sensor').notNullable();
    t.integer('seq').notNullable();
    t.primary(['source_id', 'sensor', 'seq']);
    t.double('minutes').notNullable();
    t.double('celsius').nullable();
    t.double('target').nullable();
    t.double('oxygen').nullable();
  });
  await knex.schema.createTable('firing_event', (t) => {
    id(t);
    ref(t, 'firing_id', 'firing').notNullable();
    t.string('kind', 20).notNullable();
    t.double('minutes').notNullable();
    t.double('value').nullable();
    t.string('note', 400).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.index(['firing_id', 'ended_at', 'minutes']);
  });
  await knex.schema.createTable('witness_cone', (t) => {
    id(t);
    ref(t, 'firing_id', 'firing').notNullable();
    t.integer('shelf').notNullable();
    t.string('cone', 4).notNullable();
    t.double('bend').notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.index(['firing_id', 'ended_at']);
  });
}

async function tablesOfTheLoad(knex: Knex): Promise<void> {
  await knex.schema.alterTable('firing_piece', (t) => {
    t.integer('x_mm').nullable();
    t.integer('y_mm').nullable();
    t.boolean('cookie').notNullable().defaultTo(false);
  });
  await knex.schema.createTable('load_shelf', (t) => {
    ref(t, 'firing_id', 'firing').notNullable();
    t.integer('shelf').notNullable();
    t.primary(['firing_id', 'shelf']);
    t.integer('post_mm').nullable();
    t.specificType('photo_hash', HASH).nullable();
  });
  await knex.schema.alterTable('piece', (t) => {
    t.date('due_on').nullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('piece', (t) => t.dropColumn('due_on'));
  await knex.schema.alterTable('firing_piece', (t) => t.dropColumns('x_mm', 'y_mm', 'cookie'));
  for (const table of ['load_shelf', 'witness_cone', 'firing_event', 'log_reading', 'log_source'])
    await knex.schema.dropTable(table);
  await knex.schema.alterTable('firing', (t) => {
    t.dropForeign('programme_id');
    t.dropColumns(
      ...['programme_id', 'segments', 'starts_at', 'logged_cone', 'achieved_low', 'achieved_high'],
    );
  });
  for (const table of ['setting', 'programme', 'kiln_part']) await knex.schema.dropTable(table);
  await knex.schema.alterTable('kiln', (t) => {
    t.dropColumns(
      ...[
        'controller',
        'open_below',
        'most_celsius',
        'shelf_width_mm',
        'shelf_depth_mm',
        'round_shelves',
        'version',
      ],
    );
  });
}

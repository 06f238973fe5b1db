import type { Knex } from 'knex';
import { id, ref } from './columns';

const ID = 'char(26) character set ascii collate ascii_bin';

/** What an opening by phone needs: reserved numbers, writes that are done once, shelf repairs, counts on photos. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('photo', (t) => {
    t.json('gains').nullable();
    t.json('strokes').nullable();
  });
  await knex.schema.alterTable('zone', (t) => {
    t.json('palette').nullable();
  });
  await knex.schema.alterTable('reading', (t) => {
    t.specificType('follows', ID).nullable();
    t.integer('age_days').nullable();
  });
  await knex.schema.createTable('number_block', (t) => {
    id(t);
    t.string('device', 40).notNullable();
    t.integer('first').notNullable();
    t.integer('last').notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.index(['first', 'last']);
  });
  await knex.schema.createTable('write_done', (t) => {
    id(t);
    t.datetime('at', { precision: 3 }).notNullable();
  });
  await knex.schema.createTable('shelf_repair', (t) => {
    id(t);
    ref(t, 'firing_id', 'firing').notNullable();
    t.integer('shelf').notNullable();
    t.string('what', 20).notNullable();
    t.string('note', 400).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('done_at', { precision: 3 }).nullable();
    t.index(['firing_id']);
    t.index(['done_at']);
  });
  await knex.schema.createTable('zone_count', (t) => {
    id(t);
    ref(t, 'zone_id', 'zone').notNullable();
    ref(t, 'photo_id', 'photo').notNullable();
    t.enum('kind', ['pits', 'cracks']).notNullable();
    t.double('per_cm2').notNullable();
    t.double('area_cm2').notNullable();
    t.json('marks').notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.index(['zone_id', 'ended_at']);
  });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['zone_count', 'shelf_repair', 'write_done', 'number_block'])
    await knex.schema.dropTable(table);
  await knex.schema.alterTable('reading', (t) => t.dropColumns('follows', 'age_days'));
  await knex.schema.alterTable('zone', (t) => t.dropColumn('palette'));
  await knex.schema.alterTable('photo', (t) => t.dropColumns('gains', 'strokes'));
}

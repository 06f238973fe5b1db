import type { Knex } from 'knex';
import { id, keyHash, ref } from './columns';

/**
 * Pieces, firings, and what came of them. Coats, zones and readings are history: a correction ends the old
 * row and adds a new one.
 */
export async function up(knex: Knex): Promise<void> {
  await tablesOfTheKiln(knex);
  await tablesOfThePiece(knex);
  await tablesOfTheDictionary(knex);
  await tablesOfTheResult(knex);
}

async function tablesOfTheKiln(knex: Knex): Promise<void> {
  await knex.schema.createTable('kiln', (t) => {
    id(t);
    t.string('name', 80).notNullable().unique();
    t.enum('heat', ['electric', 'gas', 'wood']).notNullable();
    t.integer('litres').notNullable();
    t.integer('shelves').notNullable();
    t.integer('sort').notNullable().defaultTo(0);
  });
  await knex.schema.createTable('firing', (t) => {
    id(t);
    ref(t, 'kiln_id', 'kiln').notNullable();
    t.integer('number').notNullable();
    t.enum('kind', ['bisque', 'glaze', 'once-fired', 'refire', 'lustre']).notNullable();
    t.string('cone', 4).notNullable();
    t.enum('atmosphere', ['oxidation', 'neutral', 'reduction']).notNullable();
    t.double('achieved_cone').nullable();
    t.text('programme').notNullable();
    t.text('remarks').notNullable();
    t.enum('state', ['loading', 'firing', 'cooling', 'open', 'closed']).notNullable();
    t.date('planned_on').notNullable();
    t.datetime('started_at', { precision: 3 }).nullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.datetime('opened_at', { precision: 3 }).nullable();
    t.datetime('closed_at', { precision: 3 }).nullable();
    t.integer('version').notNullable().defaultTo(1);
    t.unique(['kiln_id', 'number']);
    t.index(['state', 'planned_on']);
  });
}

async function tablesOfThePiece(knex: Knex): Promise<void> {
  await knex.schema.createTable('series', (t) => {
    t.string('prefix', 12).notNullable().primary();
    t.integer('next').notNullable();
  });
  await knex('series').insert({ prefix: 'SW', next: 1 });
  await knex.schema.createTable('piece', (t) => {
    id(t);
    t.string('label', 24).notNullable().unique();
    t.integer('number').notNullable();
    t.string('form', 20).notNullable();
    t.double('height_mm').notNullable();
    t.double('width_mm').notNullable();
    ref(t, 'body_id', 'body').notNullable();
    t.boolean('split').notNullable();
    t.specificType('twin_key', 'char(43) character set ascii collate ascii_bin').notNullable().index();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('made_at', { precision: 3 }).notNullable();
    t.text('note').notNullable();
    t.enum('stage', ['made', 'glazed', 'loaded', 'fired', 'read']).notNullable();
    t.enum('fate', ['keep', 'first', 'second', 'give', 'refire', 'reglaze', 'grind', 'discard']).nullable();
    t.specificType('photo_id', 'char(26) character set ascii collate ascii_bin').nullable();
    t.integer('version').notNullable().defaultTo(1);
    t.index(['stage', 'number']);
    t.index(['fate', 'stage']);
    t.index(['number']);
    t.index(['body_id', 'number']);
    t.index(['member_id', 'number']);
  });
  await knex.schema.createTable('coat', (t) => {
    id(t);
    ref(t, 'piece_id', 'piece').notNullable();
    t.integer('position').notNullable();
    ref(t, 'glaze_id', 'glaze').notNullable();
    ref(t, 'glaze_version_id', 'glaze_version').notNullable();
    ref(t, 'batch_id', 'batch').nullable();
    t.string('method', 10).notNullable();
    t.integer('times').notNullable();
    t.double('seconds').nullable();
    t.enum('side', ['outside', 'left', 'right', 'inside']).notNullable();
    t.double('low').notNullable();
    t.double('high').notNullable();
    t.boolean('dry_before').nullable();
    t.boolean('wiped').notNullable().defaultTo(false);
    ref(t, 'firing_id', 'firing').nullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.index(['piece_id', 'ended_at', 'position']);
    t.index(['glaze_id', 'ended_at']);
  });
  await knex.schema.createTable('firing_piece', (t) => {
    ref(t, 'firing_id', 'firing').notNullable();
    ref(t, 'piece_id', 'piece').notNullable();
    t.primary(['firing_id', 'piece_id']);
    t.integer('shelf').notNullable().defaultTo(1);
    t.integer('place').notNullable().defaultTo(0);
    t.enum('state', ['loaded', 'read', 'missing', 'broken']).notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.index(['firing_id', 'state', 'shelf', 'place']);
    t.index(['piece_id', 'at']);
  });
}

async function tablesOfTheDictionary(knex: Knex): Promise<void> {
  await knex.schema.createTable('headword', (t) => {
    id(t);
    keyHash(t);
    t.string('text', 400).notNullable();
    t.json('layers').notNullable();
    t.integer('depth').notNullable();
    ref(t, 'base_glaze_id', 'glaze').nullable();
    ref(t, 'top_glaze_id', 'glaze').nullable();
    t.index(['base_glaze_id', 'top_glaze_id']);
    t.index(['depth', 'text']);
  });
  await knex.schema.createTable('entry', (t) => {
    id(t);
    keyHash(t);
    ref(t, 'headword_id', 'headword').notNullable();
    ref(t, 'ground_id', 'ground').notNullable();
    t.string('cone', 4).notNullable();
    t.enum('atmosphere', ['oxidation', 'neutral', 'reduction']).notNullable();
    t.json('stack').notNullable();
    t.integer('firings').notNullable();
    t.integer('base_times').notNullable();
    t.integer('top_times').notNullable();
    // The summing-up of its proofs, kept current in the transaction that writes a reading.
    t.integer('proofs').notNullable().defaultTo(0);
    t.integer('agreeing').notNullable().defaultTo(0);
    t.json('summary').nullable();
    t.string('worst_defect', 20).nullable();
    t.integer('worst_severity').nullable();
    t.specificType('colour', 'char(7)').nullable();
    t.specificType('swatch_hash', 'char(43) character set ascii collate ascii_bin').nullable();
    t.text('teacher_note').notNullable();
    t.datetime('first_at', { precision: 3 }).nullable();
    t.index(['headword_id', 'ground_id', 'cone']);
    t.index(['ground_id', 'cone', 'atmosphere', 'firings']);
  });
}

async function tablesOfTheResult(knex: Knex): Promise<void> {
  await knex.schema.createTable('zone', (t) => {
    id(t);
    ref(t, 'piece_id', 'piece').notNullable();
    ref(t, 'firing_id', 'firing').notNullable();
    ref(t, 'entry_id', 'entry').notNullable();
    t.enum('side', ['outside', 'left', 'right', 'inside']).notNullable();
    t.double('low').notNullable();
    t.double('high').notNullable();
    t.json('versions').notNullable();
    t.specificType('swatch_hash', 'char(43) character set ascii collate ascii_bin').nullable();
    t.specificType('colour', 'char(7)').nullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.index(['entry_id', 'ended_at']);
    t.index(['piece_id', 'firing_id', 'ended_at']);
  });
  await knex.schema.createTable('photo', (t) => {
    id(t);
    ref(t, 'piece_id', 'piece').notNullable();
    ref(t, 'firing_id', 'firing').nullable();
    t.specificType('hash', 'char(43) character set ascii collate ascii_bin').notNullable().index();
    t.integer('width').notNullable();
    t.integer('height').notNullable();
    t.json('frame').notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.index(['piece_id', 'firing_id', 'ended_at']);
  });
  await knex.schema.createTable('reading', (t) => {
    id(t);
    ref(t, 'zone_id', 'zone').notNullable();
    ref(t, 'firing_id', 'firing').notNullable();
    ref(t, 'piece_id', 'piece').notNullable();
    t.enum('stage', ['before', 'after']).notNullable();
    t.enum('surface', ['gloss', 'satin', 'matte']).nullable();
    t.enum('movement', ['stable', 'moves', 'runs']).nullable();
    t.specificType('colour', 'char(7)').nullable();
    t.text('note').notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.index(['zone_id', 'ended_at', 'at']);
    t.index(['piece_id', 'ended_at']);
    t.index(['firing_id', 'ended_at']);
  });
  await knex.schema.createTable('reading_defect', (t) => {
    ref(t, 'reading_id', 'reading').notNullable();
    t.string('defect', 20).notNullable();
    t.string('place', 20).notNullable();
    t.primary(['reading_id', 'defect', 'place']);
    t.integer('severity').notNullable();
    t.index(['defect', 'severity']);
  });
  await knex.schema.createTable('fate', (t) => {
    id(t);
    ref(t, 'piece_id', 'piece').notNullable();
    ref(t, 'firing_id', 'firing').nullable();
    t.string('fate', 10).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.index(['piece_id', 'at']);
  });
  await knex.schema.createTable('job', (t) => {
    t.string('name', 40).notNullable().primary();
    t.integer('done').notNullable();
    t.integer('total').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
  });
}

const TABLES = [
  ...['job', 'fate', 'reading_defect', 'reading', 'photo', 'zone', 'entry', 'headword'],
  ...['firing_piece', 'coat', 'piece', 'series', 'firing', 'kiln'],
];

export async function down(knex: Knex): Promise<void> {
  for (const table of TABLES) await knex.schema.dropTable(table);
}

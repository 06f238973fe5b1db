import type { Knex } from 'knex';
import { fromJson } from '../db';
import { id, ref } from './columns';

const KINDS = ['glaze', 'slip', 'underglaze', 'wash', 'resist', 'lustre'];
const STUFF = ['glass', 'frit', 'decal', 'ash', 'salt'];

/**
 * Any ware: forms of the studio, sets, clays made of several, coats that cover their band in part, things put on by
 * weight or by the piece, where an area lies, and what a maker says of a piece besides.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('form', (t) => {
    id(t);
    t.string('name', 80).notNullable().unique();
    t.string('form', 20).notNullable();
    t.json('profile').notNullable();
    t.double('height_mm').notNullable();
    t.double('width_mm').notNullable();
    t.double('clay_grams').nullable();
    t.json('sizes').notNullable();
    t.json('bands').notNullable();
    t.text('note').notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.integer('version').notNullable().defaultTo(1);
  });
  await knex.schema.createTable('piece_set', (t) => {
    id(t);
    t.string('name', 80).notNullable();
  });
  await knex.schema.alterTable('piece', (t) => {
    ref(t, 'form_id', 'form').nullable();
    t.json('profile').nullable();
    ref(t, 'set_id', 'piece_set').nullable();
    t.json('wanted').notNullable().defaultTo('[]');
    t.json('ware').notNullable().defaultTo('{}');
    t.boolean('is_liked').notNullable().defaultTo(false);
  });
  await knex.schema.alterTable('coat', (t) => {
    t.json('cover').nullable();
    t.double('grams').nullable();
    t.integer('pieces').nullable();
    // The firings of a glaze are told from the index alone.
    t.index(['glaze_id', 'ended_at', 'firing_id']);
    t.dropIndex(['glaze_id', 'ended_at']);
  });
  await knex.schema.alterTable('body', (t) => {
    t.json('made_of').nullable();
  });
  await knex.schema.alterTable('reading', (t) => {
    t.boolean('breaks').nullable();
  });
  await knex.schema.alterTable('photo', (t) => {
    t.string('area', 40).nullable();
  });
  await knex.schema.alterTable('glaze', (t) => {
    t.enum('kind', [...KINDS, ...STUFF])
      .notNullable()
      .alter();
    t.string('usual_method', 10).nullable();
    t.integer('usual_times').nullable();
  });
  await knex.schema.alterTable('round', (t) => {
    ref(t, 'form_id', 'form').nullable();
    t.json('profile').nullable();
  });
  await knex.schema.alterTable('round_cell', (t) => {
    t.integer('block_at').notNullable().defaultTo(0);
    t.string('texture', 20).nullable();
    t.string('cone', 4).nullable();
    t.enum('atmosphere', ['oxidation', 'neutral', 'reduction']).nullable();
  });
  await knex.raw(
    'update round_cell c join `round` r on r.id = c.round_id set c.cone = r.cone, c.atmosphere = r.atmosphere',
  );
  await knex.schema.alterTable('round_cell', (t) => {
    t.string('cone', 4).notNullable().alter();
    t.enum('atmosphere', ['oxidation', 'neutral', 'reduction']).notNullable().alter();
  });
  for (const piece of await knex('piece').whereNot({ areas: '[]' }).select('id', 'areas')) {
    const areas = fromJson<object[]>(piece.areas).map((area) => ({
      ...area,
      ...{ bodyId: null, texture: [], share: null, outline: null },
    }));
    await knex('piece')
      .where({ id: piece.id })
      .update({ areas: JSON.stringify(areas) });
  }
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('round_cell', (t) => {
    t.dropColumns('block_at', 'texture', 'cone', 'atmosphere');
  });
  await knex.schema.alterTable('round', (t) => {
    t.dropForeign('form_id');
    t.dropColumns('form_id', 'profile');
  });
  // The release before knows no such kinds: what they are is kept in their names.
  await knex('glaze').whereIn('kind', STUFF).update({ kind: 'lustre' });
  await knex.schema.alterTable('glaze', (t) => {
    t.dropColumns('usual_method', 'usual_times');
    t.enum('kind', KINDS).notNullable().alter();
  });
  await knex.schema.alterTable('body', (t) => {
    t.dropColumn('made_of');
  });
  await knex.schema.alterTable('reading', (t) => {
    t.dropColumn('breaks');
  });
  await knex.schema.alterTable('photo', (t) => {
    t.dropColumn('area');
  });
  await knex.schema.alterTable('coat', (t) => {
    t.index(['glaze_id', 'ended_at']);
    t.dropIndex(['glaze_id', 'ended_at', 'firing_id']);
    t.dropColumns('cover', 'grams', 'pieces');
  });
  await knex.schema.alterTable('piece', (t) => {
    t.dropForeign('form_id');
    t.dropForeign('set_id');
    t.dropColumns('form_id', 'profile', 'set_id', 'wanted', 'ware', 'is_liked');
  });
  await knex.schema.dropTable('piece_set');
  await knex.schema.dropTable('form');
}

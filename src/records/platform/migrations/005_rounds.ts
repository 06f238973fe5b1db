import type { Knex } from 'knex';
import { id, ref } from './columns';

/** Planned tests: rounds, their cells, the test glazes and pieces that come of them, and what was looked up in vain. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('round', (t) => {
    id(t);
    t.integer('number').notNullable().unique();
    t.string('name', 120).notNullable();
    t.string('kind', 20).notNullable();
    t.json('setup').notNullable();
    t.string('shape', 10).notNullable();
    t.integer('rows_count').notNullable();
    t.integer('columns_count').notNullable();
    t.string('form', 20).notNullable();
    t.double('height_mm').notNullable();
    t.double('width_mm').notNullable();
    t.integer('twins').notNullable();
    t.string('cone', 4).notNullable();
    t.enum('atmosphere', ['oxidation', 'neutral', 'reduction']).notNullable();
    t.date('due_on').nullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('created_at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.index(['ended_at', 'number']);
  });
  await knex.schema.createTable('round_cell', (t) => {
    id(t);
    ref(t, 'round_id', 'round').notNullable();
    t.string('label', 8).notNullable();
    t.integer('row_at').notNullable();
    t.integer('column_at').notNullable();
    t.string('words', 400).notNullable();
    t.json('parts').notNullable();
    t.json('recipe').nullable();
    t.json('stack').notNullable();
    ref(t, 'body_id', 'body').notNullable();
    t.unique(['round_id', 'label']);
  });
  await knex.schema.createTable('wanted', (t) => {
    ref(t, 'base_glaze_id', 'glaze').notNullable();
    ref(t, 'top_glaze_id', 'glaze').notNullable();
    t.primary(['base_glaze_id', 'top_glaze_id']);
    t.integer('times').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
  });
  await knex.schema.alterTable('glaze', (t) => {
    ref(t, 'round_id', 'round').nullable();
  });
  await knex.schema.alterTable('piece', (t) => {
    ref(t, 'round_cell_id', 'round_cell').nullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('piece', (t) => {
    t.dropForeign('round_cell_id');
    t.dropColumn('round_cell_id');
  });
  await knex.schema.alterTable('glaze', (t) => {
    t.dropForeign('round_id');
    t.dropColumn('round_id');
  });
  for (const table of ['wanted', 'round_cell', 'round']) await knex.schema.dropTable(table);
}

import type { Knex } from 'knex';
import { id } from './columns';

/** Writing down many pieces at a time: the studio's own ways of glazing, and numbers that makers give their pieces. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('glazing_pattern', (t) => {
    id(t);
    t.string('name', 60).notNullable().unique();
    t.json('areas').notNullable();
    t.json('coats').notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.integer('version').notNullable().defaultTo(1);
  });
  await knex.schema.alterTable('piece', (t) => {
    t.string('own_number', 24).notNullable().defaultTo('').index();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('piece', (t) => {
    t.dropColumn('own_number');
  });
  await knex.schema.dropTable('glazing_pattern');
}

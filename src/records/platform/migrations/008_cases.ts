import type { Knex } from 'knex';
import { id, ref } from './columns';

/** Investigations of defects: what was told, what was tried, what helped. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('clinic_case', (t) => {
    id(t);
    t.integer('number').notNullable().unique();
    t.string('defect', 20).notNullable();
    ref(t, 'piece_id', 'piece').nullable();
    t.string('told', 600).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('opened_at', { precision: 3 }).notNullable();
    t.datetime('closed_at', { precision: 3 }).nullable();
    t.string('cause', 40).nullable();
    t.string('helped', 400).nullable();
    t.integer('version').notNullable().defaultTo(1);
    t.index(['closed_at', 'defect']);
  });
  await knex.schema.createTable('case_try', (t) => {
    id(t);
    ref(t, 'case_id', 'clinic_case').notNullable();
    t.string('act', 400).notNullable();
    t.enum('worked', ['yes', 'no', 'not yet']).notNullable();
    ref(t, 'round_id', 'round').nullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.index(['case_id', 'at']);
  });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['case_try', 'clinic_case']) await knex.schema.dropTableIfExists(table);
}

import type { Knex } from 'knex';
import { id, ref } from './columns';

/** Members, their sessions, and who changed what. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('member', (t) => {
    id(t);
    t.string('name', 120).notNullable();
    t.string('sign_in', 120).notNullable().unique();
    t.string('password_hash', 200).notNullable();
    t.enum('role', ['technician', 'teacher', 'student', 'visitor']).notNullable();
    t.datetime('created_at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.integer('version').notNullable().defaultTo(1);
  });
  await knex.schema.createTable('session', (t) => {
    id(t);
    ref(t, 'member_id', 'member').notNullable();
    t.string('agent', 200).notNullable();
    t.datetime('created_at', { precision: 3 }).notNullable();
    t.datetime('seen_at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.index(['member_id', 'ended_at']);
  });
  await knex.schema.createTable('change', (t) => {
    id(t);
    ref(t, 'member_id', 'member').nullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.string('what', 40).notNullable();
    t.specificType('row_id', 'char(26) character set ascii collate ascii_bin').notNullable();
    t.json('before_json').nullable();
    t.json('after_json').nullable();
    t.index(['what', 'row_id', 'at']);
  });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['change', 'session', 'member']) await knex.schema.dropTable(table);
}

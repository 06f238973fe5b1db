import type { Knex } from 'knex';
import { id, keyHash, ref } from './columns';

/** What makes the wall and the entries a shared reference: named walls, links, wishes, corrections, models. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('glaze', (t) => {
    t.boolean('decorative').notNullable().defaultTo(false);
  });
  await knex.schema.alterTable('piece', (t) => {
    ref(t, 'model_id', 'piece').nullable();
  });
  await knex.schema.alterTable('entry', (t) => {
    t.integer('note_version').notNullable().defaultTo(1);
  });
  // A visitor's picture is let through by its hash.
  await knex.schema.alterTable('zone', (t) => {
    t.index(['swatch_hash']);
  });
  await knex.schema.createTable('named_wall', (t) => {
    id(t);
    t.string('name', 60).notNullable();
    t.string('search', 400).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
  });
  await knex.schema.createTable('share_link', (t) => {
    id(t);
    // Of the token: who reads the table cannot use the links in it.
    keyHash(t);
    t.string('name', 60).notNullable();
    t.string('search', 400).notNullable();
    t.boolean('recipes').notNullable();
    t.boolean('names').notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('expires_at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
  });
  await knex.schema.createTable('asked', (t) => {
    id(t);
    ref(t, 'member_id', 'member').notNullable();
    ref(t, 'base_glaze_id', 'glaze').notNullable();
    ref(t, 'top_glaze_id', 'glaze').notNullable();
    t.string('note', 400).notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.index(['base_glaze_id', 'top_glaze_id']);
  });
  await knex.schema.createTable('correction', (t) => {
    id(t);
    ref(t, 'entry_id', 'entry').notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.string('text', 600).notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    ref(t, 'settled_by', 'member').nullable();
    t.datetime('settled_at', { precision: 3 }).nullable();
    t.index(['entry_id', 'at']);
  });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['correction', 'asked', 'share_link', 'named_wall']) await knex.schema.dropTable(table);
  await knex.schema.alterTable('entry', (t) => t.dropColumn('note_version'));
  await knex.schema.alterTable('piece', (t) => {
    t.dropForeign('model_id');
    t.dropColumn('model_id');
  });
  await knex.schema.alterTable('zone', (t) => t.dropIndex(['swatch_hash']));
  await knex.schema.alterTable('glaze', (t) => t.dropColumn('decorative'));
}

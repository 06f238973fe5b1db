import type { Knex } from 'knex';
import { id, ref } from './columns';

/** The studio's own materials, who wrote a recipe version, how each batch was measured, and boil tests. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('material', (t) => {
    id(t);
    t.string('name', 120).notNullable().unique();
    t.json('analysis').notNullable();
    t.double('loi').notNullable();
    t.double('density').nullable();
    t.string('source', 200).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.integer('version').notNullable().defaultTo(1);
  });
  await knex.schema.alterTable('glaze_version', (t) => {
    ref(t, 'member_id', 'member').nullable();
  });
  await knex.schema.createTable('batch_measure', (t) => {
    id(t);
    ref(t, 'batch_id', 'batch').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.double('specific_gravity').notNullable();
    t.double('ml').nullable();
    t.string('done', 200).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.index(['batch_id', 'at']);
  });
  await knex.schema.alterTable('coat', (t) => {
    t.index(['glaze_version_id', 'ended_at']);
  });
  await knex.schema.alterTable('reading', (t) => {
    t.enum('boil_test', ['passed', 'failed']).nullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('reading', (t) => t.dropColumn('boil_test'));
  await knex.schema.alterTable('coat', (t) => t.dropForeign('glaze_version_id'));
  await knex.schema.alterTable('coat', (t) => t.dropIndex(['glaze_version_id', 'ended_at']));
  await knex.schema.alterTable('coat', (t) => {
    t.foreign('glaze_version_id').references('id').inTable('glaze_version');
  });
  await knex.schema.dropTable('batch_measure');
  await knex.schema.alterTable('glaze_version', (t) => {
    t.dropForeign('member_id');
    t.dropColumn('member_id');
  });
  await knex.schema.dropTable('material');
}

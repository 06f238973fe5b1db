import type { Knex } from 'knex';
import { id, keyHash, ref } from './columns';

/** What is in the buckets and on the shelves: bodies, glazes with versions and batches, grounds. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('body', (t) => {
    id(t);
    t.string('name', 120).notNullable().unique();
    t.specificType('colour_oxidation', 'char(7)').notNullable();
    t.specificType('colour_reduction', 'char(7)').notNullable();
    t.enum('iron', ['none', 'low', 'high']).notNullable();
    t.boolean('coarse').notNullable().defaultTo(false);
    t.string('cone_from', 4).notNullable();
    t.string('cone_to', 4).notNullable();
    t.double('shrinkage').nullable();
    t.double('absorption').nullable();
    t.double('expansion').nullable();
    t.text('note').notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.integer('version').notNullable().defaultTo(1);
  });
  await knex.schema.createTable('glaze', (t) => {
    id(t);
    t.string('name', 120).notNullable().unique();
    t.enum('kind', ['glaze', 'slip', 'underglaze', 'wash', 'resist', 'lustre']).notNullable();
    t.specificType('colour', 'char(7)').notNullable();
    t.string('surface', 10).nullable();
    t.string('movement', 10).nullable();
    t.boolean('opaque').notNullable().defaultTo(false);
    t.text('advice').notNullable();
    t.text('caution').notNullable();
    t.integer('sort').notNullable().defaultTo(0);
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.integer('version').notNullable().defaultTo(1);
  });
  await knex.schema.createTable('glaze_version', (t) => {
    id(t);
    ref(t, 'glaze_id', 'glaze').notNullable();
    t.integer('number').notNullable();
    t.json('recipe').nullable();
    t.text('note').notNullable();
    t.datetime('created_at', { precision: 3 }).notNullable();
    t.unique(['glaze_id', 'number']);
  });
  await knex.schema.createTable('batch', (t) => {
    id(t);
    ref(t, 'glaze_version_id', 'glaze_version').notNullable();
    t.string('code', 40).notNullable();
    t.date('mixed_on').notNullable();
    t.double('specific_gravity').nullable();
    t.text('note').notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
  });
  await knex.schema.createTable('ground', (t) => {
    id(t);
    keyHash(t);
    ref(t, 'body_id', 'body').notNullable();
    t.json('slips').notNullable();
    t.string('name', 200).notNullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['ground', 'batch', 'glaze_version', 'glaze', 'body'])
    await knex.schema.dropTable(table);
}

import type { Knex } from 'knex';
import { id, ref } from './columns';

const OUTCOMES = ['gone', 'better', 'same', 'worse'];
const ABOUT = ['glaze', 'clay', 'form', 'kiln'];

/**
 * What leads from one firing to the next: orders, why a piece goes into the kiln again and what that did, what its
 * maker expects, and notes for the next time.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('piece_order', (t) => {
    id(t);
    t.string('name', 80).notNullable().unique();
    t.string('wanted', 200).notNullable().defaultTo('');
    t.integer('count').notNullable();
    t.date('due_on').nullable();
    t.string('price', 40).notNullable().defaultTo('');
    t.text('note').notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.integer('version').notNullable().defaultTo(1);
  });
  await knex.schema.alterTable('piece', (t) => {
    ref(t, 'order_id', 'piece_order').nullable();
  });
  await knex.schema.alterTable('fate', (t) => {
    t.json('reasons').notNullable().defaultTo('[]');
  });
  // What people call it who do not know its name: "celadon", "the blue one".
  await knex.schema.alterTable('glaze', (t) => {
    t.string('also', 200).notNullable().defaultTo('');
  });
  await knex.schema.createTable('again_outcome', (t) => {
    ref(t, 'piece_id', 'piece').notNullable();
    ref(t, 'firing_id', 'firing').notNullable();
    t.string('reason', 60).notNullable();
    t.enum('outcome', OUTCOMES).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.primary(['piece_id', 'firing_id', 'reason']);
  });
  await knex.schema.createTable('expectation', (t) => {
    id(t);
    ref(t, 'piece_id', 'piece').notNullable();
    // The firing it was read after; null while it is still to come.
    ref(t, 'firing_id', 'firing').nullable();
    t.string('words', 120).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
  });
  await knex.schema.createTable('reminder', (t) => {
    id(t);
    t.enum('about', ABOUT).notNullable();
    // A form of the library has no row of its own: its name stands here.
    t.string('about_id', 26).notNullable();
    t.string('words', 300).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('done_at', { precision: 3 }).nullable();
    t.index(['about', 'about_id', 'done_at']);
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('reminder');
  await knex.schema.dropTable('expectation');
  await knex.schema.dropTable('again_outcome');
  await knex.schema.alterTable('glaze', (t) => {
    t.dropColumn('also');
  });
  await knex.schema.alterTable('fate', (t) => {
    t.dropColumn('reasons');
  });
  await knex.schema.alterTable('piece', (t) => {
    t.dropForeign('order_id');
    t.dropColumn('order_id');
  });
  await knex.schema.dropTable('piece_order');
}

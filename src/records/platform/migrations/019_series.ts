import type { Knex } from 'knex';
import { ref } from './columns';

/**
 * Several series of piece numbers: the usual one, one for the tests of rounds, and others to be chosen. Which first-time
 * hints a member has seen.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('series', (t) => {
    t.enum('goes_to', ['usual', 'rounds', 'chosen']).notNullable().defaultTo('usual');
  });
  await knex.schema.alterTable('number_block', (t) => {
    t.string('prefix', 12).notNullable().defaultTo('');
  });
  await knex.schema.alterTable('member', (t) => {
    t.boolean('hints_off').notNullable().defaultTo(false);
  });
  await knex.schema.createTable('hint_seen', (t) => {
    ref(t, 'member_id', 'member').notNullable();
    t.string('screen', 60).notNullable();
    t.primary(['member_id', 'screen']);
  });
  await knex.raw('update number_block set prefix = (select min(prefix) from series)');
  await knex.schema.alterTable('number_block', (t) => {
    t.string('prefix', 12).notNullable().alter();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('member', (t) => {
    t.dropColumn('hints_off');
  });
  await knex.schema.dropTable('hint_seen');
  // The release before knows one series; the others' pieces keep their labels.
  await knex('series').whereNot({ goes_to: 'usual' }).delete();
  await knex.schema.alterTable('series', (t) => {
    t.dropColumn('goes_to');
  });
  await knex.schema.alterTable('number_block', (t) => {
    t.dropColumn('prefix');
  });
}

import type { Knex } from 'knex';
import { id, ref } from './columns';

/**
 * The studio's own tablet: a device on which members tap their name and type a PIN. Groups get a day by which their
 * pieces are to be fired, and own rounds and walls.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('studio_device', (t) => {
    id(t);
    t.string('name', 80).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
  });
  await knex.schema.alterTable('session', (t) => {
    // The studio's device on which a PIN opened it; none for a session that a password opened.
    ref(t, 'device_id', 'studio_device').nullable();
  });
  await knex.schema.alterTable('member', (t) => {
    t.string('pin_hash', 200).nullable();
    // Wrong PINs since the last right one.
    t.integer('pin_tries').notNullable().defaultTo(0);
  });
  await knex.schema.alterTable('member_group', (t) => {
    t.date('due_on').nullable();
  });
  for (const table of ['round', 'named_wall'])
    await knex.schema.alterTable(table, (t) => {
      ref(t, 'group_id', 'member_group').nullable();
    });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['round', 'named_wall'])
    await knex.schema.alterTable(table, (t) => {
      t.dropForeign('group_id');
      t.dropColumn('group_id');
    });
  await knex.schema.alterTable('member_group', (t) => {
    t.dropColumn('due_on');
  });
  await knex.schema.alterTable('member', (t) => {
    t.dropColumns('pin_hash', 'pin_tries');
  });
  // Who signed in by a PIN signs in again.
  await knex('session').whereNotNull('device_id').delete();
  await knex.schema.alterTable('session', (t) => {
    t.dropForeign('device_id');
    t.dropColumn('device_id');
  });
  await knex.schema.dropTable('studio_device');
}

import type { Knex } from 'knex';
import { id, keyHash, ref } from './columns';

/**
 * A studio of people. A member may have no sign-in: a maker, whom somebody with one logs for. Groups have a teacher and
 * members; links invite and give a new password; a second factor and its recovery codes.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('member', (t) => {
    t.string('sign_in', 120).nullable().alter();
    t.string('password_hash', 200).nullable().alter();
    // Base32, as an authenticator takes it; in use since somebody typed a code of it.
    t.string('totp_secret', 64).nullable();
    t.datetime('totp_at', { precision: 3 }).nullable();
    // The last half minute of which a code was taken: none is taken twice.
    t.integer('totp_step').nullable();
    // The units a member chose; what is not in it is the studio's.
    t.json('units').nullable();
  });
  await knex.schema.createTable('recovery_code', (t) => {
    id(t);
    ref(t, 'member_id', 'member').notNullable();
    keyHash(t);
    t.datetime('used_at', { precision: 3 }).nullable();
  });
  await knex.schema.createTable('member_group', (t) => {
    id(t);
    t.string('name', 120).notNullable();
    ref(t, 'teacher_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
    t.integer('version').notNullable().defaultTo(1);
  });
  await knex.schema.createTable('group_member', (t) => {
    ref(t, 'group_id', 'member_group').notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.primary(['group_id', 'member_id']);
  });
  // Students to whom an opening was assigned: they record all of its pieces.
  await knex.schema.createTable('firing_helper', (t) => {
    ref(t, 'firing_id', 'firing').notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.primary(['firing_id', 'member_id']);
  });
  await knex.schema.createTable('invitation', (t) => {
    id(t);
    keyHash(t);
    t.enum('role', ['technician', 'teacher', 'student', 'visitor']).notNullable();
    ref(t, 'group_id', 'member_group').nullable();
    // The maker without a sign-in whose account this becomes.
    ref(t, 'maker_id', 'member').nullable();
    t.integer('uses').notNullable().defaultTo(0);
    t.integer('most').notNullable();
    t.datetime('until', { precision: 3 }).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.datetime('ended_at', { precision: 3 }).nullable();
  });
  await knex.schema.createTable('password_link', (t) => {
    id(t);
    keyHash(t);
    ref(t, 'for_id', 'member').notNullable();
    t.datetime('until', { precision: 3 }).notNullable();
    t.datetime('used_at', { precision: 3 }).nullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  for (const table of [
    ...['password_link', 'invitation', 'firing_helper', 'group_member', 'member_group', 'recovery_code'],
  ])
    await knex.schema.dropTable(table);
  // Makers without a sign-in cannot be said in the old words: they keep their pieces under a name nobody can sign in with.
  await knex.raw(
    `update member set sign_in = coalesce(sign_in, id), password_hash = coalesce(password_hash, '-')`,
  );
  await knex.schema.alterTable('member', (t) => {
    t.dropColumns('totp_secret', 'totp_at', 'totp_step', 'units');
    t.string('sign_in', 120).notNullable().alter();
    t.string('password_hash', 200).notNullable().alter();
  });
}

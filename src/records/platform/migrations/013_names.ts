import type { Knex } from 'knex';

/** Columns as they were called, and as the screens and the code call them. */
const COLUMNS = [
  ['coat', 'low', 'from'],
  ['coat', 'high', 'to'],
  ['zone', 'low', 'from'],
  ['zone', 'high', 'to'],
  ['log_source', 'fault', 'error'],
  ['clinic_case', 'about', 'subject'],
  ['clinic_case', 'told', 'answers'],
] as const;

const TABLES = [
  ['asked', 'test_request'],
  ['wanted', 'failed_lookup'],
  ['log_reading', 'log_point'],
] as const;

/** Kinds of firing event, as they were called and as they are. */
const EVENTS = [
  ['lid down', 'lid closed'],
  ['plug in', 'peephole plug in'],
  ['plug out', 'peephole plug out'],
] as const;

/** Defect ids, and the room they need: one of 21 letters was refused only when it reached the database. */
const DEFECTS = [
  ['reading_defect', 'defect', 'not null'],
  ['entry', 'worst_defect', 'null'],
  ['clinic_case', 'defect', 'not null'],
] as const;

/** One name for one thing, from column to screen. */
export async function up(knex: Knex): Promise<void> {
  for (const [table, from, to] of COLUMNS)
    await knex.raw('alter table ?? rename column ?? to ??', [table, from, to]);
  for (const [from, to] of TABLES) await knex.schema.renameTable(from, to);
  await knex('change').where({ what: 'asked' }).update({ what: 'test_request' });
  for (const [from, to] of EVENTS)
    await knex.raw('update firing_event set kind = ? where kind = ?', [to, from]);
  for (const [table, column, isNull] of DEFECTS)
    await knex.raw(`alter table ?? modify ?? varchar(40) ${isNull}`, [table, column]);
}

export async function down(knex: Knex): Promise<void> {
  for (const [table, column, isNull] of DEFECTS)
    await knex.raw(`alter table ?? modify ?? varchar(20) ${isNull}`, [table, column]);
  for (const [from, to] of EVENTS)
    await knex.raw('update firing_event set kind = ? where kind = ?', [from, to]);
  await knex('change').where({ what: 'test_request' }).update({ what: 'asked' });
  for (const [from, to] of TABLES) await knex.schema.renameTable(to, from);
  for (const [table, from, to] of COLUMNS)
    await knex.raw('alter table ?? rename column ?? to ??', [table, to, from]);
}

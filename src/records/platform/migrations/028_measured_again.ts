import type { Knex } from 'knex';

/** By which rules the colours in a photo were measured: those of before this release, until it is measured again. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('photo', (t) => {
    t.integer('measured_by').notNullable().defaultTo(1).index();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('photo', (t) => {
    t.dropColumn('measured_by');
  });
}

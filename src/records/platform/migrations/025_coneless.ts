import type { Knex } from 'knex';

/** The temperature that a firing without witness cones goes to; none when it is judged by eye. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('firing', (t) => t.double('to_celsius').nullable());
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('firing', (t) => t.dropColumn('to_celsius'));
}

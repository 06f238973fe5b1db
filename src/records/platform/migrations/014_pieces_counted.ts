import type { Knex } from 'knex';

/**
 * Entries count pieces, not zones, and name their firings: what was summed up by zones is taken away, and
 * `refreshStaleEntries` sums it up again after the migrations.
 */
export async function up(knex: Knex): Promise<void> {
  await knex('entry').update({ summary: null });
}

/** The release before sums an entry up at its next reading; its counts stay until then. */
export async function down(): Promise<void> {}

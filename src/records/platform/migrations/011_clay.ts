import type { Knex } from 'knex';

/** What the clay was like when a slip went on. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('coat', (t) => {
    t.enum('clay', ['wet', 'leather-hard', 'dry', 'bisque']).nullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('coat', (t) => t.dropColumn('clay'));
}

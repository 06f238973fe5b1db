import type { Knex } from 'knex';

/** What a case is about when it is more than one piece: "firing.ID", "headword.ID", "glaze.ID" and so on. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('clinic_case', (t) => {
    t.string('about', 40).nullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('clinic_case', (t) => t.dropColumn('about'));
}

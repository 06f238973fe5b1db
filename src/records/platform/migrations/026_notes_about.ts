import type { Knex } from 'knex';

const BEFORE = ['glaze', 'clay', 'form', 'kiln'];

/** Notes for the next time may be about one bucket of a glaze, or one firing. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('reminder', (t) => {
    t.enum('about', [...BEFORE, 'batch', 'firing'])
      .notNullable()
      .alter();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex('reminder').whereNotIn('about', BEFORE).delete();
  await knex.schema.alterTable('reminder', (t) => {
    t.enum('about', BEFORE).notNullable().alter();
  });
}

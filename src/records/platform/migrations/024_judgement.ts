import type { Knex } from 'knex';
import { ref } from './columns';

const CRITERIA = [
  ...['drying', 'colour', 'breaks', 'moves', 'thickness', 'over', 'under', 'repeatable', 'plain firing'],
  'use',
];

/** What teachers say of a glaze after a round. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('glaze_judgement', (t) => {
    ref(t, 'glaze_id', 'glaze').notNullable();
    t.enum('criterion', CRITERIA).notNullable();
    t.string('words', 400).notNullable();
    ref(t, 'member_id', 'member').notNullable();
    t.datetime('at', { precision: 3 }).notNullable();
    t.primary(['glaze_id', 'criterion']);
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('glaze_judgement');
}

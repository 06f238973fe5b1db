import type { Knex } from 'knex';
import { ref } from './columns';

/** A piece may be for a group that its maker is not in. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('piece', (t) => {
    ref(t, 'group_id', 'member_group').nullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('piece', (t) => {
    t.dropForeign('group_id');
    t.dropColumn('group_id');
  });
}

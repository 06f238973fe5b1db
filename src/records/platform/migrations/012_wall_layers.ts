import type { Knex } from 'knex';

const BEFORE = ['ground_id', 'cone', 'atmosphere', 'firings'];

/** On which wall an entry stands, so that what walls there are is counted in one index. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('entry', (t) => {
    // Glazes one over another; null where there is none, or where one was resisted or wiped.
    t.integer('wall_layers').nullable();
  });
  await knex.raw(
    'update entry e join headword h on h.id = e.headword_id set e.wall_layers = h.depth where h.base_glaze_id is not null',
  );
  await knex.schema.alterTable('entry', (t) => {
    t.index([...BEFORE, 'wall_layers', 'first_at', 'proofs'], 'entry_wall_index');
  });
  await knex.schema.alterTable('entry', (t) => t.dropIndex(BEFORE));
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('entry', (t) => t.index(BEFORE));
  await knex.schema.alterTable('entry', (t) => {
    t.dropIndex([], 'entry_wall_index');
    t.dropColumn('wall_layers');
  });
}

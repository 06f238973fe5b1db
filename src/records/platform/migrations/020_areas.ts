import type { Knex } from 'knex';

/** Areas beside the bands: named parts of a piece, coats that lie on one alone or were kept off some, their zones. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('piece', (t) => {
    t.json('areas').notNullable().defaultTo('[]');
  });
  await knex.schema.alterTable('coat', (t) => {
    t.string('area', 40).nullable();
    t.json('not_areas').notNullable().defaultTo('[]');
  });
  await knex.schema.alterTable('zone', (t) => {
    t.string('area', 40).nullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  // The release before knows no areas: what lies on one alone, and what was read there, goes.
  for (const statement of [
    'delete d from reading_defect d join reading r on r.id = d.reading_id join zone z on z.id = r.zone_id where z.area is not null',
    'delete r from reading r join zone z on z.id = r.zone_id where z.area is not null',
    'delete c from zone_count c join zone z on z.id = c.zone_id where z.area is not null',
    'delete z from zone z where z.area is not null',
    'delete c from coat c where c.area is not null',
  ])
    await knex.raw(statement);
  await knex.schema.alterTable('zone', (t) => {
    t.dropColumn('area');
  });
  await knex.schema.alterTable('coat', (t) => {
    t.dropColumns('area', 'not_areas');
  });
  await knex.schema.alterTable('piece', (t) => {
    t.dropColumn('areas');
  });
}

import type { Knex } from 'knex';
import { id, ref } from './columns';

/**
 * What is known of a photo: whether it was taken before or after its firing, whether somebody chose it before the
 * others of its view, and the words that were written on it. A zone knows the photo that its swatch was cut from.
 * Beside that, what the studio's people call materials.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('photo', (t) => {
    t.enum('stage', ['before', 'after']).nullable();
    t.datetime('chosen_at', { precision: 3 }).nullable();
    t.json('labels').nullable();
  });
  await knex.schema.alterTable('zone', (t) => void ref(t, 'photo_id', 'photo').nullable());
  // Until now a swatch was cut from the newest photo of its firing.
  await knex.raw(
    `update zone z set photo_id =
      (select ph.id from photo ph where ph.piece_id = z.piece_id and ph.firing_id = z.firing_id
        and ph.ended_at is null order by ph.at desc limit 1)
      where z.swatch_hash is not null`,
  );
  await knex.schema.createTable('material_alias', (t) => {
    id(t);
    t.string('name', 80).notNullable().unique();
    t.string('material', 80).notNullable();
  });
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('material_alias');
  await knex.schema.alterTable('zone', (t) => {
    t.dropForeign('photo_id');
    t.dropColumn('photo_id');
  });
  await knex.schema.alterTable('photo', (t) => t.dropColumns('stage', 'chosen_at', 'labels'));
}

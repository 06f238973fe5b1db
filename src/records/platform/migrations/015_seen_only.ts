import type { Knex } from 'knex';
import { ref } from './columns';

/**
 * What the dictionary files a zone by: the version of a glaze that is in use, the firing that made the zone what it
 * is, the cone it is filed under when a firing came to another, the atmosphere it reached, how full the kiln was, what
 * was done to the clay, and whether a piece is described at all: the zones of one that is not are in no entry. Zones laid by older rules have `zone_rules` 0: `relayStalePieces` lays them again after
 * the migrations, as `rereadCones` reads witness cones again.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('glaze', (t) => void ref(t, 'in_use_id', 'glaze_version').nullable());
  await knex.raw(
    `update glaze g set in_use_id =
      (select v.id from glaze_version v where v.glaze_id = g.id order by v.number desc limit 1)`,
  );
  await knex.schema.alterTable('firing', (t) => {
    t.string('filed_cone', 4).nullable();
    t.enum('atmosphere_reached', ['as meant', 'weak', 'heavy', 'oxidised']).nullable();
    t.enum('fullness', ['quarter', 'half', 'three quarters', 'full']).nullable();
    t.integer('cone_rules').notNullable().defaultTo(1);
  });
  await knex('firing').update({ cone_rules: 0 });
  await knex.schema.alterTable('entry', (t) => void t.json('history').notNullable().defaultTo('[]'));
  await knex.raw(
    "update entry set history = json_array(json_object('cone', cone, 'atmosphere', atmosphere)) where firings = 1",
  );
  await knex.schema.alterTable('zone', (t) => void ref(t, 'filed_by', 'firing').nullable());
  await knex.raw('update zone set filed_by = firing_id');
  await knex.raw('alter table zone modify filed_by char(26) character set ascii collate ascii_bin not null');
  await knex.raw('alter table zone modify entry_id char(26) character set ascii collate ascii_bin null');
  await knex.schema.alterTable('piece', (t) => {
    t.json('texture').notNullable().defaultTo('{}');
    t.boolean('described').notNullable().defaultTo(true);
    t.boolean('check_lengths').notNullable().defaultTo(false);
    t.integer('zone_rules').notNullable().defaultTo(0);
    t.index(['zone_rules']);
  });
  // What a photo shows; those of before were taken for the outside without anybody having said so.
  await knex.schema.alterTable('photo', (t) => {
    t.enum('view', ['outside', 'inside', 'from above', 'underside', 'area']).nullable();
  });
  await knex.schema.alterTable('clinic_case', (t) => void t.string('cause_words', 400).nullable());
  await knex.schema.alterTable('test_request', (t) => {
    ref(t, 'ground_id', 'ground').nullable();
    t.string('cone', 4).nullable();
    t.enum('atmosphere', ['oxidation', 'neutral', 'reduction']).nullable();
    t.integer('base_times').nullable();
    t.integer('top_times').nullable();
  });
  await forgetDefaults(knex);
  // Plucked where no glaze was near: nothing lies on the zone.
  await knex.raw(
    `update reading_defect d
      join reading r on r.id = d.reading_id join zone z on z.id = r.zone_id
      join entry e on e.id = z.entry_id join headword h on h.id = e.headword_id
      set d.place = 'the piece itself' where d.defect = 'stuck' and h.depth = 0`,
  );
  // Bands of plates were measured across, not from the centre: somebody has to look at those that end on the way.
  await knex.raw(
    `update piece p set check_lengths = 1 where p.form = 'plate' and exists
      (select 1 from coat c where c.piece_id = p.id and c.ended_at is null and (c.\`from\` > 0 or c.\`to\` < 1))`,
  );
  // Found at an opening and not corrected since: what it is was never said.
  await knex('piece').where('twin_key', 'like', 'unlogged-%').update({ described: false });
}

/** Puts what stood by default, and what nobody is known to have set, back to not noted. */
async function forgetDefaults(knex: Knex): Promise<void> {
  await knex.raw("alter table body modify iron enum('none', 'low', 'high') null");
  for (const column of ['cone_from', 'cone_to'])
    await knex.raw('alter table body modify ?? varchar(4) null', [column]);
  await knex.raw('alter table glaze modify opaque tinyint(1) null');
  const neverSet = (what: 'body' | 'glaze', column: string) =>
    knex.raw(
      `not exists (select 1 from \`change\` c where c.what = ? and c.row_id = ${what}.id
      and json_contains_path(c.before_json, 'one', ?))`,
      [what, `$.${column}`],
    );
  await knex('body').where({ iron: 'none' }).andWhere(neverSet('body', 'iron')).update({ iron: null });
  await knex('body')
    .where({ cone_from: '5', cone_to: '7' })
    .andWhere(neverSet('body', 'cone_from'))
    .andWhere(neverSet('body', 'cone_to'))
    .update({ cone_from: null, cone_to: null });
  await knex('glaze').where({ opaque: 1 }).andWhere(neverSet('glaze', 'opaque')).update({ opaque: null });
  await knex('coat').where({ dry_before: 1 }).update({ dry_before: null });
  await knex('coat').where({ clay: 'leather-hard' }).update({ clay: null });
}

/** What the release before wants to be something. */
async function rememberDefaults(knex: Knex): Promise<void> {
  await knex('glaze').whereNull('opaque').update({ opaque: true });
  await knex('body').whereNull('iron').update({ iron: 'none' });
  await knex('body').whereNull('cone_from').update({ cone_from: '5' });
  await knex('body').whereNull('cone_to').update({ cone_to: '7' });
  await knex.raw("alter table body modify iron enum('none', 'low', 'high') not null");
  for (const column of ['cone_from', 'cone_to'])
    await knex.raw('alter table body modify ?? varchar(4) not null', [column]);
  await knex.raw('alter table glaze modify opaque tinyint(1) not null');
}

export async function down(knex: Knex): Promise<void> {
  await knex('clinic_case').where({ cause: 'other' }).update({ cause: null, closed_at: null });
  await knex.schema.alterTable('clinic_case', (t) => void t.dropColumn('cause_words'));
  await knex.schema.alterTable('photo', (t) => void t.dropColumn('view'));
  await knex.schema.alterTable('test_request', (t) => {
    t.dropForeign(['ground_id']);
    t.dropColumns('ground_id', 'cone', 'atmosphere', 'base_times', 'top_times');
  });
  await rememberDefaults(knex);
  await knex('reading_defect').where({ place: 'the piece itself' }).update({ place: 'spot' });
  await knex.schema.alterTable('piece', (t) => {
    t.dropIndex(['zone_rules']);
    t.dropColumns('texture', 'described', 'check_lengths', 'zone_rules');
  });
  await knex('zone').whereNull('entry_id').delete();
  await knex.raw('alter table zone modify entry_id char(26) character set ascii collate ascii_bin not null');
  await knex.schema.alterTable('zone', (t) => {
    t.dropForeign(['filed_by']);
    t.dropColumn('filed_by');
  });
  await knex.schema.alterTable('entry', (t) => void t.dropColumn('history'));
  await knex.schema.alterTable('firing', (t) =>
    t.dropColumns('filed_cone', 'atmosphere_reached', 'fullness', 'cone_rules'),
  );
  await knex.schema.alterTable('glaze', (t) => {
    t.dropForeign(['in_use_id']);
    t.dropColumn('in_use_id');
  });
}

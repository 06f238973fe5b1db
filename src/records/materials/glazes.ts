import type { GlazeKind } from '@/core/coats';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, newId, type Db } from '@/records/platform/db';
import { Conflict, NotFound, Refusal } from '@/records/platform/errors';

export interface Glaze {
  readonly id: string;
  readonly name: string;
  readonly kind: GlazeKind;
  /** Fired colour for drawings, "#rrggbb". */
  readonly colour: string;
  readonly surface: string | null;
  readonly movement: string | null;
  readonly opaque: boolean;
  /** For decorative ware only: not for surfaces that touch food. */
  readonly decorative: boolean;
  readonly advice: string;
  readonly caution: string;
  readonly version: number;
  readonly versionId: string;
  readonly versionNumber: number;
  readonly batches: readonly { readonly id: string; readonly code: string }[];
}

export type GlazeDraft = Pick<
  Glaze,
  'id' | 'name' | 'kind' | 'colour' | 'surface' | 'movement' | 'opaque' | 'decorative' | 'advice' | 'caution'
>;

/** The newest version of each glaze. */
function newestVersion(base: Db) {
  return base('glaze_version as v')
    .join(
      base('glaze_version').groupBy('glaze_id').select('glaze_id').max('number as number').as('n'),
      (join) => void join.on('n.glaze_id', 'v.glaze_id').andOn('n.number', 'v.number'),
    )
    .select('v.id', 'v.glaze_id', 'v.number');
}

/**
 * All glazes in use, in the studio's own order, each with its newest version and live batches. Glazes that
 * were mixed for a round only are left out unless asked for.
 */
export async function listGlazes(base: Db, { tests = false } = {}): Promise<Glaze[]> {
  const glazes = base('glaze as g')
    .join(newestVersion(base).as('v'), 'v.glaze_id', 'g.id')
    .whereNull('g.ended_at');
  if (!tests) void glazes.whereNull('g.round_id');
  const rows = await glazes
    .orderBy(['g.sort', 'g.name'])
    .select('g.*', 'v.id as version_id', 'v.number as version_number');
  const batches = await base('batch as b')
    .join('glaze_version as v', 'v.id', 'b.glaze_version_id')
    .whereNull('b.ended_at')
    .orderBy('b.mixed_on', 'desc')
    .select<{ id: string; code: string; glaze_id: string }[]>('b.id', 'b.code', 'v.glaze_id');
  return rows.map((row) => ({
    id: row.id,
    name: row.name,
    kind: row.kind,
    colour: row.colour,
    surface: row.surface,
    movement: row.movement,
    opaque: Boolean(row.opaque),
    decorative: Boolean(row.decorative),
    advice: row.advice,
    caution: row.caution,
    version: row.version,
    versionId: row.version_id,
    versionNumber: row.version_number,
    batches: batches.filter((b) => b.glaze_id === row.id).map(({ id, code }) => ({ id, code })),
  }));
}

/** The newest version id of each glaze: proofs of older ones are shown apart. */
export async function newestVersions(base: Db): Promise<Map<string, string>> {
  const rows: { id: string; glaze_id: string }[] = await newestVersion(base);
  return new Map(rows.map((row) => [row.glaze_id, row.id]));
}

/** Adds a glaze with its first version, or changes what is said about one. */
export async function saveGlaze(
  base: Db,
  memberId: string,
  draft: GlazeDraft,
  version: number | null,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    await refuseTakenName(trx, 'glaze', draft);
    const row = {
      name: draft.name,
      kind: draft.kind,
      colour: draft.colour,
      surface: draft.surface,
      movement: draft.movement,
      opaque: draft.opaque,
      decorative: draft.decorative,
      advice: draft.advice,
      caution: draft.caution,
    };
    if (version === null) {
      if (await trx('glaze').where({ id: draft.id }).first('id')) return;
      const [{ last }] = (await trx('glaze').max('sort as last')) as [{ last: number | null }];
      await trx('glaze').insert({ id: draft.id, ...row, sort: (last ?? 0) + 1 });
      await trx('glaze_version').insert({
        id: newId(),
        glaze_id: draft.id,
        number: 1,
        note: '',
        created_at: new Date(),
      });
      await recordChange(trx, memberId, 'glaze', draft.id, null, row);
    } else {
      await updateRow(trx, memberId, 'glaze', draft.id, version, row);
    }
  });
}

/** Refuses a name that another row of the table has. */
export async function refuseTakenName(
  trx: Db,
  table: string,
  draft: { id: string; name: string },
): Promise<void> {
  const other = await trx(table).where({ name: draft.name }).whereNot({ id: draft.id }).first('id');
  if (other) throw new Refusal('name', `There is already a ${table} called ${draft.name}.`);
}

/**
 * Changes a row under its optimistic lock and notes the change.
 *
 * @throws Conflict with the other person's values when the row has moved on
 */
export async function updateRow(
  trx: Db,
  memberId: string,
  table: string,
  id: string,
  version: number,
  values: Readonly<Record<string, unknown>>,
): Promise<void> {
  const before = await trx(table).where({ id }).forUpdate().first();
  if (!before) throw new NotFound(`This ${table}`);
  if (before.version !== version) throw new Conflict(before, before.version);
  await trx(table)
    .where({ id })
    .update({ ...values, version: version + 1 });
  const old = Object.fromEntries(Object.keys(values).map((key) => [key, before[key]]));
  await recordChange(trx, memberId, table, id, old, values);
}

/** The swatch of the best proved entry of each glaze alone, by glaze, where one was photographed. */
export async function glazeSwatches(base: Db): Promise<Map<string, string>> {
  const rows: { glaze: string; swatch: string }[] = await base('headword as h')
    .join('entry as e', 'e.headword_id', 'h.id')
    .where('h.depth', 1)
    .whereNotNull('e.swatch_hash')
    .whereNotNull('h.top_glaze_id')
    .orderBy('e.proofs')
    .select('h.top_glaze_id as glaze', 'e.swatch_hash as swatch');
  return new Map(rows.map(({ glaze, swatch }) => [glaze, swatch]));
}

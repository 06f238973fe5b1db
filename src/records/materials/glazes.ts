import { type JoinedRow, rowsOf } from '@/records/platform/joins';
import type { GlazeKind, Movement, Surface } from '@/core/vocabulary';
import { inTransaction, newId, type Db } from '@/records/platform/db';
import { flag, readRow, type Mapping } from '@/records/platform/mapping';
import type { GlazeRow } from '@/records/platform/tables';
import { insertRow, refuseTakenName, updateRow } from '@/records/platform/write';

export interface Glaze {
  readonly id: string;
  readonly name: string;
  readonly kind: GlazeKind;
  /** Fired colour for drawings, "#rrggbb". */
  readonly colour: string;
  readonly surface: Surface | null;
  readonly movement: Movement | null;
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

const GLAZE: Mapping<GlazeDraft & Pick<Glaze, 'version'>, GlazeRow> = {
  id: 'id',
  name: 'name',
  kind: 'kind',
  colour: 'colour',
  surface: 'surface',
  movement: 'movement',
  opaque: flag('opaque'),
  decorative: flag('decorative'),
  advice: 'advice',
  caution: 'caution',
  version: 'version',
};

/** The newest version of each glaze. */
function newestVersion(base: Db) {
  return base('glaze_version as v')
    .join(
      base('glaze_version').groupBy('glaze_id').select('glaze_id').max('number as number').as('n'),
      (join) => void join.on('n.glaze_id', 'v.glaze_id').andOn('n.number', 'v.number'),
    )
    .select<JoinedRow<{ v: 'glaze_version' }, 'v.id' | 'v.glaze_id' | 'v.number'>[]>(
      'v.id',
      'v.glaze_id',
      'v.number',
    );
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
    .select<(GlazeRow & { version_id: string; version_number: number })[]>(
      'g.*',
      'v.id as version_id',
      'v.number as version_number',
    );
  const batches = await base('batch as b')
    .join('glaze_version as v', 'v.id', 'b.glaze_version_id')
    .whereNull('b.ended_at')
    .orderBy('b.mixed_on', 'desc')
    .select<{ id: string; code: string; glaze_id: string }[]>('b.id', 'b.code', 'v.glaze_id');
  return rows.map((row) => ({
    ...readRow(GLAZE, row),
    versionId: row.version_id,
    versionNumber: row.version_number,
    batches: batches.filter((b) => b.glaze_id === row.id).map(({ id, code }) => ({ id, code })),
  }));
}

/** The newest version id of each glaze: proofs of older ones are shown apart. */
export async function newestVersions(base: Db): Promise<Map<string, string>> {
  const rows = await newestVersion(base);
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
    if (version !== null) return updateRow(trx, memberId, 'glaze', GLAZE, { ...draft, version });
    if (await trx('glaze').where({ id: draft.id }).first('id')) return;
    const [{ last }] = (await trx('glaze').max('sort as last')) as [{ last: number | null }];
    await insertRow(trx, memberId, 'glaze', GLAZE, draft, { sort: (last ?? 0) + 1 });
    await trx('glaze_version').insert({
      id: newId(),
      glaze_id: draft.id,
      number: 1,
      note: '',
      created_at: new Date(),
    });
  });
}

/** The swatch of the best proved entry of each glaze alone, by glaze, where one was photographed. */
export async function glazeSwatches(base: Db): Promise<Map<string, string>> {
  const rows = await rowsOf<{ h: 'headword'; e: 'entry' }>()(
    base('headword as h')
      .join('entry as e', 'e.headword_id', 'h.id')
      .where('h.depth', 1)
      .whereNotNull('e.swatch_hash')
      .whereNotNull('h.top_glaze_id')
      .orderBy('e.proofs'),
    'h.top_glaze_id as glaze',
    'e.swatch_hash as swatch',
  );
  return new Map(rows.map(({ glaze, swatch }) => [glaze!, swatch!]));
}

import { rowsOf } from '@/records/platform/joins';
import type { GlazeKind, Method, Movement, Surface } from '@/core/vocabulary';
import { inTransaction, newId, type Db } from '@/records/platform/db';
import { flag, flagOrNull, readRow, type Mapping } from '@/records/platform/mapping';
import type { GlazeRow, GlazeVersionRow } from '@/records/platform/tables';
import { insertRow, refuseTakenName, updateRow } from '@/records/platform/write';

export interface Glaze {
  readonly id: string;
  readonly name: string;
  /** What people call it beside its name: "celadon, the green one"; empty for nothing. */
  readonly also: string;
  readonly kind: GlazeKind;
  /** Fired colour for drawings, "#rrggbb". */
  readonly colour: string;
  readonly surface: Surface | null;
  readonly movement: Movement | null;
  /** Null when nobody said. */
  readonly opaque: boolean | null;
  /** For decorative ware only: not for surfaces that touch food. */
  readonly decorative: boolean;
  /** How it is put on when nothing else is said: what is written on its card. */
  readonly usualMethod: Method | null;
  readonly usualTimes: number | null;
  readonly advice: string;
  readonly caution: string;
  readonly version: number;
  /** The recipe version in use: what the dictionary counts, and what a coat is of when nothing else is said. */
  readonly versionId: string;
  readonly versionNumber: number;
  /** All versions, newest first. */
  readonly versions: readonly { readonly id: string; readonly number: number }[];
  readonly batches: readonly {
    readonly id: string;
    readonly code: string;
    readonly versionNumber: number;
  }[];
}

export type GlazeDraft = Pick<
  Glaze,
  | ('id' | 'name' | 'also' | 'kind' | 'colour' | 'surface' | 'movement' | 'opaque' | 'decorative')
  | ('usualMethod' | 'usualTimes' | 'advice' | 'caution')
>;

const GLAZE: Mapping<GlazeDraft & Pick<Glaze, 'version'>, GlazeRow> = {
  id: 'id',
  name: 'name',
  also: 'also',
  kind: 'kind',
  colour: 'colour',
  surface: 'surface',
  movement: 'movement',
  opaque: flagOrNull('opaque'),
  decorative: flag('decorative'),
  usualMethod: 'usual_method',
  usualTimes: 'usual_times',
  advice: 'advice',
  caution: 'caution',
  version: 'version',
};

/**
 * All glazes in use, in the studio's own order, each with its versions and live batches. Glazes that were mixed for a
 * round only are left out unless asked for.
 */
export async function listGlazes(base: Db, { tests = false } = {}): Promise<Glaze[]> {
  const glazes = base('glaze as g').whereNull('g.ended_at');
  if (!tests) void glazes.whereNull('g.round_id');
  const [rows, versions, batches] = await Promise.all([
    glazes.orderBy(['g.sort', 'g.name']).select<GlazeRow[]>('g.*'),
    base('glaze_version').orderBy('number', 'desc').select('id', 'glaze_id', 'number'),
    rowsOf<{ b: 'batch'; v: 'glaze_version' }>()(
      base('batch as b')
        .join('glaze_version as v', 'v.id', 'b.glaze_version_id')
        .whereNull('b.ended_at')
        .orderBy('b.mixed_on', 'desc'),
      'b.id',
      'b.code',
      'b.glaze_version_id',
      'v.glaze_id',
    ),
  ]);
  const [versionsOf, batchesOf] = [byGlaze(versions), byGlaze(batches)];
  return rows.map((row) => {
    const own = versionsOf.get(row.id) ?? [];
    const inUse = own.find(({ id }) => id === row.in_use_id)!;
    return {
      ...readRow(GLAZE, row),
      versionId: inUse.id,
      versionNumber: inUse.number,
      versions: own.map(({ id, number }) => ({ id, number })),
      batches: (batchesOf.get(row.id) ?? []).map(({ id, code, glaze_version_id }) => ({
        id,
        code,
        versionNumber: own.find((version) => version.id === glaze_version_id)!.number,
      })),
    };
  });
}

function byGlaze<R extends { readonly glaze_id: string }>(rows: readonly R[]): Map<string, R[]> {
  const found = new Map<string, R[]>();
  for (const row of rows) {
    const list = found.get(row.glaze_id) ?? [];
    list.push(row);
    found.set(row.glaze_id, list);
  }
  return found;
}

/** The version in use of each glaze, by glaze: proofs of other ones are shown apart. */
export async function versionsInUse(base: Db): Promise<Map<string, string>> {
  const rows = await base('glaze').whereNotNull('in_use_id').select('id', 'in_use_id');
  return new Map(rows.map((row) => [row.id, row.in_use_id!]));
}

/** What kind of thing each glaze is, test glazes among them; one that is not there is a glaze. */
export async function glazeKinds(base: Db): Promise<(id: string) => GlazeKind> {
  const kinds = new Map((await base('glaze').select('id', 'kind')).map((row) => [row.id, row.kind]));
  return (id) => kinds.get(id) ?? 'glaze';
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
    await addFirstVersion(trx, draft.id, { note: '' });
  });
}

/** Adds the first version of a glaze, which is in use from then on. */
export async function addFirstVersion(
  trx: Db,
  glazeId: string,
  facts: Pick<GlazeVersionRow, 'note'> & Partial<Pick<GlazeVersionRow, 'recipe' | 'member_id'>>,
): Promise<void> {
  const id = newId();
  await trx('glaze_version').insert({ id, glaze_id: glazeId, number: 1, created_at: new Date(), ...facts });
  await trx('glaze').where({ id: glazeId }).update({ in_use_id: id });
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

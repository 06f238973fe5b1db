import { PLAIN_SEVERITY, ITSELF, PIECE_FAULT_IDS, type DefectId } from '@/core/vocabulary';
import { type Maybe, rowsOf } from '@/records/platform/joins';
import type { Line } from '@/core/chemistry';
import { recordChange } from '@/records/platform/changes';
import { fromJson, inTransaction, newId, type Db } from '@/records/platform/db';
import { refreshEntries } from '@/records/dictionary/entries';
import { Conflict, found, NotFound } from '@/records/platform/errors';

/** One version of a glaze's recipe with what its tiles gave. */
export interface RecipeVersion {
  readonly id: string;
  readonly number: number;
  /** Null when nobody wrote it down. */
  readonly lines: readonly Line[] | null;
  readonly note: string;
  readonly at: Date;
  readonly by: string | null;
  /** Pieces of it that were read. */
  readonly pieces: number;
  /** Plain defects on them, most frequent first. */
  readonly defects: readonly { readonly defect: string; readonly count: number }[];
  /** Cut from the newest photo of it alone. */
  readonly swatchHash: string | null;
}

/** The versions of a glaze, newest first, each with the results its tiles gave. */
export async function versionsOf(base: Db, glazeId: string): Promise<RecipeVersion[]> {
  const versions = await rowsOf<{ v: 'glaze_version'; m: Maybe<'member'> }>()(
    base('glaze_version as v')
      .leftJoin('member as m', 'm.id', 'v.member_id')
      .where('v.glaze_id', glazeId)
      .orderBy('v.number', 'desc'),
    'v.*',
    'm.name as by',
  );
  const results = await resultsOf(base, glazeId);
  return versions.map((row) => ({
    id: row.id,
    number: row.number,
    lines: row.recipe === null ? null : fromJson<Line[]>(row.recipe),
    note: row.note,
    at: row.created_at,
    by: row.by,
    ...(results.get(row.id) ?? { pieces: 0, defects: [], swatchHash: null }),
  }));
}

type Results = Pick<RecipeVersion, 'pieces' | 'defects' | 'swatchHash'>;

/** Zones that carry a version of the glaze and were read. */
function zonesOfGlaze(base: Db, glazeId: string) {
  return base('coat as c')
    .join('glaze_version as v', 'v.id', 'c.glaze_version_id')
    .join('zone as z', (join) => void join.on('z.piece_id', 'c.piece_id').andOnNull('z.ended_at'))
    .join(
      'reading as r',
      (join) => void join.on('r.zone_id', 'z.id').andOnNull('r.ended_at').andOnVal('r.stage', 'after'),
    )
    .where('v.glaze_id', glazeId)
    .whereNull('c.ended_at')
    .whereRaw('json_contains(z.versions, json_quote(v.id))');
}

async function resultsOf(base: Db, glazeId: string): Promise<Map<string, Results>> {
  const counts = await zonesOfGlaze(base, glazeId)
    .groupBy('v.id')
    .select<{ id: string; pieces: number | string }[]>(
      'v.id',
      base.raw('count(distinct z.piece_id) as pieces'),
    );
  const defects = await zonesOfGlaze(base, glazeId)
    .join('reading_defect as d', 'd.reading_id', 'r.id')
    .where('d.severity', '>=', PLAIN_SEVERITY)
    .whereNot('d.place', ITSELF)
    .whereNotIn('d.defect', PIECE_FAULT_IDS)
    .groupBy('v.id', 'd.defect')
    .orderBy('count', 'desc')
    .select<{ id: string; defect: DefectId; count: number | string }[]>(
      'v.id',
      'd.defect',
      base.raw('count(distinct z.piece_id) as count'),
    );
  const swatches = await zonesOfGlaze(base, glazeId)
    .join('entry as e', 'e.id', 'z.entry_id')
    .join('headword as h', 'h.id', 'e.headword_id')
    .where('h.depth', 1)
    .whereNotNull('z.swatch_hash')
    .groupBy('v.id')
    .select<{ id: string; hash: string }[]>('v.id', base.raw('max(z.swatch_hash) as hash'));
  return new Map(
    counts.map((row) => [
      row.id,
      {
        pieces: Number(row.pieces),
        defects: defects
          .filter((one) => one.id === row.id)
          .map(({ defect, count }) => ({ defect, count: Number(count) })),
        swatchHash: swatches.find((one) => one.id === row.id)?.hash ?? null,
      },
    ]),
  );
}

/** The recipe of a glaze that is in use. */
export interface RecipeInUse {
  readonly glazeId: string;
  readonly name: string;
  readonly lines: readonly Line[];
}

/** The recipe in use of every glaze that has one, in the studio's order; test glazes of rounds left out. */
export async function recipesInUse(base: Db): Promise<RecipeInUse[]> {
  const rows = await rowsOf<{ g: 'glaze'; v: 'glaze_version' }>()(
    base('glaze as g')
      .join('glaze_version as v', 'v.id', 'g.in_use_id')
      .whereNull('g.ended_at')
      .whereNull('g.round_id')
      .whereNotNull('v.recipe')
      .orderBy(['g.sort', 'g.name']),
    'g.id',
    'g.name',
    'v.recipe',
  );
  return rows.map((row) => ({ glazeId: row.id, name: row.name, lines: fromJson<Line[]>(row.recipe) }));
}

export interface RecipeDraft {
  /** Id of the new version, should one be made. */
  readonly id: string;
  readonly glazeId: string;
  /** The newest version the writer had before them, and whether its recipe was written down then. */
  readonly follows: string;
  readonly wasWritten: boolean;
  readonly lines: readonly Line[];
  readonly note: string;
}

/** The version that somebody else wrote first. */
export interface OtherRecipe {
  readonly id: string;
  readonly lines: readonly Line[] | null;
  readonly by: string | null;
}

/**
 * Writes a recipe down. A newest version without a recipe gets it, for that is what its tiles were made
 * with; otherwise a new version is made, which is not in use until somebody chooses it. The same id twice is one
 * version.
 *
 * @returns the number of the version that now holds the recipe
 * @throws Conflict with the other recipe when somebody made a version, or wrote this one down, in between
 */
export async function saveRecipe(base: Db, memberId: string, draft: RecipeDraft): Promise<number> {
  return inTransaction(base, async (trx) => {
    const [newest] = await trx('glaze_version')
      .where({ glaze_id: draft.glazeId })
      .orderBy('number', 'desc')
      .limit(1)
      .forUpdate();
    if (!newest) throw new NotFound('This glaze');
    const recipe = JSON.stringify(draft.lines);
    if (newest.id === draft.id || (newest.id === draft.follows && textOf(newest.recipe) === recipe))
      return newest.number;
    if (newest.id !== draft.follows || (newest.recipe !== null) !== draft.wasWritten) {
      const by = newest.member_id ? await trx('member').where({ id: newest.member_id }).first('name') : null;
      throw new Conflict<OtherRecipe>(
        { id: newest.id, lines: fromJson(newest.recipe), by: by?.name ?? null },
        newest.number,
      );
    }
    if (newest.recipe === null) {
      await trx('glaze_version')
        .where({ id: newest.id })
        .update({ recipe, note: draft.note, member_id: memberId });
      await recordChange(trx, memberId, 'glaze_version', newest.id, null, { recipe, note: draft.note });
      return newest.number;
    }
    await trx('glaze_version').insert({
      id: draft.id,
      glaze_id: draft.glazeId,
      number: newest.number + 1,
      recipe,
      note: draft.note,
      created_at: new Date(),
      member_id: memberId,
    });
    await recordChange(
      trx,
      memberId,
      'glaze_version',
      draft.id,
      { recipe: textOf(newest.recipe) },
      { recipe },
    );
    return newest.number + 1;
  });
}

/** A recipe as one text, however the driver hands it over. */
const textOf = (recipe: string | null) => recipe && JSON.stringify(fromJson(recipe));

/**
 * Makes a new version with the recipe that a glaze had before.
 *
 * @param versionId the newest version, which is put back
 * @param recipe the earlier recipe, as a change kept it
 */
export async function putRecipeBack(
  trx: Db,
  memberId: string,
  versionId: string,
  recipe: unknown,
): Promise<void> {
  const version = found(await trx('glaze_version').where({ id: versionId }).first(), 'This version');
  await saveRecipe(trx, memberId, {
    id: newId(),
    glazeId: version.glaze_id,
    follows: versionId,
    wasWritten: true,
    lines: fromJson(recipe),
    note: `As before version ${version.number}.`,
  });
}

/**
 * Chooses the version of a glaze that is in use: the dictionary counts its proofs and sets those of other versions
 * apart, and every entry they prove is summed up again. What was chosen before stays in the history of changes.
 *
 * @throws NotFound for a version that is not of this glaze
 */
export async function setVersionInUse(
  base: Db,
  memberId: string,
  { glazeId, versionId }: { readonly glazeId: string; readonly versionId: string },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const glaze = await trx('glaze').where({ id: glazeId }).forUpdate().first('in_use_id');
    const version = await trx('glaze_version').where({ id: versionId, glaze_id: glazeId }).first('id');
    if (!glaze || !version) throw new NotFound('This version');
    if (glaze.in_use_id === versionId) return;
    await trx('glaze').where({ id: glazeId }).update({ in_use_id: versionId });
    await recordChange(trx, memberId, 'glaze', glazeId, glaze, { in_use_id: versionId });
    await refreshEntriesOf(trx, glazeId);
  });
}

/** Sums up the entries a glaze is in, some at a time. */
async function refreshEntriesOf(trx: Db, glazeId: string): Promise<void> {
  const rows = await trx('coat as c')
    .join('zone as z', (join) => void join.on('z.piece_id', 'c.piece_id').andOnNull('z.ended_at'))
    .where('c.glaze_id', glazeId)
    .whereNull('c.ended_at')
    .distinct<{ entry_id: string | null }[]>('z.entry_id');
  const ids = rows.flatMap((row) => row.entry_id ?? []);
  for (let i = 0; i < ids.length; i += 100) await refreshEntries(trx, ids.slice(i, i + 100));
}

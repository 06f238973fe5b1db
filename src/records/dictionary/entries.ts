import type { ReadingDefectRow } from '@/records/platform/tables';
import { found } from '@/records/platform/errors';
import { hashOf } from '@/records/platform/hash';
import {
  entryKey,
  groundKey,
  groundOf,
  headwordKey,
  headwordOf,
  isWhole,
  type FiledZone,
  type Ground,
  type Stack,
} from '@/core/coats';
import {
  speaksOfGlazes,
  type AtmosphereReached,
  type Movement,
  type Side,
  type Surface,
} from '@/core/vocabulary';
import { hexOf, labOf, paletteFrom } from '@/core/colour';
import { agreementOf, type Agreement, type Seen } from '@/core/evidence';
import { hitTarget } from '@/core/firing';
import { fromJson, inTransaction, newId, type Db } from '@/records/platform/db';
import { NOT_WANTED } from './wanted';
import { versionsInUse } from '@/records/materials/glazes';
import { shadesOf } from '@/records/platform/shades';

/** Finds a row by its key hash, or adds it; safe when two transactions add the same one. */
async function ensureRow(
  trx: Db,
  table: 'entry' | 'ground' | 'headword',
  key: string,
  row: () => Promise<object>,
): Promise<string> {
  const key_hash = hashOf(key);
  const known = await trx(table).where({ key_hash }).first('id');
  if (known) return known.id;
  await trx(table)
    .insert({ id: newId(), key_hash, ...(await row()) })
    .onConflict('key_hash')
    .ignore();
  return (await trx(table).where({ key_hash }).forShare().first('id'))!.id;
}

async function glazeNames(trx: Db, ids: readonly string[]): Promise<(id: string) => string> {
  const rows: { id: string; name: string }[] = await trx('glaze').whereIn('id', ids).select('id', 'name');
  const names = new Map(rows.map((row) => [row.id, row.name]));
  return (id) => names.get(id) ?? '?';
}

async function ensureGround(trx: Db, ground: Ground): Promise<string> {
  return ensureRow(trx, 'ground', groundKey(ground), async () => {
    const body = found(await trx('body').where({ id: ground.body }).first('name'), 'This clay');
    const nameOf = await glazeNames(trx, ground.slips);
    const name = [...ground.slips.map(nameOf).reverse(), body.name].join(' over ');
    return { body_id: ground.body, slips: JSON.stringify(ground.slips), name };
  });
}

async function ensureHeadword(trx: Db, stack: Stack): Promise<string> {
  return ensureRow(trx, 'headword', headwordKey(stack), async () => {
    const ids = stack.map((layer) => layer.glaze);
    const nameOf = await glazeNames(trx, ids);
    const layers = stack.map(({ glaze, mark, cover }) => ({
      glaze,
      ...(mark && { mark }),
      ...(cover && { cover }),
    }));
    const plain = isPlain(stack);
    return {
      text: headwordOf(stack, nameOf),
      layers: JSON.stringify(layers),
      depth: depthOf(stack),
      base_glaze_id: plain ? ids[0] : null,
      top_glaze_id: plain ? ids.at(-1) : null,
    };
  });
}

/** Whether glazes lie there as they were put on, none of them wiped or in places only. */
function isPlain(stack: Stack): boolean {
  return stack.length > 0 && stack.every(isWhole);
}

/** Different glazes one over another. */
function depthOf(stack: Stack): number {
  return stack.filter(({ glaze }, i) => glaze !== stack[i - 1]?.glaze).length;
}

/**
 * The entry that a zone belongs to: found by its canonical key, added with its ground and headword when it is new.
 */
export async function ensureEntry(trx: Db, bodyId: string, filed: FiledZone): Promise<string> {
  const { cone, atmosphere, history } = filed;
  const { ground, stack } = groundOf(bodyId, filed.stack);
  const key = entryKey({ ground, stack, cone, atmosphere, history });
  return ensureRow(trx, 'entry', key, async () => ({
    headword_id: await ensureHeadword(trx, stack),
    ground_id: await ensureGround(trx, ground),
    cone,
    atmosphere,
    firings: history.length,
    history: JSON.stringify(history),
    stack: JSON.stringify(stack),
    base_times: stack[0]?.times ?? 0,
    top_times: stack.at(-1)?.times ?? 0,
    // A slip by itself has its page; the wall is of glazes under and over one another.
    wall_layers: isPlain(stack) && !stack.every(({ slip }) => slip) ? depthOf(stack) : null,
    teacher_note: '',
  }));
}

/** One proof of an entry as read from the tables. */
export interface ProofRow {
  readonly zone_id: string;
  readonly entry_id: string;
  readonly firing_id: string;
  readonly piece_id: string;
  readonly area: string | null;
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  readonly versions: string;
  readonly swatch_hash: string | null;
  readonly zone_colour: string | null;
  readonly palette: string | null;
  readonly reading_id: string;
  readonly surface: Surface | null;
  readonly movement: Movement | null;
  readonly colour: string | null;
  readonly at: Date;
  /** The cone that its firing is filed under, and the one it reached. */
  readonly cone: string;
  readonly achieved_cone: number | null;
  readonly atmosphere_reached: AtmosphereReached | null;
}

/**
 * The zones of entries that have a live reading after the firing: their proofs, newest first. The firing `f` of a
 * proof is the one that made the zone what it is; a zone that was looked at again after a firing that did nothing to
 * it is there twice, see `latestLooks`.
 */
export function proofRows(base: Db, entryIds: readonly string[]) {
  return base('zone as z')
    .join(
      'reading as r',
      (join) => void join.on('r.zone_id', 'z.id').andOnNull('r.ended_at').andOnVal('r.stage', 'after'),
    )
    .join('firing as f', 'f.id', 'z.filed_by')
    .whereIn('z.entry_id', entryIds)
    .whereNull('z.ended_at')
    .orderBy('r.at', 'desc')
    .select<ProofRow[]>(
      'z.id as zone_id',
      'z.entry_id',
      'f.id as firing_id',
      'z.piece_id',
      'z.area',
      'z.side',
      'z.from',
      'z.to',
      'z.versions',
      'z.swatch_hash',
      'z.colour as zone_colour',
      'z.palette',
      'r.id as reading_id',
      'r.surface',
      'r.movement',
      'r.colour',
      'r.at',
      base.raw('coalesce(f.filed_cone, f.cone) as cone'),
      'f.achieved_cone',
      'f.atmosphere_reached',
    );
}

/**
 * Of each stretch of a piece only the newest look: what was seen later, after a firing that did nothing to it, is
 * what it shows.
 *
 * @param rows newest first
 */
export function latestLooks<
  R extends Pick<ProofRow, 'entry_id' | 'piece_id' | 'firing_id' | 'area' | 'side' | 'from' | 'to'>,
>(rows: readonly R[]): R[] {
  const seen = new Set<string>();
  return rows.filter(({ entry_id, piece_id, firing_id, area, side, from, to }) => {
    const stretch = [entry_id, piece_id, firing_id, area ?? side, from, to].join(' ');
    return !seen.has(stretch) && seen.add(stretch);
  });
}

/** Defects by reading. */
export async function defectsOf(base: Db, readingIds: readonly string[], { isCounted = false } = {}) {
  if (readingIds.length === 0) return new Map<string, SeenDefect[]>();
  const rows = base('reading_defect as d')
    .whereIn('d.reading_id', readingIds)
    .orderBy(['d.reading_id', 'd.defect'])
    .select<ReadingDefectRow[]>('d.*');
  if (isCounted)
    void rows
      .join('reading as r', 'r.id', 'd.reading_id')
      .join('piece as p', 'p.id', 'r.piece_id')
      .whereRaw(NOT_WANTED);
  const found = new Map<string, SeenDefect[]>();
  for (const { reading_id, ...row } of await rows)
    found.set(reading_id, [...(found.get(reading_id) ?? []), row]);
  return found;
}

type SeenDefect = Omit<ReadingDefectRow, 'reading_id'>;

/** Defects by reading as the dictionary counts them: what was wanted on its piece is none. */
export const countedDefectsOf = (base: Db, readingIds: readonly string[]) =>
  defectsOf(base, readingIds, { isCounted: true });

/** Why a proof is shown and not counted. */
export type Apart = 'other version' | 'missed cone' | 'other atmosphere';

/**
 * Why a proof stands apart: it is of a recipe version that is not in use, its firing came out more than half a cone
 * off, or its atmosphere came out weaker or stronger than meant, as far as anybody said.
 *
 * @returns null for one that counts
 */
export function apartFor(
  row: Pick<ProofRow, 'versions' | 'cone' | 'achieved_cone' | 'atmosphere_reached'>,
  inUse: ReadonlySet<string>,
): Apart | null {
  if (!hitTarget(row.cone, row.achieved_cone)) return 'missed cone';
  if (row.atmosphere_reached !== null && row.atmosphere_reached !== 'as meant') return 'other atmosphere';
  return fromJson<string[]>(row.versions).every((version) => inUse.has(version)) ? null : 'other version';
}

/** A proof as the evidence is judged by: faults of the piece say nothing about its glazes; a colour that somebody picked goes before the one measured. */
export function seenOf(row: ProofRow, defects: readonly SeenDefect[], inUse: ReadonlySet<string>): Seen {
  const colour = row.colour ?? row.zone_colour;
  return {
    id: row.zone_id,
    pieceId: row.piece_id,
    firingId: row.firing_id,
    surface: row.surface,
    movement: row.movement,
    colour: colour ? labOf(colour) : null,
    palette: paletteFrom(shadesOf(row.palette), row.zone_colour, row.colour),
    defects: defects.filter(speaksOfGlazes),
    counts: apartFor(row, inUse) === null,
  };
}

/**
 * Sums up entries from their proofs and stores the result with them, so that the wall reads one row an
 * entry. Runs in the transaction that changed a proof.
 */
export async function refreshEntries(trx: Db, entryIds: readonly string[]): Promise<void> {
  if (entryIds.length === 0) return;
  const rows = latestLooks(await proofRows(trx, entryIds));
  const defects = await countedDefectsOf(
    trx,
    rows.map((row) => row.reading_id),
  );
  const inUse = new Set((await versionsInUse(trx)).values());
  for (const id of entryIds) {
    const proofs = rows.filter((row) => row.entry_id === id);
    const seen = proofs.map((row) => seenOf(row, defects.get(row.reading_id) ?? [], inUse));
    await trx('entry')
      .where({ id })
      .update(summaryRow(agreementOf(seen), proofs));
  }
}

/** Entries summed up at once when many are. */
const AT_ONCE = 200;

/**
 * Sums up the entries whose summary a migration took away because the rules of counting changed. Nothing happens
 * where there is none; safe to run beside another server that does the same.
 *
 * @returns how many were summed up
 */
export async function refreshStaleEntries(base: Db): Promise<number> {
  const stale: { id: string }[] = await base('entry')
    .whereNull('summary')
    .whereNotNull('first_at')
    .orderBy('id')
    .select('id');
  for (let i = 0; i < stale.length; i += AT_ONCE) {
    const ids = stale.slice(i, i + AT_ONCE).map(({ id }) => id);
    await inTransaction(base, (trx) => refreshEntries(trx, ids));
  }
  return stale.length;
}

function summaryRow(sum: Agreement, proofs: readonly ProofRow[]) {
  const apart = new Set([...sum.differing, ...sum.divided]);
  const typical = proofs.find((row) => row.swatch_hash && !apart.has(row.zone_id));
  const worst = [...sum.defects].sort((a, b) => b.severity - a.severity || b.count - a.count)[0];
  return {
    proofs: sum.proofs,
    agreeing: sum.agreeing,
    summary: JSON.stringify(sum),
    worst_defect: worst?.defect ?? null,
    worst_severity: worst?.severity ?? null,
    colour: sum.colour ? hexOf(sum.colour) : null,
    swatch_hash: (typical ?? proofs.find((row) => row.swatch_hash))?.swatch_hash ?? null,
    first_at: proofs.at(-1)?.at ?? null,
  };
}

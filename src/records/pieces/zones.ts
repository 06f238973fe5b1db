import { rowsOf } from '@/records/platform/joins';
import type { Atmosphere, TextureBySide } from '@/core/vocabulary';
import {
  coreCoat,
  coreCoats,
  fileZones,
  isOnPlaceOf,
  middleOf,
  twinText,
  type TwinFacts,
  zonesOf,
  type WrittenArea,
  type FiledZone,
} from '@/core/coats';
import { hashOf } from '@/records/platform/hash';
import { fromJson, inTransaction, newId, type Db } from '@/records/platform/db';
import type { ZoneRow } from '@/records/platform/tables';
import { ensureEntry, refreshEntries } from '@/records/dictionary/entries';
import { moveEntryNotes } from '@/records/dictionary/entryNotes';
import { recordChange } from '@/records/platform/changes';
import { NotFound } from '@/records/platform/errors';
import { coatsOf, type StoredCoat } from './coats';

interface PieceFiring {
  readonly id: string;
  readonly kind: string;
  readonly cone: string;
  readonly atmosphere: Atmosphere;
}

/** The firings a piece has been put into, in order, under the cone that each is filed under. */
async function firingsOf(trx: Db, pieceId: string): Promise<PieceFiring[]> {
  const rows = await rowsOf<{ f: 'firing' }>()(
    trx('firing_piece as fp')
      .join('firing as f', 'f.id', 'fp.firing_id')
      .where('fp.piece_id', pieceId)
      .orderBy(['fp.at', 'f.planned_on', 'f.number']),
    'f.id',
    'f.kind',
    'f.cone',
    'f.filed_cone',
    'f.atmosphere',
  );
  return rows.map(({ filed_cone, ...row }) => ({ ...row, cone: filed_cone ?? row.cone }));
}

/** The rules by which zones are laid, counted; pieces whose zones were laid by older ones are laid again. */
export const ZONE_RULES = 1;

/** A zone as it is to be kept, without its id. */
type LaidZone = Pick<ZoneRow, 'area' | 'side' | 'from' | 'to' | 'entry_id' | 'versions' | 'filed_by'>;

/**
 * Works out the zones of a piece in one of its firings; the entry of each is made when new. A piece that is not
 * described yet is in no entry.
 */
async function layZones(trx: Db, pieceId: string, firingId: string): Promise<LaidZone[]> {
  const piece = await trx('piece').where({ id: pieceId }).first('body_id', 'described', 'areas');
  const firings = await firingsOf(trx, pieceId);
  const here = firings.findIndex((firing) => firing.id === firingId);
  if (!piece || here === -1) throw new NotFound('This piece in this firing');
  const untilHere = firings.slice(0, here + 1);
  const glazeFirings = untilHere.filter(({ kind }) => kind !== 'bisque');
  // What only went through a bisque is filed by it.
  const counted = glazeFirings.length ? glazeFirings : untilHere.slice(-1);
  const stored = (await coatsOf(trx, [pieceId]))
    .get(pieceId)!
    .filter((coat) => untilHere.some(({ id }) => id === coat.firingId));
  const order = ({ firingId: fired }: StoredCoat) =>
    Math.max(
      0,
      counted.findIndex(({ id }) => id === fired),
    );
  const areas = fromJson<readonly WrittenArea[]>(piece.areas);
  const zones = zonesOf(
    stored.flatMap((coat) => coreCoats(coat, order(coat))),
    areas,
  );
  const laid: LaidZone[] = [];
  for (const filed of fileZones(zones, counted)) {
    const { area = null, side, from, to } = filed.zone;
    const clay = areas.find(({ name }) => name === area)?.bodyId ?? piece.body_id;
    laid.push({
      area,
      side,
      from,
      to,
      entry_id: piece.described ? await ensureEntry(trx, clay, filed) : null,
      versions: JSON.stringify(versionsIn(filed, stored, areas)),
      filed_by: counted[filed.filedBy]!.id,
    });
  }
  return laid;
}

/**
 * Lays out the zones of a piece for one of its firings and links each to its entry, made when new.
 * Zones laid before for the same firing are ended.
 */
export async function createZones(trx: Db, pieceId: string, firingId: string): Promise<void> {
  await insertZones(trx, pieceId, firingId, await layZones(trx, pieceId, firingId));
  await trx('piece').where({ id: pieceId }).update({ zone_rules: ZONE_RULES });
}

async function insertZones(trx: Db, pieceId: string, firingId: string, laid: readonly LaidZone[]) {
  await trx('zone')
    .where({ piece_id: pieceId, firing_id: firingId, ended_at: null })
    .update({ ended_at: new Date() });
  for (const zone of laid)
    await trx('zone').insert({ id: newId(), piece_id: pieceId, firing_id: firingId, ...zone });
}

/** The recipe versions that lie in a zone, without repeats. */
function versionsIn(
  { zone, stack }: FiledZone,
  coats: readonly StoredCoat[],
  areas: readonly WrittenArea[],
): string[] {
  const glazes = new Set(stack.map((layer) => layer.glaze));
  const middle = middleOf(zone, areas);
  const inIt = coats.filter(
    (coat) =>
      glazes.has(coat.glazeId) &&
      isOnPlaceOf(coreCoat(coat), zone, areas) &&
      coat.from < middle &&
      coat.to > middle,
  );
  return [...new Set(inIt.map((coat) => coat.versionId))].sort();
}

/**
 * Lays the zones of a piece again for all its firings after its coats or firings were corrected, and sums up every
 * entry that was touched. Zones that keep their places keep their readings; otherwise each live reading is carried to
 * the zone that covers its middle (one reading a zone, also where zones became one).
 */
export async function rebuildZones(trx: Db, pieceId: string): Promise<void> {
  await refreshEntries(trx, entriesOf(await relay(trx, pieceId)));
}

/** A zone's entry before and after it was laid again; null for none. */
type Move = readonly [before: string | null, now: string | null];

function entriesOf(moved: readonly Move[]): string[] {
  return [...new Set(moved.flat())].filter((id) => id !== null);
}

/** Lays the zones of a piece again. @returns for each zone the entry it was in and the one it is in now */
async function relay(trx: Db, pieceId: string): Promise<Move[]> {
  const moved: Move[] = [];
  for (const firing of await firingsOf(trx, pieceId)) {
    const old = await trx('zone').where({ piece_id: pieceId, firing_id: firing.id, ended_at: null });
    if (old.length === 0) continue;
    const laid = await layZones(trx, pieceId, firing.id);
    moved.push(
      ...(samePlaces(old, laid)
        ? await fileAgain(trx, old, laid)
        : await replaceZones(trx, pieceId, firing.id, old, laid)),
    );
  }
  await trx('piece').where({ id: pieceId }).update({ zone_rules: ZONE_RULES });
  return moved;
}

const placeOf = ({ area, side, from, to }: Pick<ZoneRow, 'area' | 'side' | 'from' | 'to'>) =>
  `${area ?? side} ${from} ${to}`;

function samePlaces(old: readonly ZoneRow[], laid: readonly LaidZone[]): boolean {
  const places = new Set(old.map(placeOf));
  return old.length === laid.length && laid.every((zone) => places.has(placeOf(zone)));
}

/** Zones that keep their places move to their entries. */
async function fileAgain(trx: Db, old: readonly ZoneRow[], laid: readonly LaidZone[]) {
  const moved: Move[] = [];
  for (const zone of old) {
    const { entry_id, versions, filed_by } = laid.find((one) => placeOf(one) === placeOf(zone))!;
    await trx('zone').where({ id: zone.id }).update({ entry_id, versions, filed_by });
    moved.push([zone.entry_id, entry_id]);
  }
  return moved;
}

/**
 * The zone that takes over what was read on one: on a side that which covers its middle; on an area one of the same
 * area, the nearest where it moved. Null when the area is no more: what it showed, its side did not.
 */
function heirOf(zone: ZoneRow, fresh: readonly ZoneRow[]): ZoneRow | null {
  const near = fresh.filter(({ area }) => area === zone.area);
  const middle = (zone.from + zone.to) / 2;
  const covering = near.filter((now) => now.from <= middle && now.to >= middle);
  if (zone.area === null)
    return covering.find(({ side }) => side === zone.side) ?? covering[0] ?? near[0] ?? null;
  const isWhole = zone.from === 0 && zone.to === 1;
  // A whole area that is cut now: the largest part speaks for it.
  if (isWhole) return [...near].sort((one, two) => two.to - two.from - (one.to - one.from))[0] ?? null;
  const far = ({ from, to }: ZoneRow) => Math.abs((from + to) / 2 - middle);
  return covering[0] ?? [...near].sort((one, two) => far(one) - far(two))[0] ?? null;
}

/** Ends zones, puts others in their place and carries what was read. */
async function replaceZones(
  trx: Db,
  pieceId: string,
  firingId: string,
  old: readonly ZoneRow[],
  laid: readonly LaidZone[],
): Promise<Move[]> {
  await insertZones(trx, pieceId, firingId, laid);
  const fresh = await trx('zone').where({ piece_id: pieceId, firing_id: firingId, ended_at: null });
  const heirs = new Map<string, ZoneRow[]>();
  const moved: Move[] = fresh.map(({ entry_id }) => [entry_id, entry_id]);
  for (const zone of old) {
    const heir = heirOf(zone, fresh);
    if (!heir) {
      await endReadings(trx, zone.id);
      moved.push([zone.entry_id, null]);
      continue;
    }
    heirs.set(heir.id, [...(heirs.get(heir.id) ?? []), zone]);
    moved.push([zone.entry_id, heir.entry_id]);
    if (zone.swatch_hash && !heir.swatch_hash) {
      heir.swatch_hash = zone.swatch_hash;
      const { swatch_hash, colour, palette, photo_id } = zone;
      await trx('zone').where({ id: heir.id }).update({ swatch_hash, colour, palette, photo_id });
    }
  }
  for (const [heir, zones] of heirs) {
    // The largest speaks for the whole.
    const bySize = [...zones].sort((one, two) => two.to - two.from - (one.to - one.from));
    await carryReadings(
      trx,
      bySize.map(({ id }) => id),
      heir,
    );
  }
  return moved;
}

/** Ends the live readings of a zone that nothing has taken the place of. */
async function endReadings(trx: Db, zoneId: string): Promise<void> {
  await trx('reading').where({ zone_id: zoneId, ended_at: null }).update({ ended_at: new Date() });
}

/**
 * Ends the live readings of zones and writes them again for their heir. Where several become one, the first
 * zone's reading stands for it, with the defects of all.
 */
async function carryReadings(trx: Db, from: readonly string[], to: string): Promise<void> {
  const made = new Map<string, string>();
  for (const zoneId of from)
    for (const reading of await trx('reading').where({ zone_id: zoneId, ended_at: null })) {
      await trx('reading').where({ id: reading.id }).update({ ended_at: new Date() });
      const id = made.get(reading.stage) ?? newId();
      if (!made.has(reading.stage)) await trx('reading').insert({ ...reading, id, zone_id: to });
      made.set(reading.stage, id);
      for (const row of await trx('reading_defect').where({ reading_id: reading.id }))
        await trx('reading_defect')
          .insert({ ...row, reading_id: id })
          .onConflict(['reading_id', 'defect', 'place'])
          .merge({ severity: trx.raw('greatest(reading_defect.severity, ?)', [row.severity]) });
    }
}

/** The key that a piece shares with its twins, see `twinText`. */
export function twinKeyOf(piece: TwinFacts): string {
  return hashOf(twinText(piece));
}

/** Pieces laid again in one transaction. */
const AT_ONCE = 50;

/**
 * Lays the zones and twin keys of pieces again that were laid by older rules, and takes what teachers noted on an
 * entry along when all its zones have gone to another. Nothing happens where there are none; stopped half way it goes
 * on where it was.
 *
 * @returns how many pieces were laid again
 */
export async function relayStalePieces(base: Db): Promise<number> {
  for (let done = 0; ;) {
    const stale = await base('piece')
      .where('zone_rules', '<', ZONE_RULES)
      .orderBy('number')
      .limit(AT_ONCE)
      .select('id', 'body_id', 'form', 'form_id', 'texture', 'areas', 'round_cell_id', 'described');
    if (stale.length === 0) return done;
    await inTransaction(base, async (trx) => {
      const moved: Move[] = [];
      const coats = await coatsOf(
        trx,
        stale.map(({ id }) => id),
      );
      for (const piece of stale) {
        moved.push(...(await relay(trx, piece.id)));
        if (!piece.described) continue;
        const key = twinKeyOf({
          bodyId: piece.body_id,
          form: piece.form,
          formId: piece.form_id,
          texture: fromJson<TextureBySide>(piece.texture),
          areas: fromJson<readonly WrittenArea[]>(piece.areas),
          roundCellId: piece.round_cell_id,
          coats: coats.get(piece.id)!,
        });
        await trx('piece').where({ id: piece.id }).update({ twin_key: key });
      }
      await recordChange(trx, null, 'zone rules', stale[0]!.id, null, {
        rules: ZONE_RULES,
        pieces: stale.map(({ id }) => id),
      });
      await moveEntryNotes(trx, moved);
      await refreshEntries(trx, entriesOf(moved));
    });
    done += stale.length;
  }
}

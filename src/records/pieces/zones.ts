import { rowsOf } from '@/records/platform/joins';
import type { Atmosphere } from '@/core/vocabulary';
import { zonesOf, type Zone } from '@/core/coats';
import { newId, type Db } from '@/records/platform/db';
import { ensureEntry, refreshEntries } from '@/records/dictionary/entries';
import { NotFound } from '@/records/platform/errors';
import { coatsOf, coreCoat, type StoredCoat } from './coats';

interface PieceFiring {
  readonly id: string;
  readonly kind: string;
  readonly cone: string;
  readonly atmosphere: Atmosphere;
}

/** The firings a piece has been put into, in order. */
async function firingsOf(trx: Db, pieceId: string): Promise<PieceFiring[]> {
  return rowsOf<{ f: 'firing' }>()(
    trx('firing_piece as fp')
      .join('firing as f', 'f.id', 'fp.firing_id')
      .where('fp.piece_id', pieceId)
      .orderBy(['fp.at', 'f.planned_on', 'f.number']),
    'f.id',
    'f.kind',
    'f.cone',
    'f.atmosphere',
  );
}

/**
 * Lays out the zones of a piece for one of its firings and links each to its entry, made when new.
 * Zones laid before for the same firing are ended.
 */
export async function createZones(trx: Db, pieceId: string, firingId: string): Promise<void> {
  const piece = await trx('piece').where({ id: pieceId }).first('body_id');
  const firings = await firingsOf(trx, pieceId);
  const here = firings.findIndex((firing) => firing.id === firingId);
  if (!piece || here === -1) throw new NotFound('This piece in this firing');
  const { cone, atmosphere } = firings[here]!;
  const glazeFirings = firings.slice(0, here + 1).filter((firing) => firing.kind !== 'bisque');
  const seen = new Set(firings.slice(0, here + 1).map((firing) => firing.id));
  const stored = (await coatsOf(trx, [pieceId]))
    .get(pieceId)!
    .filter((coat) => coat.firingId && seen.has(coat.firingId));
  const order = (coat: StoredCoat) =>
    Math.max(
      0,
      glazeFirings.findIndex((firing) => firing.id === coat.firingId),
    );
  const zones = zonesOf(stored.map((coat) => coreCoat(coat, order(coat))));
  await trx('zone')
    .where({ piece_id: pieceId, firing_id: firingId, ended_at: null })
    .update({ ended_at: new Date() });
  for (const zone of zones) {
    const entryId = await ensureEntry(trx, piece.body_id, zone.stack, {
      cone,
      atmosphere,
      firings: Math.max(1, glazeFirings.length),
    });
    await trx('zone').insert({
      id: newId(),
      piece_id: pieceId,
      firing_id: firingId,
      entry_id: entryId,
      side: zone.side,
      from: zone.from,
      to: zone.to,
      versions: JSON.stringify(versionsIn(zone, stored)),
    });
  }
}

/** The recipe versions that lie in a zone, without repeats. */
function versionsIn(zone: Zone, coats: readonly StoredCoat[]): string[] {
  const glazes = new Set(zone.stack.map((layer) => layer.glaze));
  return [...new Set(coats.filter((coat) => glazes.has(coat.glazeId)).map((coat) => coat.versionId))].sort();
}

/**
 * Lays the zones of a piece again for all its firings after its coats were corrected, carries each live
 * reading to the zone that covers its middle (one reading a zone, also where zones became one), and sums up every entry that was touched.
 */
export async function rebuildZones(trx: Db, pieceId: string): Promise<void> {
  for (const firing of await firingsOf(trx, pieceId)) {
    const old = await trx('zone').where({ piece_id: pieceId, firing_id: firing.id, ended_at: null });
    if (old.length === 0) continue;
    await createZones(trx, pieceId, firing.id);
    const fresh = await trx('zone').where({ piece_id: pieceId, firing_id: firing.id, ended_at: null });
    const heirs = new Map<string, typeof old>();
    for (const zone of old) {
      const middle = (zone.from + zone.to) / 2;
      const cover = fresh.filter((now) => now.from <= middle && now.to >= middle);
      const heir = cover.find((now) => now.side === zone.side) ?? cover[0] ?? fresh[0]!;
      heirs.set(heir.id, [...(heirs.get(heir.id) ?? []), zone]);
      if (zone.swatch_hash && !heir.swatch_hash) {
        heir.swatch_hash = zone.swatch_hash;
        await trx('zone')
          .where({ id: heir.id })
          .update({ swatch_hash: zone.swatch_hash, colour: zone.colour });
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
    await refreshEntries(trx, [...new Set([...old, ...fresh].map((zone) => zone.entry_id))]);
  }
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

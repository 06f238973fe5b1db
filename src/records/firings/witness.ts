import { mean } from 'simple-statistics';
import {
  climbRate,
  coneIndex,
  readPack,
  type PackReading,
  type Segment,
  type WitnessCone,
} from '@/core/firing';
import { isCone, type Cone } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import { fromJson, inTransaction, type Db } from '@/records/platform/db';
import { NotFound } from '@/records/platform/errors';
import { setAchievedCone } from './firings';
import { curveOf, updateLoggedCone } from './logs';

/** A witness cone on a shelf; shelf 1 is the lowest. */
export interface ShelfCone extends WitnessCone {
  readonly shelf: number;
}

/** One pack, what it says by itself. */
export interface Pack {
  readonly shelf: number;
  readonly cones: readonly WitnessCone[];
  readonly reading: PackReading;
}

/** The live witness cones of firings, by firing. */
export async function conesOf(base: Db, firingIds: readonly string[]): Promise<Map<string, ShelfCone[]>> {
  const rows: { firing_id: string; shelf: number; cone: Cone; bend: number }[] = await base('witness_cone')
    .whereIn('firing_id', firingIds)
    .whereNull('ended_at')
    .select('firing_id', 'shelf', 'cone', 'bend');
  const found = new Map<string, ShelfCone[]>(firingIds.map((id) => [id, []]));
  for (const { firing_id, ...cone } of rows) found.get(firing_id)!.push(cone);
  for (const cones of found.values())
    cones.sort((a, b) => a.shelf - b.shelf || coneIndex(a.cone)! - coneIndex(b.cone)!);
  return found;
}

/** The packs of a firing, each read at its rate. */
export function packsOf(cones: readonly ShelfCone[], rate: number): Pack[] {
  return [...new Set(cones.map(({ shelf }) => shelf))].map((shelf) => {
    const own = cones.filter((one) => one.shelf === shelf);
    return { shelf, cones: own, reading: readPack(own, rate)! };
  });
}

/** How fast a firing climbed at the end: from its log, else from its programme, else 60 °C/h. */
export async function rateOf(base: Db, firingId: string): Promise<number> {
  const logged = climbRate(await curveOf(base, firingId));
  if (logged !== null) return logged;
  const row = await base('firing').where({ id: firingId }).first('segments');
  const segments = row?.segments ? fromJson<Segment[]>(row.segments) : [];
  const top = Math.max(...segments.map(({ target }) => target));
  return segments.find(({ target }) => target === top)?.rate ?? 60;
}

/**
 * Puts down the witness cones of a firing in place of what stood there; earlier ones stay as history. The
 * firing reached what its packs say on the mean.
 */
export async function saveCones(
  base: Db,
  memberId: string,
  firingId: string,
  cones: readonly (ShelfCone & { readonly id: string })[],
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (!(await trx('firing').where({ id: firingId }).forUpdate().first('id')))
      throw new NotFound('This firing');
    const before = await trx('witness_cone').where({ firing_id: firingId, ended_at: null });
    const same = before.map(({ id }) => id);
    if (cones.length === same.length && cones.every(({ id }) => same.includes(id))) return;
    const at = new Date();
    await trx('witness_cone').where({ firing_id: firingId, ended_at: null }).update({ ended_at: at });
    if (cones.length)
      await trx('witness_cone').insert(
        cones.map((cone) => ({ ...cone, firing_id: firingId, member_id: memberId, at })),
      );
    await recordChange(trx, memberId, 'witness_cone', firingId, before, cones);
    await readCones(trx, memberId, firingId, cones);
    await updateLoggedCone(trx, firingId);
  });
}

/** Notes what the packs of a firing say on the mean. */
async function readCones(
  trx: Db,
  memberId: string | null,
  firingId: string,
  cones: readonly ShelfCone[],
): Promise<void> {
  const readings = packsOf(cones, await rateOf(trx, firingId)).map(({ reading }) => reading);
  const bound = (side: 'low' | 'high') => {
    const known = readings.map((reading) => reading[side]).filter((value) => value !== null);
    return known.length ? mean(known) : null;
  };
  await trx('firing')
    .where({ id: firingId })
    .update({ achieved_low: bound('low'), achieved_high: bound('high'), cone_rules: CONE_RULES });
  await setAchievedCone(
    trx,
    memberId,
    firingId,
    readings.length ? mean(readings.map(({ index }) => index)) : null,
  );
}

/** The rules by which witness cones are read, counted; cones that were read by older ones are read again. */
const CONE_RULES = 1;

/**
 * Reads the witness cones again that were read by older rules. Packs that stand exactly as the form of the release
 * before offered them, the cone below flat, the target half way, the one above upright, were not touched by anybody:
 * they are ended.
 *
 * @returns how many firings were read again
 */
export async function rereadCones(base: Db): Promise<number> {
  const stale = await base('firing').where('cone_rules', '<', CONE_RULES).select('id', 'cone');
  for (const { id, cone } of stale)
    await inTransaction(base, async (trx) => {
      const all = (await conesOf(trx, [id])).get(id)!;
      const untouched = packsOf(all, 60).filter((pack) => isCone(cone) && isAsOffered(pack.cones, cone));
      const shelves = untouched.map(({ shelf }) => shelf);
      if (shelves.length) {
        const rows = trx('witness_cone').where({ firing_id: id, ended_at: null }).whereIn('shelf', shelves);
        await rows.update({ ended_at: new Date() });
        await recordChange(
          trx,
          null,
          'witness_cone',
          id,
          { offered: untouched.map((pack) => pack.cones) },
          null,
        );
      }
      const rest = all.filter(({ shelf }) => !shelves.includes(shelf));
      if (all.length) await readCones(trx, null, id, rest);
      else await trx('firing').where({ id }).update({ cone_rules: CONE_RULES });
    });
  return stale.length;
}

function isAsOffered(pack: readonly WitnessCone[], target: Cone): boolean {
  return pack.every(({ cone, bend }) => {
    const off = coneIndex(cone)! - coneIndex(target)!;
    return bend === (off < 0 ? 90 : off > 0 ? 0 : 45);
  });
}

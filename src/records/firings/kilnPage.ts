import { rowsOf } from '@/records/platform/joins';
import { median } from 'simple-statistics';
import {
  coolingForecast,
  driftOf,
  fastestClimbs,
  untilPeak,
  type ClimbLimit,
  type Drift,
  type FiringWitness,
  type PartChange,
  type CurvePoint,
} from '@/core/firing';
import { cachedUntilWrite } from '@/records/platform/cache';
import type { Db } from '@/records/platform/db';
import { currentRevision } from '@/records/platform/revision';
import { listFirings, type Firing } from './firings';
import { kilnById, partsOf, type Kiln, type StoredPart } from './kilns';
import { KILNS_KEPT, lastCurves } from './lastCurves';
import { conesOf, type ShelfCone } from './witness';

/** A kiln with what it has in it, what it did, and how its thermocouple stands. */
export interface KilnPage {
  readonly kiln: Kiln;
  readonly firings: readonly (Firing & { readonly cones: readonly ShelfCone[] })[];
  readonly parts: readonly StoredPart[];
  readonly drift: Drift;
  /** Firings with a log whose cones say no more than a range, and so nothing of the thermocouple. */
  readonly ranges: number;
}

/** Days since 1970 of a "YYYY-MM-DD". */
function dayNumber(day: string): number {
  return Math.round(Date.parse(`${day}T00:00:00Z`) / 86_400_000);
}

/** The page of a kiln, its firings newest first. @throws NotFound */
export async function kilnPage(base: Db, kilnId: string): Promise<KilnPage> {
  const kiln = await kilnById(base, kilnId);
  const [firings, parts] = await Promise.all([
    listFirings(base, { kilnId, limit: 120 }),
    partsOf(base, kilnId),
  ]);
  const cones = await conesOf(
    base,
    firings.map(({ id }) => id),
  );
  return {
    kiln,
    parts,
    firings: firings.map((firing) => ({ ...firing, cones: cones.get(firing.id)! })),
    drift: driftOf(
      firings
        .filter(isWitnessed)
        .filter((firing) => !isRange(firing))
        .map(witnessOf),
      changesOf(parts),
    ),
    ranges: firings.filter((firing) => isWitnessed(firing) && isRange(firing)).length,
  };
}

/** Days on which elements or thermocouple were changed; what was changed on one day is one change. */
function changesOf(parts: readonly StoredPart[]): PartChange[] {
  const byDay = new Map<string, string[]>();
  for (const { part, changedOn } of parts)
    if (part === 'elements' || part === 'thermocouple')
      byDay.set(changedOn, [...(byDay.get(changedOn) ?? []), part]);
  return [...byDay].map(([day, names]) => ({ day: dayNumber(day), part: names.sort().join(' and ') }));
}

/** Cones that say less than this, in cones, are a range and no measure of a thermocouple (judgement). */
const WIDEST = 0.6;

type Witnessed = Firing & { readonly loggedCone: number; readonly achievedCone: number };

function isWitnessed(firing: Firing): firing is Witnessed {
  return firing.loggedCone !== null && firing.achievedCone !== null;
}

function isRange({ achievedLow: low, achievedHigh: high }: Firing): boolean {
  return low === null || high === null || high - low > WIDEST;
}

function witnessOf({ plannedOn, loggedCone, achievedCone }: Witnessed): FiringWitness {
  return { day: dayNumber(plannedOn), logged: loggedCone, shown: achievedCone };
}

/** The cones a kiln reached with one programme, newest first. */
export interface Reached {
  readonly kilnId: string;
  readonly kiln: string;
  readonly reached: readonly number[];
}

/** How kilns compare on one programme. */
export async function reachedBy(base: Db, programmeId: string): Promise<Reached[]> {
  const rows = await rowsOf<{
    f: 'firing';
    k: 'kiln';
  }>()(
    base('firing as f')
      .join('kiln as k', 'k.id', 'f.kiln_id')
      .where('f.programme_id', programmeId)
      .whereNotNull('f.achieved_cone')
      .orderBy('f.planned_on', 'desc'),
    'f.kiln_id',
    'k.name',
    'f.achieved_cone',
  );
  return [...new Set(rows.map((row) => row.kiln_id))].map((kilnId) => {
    const own = rows.filter((row) => row.kiln_id === kilnId);
    return { kilnId, kiln: own[0]!.name, reached: own.map((row) => row.achieved_cone!) };
  });
}

/** What a kiln has shown it can do. */
export interface KilnHabits {
  readonly kilnId: string;
  /** Fastest climb by temperature. */
  readonly climbs: readonly ClimbLimit[];
  /** Hours from the end of its last firings until it was cool enough to open; null when not known. */
  readonly coolHours: number | null;
}

/** What each kiln has shown in its last few logged firings. */
export async function kilnHabits(base: Db, kilns: readonly Kiln[]): Promise<KilnHabits[]> {
  const revision = await currentRevision(base);
  return Promise.all(
    kilns.map(async ({ id, openBelow }) => {
      const curves = await lastCurves(base, id, revision);
      return {
        kilnId: id,
        climbs: fastestClimbs(curves.map(({ curve }) => curve)),
        coolHours: await cooledHours(base, `${id} ${openBelow}`, revision),
      };
    }),
  );
}

/** How kilns whose habits are asked for cooled, by kiln and opening limit. */
const cooledHours = cachedUntilWrite(async (base, key) => {
  const [kilnId, openBelow] = key.split(' ') as [string, string];
  const curves = await lastCurves(base, kilnId, await currentRevision(base));
  const hours = curves
    .map(({ curve }) => hoursToCool(curve, Number(openBelow)))
    .filter((one) => one !== null);
  return hours.length ? median(hours) : null;
}, KILNS_KEPT);

/** Hours from the last of the peak until a temperature was reached; null when the log ends before. */
function hoursToCool(curve: readonly CurvePoint[], celsius: number): number | null {
  const end = untilPeak(curve).at(-1);
  const cool = end && coolingForecast(curve).timeAt(celsius);
  return cool ? (cool.minutes - end.minutes) / 60 : null;
}

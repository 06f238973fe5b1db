import {
  climbAt,
  climbRate,
  coneIndex,
  endPoint,
  heatWork,
  usualPack,
  type CurvePoint,
  type Segment,
} from '@/core/firing';
import type { Cone } from '@/core/vocabulary';
import { newId, type Db } from '@/records/platform';
import {
  addEvent,
  addLogPoints,
  recordControllerContact,
  openSource,
  updateLoggedCone,
  type LogPoint,
  saveCones,
} from '@/records/firings';
import { COLD, isDone, onward, readsOf, type KilnBuild } from '../src/simulator/thermal';
import { random, type Random } from './random';
import { ageOf, BUILDS } from './scenario/kilns';

/** One firing as it truly was, and as its thermocouple told it. */
interface Fired {
  readonly truth: readonly CurvePoint[];
  readonly told: readonly LogPoint[];
  /** Minute at which the programme had run out. */
  readonly end: number;
}

/** Burns a programme in the thermal model, a reading each minute and, once it cools, every five. */
function burn(build: KilnBuild, segments: readonly Segment[], coldAt: number, next: Random): Fired {
  const truth: CurvePoint[] = [];
  const told: LogPoint[] = [];
  let state = COLD;
  let end: number | null = null;
  for (let minutes = 1; end === null || (state.inside > coldAt && minutes < 4000); minutes++) {
    state = onward(build, state, end === null ? segments : null, 1);
    truth.push({ minutes, celsius: state.inside });
    if (end === null || minutes % 5 === 0) {
      const noise = (next() + next() + next() - 1.5) * 2 * build.noise;
      const celsius = readsOf(build, state) + noise;
      told.push({ seq: told.length + 1, minutes, celsius, target: null, oxygen: null });
    }
    if (end === null && isDone(state, segments)) end = minutes;
  }
  return { truth, told, end };
}

/** How far a cone has bent where the kiln truly stood at an index, as an eye reads it. */
function bendOf(cone: Cone, index: number, rate: number, next: Random): number {
  const left = endPoint(cone, rate)! - climbAt(index, rate);
  const share = 1 - left / ((20 / 60) * rate);
  const bend = 90 * Math.max(0, Math.min(1, share)) ** 2.5;
  return Math.max(0, Math.min(90, Math.round((bend + (next() - 0.5) * 8) / 5) * 5));
}

/** The studio puts the half in as well, so that there is always a cone in the act of bending. */
function packOf(cone: Cone): readonly Cone[] {
  return cone === '6' ? ['5', '5½', '6', '7'] : usualPack(cone);
}

export interface LoggedFiring {
  readonly firingId: string;
  readonly kiln: 'two' | 'stoker';
  readonly cone: Cone;
  readonly segments: readonly Segment[];
  readonly daysAgo: number;
  /** Cooled and opened, so that its cones could be read. */
  readonly opened: boolean;
  readonly reduction: boolean;
}

/** Writes what happened in a firing: its log or hourly readings, its events, and the cones that were found. */
export async function writeLog(base: Db, memberId: string, firing: LoggedFiring): Promise<void> {
  const { firingId, kiln, cone, segments, daysAgo, opened } = firing;
  const next = random(`log ${kiln} ${daysAgo}`);
  const build = { ...BUILDS[kiln], ...ageOf(kiln, daysAgo) };
  const { truth, told, end } = burn(build, segments, opened ? 45 : 260, next);
  if (kiln === 'two') {
    const id = newId();
    await openSource(base, memberId, { id, firingId, name: 'Number Two’s controller', speed: 1 });
    await addLogPoints(base, id, told);
    await recordControllerContact(base, id, null);
    await base('log_source').where({ id }).update({ live: false });
  } else await writeByHand(base, memberId, firing, told, end);
  await updateLoggedCone(base, firingId);
  if (!opened) return;
  const index = heatWork(truth).coneIndex ?? coneIndex(cone)!;
  const rate = Math.min(150, Math.max(15, climbRate(truth) ?? 60));
  await saveCones(
    base,
    memberId,
    firingId,
    packOf(cone).map((one) => ({
      id: newId(),
      cone: one,
      shelf: 2,
      bend: bendOf(one, index, rate, next),
    })),
  );
}

/** A gas kiln's page of the book: a reading an hour, and what was done. */
async function writeByHand(
  base: Db,
  memberId: string,
  { firingId, reduction }: LoggedFiring,
  told: readonly LogPoint[],
  end: number,
): Promise<void> {
  const note = (
    kind: Parameters<typeof addEvent>[2]['kind'],
    minutes: number,
    value: number | null = null,
    words = '',
  ) => addEvent(base, memberId, { id: newId(), firingId, kind, minutes, value, note: words });
  for (const { minutes, celsius } of told)
    if (minutes % 60 === 0 || minutes === end)
      await note('hand reading', minutes, Math.round(celsius! / 5) * 5);
  const at = (celsius: number) => told.find((one) => one.celsius! >= celsius)?.minutes ?? end;
  await note('lid closed', at(320));
  if (!reduction) return;
  await note('reduction starts', at(900), null, 'medium');
  await note('damper', at(900), 35);
  await note('damper', at(1180), 50, '');
  await note('reduction ends', end - 10);
}

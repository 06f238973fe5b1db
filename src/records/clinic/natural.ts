import { setImmediate } from 'node:timers/promises';
import { experimentsInSteps, type FiredZoneFacts, type NaturalExperiment, type Steps } from '@/core/evidence';
import type { DefectId } from '@/core/vocabulary';
import type { Db } from '@/records/platform/db';
import { firedZones } from './firedZones';
import { cachedUntilWrite } from '@/records/platform/cache';

/** What the studio's pieces say of a defect. */
export interface StudioRecord {
  readonly zones: readonly FiredZoneFacts[];
  readonly experiments: readonly NaturalExperiment[];
}

/** Defects kept at a time: a large studio's record is some tens of megabytes. */
const MOST_KEPT = 4;

const kept = cachedUntilWrite(async (base, defect): Promise<StudioRecord> => {
  const zones = await firedZones(base, defect as DefectId);
  return { zones, experiments: await betweenRequests(experimentsInSteps(zones)) };
}, MOST_KEPT);

/** Every read zone with whether it shows a defect, and the natural experiments in them; calculated once until something is written. */
export async function studioRecord(base: Db, defect: DefectId): Promise<StudioRecord> {
  return kept(base, defect);
}

/** The server answers nobody for so long at most, ms. */
const SLICE = 25;

/** Does work step by step, letting others through after each slice. */
async function betweenRequests<T>(steps: Steps<T>): Promise<T> {
  for (let since = performance.now(); ;) {
    const { done, value } = steps.next();
    if (done) return value;
    if (performance.now() - since < SLICE) continue;
    await setImmediate();
    since = performance.now();
  }
}

import { naturalExperiments, type DefectId, type DoneZone, type NaturalExperiment } from '@/core/evidence';
import { doneZones } from './clinic';
import type { Db } from './db';
import { markOf } from './marks';

/** What the studio's pieces say of a defect. */
export interface StudioRecord {
  readonly zones: readonly DoneZone[];
  readonly experiments: readonly NaturalExperiment[];
}

interface Kept {
  /** Where the change table stood. */
  readonly mark: string;
  readonly record: Promise<StudioRecord>;
}

/** Defects kept at a time: a large studio's record is some tens of megabytes. */
const MOST_KEPT = 4;
const kept = new Map<DefectId, Kept>();

/**
 * Every read zone with whether it shows a defect, and the natural experiments in them. Reckoned once until
 * something is written anywhere in the studio: two who ask at a time share one reckoning.
 */
export async function studioRecord(base: Db, defect: DefectId): Promise<StudioRecord> {
  const mark = await markOf(base);
  const known = kept.get(defect);
  if (known?.mark === mark) return known.record;
  const record = reckon(base, defect);
  kept.delete(defect);
  kept.set(defect, { mark, record });
  for (const old of [...kept.keys()].slice(0, -MOST_KEPT)) kept.delete(old);
  record.catch(() => kept.delete(defect));
  return record;
}

async function reckon(base: Db, defect: DefectId): Promise<StudioRecord> {
  const zones = await doneZones(base, defect);
  return { zones, experiments: naturalExperiments(zones) };
}

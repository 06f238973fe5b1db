import { naturalExperiments, type DefectId, type DoneZone, type NaturalExperiment } from '@/core/evidence';
import { doneZones } from './clinic';
import type { Db } from './db';
import { keptUntilWrite } from './marks';

/** What the studio's pieces say of a defect. */
export interface StudioRecord {
  readonly zones: readonly DoneZone[];
  readonly experiments: readonly NaturalExperiment[];
}

/** Defects kept at a time: a large studio's record is some tens of megabytes. */
const MOST_KEPT = 4;

const kept = keptUntilWrite(async (base, defect): Promise<StudioRecord> => {
  const zones = await doneZones(base, defect as DefectId);
  return { zones, experiments: naturalExperiments(zones) };
}, MOST_KEPT);

/** Every read zone with whether it shows a defect, and the natural experiments in them; reckoned once until something is written. */
export async function studioRecord(base: Db, defect: DefectId): Promise<StudioRecord> {
  return kept(base, defect);
}

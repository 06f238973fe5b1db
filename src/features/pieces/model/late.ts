import type { DefectId } from '@/core/vocabulary';
import type { FiredZone } from '@/records/pieces';
import type { ReadingDraft } from '@/records/openings';

/**
 * The readings of a later look: what was known of each zone stays said, with the defect added.
 *
 * @param idOf an id for the reading of a zone, the same when it is sent again
 */
export function lateReadings(
  zones: readonly FiredZone[],
  look: { readonly defect: DefectId; readonly ageDays: number | null; readonly note: string },
  idOf: (zoneId: string) => string,
): ReadingDraft[] {
  return zones.map((zone) => {
    const live = zone.readings.find((reading) => !reading.ended && reading.stage === 'after');
    const others = (live?.defects ?? []).filter((one) => one.defect !== look.defect);
    return {
      id: idOf(zone.id),
      zoneId: zone.id,
      follows: live?.id ?? null,
      stage: 'after',
      surface: (live?.surface ?? null) as ReadingDraft['surface'],
      movement: (live?.movement ?? null) as ReadingDraft['movement'],
      colour: live?.colour ?? null,
      note: look.note,
      boilTest: live?.boilTest ?? null,
      ageDays: look.ageDays,
      defects: [
        ...(others as ReadingDraft['defects']),
        { defect: look.defect, severity: 2, place: 'everywhere' },
      ],
    };
  });
}

/**
 * An age in the words people use.
 *
 * @param days whole, ≥ 0
 * @example ageInWords(150) // '5 months'
 */
export function ageInWords(days: number): string {
  if (days < 1) return 'the same day';
  if (days < 60) return days === 1 ? '1 day' : `${days} days`;
  if (days < 730) return `${Math.round(days / 30.44)} months`;
  return `${Math.round(days / 365.25)} years`;
}

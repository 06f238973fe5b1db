import { sameStack } from '@/core/coats';
import { paletteDifference } from '@/core/colour';
import { defectName } from '@/core/vocabulary';
import type { FiredZone, PiecePage } from '@/records/pieces';
import { paletteOf } from './zones';

/** One stack of a piece beside the same stack of its model. */
export interface Beside {
  readonly zone: FiredZone;
  readonly model: FiredZone;
  /** CIEDE2000; null when either has no colour. */
  readonly away: number | null;
  /** What else came out otherwise, in words; empty when nothing that was written down did. */
  readonly otherwise: readonly string[];
}

/** The zones of a piece beside those of its model with the same stack, each after its last firing. */
export function besideModel(piece: PiecePage, model: PiecePage): Beside[] {
  const models = lastZones(model);
  return lastZones(piece).flatMap((zone) => {
    const other = models.find(({ stack }) => sameStack(stack, zone.stack));
    return other ? [compared(zone, other)] : [];
  });
}

function lastZones({ firings }: PiecePage): readonly FiredZone[] {
  return firings.at(-1)?.zones.filter(({ readings }) => readings.some((one) => !one.ended)) ?? [];
}

function compared(zone: FiredZone, model: FiredZone): Beside {
  const [mine, theirs] = [zone, model].map(({ readings }) => readings.find((one) => !one.ended)!);
  const [own, before] = [paletteOf(zone), paletteOf(model)];
  const bad = (reading: typeof mine) =>
    reading!.defects
      .map(({ defect }) => defectName(defect))
      .sort()
      .join(', ') || 'no defect';
  const rows = [
    [mine!.surface, theirs!.surface],
    [mine!.movement, theirs!.movement],
    [bad(mine), bad(theirs)],
  ];
  return {
    zone,
    model,
    away: own && before ? paletteDifference(own, before) : null,
    otherwise: rows.flatMap(([now, was]) => (now && was && now !== was ? [`${now}, the model ${was}`] : [])),
  };
}

import type { Firing } from '@/records/firings';
import type { OpeningPiece } from '@/records/openings';
import type { Result } from './scenario/causes';
import { BODY_LOOKS, GLAZE_LOOKS, type PaintedPiece } from './paint';

/** How a glaze or clay that the scenario does not know is painted. */
const PLAIN_GLAZE = GLAZE_LOOKS['Lamp Clear']!;
const PLAIN_BODY = BODY_LOOKS['Buffer White']!;

/**
 * What the painter needs to know of a piece, from its record alone.
 *
 * @param outcome what came out by zone id, while nobody has read it
 */
export function sceneOf(
  piece: OpeningPiece,
  firing: Pick<Firing, 'id' | 'atmosphere'>,
  outcome?: ReadonlyMap<string, Result>,
): PaintedPiece {
  return {
    seed: `${piece.label} ${firing.id}`.slice(0, 12),
    form: piece.form,
    heightMm: piece.heightMm,
    widthMm: piece.widthMm,
    body: BODY_LOOKS[piece.body] ?? PLAIN_BODY,
    reduction: firing.atmosphere === 'reduction',
    coats: piece.coats
      .filter((coat) => coat.side !== 'inside' && coat.firingId !== null && coat.glazeKind !== 'resist')
      .map((coat) => ({
        look: GLAZE_LOOKS[coat.glazeName] ?? PLAIN_GLAZE,
        side: coat.side,
        from: coat.from,
        to: coat.to,
        dips: coat.method === 'dip' || coat.method === 'pour' ? coat.times : coat.times / 3,
        slip: coat.glazeKind === 'slip',
      })),
    zones: piece.zones
      .filter((zone) => zone.side !== 'inside')
      .map((zone) => {
        const reading = outcome?.get(zone.id) ?? zone.readings[0];
        return {
          side: zone.side,
          from: zone.from,
          to: zone.to,
          surface: reading?.surface ?? null,
          movement: reading?.movement ?? null,
          defects: reading?.defects ?? [],
        };
      }),
  };
}

import { formShape, type Side } from '@/core/vocabulary';
import type { WrittenArea } from '@/core/coats';
import type { Firing } from '@/records/firings';
import type { OpeningPiece } from '@/records/openings';
import type { Result } from './scenario/causes';
import { BODY_LOOKS, GLAZE_LOOKS, type BodyLook, type PaintedPiece } from './paint';

/** How a glaze or clay that the scenario does not know is painted. */
const PLAIN_GLAZE = GLAZE_LOOKS['Lamp Clear']!;
const PLAIN_BODY = BODY_LOOKS['Buffer White']!;

/** The clays in the name of one: "Buffer White and Cutting Red, marbled". */
function claysIn(name: string): BodyLook[] {
  const known = Object.entries(BODY_LOOKS).filter(([clay]) => name.includes(clay));
  return known.map(([, look]) => look);
}

/**
 * What the painter needs to know of a piece, from its record alone.
 *
 * @param outcome what came out by zone id, while nobody has read it
 * @param clays names of clays by id, for areas of another one
 */
export function sceneOf(
  piece: OpeningPiece,
  firing: Pick<Firing, 'id' | 'atmosphere'>,
  outcome?: ReadonlyMap<string, Result>,
  clays: ReadonlyMap<string, string> = new Map(),
): PaintedPiece {
  const [body = PLAIN_BODY, other = null] = claysIn(piece.body);
  // One looks onto flat ware: its inside is what the picture shows.
  const hidden: Side = formShape(piece.form).plan ? 'outside' : 'inside';
  const areaOf = (name: string | null) => piece.areas.find((area) => area.name === name);
  const outlines = (areas: readonly (WrittenArea | undefined)[]) =>
    areas.flatMap((area) => (area?.outline ? [area.outline] : []));
  const shown = (side: Side): Side => (side === 'inside' ? 'outside' : side);
  return {
    seed: `${piece.label} ${firing.id}`.slice(0, 12),
    form: piece.form,
    profile: piece.profile,
    heightMm: piece.heightMm,
    widthMm: piece.widthMm,
    body,
    marbledWith: other,
    inlays: piece.areas.flatMap(({ bodyId, outline }) => {
      const look = BODY_LOOKS[clays.get(bodyId ?? '') ?? ''];
      return outline && look ? [{ outline, body: look }] : [];
    }),
    combed: outlines(piece.areas.filter(({ texture }) => texture.includes('combed'))),
    hasOwnHandle: areaOf('handle') !== undefined,
    reduction: firing.atmosphere === 'reduction',
    coats: piece.coats
      .filter((coat) => coat.side !== hidden && coat.firingId !== null && coat.glazeKind !== 'resist')
      // An area that nobody drew has no place in a picture.
      .filter(({ area }) => area === null || area === 'handle' || areaOf(area)?.outline)
      .map((coat) => ({
        look: GLAZE_LOOKS[coat.glazeName] ?? PLAIN_GLAZE,
        side: shown(coat.side),
        from: coat.from,
        to: coat.to,
        dips: coat.method === 'dip' || coat.method === 'pour' ? coat.times : coat.times / 3,
        slip: coat.glazeKind === 'slip',
        cover: coat.cover,
        within: areaOf(coat.area)?.outline ?? null,
        without: outlines(coat.not.map(areaOf)),
        onHandle: coat.area === 'handle',
      })),
    zones: piece.zones
      .filter((zone) => zone.side !== hidden && zone.area === null)
      .map((zone) => {
        const reading = outcome?.get(zone.id) ?? zone.readings[0];
        return {
          side: shown(zone.side),
          from: zone.from,
          to: zone.to,
          surface: reading?.surface ?? null,
          movement: reading?.movement ?? null,
          defects: reading?.defects ?? [],
        };
      }),
  };
}

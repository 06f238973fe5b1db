import { coneIndex } from '../firing';
import type { Atmosphere } from '../vocabulary';
import type { Layer, Stack, Zone } from './model';

/** A firing as far as it decides where a zone is filed. */
export interface FiredAt {
  /** Cone by name, for example "6" or "05½". */
  readonly cone: string;
  readonly atmosphere: Atmosphere;
}

/** Where a zone is filed. */
export interface FiledZone {
  readonly zone: Zone;
  /** Its layers, the firing of each counted among those of `history`. */
  readonly stack: Stack;
  readonly cone: string;
  readonly atmosphere: Atmosphere;
  /** The firings that made it what it is, in order; more than one is a sense of its own. */
  readonly history: readonly FiredAt[];
  /** Which of the piece's firings it is filed by, counted from 0. */
  readonly filedBy: number;
}

/** The hottest cone at which lustres, decals and enamels are fired on: no firing up to it changes the glaze below. */
const ON_GLAZE_CONE = coneIndex('014')!;

/**
 * Files the zones of a piece by what made them.
 *
 * A zone is filed by the hottest firing since its last glaze coat; of equally hot ones the last. How hot one without a
 * cone was, nobody knows: between it and another hot firing the later counts. Firings at cone 014
 * and cooler are in the history of a zone only where something was fired on in them, there or in a zone beside it:
 * to the rest of a vase, its lustre firing did nothing. Any other firing makes a sense of its own. On a piece that
 * was never fired hotter, all firings count.
 *
 * @param zones of one piece, as `zonesOf` gives them
 * @param firings that the piece has been through, in order; a layer's `firing` counts among them
 * @throws RangeError without any firing
 * @example A cone 6 vase with a lustre rim fired on at 018: its rim has the history 6, 018 and is filed under cone 6;
 *   a zone that does not touch the rim has the history 6, as before.
 */
export function fileZones(zones: readonly Zone[], firings: readonly FiredAt[]): FiledZone[] {
  if (firings.length === 0) throw new RangeError('firings: a piece that was never fired is in no entry');
  const rows = firings.map(({ cone, atmosphere }): FiredAt => ({ cone, atmosphere }));
  const heats = firings.map(({ cone }) => coneIndex(cone));
  const isHot = heats.map((heat) => heat === null || heat > ON_GLAZE_CONE);
  const isBeyond = (i: number, best: number) => {
    const [heat, most] = [heats[i]!, heats[best]!];
    return heat === null || most === null ? isHot[i]! : heat >= most;
  };
  const allCount = !isHot.includes(true);
  return zones.map((zone) => {
    const close = zones.filter((other) => other === zone || isBeside(zone, other));
    const firedOn = new Set(close.flatMap(({ stack }) => stack.map(firingOf)));
    const counted = firings.flatMap((_, i) => (allCount || isHot[i] || firedOn.has(i) ? i : []));
    const glazed = zone.stack.map(firingOf).filter((i) => allCount || isHot[i]);
    const since = counted.filter((i) => i >= Math.max(0, ...glazed));
    const filedBy = since.reduce((best, i) => (isBeyond(i, best) ? i : best));
    return {
      zone,
      stack: zone.stack.map((layer) => recounted(layer, counted)),
      ...rows[filedBy]!,
      history: counted.map((i) => rows[i]!),
      filedBy,
    };
  });
}

const firingOf = ({ firing = 0 }: Layer) => firing;

/** Whether two zones of a piece touch: one above the other, or on the two halves of a split face. An area is for itself. */
function isBeside(one: Zone, other: Zone): boolean {
  if (one.area !== other.area) return false;
  if (one.side === other.side) return one.from === other.to || one.to === other.from;
  const halves = [one.side, other.side];
  return halves.includes('left') && halves.includes('right') && one.from < other.to && other.from < one.to;
}

function recounted({ firing, ...layer }: Layer, counted: readonly number[]): Layer {
  const at = counted.indexOf(firing ?? 0);
  return at > 0 ? { ...layer, firing: at } : layer;
}

/** Hues between two, degrees; `high` may lie beyond 360. */
export interface Arc {
  readonly low: number;
  readonly high: number;
}

/** CIEDE2000 stretches a by 1 to 1.5 before it takes the hue. */
const STRETCHES = [1, 1.5] as const;

const degrees = (a: number, b: number) => (Math.atan2(b, a) * 180) / Math.PI;
/** An angle between −180° and 180°. */
const wrapped = (angle: number) => angle - 360 * Math.round(angle / 360);

/**
 * The hues, in the sense of CIEDE2000, of all colours in a rectangle of a and b.
 *
 * @returns null where it lies about grey: any hue
 */
export function huesOf(low: { a: number; b: number }, high: { a: number; b: number }): Arc | null {
  if (low.a <= 0 && high.a >= 0 && low.b <= 0 && high.b >= 0) return null;
  const hues = [low.a, high.a].flatMap((a) =>
    [low.b, high.b].flatMap((b) => STRETCHES.map((stretch) => degrees(a * stretch, b))),
  );
  const turns = hues.map((hue) => wrapped(hue - hues[0]!));
  const [least, most] = [Math.min(...turns), Math.max(...turns)];
  return most - least < 179 ? { low: hues[0]! + least, high: hues[0]! + most } : null;
}

/** sin 2θ at its most, where the mean hue is 275°. */
export const MOST_TURN = Math.sin(Math.PI / 3);

/**
 * The most that CIEDE2000 turns chroma against hue between colours of two arcs: sin 2θ, which falls off quickly
 * from a mean hue of 275° on.
 *
 * Source: Sharma, Wu and Dalal, Color Res. Appl. 30 (2005), equations 16 and 21.
 *
 * @returns 0 to {@link MOST_TURN}
 */
export function mostTurn(one: Arc | null, two: Arc | null): number {
  if (!one || !two) return MOST_TURN;
  const middle = (arc: Arc) => (arc.low + arc.high) / 2;
  const half = (one.high - one.low + two.high - two.low) / 2;
  const apart = wrapped(middle(two) - middle(one));
  // Across the circle the mean hue may lie on either side.
  if (Math.abs(apart) + half >= 180) return MOST_TURN;
  const away = Math.abs(wrapped(middle(one) + apart / 2 - 275)) - half / 2;
  return Math.sin((Math.PI / 3) * Math.exp(-((Math.max(0, away) / 25) ** 2)));
}

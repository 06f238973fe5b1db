/**
 * A closed line on the drawing of a side: points from 0 at the left to 1 at the right of the widest, and from 0 at the
 * foot to 1 at the rim; of flat ware across the disc, seen from above.
 */
export type Outline = readonly (readonly [x: number, y: number])[];

/**
 * How much of the drawing's box an outline takes: the shoelace formula.
 *
 * @example outlineShare([[0, 0], [1, 0], [1, 0.5], [0, 0.5]]) // 0.5
 */
export function outlineShare(outline: Outline): number {
  const twice = outline.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = outline[(i + 1) % outline.length]!;
    return sum + x * nextY - nextX * y;
  }, 0);
  return Math.abs(twice) / 2;
}

/** Whether a point lies within an outline: a line to the right of it cuts it an odd number of times. */
export function isInside(outline: Outline, x: number, y: number): boolean {
  return outline.reduce((inside, [toX, toY], i) => {
    const [fromX, fromY] = outline[(i + outline.length - 1) % outline.length]!;
    const isCut = fromY > y !== toY > y && x < ((fromX - toX) * (y - toY)) / (fromY - toY) + toX;
    return isCut ? !inside : inside;
  }, false);
}

/**
 * The stretch of its side that an outline reaches over: from its lowest to its highest point; of flat ware from its
 * nearest to the centre to its farthest.
 *
 * @param plan whether it is drawn from above
 */
export function boxOfOutline(
  outline: Outline,
  plan: boolean,
): { readonly from: number; readonly to: number } {
  const clamp = (at: number) => Math.min(1, Math.max(0, at));
  if (!plan) {
    const heights = outline.map(([, y]) => y);
    return { from: clamp(Math.min(...heights)), to: clamp(Math.max(...heights)) };
  }
  const radii = outline.map(([x, y]) => Math.hypot(x - 0.5, y - 0.5) * 2);
  const from = isInside(outline, 0.5, 0.5) ? 0 : Math.min(...radii);
  return { from: clamp(from), to: clamp(Math.max(...radii)) };
}

/** Spots that are tried for the widest one, each way. */
const TRIED = 20;

/**
 * The widest spot within an outline: its middle, and how far it is from the line, to a twentieth of its box.
 *
 * @example widestSpot([[0, 0], [1, 0], [1, 1], [0, 1]]) // { x: 0.5, y: 0.5, radius: 0.5 }
 */
export function widestSpot(outline: Outline): {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
} {
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)];
  const [left, low] = [Math.min(...xs), Math.min(...ys)];
  const [wide, high] = [Math.max(...xs) - left, Math.max(...ys) - low];
  const steps = Array.from({ length: TRIED - 1 }, (_, i) => (i + 1) / TRIED);
  const spots = steps.flatMap((across) =>
    steps.map((up) => [left + across * wide, low + up * high] as const),
  );
  return spots.reduce(
    (best, [x, y]) => {
      const radius = isInside(outline, x, y) ? distanceTo(outline, x, y) : 0;
      return radius > best.radius ? { x, y, radius } : best;
    },
    { x: left + wide / 2, y: low + high / 2, radius: 0 },
  );
}

/** How far a point is from the line of an outline. */
function distanceTo(outline: Outline, x: number, y: number): number {
  const distances = outline.map(([toX, toY], i) => {
    const [fromX, fromY] = outline[(i + outline.length - 1) % outline.length]!;
    const [dx, dy] = [toX - fromX, toY - fromY];
    const along = ((x - fromX) * dx + (y - fromY) * dy) / (dx * dx + dy * dy || 1);
    const t = Math.min(1, Math.max(0, along));
    return Math.hypot(x - fromX - t * dx, y - fromY - t * dy);
  });
  return Math.min(...distances);
}

/** Points of a full circle. */
const ROUND_POINTS = 48;

/**
 * The outline of a sector of a disc seen from above.
 *
 * @param from and to as turns, clockwise from the top: 0 to 0.25 is the quarter at the upper right
 */
export function sectorOutline(from: number, to: number): Outline {
  const steps = Math.max(2, Math.round((to - from) * ROUND_POINTS));
  const arc = Array.from({ length: steps + 1 }, (_, i) => {
    const angle = 2 * Math.PI * (from + ((to - from) * i) / steps);
    return [0.5 + Math.sin(angle) / 2, 0.5 + Math.cos(angle) / 2] as const;
  });
  return [[0.5, 0.5], ...arc];
}

/** The outline of one half of a side: of flat ware half its disc. */
export function halfOutline(half: 'left' | 'right', plan: boolean): Outline {
  if (plan) return half === 'right' ? sectorOutline(0, 0.5) : sectorOutline(0.5, 1);
  const edge = half === 'left' ? 0 : 1;
  return [
    [0.5, 0],
    [edge, 0],
    [edge, 1],
    [0.5, 1],
  ];
}

/**
 * The outline of what a brush of some width leaves along a line.
 *
 * @param line at least two points
 * @param width of the brush, in the units of the drawing's width
 */
export function brushed(line: Outline, width: number): Outline {
  const beside = (sign: 1 | -1) =>
    line.map(([x, y], i): readonly [number, number] => {
      const [beforeX, beforeY] = line[Math.max(0, i - 1)]!;
      const [afterX, afterY] = line[Math.min(line.length - 1, i + 1)]!;
      const [dx, dy] = [afterX - beforeX, afterY - beforeY];
      const length = Math.hypot(dx, dy) || 1;
      return [x - (sign * dy * width) / 2 / length, y + (sign * dx * width) / 2 / length];
    });
  return [...beside(1), ...beside(-1).reverse()];
}

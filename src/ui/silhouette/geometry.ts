import simplify from 'simplify-js';
import { isInside, sidesOf, type Area, type Coat, type Outline } from '@/core/coats';
import {
  handleCurve,
  shapeOf,
  type FormPart,
  type FormShape,
  type Measures,
  type Opening,
  type Side,
  type StandingPart,
} from '@/core/vocabulary';

/** Units of the drawing: a piece stands in a field 100 high. */
export const TALL = 100;
const STEPS = 72;

/** How far an outline may be drawn from where it is, in units: less than a pixel of the largest drawing. */
const BESIDE = 0.1;

/** What is free around the drawing, in units. */
export const EDGE = 2;

/** A strip of thickness, with its distance from what stands before it. */
export const STRIP = { gap: 8, width: 16 } as const;

/** The widest a piece is drawn, in units. */
const WIDEST = 220;

export type Half = 'whole' | 'left' | 'right';

/** Which part of the elevation a side is drawn in: inside to the left, outside to the right, as section drawings do. */
export function halfOf(side: Side, sides: readonly Side[]): Half {
  if (side === 'left') return 'left';
  if (side === 'right') return 'right';
  if (sides.length === 1) return 'whole';
  return side === 'inside' ? 'left' : 'right';
}

/** The sides that a piece is drawn with: what is glazed inside only shows its bare outside beside it. */
export function drawnSides(
  coats: readonly Coat[],
  { plan, sides }: Pick<FormShape, 'plan' | 'sides'>,
): Side[] {
  const found = sidesOf(coats.filter(({ area }) => area === undefined));
  const isInsideOnly = found.length === 1 && found[0] === 'inside';
  return isInsideOnly && !plan && sides.includes('outside') ? ['outside', 'inside'] : found;
}

/** How wide the body of a piece is drawn, in units. */
export function drawnWidth({ form, heightMm, widthMm }: Measures): number {
  return shapeOf({ form }).plan ? TALL : Math.min(WIDEST, (TALL * widthMm) / heightMm);
}

/** The field that a piece is drawn in, in units: its body begins at 0 0, its handle and lid stand out of that. */
export interface Field {
  /** Room above the rim, for a lid. */
  readonly above: number;
  /** Room to the left and right of the body, for spout and handle. */
  readonly before: number;
  readonly beside: number;
  /** Of the body. */
  readonly width: number;
}

/** The field of a piece with its handle, spout and lid. */
export function fieldOf(piece: Measures): Field {
  const width = drawnWidth(piece);
  const { parts } = shapeOf(piece);
  const most = (kind: FormPart['kind']) =>
    Math.max(0, ...parts.map((part) => (part.kind === kind && 'reach' in part ? part.reach : 0)));
  const half = width / 2;
  return {
    above: most('lid') * half,
    before: most('spout') * half,
    // A handle begins where the wall is, somewhat within the widest.
    beside: most('handle') * half * 0.9,
    width,
  };
}

/** The outline of a stretch of one half of a form, as an SVG path. `y` 0 is the rim, 100 the foot. */
export function bandPath(
  { halfWidth, plan, profile }: Pick<FormShape, 'halfWidth' | 'plan' | 'profile'>,
  width: number,
  half: Half,
  from: number,
  to: number,
): string {
  const middle = width / 2;
  if (plan) return ringPath(middle, half, from, to);
  // Corners of the silhouette are met exactly.
  const corners = profile.map(([height]) => height).filter((height) => height > from && height < to);
  const even = Array.from({ length: STEPS + 1 }, (_, i) => from + ((to - from) * i) / STEPS);
  const heights = [...even, ...corners].sort((one, two) => one - two);
  const edge = simplify(
    heights.map((t) => ({ x: middle * halfWidth(t), y: TALL * (1 - t) })),
    BESIDE,
    true,
  );
  const cut = [from, to].map((t) => ({ x: 0, y: TALL * (1 - t) }));
  const line = (side: typeof edge, sign: number) =>
    side.map(({ x, y }) => `${short(middle + sign * x)} ${short(y)}`);
  const right = line(half === 'left' ? cut : edge, 1);
  const left = line(half === 'right' ? cut : edge, -1).reverse();
  return `M${[...right, ...left].join('L')}Z`;
}

/** A length of a drawing to a hundredth of a unit. */
const short = (length: number): string => String(Math.round(length * 100) / 100);

function ringPath(middle: number, half: Half, from: number, to: number): string {
  const [inner, outer] = [from * middle, to * middle];
  const arc = (r: number, sweep: 0 | 1, sign: number) =>
    `A${r} ${r} 0 0 ${sweep} ${middle} ${middle + sign * r}`;
  const rightHalf = `M${middle} ${middle - outer}${arc(outer, 1, 1)}V${middle + inner}${arc(inner || 0.01, 0, -1)}Z`;
  const leftHalf = `M${middle} ${middle - outer}${arc(outer, 0, 1)}V${middle + inner}${arc(inner || 0.01, 1, -1)}Z`;
  if (half !== 'whole') return half === 'left' ? leftHalf : rightHalf;
  const circle = (r: number, sweep: 0 | 1) =>
    `M${middle} ${middle - r}${arc(r, sweep, 1)}${arc(r, sweep, -1)}Z`;
  // The hole is gone round the other way.
  return circle(outer, 1) + (inner > 0 ? circle(inner, 0) : '');
}

/** The middle line of a handle; it begins a little within the wall. */
export function handlePath(shape: FormShape, width: number, part: StandingPart): string {
  const middle = width / 2;
  const [begin, out, back, end] = handleCurve(shape, part).map(
    ([x, height]) => `${middle + x * middle - 1} ${TALL * (1 - height)}`,
  );
  return `M${begin}C${out} ${back} ${end}`;
}

/** A spout that stands out of the left wall at the rim. */
export function spoutPath(shape: FormShape, width: number, part: StandingPart): string {
  const middle = width / 2;
  const wall = (t: number) => middle - middle * shape.halfWidth(t);
  const [low, high] = [TALL * (1 - part.from), TALL * (1 - part.to)];
  const tip = wall(part.to) - part.reach * middle;
  return `M${wall(part.from) + 1} ${low}Q${wall(part.from)} ${(low + high) / 2} ${tip} ${high}L${wall(part.to) + 1} ${high}Z`;
}

/** A lid with its knob, above the rim. */
export function lidPath(shape: FormShape, width: number, part: StandingPart): string {
  const middle = width / 2;
  const [reach, high] = [middle * shape.halfWidth(1) * 1.04, part.reach * middle];
  const dome = high * 0.66;
  const knob = Math.min(reach * 0.2, 8);
  return (
    `M${middle - reach} 0C${middle - reach * 0.9} ${-dome} ${middle - knob} ${-dome} ${middle - knob} ${-dome}` +
    `C${middle - knob * 1.7} ${-high * 1.02} ${middle + knob * 1.7} ${-high * 1.02} ${middle + knob} ${-dome}` +
    `C${middle + knob} ${-dome} ${middle + reach * 0.9} ${-dome} ${middle + reach} 0Z`
  );
}

/** A hole in the wall; at the foot or the rim half of one. */
export function openingPath(width: number, part: Opening): string {
  const middle = width / 2;
  const [x, y] = [middle + part.x * middle, TALL * (1 - part.y)];
  const [rx, ry] = [part.wide * middle, part.high * TALL];
  const arc = (sweep: 0 | 1, to: number) => `A${rx} ${ry} 0 0 ${sweep} ${to} ${y}`;
  if (part.y === 0) return `M${x - rx} ${y}${arc(1, x + rx)}Z`;
  if (part.y === 1) return `M${x - rx} ${y}${arc(0, x + rx)}Z`;
  return `M${x - rx} ${y}${arc(1, x + rx)}${arc(1, x - rx)}Z`;
}

/** A box in units of the drawing. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The part of the drawing that a side has: one looks onto all of flat ware, whatever lies on its other side. */
export function sideField(side: Side, sides: readonly Side[], bodyWidth: number, plan: boolean): Box {
  const half = plan ? 'whole' : halfOf(side, sides);
  const width = half === 'whole' ? bodyWidth : bodyWidth / 2;
  return { x: half === 'right' ? bodyWidth / 2 : 0, y: 0, width, height: TALL };
}

/** How wide an area without an outline is drawn, as a share of the half that it is in. */
const AREA_WIDTH = 0.42;

/** A coat with the colour it is drawn in. */
export interface DrawnCoat extends Coat {
  readonly colour: string;
}

/** An area as it is drawn. */
export type DrawnArea = Area & { readonly outline?: Outline | null };

/** The box of a stretch of an area in the middle of its side; null for a part of its own, or without height. */
export function areaBox(
  { side, from, to }: Pick<Area, 'side' | 'from' | 'to'>,
  sides: readonly Side[],
  bodyWidth: number,
): Box | null {
  if (side === null || !(to > from)) return null;
  const field = sideField(side, sides, bodyWidth, false);
  const width = field.width * AREA_WIDTH;
  const x = field.x + (field.width - width) / 2;
  return { x, width, y: TALL * (1 - to), height: TALL * (to - from) };
}

/** The outline of an area in units of the drawing; null when nobody drew it. */
export function areaPoints(
  { side, outline }: DrawnArea,
  sides: readonly Side[],
  bodyWidth: number,
  plan: boolean,
): readonly (readonly [number, number])[] | null {
  if (!outline || side === null) return null;
  const { x, width } = sideField(side, sides, bodyWidth, plan);
  return outline.map(([across, up]) => [x + across * width, TALL * (1 - up)]);
}

/** What lies at a point of a drawing: an area, or a height on one half. */
export type Hit =
  | { readonly area: string }
  | { readonly area: null; readonly half: Exclude<Half, 'whole'>; readonly height: number };

/**
 * What a press on the drawing of a piece is meant for.
 *
 * @param point in fractions of the drawing without its strip, from the top left
 * @param sides those drawn
 */
export function hitAt(
  piece: Measures,
  sides: readonly Side[],
  areas: readonly DrawnArea[],
  point: { readonly x: number; readonly y: number },
): Hit {
  const { above, before, beside, width } = fieldOf(piece);
  const x = point.x * (before + width + beside + 2 * EDGE) - EDGE - before;
  const y = point.y * (TALL + above + 2 * EDGE) - EDGE - above;
  const { plan, parts, halfWidth } = shapeOf(piece);
  const half = x < width / 2 ? 'left' : 'right';
  const drawn = areas.findLast((area) => {
    const points = areaPoints(area, sides, width, plan);
    return points !== null && isInside(points, x, y);
  });
  if (drawn) return { area: drawn.name };
  if (plan) return { area: null, half, height: within(Math.hypot(x - width / 2, y - TALL / 2) / (TALL / 2)) };
  const height = within(1 - y / TALL);
  const isArea = (kind: FormPart['kind']) =>
    parts.some((part) => part.kind === kind) && areas.some(({ name }) => name === kind);
  if (y < 0 && isArea('lid')) return { area: 'lid' };
  if (x > (width / 2) * (1 + halfWidth(height)) && isArea('handle')) return { area: 'handle' };
  const pressed = areas.findLast((area) => {
    const box = area.outline ? null : areaBox(area, sides, width);
    return box !== null && x >= box.x && x <= box.x + box.width && y >= box.y && y <= box.y + box.height;
  });
  return pressed ? { area: pressed.name } : { area: null, half, height };
}

/** A height on the piece; its rim itself is of the band below it. */
const within = (height: number) => Math.min(0.999, Math.max(0, height));

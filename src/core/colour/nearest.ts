import { ciede2000, seventh } from './ciede2000';
import type { Lab } from './lab';
import { huesOf, MOST_TURN, mostTurn, type Arc } from './turn';

/** Colours laid out for {@link nearestGroups}: those in one box of Lab lie together. */
export interface ColourIndex {
  readonly count: number;
  readonly l: Float32Array;
  readonly a: Float32Array;
  readonly b: Float32Array;
  /** The group that each belongs to, in the same order. */
  readonly group: Int32Array;
  readonly boxes: readonly Box[];
}

/** The colours from `start` to before `end`, and what they lie between. */
interface Box {
  readonly start: number;
  readonly end: number;
  readonly low: Lab;
  readonly high: Lab;
  readonly mostChroma: number;
  readonly hues: Arc | null;
}

/** A group by its nearest colour. */
export interface Near {
  readonly group: number;
  /** CIEDE2000 of its nearest colour. */
  readonly difference: number;
}

/** Edge of a box in Lab. */
const EDGE = 5;
/** Boxes along an axis; beyond, colours fall into the last. */
const SIDE = 52;

/**
 * Lays colours out to be searched.
 *
 * @param colours each with the number of the group it belongs to, from 0
 */
export function colourIndex(colours: readonly (Lab & { readonly group: number })[]): ColourIndex {
  const place = (value: number) => Math.min(SIDE - 1, Math.max(0, Math.floor(value / EDGE)));
  const boxOf = ({ l, a, b }: Lab) => (place(l) * SIDE + place(a + 128)) * SIDE + place(b + 128);
  const starts = new Int32Array(SIDE ** 3 + 1);
  const own = Int32Array.from(colours, boxOf);
  for (const box of own) starts[box + 1]!++;
  for (let i = 0; i < SIDE ** 3; i++) starts[i + 1]! += starts[i]!;
  const next = starts.slice();
  const count = colours.length;
  const index = {
    count,
    l: new Float32Array(count),
    a: new Float32Array(count),
    b: new Float32Array(count),
    group: new Int32Array(count),
  };
  for (const [i, { l, a, b, group }] of colours.entries()) {
    const at = next[own[i]!]!++;
    index.l[at] = l;
    index.a[at] = a;
    index.b[at] = b;
    index.group[at] = group;
  }
  const boxes: Box[] = [];
  for (let box = 0; box < SIDE ** 3; box++)
    if (starts[box + 1]! > starts[box]!) boxes.push(boxAround(index, starts[box]!, starts[box + 1]!));
  return { ...index, boxes };
}

function boxAround(index: Omit<ColourIndex, 'boxes'>, start: number, end: number): Box {
  const span = (of: Float32Array) => {
    const part = of.subarray(start, end);
    return [part.reduce((x, y) => Math.min(x, y)), part.reduce((x, y) => Math.max(x, y))] as const;
  };
  const [[l, l2], [a, a2], [b, b2]] = [span(index.l), span(index.a), span(index.b)];
  const mostChroma = Math.hypot(Math.max(-a, a2), Math.max(-b, b2));
  const [low, high] = [
    { l, a, b },
    { l: l2, a: a2, b: b2 },
  ];
  return { start, end, low, high, mostChroma, hues: huesOf(low, high) };
}

/**
 * The groups with a colour nearest to one, nearest first; exact.
 *
 * Boxes are looked into in the order of how near a colour in them could be at best, until none could be near
 * enough any more; within a box, a bound without angles spares most of the full differences.
 *
 * @param most groups given at most
 * @param within differences up to this
 * @param allows groups that may be given
 */
export function nearestGroups(
  index: ColourIndex,
  asked: Lab,
  { most, within, allows }: { readonly most: number; readonly within: number; readonly allows?: Uint8Array },
): Near[] {
  const found = new Map<number, number>();
  let limit = within;
  const look = (at: number, turn: number) => {
    const group = index.group[at]!;
    if (allows && !allows[group]) return;
    const [l, a, b] = [index.l[at]!, index.a[at]!, index.b[at]!];
    const least = leastDifference(asked.l, asked.a, asked.b, l, a, b, turn);
    if (least > limit) return;
    const known = found.get(group) ?? Infinity;
    if (least > known) return;
    const difference = ciede2000(asked.l, asked.a, asked.b, l, a, b);
    if (difference > limit || difference >= known) return;
    found.set(group, difference);
    if (found.size > most) found.delete(farthest(found)[0]);
    if (found.size === most) limit = Math.min(limit, farthest(found)[1]);
  };
  const hues = huesOf(asked, asked);
  const inReach = index.boxes
    // Most are too far whatever their hues are.
    .filter((box) => leastInBox(asked, box, MOST_TURN) <= within)
    .map((box) => {
      const turn = mostTurn(hues, box.hues);
      return { box, turn, least: leastInBox(asked, box, turn) };
    })
    .filter(({ least }) => least <= within)
    .sort((one, two) => one.least - two.least);
  for (const { box, turn, least } of inReach) {
    if (least > limit) break;
    for (let at = box.start; at < box.end; at++) look(at, turn);
  }
  return [...found]
    .map(([group, difference]) => ({ group, difference }))
    .sort((one, two) => one.difference - two.difference || one.group - two.group);
}

/** The lightness term of CIEDE2000: |ΔL'| / S_L; it grows with the distance from one of the two. */
function lightnessBound(one: number, two: number): number {
  const off = ((one + two) / 2 - 50) ** 2;
  return Math.abs(one - two) / (1 + (0.015 * off) / Math.sqrt(20 + off));
}

/** The hue weight T of CIEDE2000 at its most. */
const MOST_T = 1.93;

/** Share of chroma and hue that the rotation leaves at least: |R_T| ≤ 2 R_C sin 2θ. */
function keptAt(chroma: number, turn: number): number {
  return 1 - turn * seventh(chroma);
}

/**
 * A bound of CIEDE2000 from below that needs no angles: its hue weight is taken at its most, and its rotation as
 * far as it can go.
 *
 * Source: the terms as in Sharma, Wu and Dalal, Color Res. Appl. 30 (2005), equations 2 to 22.
 *
 * @param turn the most that chroma is turned against hue, see {@link mostTurn}
 */
export function leastDifference(
  l1: number,
  a1: number,
  b1: number,
  l2: number,
  a2: number,
  b2: number,
  turn: number = MOST_TURN,
): number {
  const mean = (Math.sqrt(a1 * a1 + b1 * b1) + Math.sqrt(a2 * a2 + b2 * b2)) / 2;
  const stretch = 1.5 - 0.5 * seventh(mean);
  const [p1, p2] = [a1 * stretch, a2 * stretch];
  const [c1, c2] = [Math.sqrt(p1 * p1 + b1 * b1), Math.sqrt(p2 * p2 + b2 * b2)];
  const chroma = (c1 + c2) / 2;
  const hue2 = Math.max(0, 2 * (c1 * c2 - p1 * p2 - b1 * b2));
  const plane = ((c1 - c2) / (1 + 0.045 * chroma)) ** 2 + hue2 / (1 + 0.015 * MOST_T * chroma) ** 2;
  return Math.sqrt(lightnessBound(l1, l2) ** 2 + keptAt(chroma, turn) * plane) - ROUNDING;
}

/**
 * How near a colour in a box could be at best: the same bound with each term at its least. S_C is the largest of
 * the weights of chroma and hue, and a' is never nearer together than a.
 */
function leastInBox({ l, a, b }: Lab, { low, high, mostChroma }: Box, turn: number): number {
  const nearest = (value: number, from: number, to: number) => Math.min(to, Math.max(from, value));
  const chroma = (1.5 * (Math.hypot(a, b) + mostChroma)) / 2;
  const plane = (a - nearest(a, low.a, high.a)) ** 2 + (b - nearest(b, low.b, high.b)) ** 2;
  const light = lightnessBound(l, nearest(l, low.l, high.l));
  return Math.sqrt(light ** 2 + (keptAt(chroma, turn) * plane) / (1 + 0.045 * chroma) ** 2) - ROUNDING;
}

/** What rounding may add to a bound. */
const ROUNDING = 1e-9;

function farthest(found: ReadonlyMap<number, number>): readonly [number, number] {
  let most: readonly [number, number] = [-1, -1];
  for (const one of found) if (one[1] > most[1]) most = one;
  return most;
}

import { formShape, type Form, type Side, type View } from '../vocabulary';
import { isInside, widestSpot, type Outline } from '../coats';
import type { Pixels } from './frame';
import { cutOut, WHOLE } from './upright';
import { zoneBox, type ZonePlace } from './region';

/** What a photo of a form shows as long as nobody has said: flat ware from above, all else from outside. */
export function guessView(form: Form): View {
  return formShape(form).plan ? 'from above' : 'outside';
}

/**
 * The sides of a piece that a view shows. From above one looks into a vessel and onto a plate, whose upper face is its
 * inside; the underside of a vessel is bare where it stands. An area is cut by nobody.
 */
export function sidesIn(view: View, form: Form): readonly Side[] {
  const isPlan = formShape(form).plan;
  if (view === 'inside' || view === 'from above') return ['inside'];
  if (view === 'underside') return isPlan ? ['outside'] : [];
  return view === 'outside' && !isPlan ? ['outside', 'left', 'right'] : [];
}

/** Whether zones lie in a view as rings about the middle. */
export function isRound(view: View): boolean {
  return view === 'inside' || view === 'from above' || view === 'underside';
}

/**
 * Where the ring of a zone lies when one looks straight onto or into a piece, as shares of the radius at its rim: on a
 * plate by its band, in a vessel by the width of the wall at those heights, its floor included at the foot.
 *
 * @example ringOf('plate', { side: 'inside', from: 0.5, to: 1 }) // { from: 0.5, to: 1 }
 */
export function ringOf(form: Form, { from, to }: ZonePlace): { readonly from: number; readonly to: number } {
  const { plan, halfWidth } = formShape(form);
  if (plan) return { from, to };
  const at = (height: number) => Math.min(1, halfWidth(height) / halfWidth(1));
  return { from: from === 0 ? 0 : at(from), to: at(to) };
}

/** A ring rolled out, px. */
const ROLLED = { width: 160, height: 120 };
/** The longer side of a patch that is sampled, px. */
const SAMPLED = 320;
/** How much of a ring is left out at its edges, where neighbours bleed into it. */
const INSET = 0.1;

/** Where a pixel of a patch was taken from its picture, px. */
type TakenFrom = (x: number, y: number) => readonly [x: number, y: number];

/** Where the pixels of a ring lie that is rolled out: its inner edge at the foot, once around from left to right. */
function onRing(
  { width, height }: Pick<Pixels, 'width' | 'height'>,
  ring: { readonly from: number; readonly to: number },
): TakenFrom {
  const wide = ring.to - ring.from;
  return (x, y) => {
    const share = 1 - (y + 0.5) / ROLLED.height;
    const radius = ring.from + wide * (INSET + (1 - 2 * INSET) * share);
    const angle = (2 * Math.PI * (x + 0.5)) / ROLLED.width;
    const px = Math.floor((width / 2) * (1 + radius * Math.cos(angle)));
    const py = Math.floor((height / 2) * (1 + radius * Math.sin(angle)));
    return [Math.min(width - 1, Math.max(0, px)), Math.min(height - 1, Math.max(0, py))];
  };
}

/** A patch taken from its picture pixel by pixel. */
function taken(crop: Pixels, size: Pick<Pixels, 'width' | 'height'>, from: TakenFrom): Pixels {
  const data = new Uint8Array(size.width * size.height * 3);
  for (let y = 0, o = 0; y < size.height; y++)
    for (let x = 0; x < size.width; x++, o += 3) {
      const [px, py] = from(x, y);
      const i = (py * crop.width + px) * 3;
      data.set(crop.data.subarray(i, i + 3), o);
    }
  return { data, ...size };
}

/** How much of a patch may lie in areas for it to say something of its zone. */
const MOST_AREA = 0.8;
/** A row that lies in areas by more than this shows what another row does. */
const MOST_OF_ROW = 0.5;
/** How far beyond its outline an area bleeds into its zone, as a share of the picture. */
const BLEEDS = 0.02;

/**
 * A patch without what lies in areas: there it shows what is beside them in the same row, or in the nearest row that has
 * anything.
 *
 * @returns null when nearly all of it lies in areas
 */
function withoutAreas(patch: Pixels, isArea: (x: number, y: number) => boolean): Pixels | null {
  const { width, height } = patch;
  const rows = Array.from({ length: height }, (_, y) =>
    nearestFree(Array.from({ length: width }, (__, x) => isArea(x, y))),
  );
  const freeOf = (row: readonly (number | null)[]) => row.filter((at, x) => at === x).length;
  const free = rows.reduce((sum, row) => sum + freeOf(row), 0);
  if (free < (1 - MOST_AREA) * width * height) return null;
  const rowAt = nearestFree(rows.map((row) => freeOf(row) < (1 - MOST_OF_ROW) * width));
  if (rowAt[0] === null) return null;
  const data = patch.data.slice();
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = (rowAt[y]! * width + rows[rowAt[y]!]![x]!) * 3;
      data.set(patch.data.subarray(i, i + 3), (y * width + x) * 3);
    }
  return { data, width, height };
}

/** For each place the nearest one that is not taken; null for all where every one is. */
function nearestFree(isTaken: readonly boolean[]): (number | null)[] {
  const found: (number | null)[] = [];
  let before: number | null = null;
  isTaken.forEach((is, at) => found.push((before = is ? before : at)));
  let after: number | null = null;
  for (let at = isTaken.length - 1; at >= 0; at--) {
    if (!isTaken[at]) after = at;
    const left = found[at] ?? null;
    if (after !== null && (left === null || after - at < at - left)) found[at] = after;
  }
  return found;
}

/** How much of the widest spot of an area is taken: the largest square in its circle, and its edges left out. */
const OF_SPOT = 0.6;

/**
 * The patch of an area in the upright crop of a photo of its side: the widest spot within its outline.
 *
 * @returns null when the view does not show its side
 */
export function areaPatch(
  crop: Pixels,
  { side, outline }: { readonly side: Side; readonly outline: Outline },
  view: View,
  form: Form,
): Pixels | null {
  if (!sidesIn(view, form).includes(side)) return null;
  const spot = widestSpot(outline);
  const half = spot.radius * OF_SPOT;
  const left = Math.max(0, Math.round((spot.x - half) * crop.width));
  const top = Math.max(0, Math.round((1 - spot.y - half) * crop.height));
  return cutOut(crop, {
    left: Math.min(left, crop.width - 1),
    top: Math.min(top, crop.height - 1),
    width: Math.max(1, Math.min(crop.width - left, Math.round(2 * half * crop.width))),
    height: Math.max(1, Math.min(crop.height - top, Math.round(2 * half * crop.height))),
  });
}

/** The patch of an area in a photo that was taken of it: its middle. */
export function closePatch(crop: Pixels): Pixels {
  return cutOut(crop, zoneBox(crop, WHOLE, { side: 'outside', from: 0.2, to: 0.8 }));
}

/**
 * The patch of a zone in the upright crop of a photo, without the areas on its side.
 *
 * @param areas outlines of those that were drawn on the side
 * @returns null when the view does not show its side, or areas take nearly all of it
 */
export function zonePatch(
  crop: Pixels,
  zone: ZonePlace,
  view: View,
  form: Form,
  areas: readonly Outline[] = [],
): Pixels | null {
  if (!sidesIn(view, form).includes(zone.side)) return null;
  const box = zoneBox(crop, WHOLE, zone);
  const ring = isRound(view) ? onRing(crop, ringOf(form, zone)) : null;
  if (areas.length === 0) return ring ? taken(crop, ROLLED, ring) : cutOut(crop, box);
  // Every so many pixels are enough for a sample.
  const step = Math.ceil(Math.max(box.width, box.height) / SAMPLED);
  const size = { width: Math.ceil(box.width / step), height: Math.ceil(box.height / step) };
  const from: TakenFrom = ring ?? ((x, y) => [box.left + x * step, box.top + y * step]);
  const patch = taken(crop, ring ? ROLLED : size, from);
  return withoutAreas(patch, (x, y) => {
    const [px, py] = from(x, y);
    const [across, up] = [(px + 0.5) / crop.width, 1 - (py + 0.5) / crop.height];
    const beside = [-BLEEDS, 0, BLEEDS];
    return areas.some((outline) =>
      beside.some((dx) => beside.some((dy) => isInside(outline, across + dx, up + dy))),
    );
  });
}

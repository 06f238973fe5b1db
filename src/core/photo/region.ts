import { converter, formatHex } from 'culori';
import type { Side } from '../coats';
import type { Frame, Pixels } from './frame';

/** A box in whole pixels. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** How much of a zone is left out at its edges, where neighbours bleed into it and light catches the rim. */
const INSET = 0.08;

/**
 * The box of a zone in a photo, edges left out.
 *
 * @param size of the photo in pixels
 * @param frame where the piece stands in it
 * @param zone side and extent, 0 = foot, 1 = rim; left and right take their half of the width
 * @returns at least 1 × 1 px, within the picture
 */
export function zoneBox(
  size: { readonly width: number; readonly height: number },
  frame: Frame,
  zone: { readonly side: Side; readonly from: number; readonly to: number },
): Box {
  const tall = frame.foot - frame.rim;
  const wide = frame.right - frame.left;
  const [start, end] = zone.side === 'left' ? [0, 0.5] : zone.side === 'right' ? [0.5, 1] : [0, 1];
  const inset = INSET * Math.min(1, zone.to - zone.from + 0.2);
  const left = frame.left + wide * (start + INSET * (end - start));
  const right = frame.left + wide * (end - INSET * (end - start));
  const top = frame.foot - tall * (zone.to - inset * (zone.to - zone.from));
  const bottom = frame.foot - tall * (zone.from + inset * (zone.to - zone.from));
  const x = clamp(Math.round(left * size.width), size.width - 1);
  const y = clamp(Math.round(top * size.height), size.height - 1);
  return {
    left: x,
    top: y,
    width: Math.max(1, Math.min(size.width - x, Math.round((right - left) * size.width))),
    height: Math.max(1, Math.min(size.height - y, Math.round((bottom - top) * size.height))),
  };
}

function clamp(value: number, most: number): number {
  return Math.min(most, Math.max(0, value));
}

const toLinear = converter('lrgb');

/** Linear light of each value of an sRGB channel. */
const LINEAR = Float64Array.from(
  { length: 256 },
  (_, value) => toLinear({ mode: 'rgb', r: value / 255, g: 0, b: 0 }).r,
);

/**
 * The colour of a patch: the mean in linear light of its middle half by lightness, so that highlights,
 * pits and drips do not tip it.
 *
 * @returns "#rrggbb"
 */
export function meanColour({ data, width, height }: Pixels): string {
  const order = Array.from({ length: width * height }, (_, i) => i * 3);
  const light = (i: number) => data[i]! * 0.3 + data[i + 1]! * 0.6 + data[i + 2]! * 0.1;
  order.sort((a, b) => light(a) - light(b));
  const middle = order.slice(Math.floor(order.length / 4), Math.max(1, Math.ceil((order.length * 3) / 4)));
  const sum = [0, 0, 0];
  for (const i of middle) {
    sum[0]! += LINEAR[data[i]!]!;
    sum[1]! += LINEAR[data[i + 1]!]!;
    sum[2]! += LINEAR[data[i + 2]!]!;
  }
  const [r, g, b] = sum.map((part) => part / middle.length) as [number, number, number];
  return formatHex({ mode: 'lrgb', r, g, b });
}

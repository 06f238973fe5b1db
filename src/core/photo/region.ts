import type { Side } from '../vocabulary';
import type { Frame } from './frame';
import { turned, type Point } from './upright';

/** A box in whole pixels. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Where a zone lies on its piece: 0 = foot, 1 = rim. */
export interface ZonePlace {
  readonly side: Side;
  readonly from: number;
  readonly to: number;
}

/** How much of a zone is left out at its edges, where neighbours bleed into it and light catches the rim. */
const INSET = 0.08;

/**
 * The box of a zone in a photo, edges left out.
 *
 * @param size of the photo in pixels
 * @param frame where the piece stands in it
 * @param zone left and right take their half of the width
 * @returns at least 1 × 1 px, within the picture
 */
export function zoneBox(
  size: { readonly width: number; readonly height: number },
  frame: Frame,
  zone: ZonePlace,
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

/** How far beside the piece a bracket stands, and how long its arms are, shares of the piece's width. */
const BESIDE = { gap: 0.06, arm: 0.08 };

/**
 * A bracket beside a piece in its photo that spans a zone: beside the right half for what is there only.
 *
 * @param size of the photo, px
 * @returns its four corners from the top, as fractions of the photo
 * @example zoneBracket(frame, size, { side: 'outside', from: 0, to: 0.5 })[1].x // left of frame.left
 */
export function zoneBracket(
  frame: Frame,
  size: { readonly width: number; readonly height: number },
  zone: ZonePlace,
): Point[] {
  const [tall, wide] = [frame.foot - frame.rim, frame.right - frame.left];
  const isRight = zone.side === 'right';
  const x = isRight ? frame.right + BESIDE.gap * wide : frame.left - BESIDE.gap * wide;
  const arm = isRight ? x - BESIDE.arm * wide : x + BESIDE.arm * wide;
  const [top, low] = [frame.foot - tall * zone.to, frame.foot - tall * zone.from];
  return [
    { x: arm, y: top },
    { x, y: top },
    { x, y: low },
    { x: arm, y: low },
  ].map((point) => turned(frame, size, point));
}

function clamp(value: number, most: number): number {
  return Math.min(most, Math.max(0, value));
}

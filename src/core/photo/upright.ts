import type { Frame, Pixels } from './frame';

/** A place in a picture, as fractions of its width and height. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

interface Size {
  readonly width: number;
  readonly height: number;
}

/** The frame of a crop that holds the piece and nothing else. */
export const WHOLE: Frame = { left: 0, right: 1, rim: 0, foot: 1 };

/**
 * The frame of a piece from the two points a thumb can set: the middle of its rim and of its foot.
 *
 * @param size of the picture, px
 * @param aspect width of the piece by its height
 * @throws RangeError when the points are less than 2 px apart
 * @example frameFrom({ x: 0.5, y: 0.1 }, { x: 0.5, y: 0.9 }, { width: 300, height: 500 }, 0.6).left // 0.1
 */
export function frameFrom(rim: Point, foot: Point, size: Size, aspect: number): Frame {
  const dx = (rim.x - foot.x) * size.width;
  const dy = (rim.y - foot.y) * size.height;
  const tall = Math.hypot(dx, dy);
  if (tall < 2) throw new RangeError('rim and foot lie on each other');
  const [x, y] = [(rim.x + foot.x) / 2, (rim.y + foot.y) / 2];
  const half = (tall * aspect) / 2 / size.width;
  return {
    left: x - half,
    right: x + half,
    rim: y - tall / 2 / size.height,
    foot: y + tall / 2 / size.height,
    tilt: (Math.atan2(dx, -dy) * 180) / Math.PI,
  };
}

/**
 * Where rim and foot of a framed piece are: the reverse of {@link frameFrom}.
 *
 * @param size of the picture, px
 */
export function endsOf(frame: Frame, size: Size): { rim: Point; foot: Point } {
  const x = (frame.left + frame.right) / 2;
  return { rim: turned(frame, size, { x, y: frame.rim }), foot: turned(frame, size, { x, y: frame.foot }) };
}

/** A place beside an upright piece, turned about the middle of its frame as the piece leans. */
export function turned(frame: Frame, size: Size, { x, y }: Point): Point {
  const [cx, cy] = [(frame.left + frame.right) / 2, (frame.rim + frame.foot) / 2];
  const turn = ((frame.tilt ?? 0) * Math.PI) / 180;
  const [dx, dy] = [(x - cx) * size.width, (y - cy) * size.height];
  return {
    x: cx + (dx * Math.cos(turn) - dy * Math.sin(turn)) / size.width,
    y: cy + (dx * Math.sin(turn) + dy * Math.cos(turn)) / size.height,
  };
}

/**
 * Cuts the piece out of its photo, turned upright, so that zones can be cut by height alone. Sampled
 * between pixels (bilinear); what lies outside the picture repeats its edge.
 *
 * @param most height of the crop at most, px
 */
export function uprightCrop(pixels: Pixels, frame: Frame, most = 2400): Pixels {
  const boxWide = (frame.right - frame.left) * pixels.width;
  const boxTall = (frame.foot - frame.rim) * pixels.height;
  const scale = Math.min(1, most / boxTall);
  const width = Math.max(1, Math.round(boxWide * scale));
  const height = Math.max(1, Math.round(boxTall * scale));
  const turn = ((frame.tilt ?? 0) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const cx = ((frame.left + frame.right) / 2) * pixels.width;
  const cy = ((frame.rim + frame.foot) / 2) * pixels.height;
  const data = new Uint8Array(width * height * 3);
  for (let y = 0, o = 0; y < height; y++) {
    const v = (y + 0.5) / scale - boxTall / 2;
    for (let x = 0; x < width; x++, o += 3) {
      const u = (x + 0.5) / scale - boxWide / 2;
      sample(pixels, cx + u * cos - v * sin - 0.5, cy + u * sin + v * cos - 0.5, data, o);
    }
  }
  return { data, width, height };
}

function sample({ data, width, height }: Pixels, x: number, y: number, out: Uint8Array, o: number): void {
  const px = Math.min(width - 1, Math.max(0, x));
  const py = Math.min(height - 1, Math.max(0, y));
  const [x0, y0] = [Math.floor(px), Math.floor(py)];
  const [x1, y1] = [Math.min(width - 1, x0 + 1), Math.min(height - 1, y0 + 1)];
  const [fx, fy] = [px - x0, py - y0];
  const [a, b] = [(y0 * width + x0) * 3, (y0 * width + x1) * 3];
  const [c, d] = [(y1 * width + x0) * 3, (y1 * width + x1) * 3];
  for (let i = 0; i < 3; i++) {
    const above = data[a + i]! * (1 - fx) + data[b + i]! * fx;
    const below = data[c + i]! * (1 - fx) + data[d + i]! * fx;
    out[o + i] = above * (1 - fy) + below * fy + 0.5;
  }
}

/** A box of a picture, copied out. The box must lie within it. */
export function cutOut(
  { data, width }: Pixels,
  box: { readonly left: number; readonly top: number; readonly width: number; readonly height: number },
): Pixels {
  const out = new Uint8Array(box.width * box.height * 3);
  for (let y = 0; y < box.height; y++) {
    const from = ((box.top + y) * width + box.left) * 3;
    out.set(data.subarray(from, from + box.width * 3), y * box.width * 3);
  }
  return { data: out, width: box.width, height: box.height };
}

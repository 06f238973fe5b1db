/** An image as raw bytes, three channels a pixel, sRGB. */
export interface Pixels {
  readonly data: Uint8Array | Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** Where the piece stands in its photo, as fractions of the picture: rim at the top, foot at the bottom. */
export interface Frame {
  readonly left: number;
  readonly right: number;
  readonly rim: number;
  readonly foot: number;
  /** How far its top leans to the right, degrees; the box stands about its own middle before it is turned. */
  readonly tilt?: number;
}

/** When the piece cannot be told from what is behind it: the middle of the picture. */
const MIDDLE: Frame = { left: 0.15, right: 0.85, rim: 0.1, foot: 0.9 };

/**
 * Guesses where a piece stands in a photo taken against a plain ground.
 *
 * The ground colour is the median of the picture's border. Rows and columns in which more than an eighth
 * of the pixels differ from it (by more than 36 of 255 in any channel, above the grain of a soft shadow)
 * hold the piece. A box under a twentieth of the picture, or one that fills it all, is no guess: then the
 * middle of the picture is returned.
 *
 * @example guessFrame(pixels).foot // 0.91
 */
export function guessFrame(pixels: Pixels): Frame {
  const { width, height } = pixels;
  const ground = borderMedian(pixels);
  const rows = new Uint32Array(height);
  const columns = new Uint32Array(width);
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i += 3) {
      if (differs(pixels.data, i, ground)) {
        rows[y]!++;
        columns[x]!++;
      }
    }
  }
  const [rim, foot] = span(rows, width / 8);
  const [left, right] = span(columns, height / 8);
  const area = (foot - rim) * (right - left);
  return area < 0.05 || area > 0.98 ? MIDDLE : { left, right, rim, foot };
}

function differs(data: Pixels['data'], i: number, [r, g, b]: readonly [number, number, number]): boolean {
  return Math.max(Math.abs(data[i]! - r), Math.abs(data[i + 1]! - g), Math.abs(data[i + 2]! - b)) > 36;
}

function borderMedian({ data, width, height }: Pixels): [number, number, number] {
  const channel = (c: number) => {
    const values: number[] = [];
    for (let x = 0; x < width; x += 2)
      values.push(data[x * 3 + c]!, data[((height - 1) * width + x) * 3 + c]!);
    for (let y = 0; y < height; y += 2)
      values.push(data[y * width * 3 + c]!, data[(y * width + width - 1) * 3 + c]!);
    values.sort((a, b) => a - b);
    return values[values.length >> 1] ?? 0;
  };
  return [channel(0), channel(1), channel(2)];
}

/** First and last place where the count passes the threshold, as fractions; empty when there is none. */
function span(counts: Uint32Array, threshold: number): [number, number] {
  const first = counts.findIndex((count) => count > threshold);
  if (first === -1) return [0, 0];
  const last = counts.findLastIndex((count) => count > threshold);
  return [first / counts.length, (last + 1) / counts.length];
}

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
 * Guesses where a piece stands in a photo, on a plain ground, on a busy table or held in a hand.
 *
 * A colour is ground when it lies near the median of the picture's border (by less than 36 of 255 in each channel, above
 * the grain of a soft shadow), or when it makes up more of the border than of the middle, as what stands about in a room
 * does, and a hand that comes in over the edge. Of what is left, specks out and in a room thin things, the patch that is
 * largest and nearest to the middle is the piece; its box holds the rows and columns in which it is at least a quarter as wide, or as tall, as
 * where it is widest. A box under a twentieth of the picture, or one that fills it all, is no guess: then the middle of
 * the picture is returned.
 *
 * @example guessFrame(pixels).foot // 0.91
 */
export function guessFrame(pixels: Pixels): Frame {
  const { width, height } = pixels;
  const { out, isPlain } = standingOut(pixels);
  const mask = withoutSpecks(out, width, height);
  const thick = isPlain ? mask : withoutThin(mask, width, height, Math.round(width * THIN));
  const patch = middlePatch(thick.includes(1) ? thick : mask, width, height);
  const rows = new Uint32Array(height);
  const columns = new Uint32Array(width);
  for (const i of patch) {
    rows[Math.floor(i / width)]!++;
    columns[i % width]!++;
  }
  const [rim, foot] = span(rows);
  const [left, right] = span(columns);
  const area = (foot - rim) * (right - left);
  return area < 0.05 || area > 0.98 ? MIDDLE : { left, right, rim, foot };
}

/** The border is so wide, and the middle leaves out so much on each side, shares of the picture. */
const [BORDER, ABOUT] = [0.04, 0.25];
/** A ground of which more than this share of the border is of other colours is not plain: a room, not a hand alone. */
const NOT_PLAIN = 0.25;
/** In a room, what is thinner than this share of the picture's width is no piece: a thing on the shelf behind. */
const THIN = 0.16;
/** Near the middle of the border's colours, of 255 in each channel. */
const NEAR = 36;

/** 1 for each pixel that is not ground; and whether the ground is of one colour. */
function standingOut({ data, width, height }: Pixels): { out: Uint8Array; isPlain: boolean } {
  const isIn = (out: number) => (x: number, y: number) =>
    x >= width * out && x < width * (1 - out) && y >= height * out && y < height * (1 - out);
  const [inside, central] = [isIn(BORDER), isIn(ABOUT)];
  const [border, middle]: [number[], number[]] = [[], []];
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      if (!inside(x, y)) border.push(i);
      else if (central(x, y)) middle.push(i);
    }
  const [r, g, b] = [0, 1, 2].map((c) => middleOf(border.map((i) => data[i * 3 + c]!))) as [
    number,
    number,
    number,
  ];
  const [about, amid] = [coloursOf(data, border), coloursOf(data, middle)];
  const isFar = (i: number) =>
    Math.max(Math.abs(data[i * 3]! - r), Math.abs(data[i * 3 + 1]! - g), Math.abs(data[i * 3 + 2]! - b)) >
    NEAR;
  const out = Uint8Array.from({ length: width * height }, (_, i) => {
    const bin = binOf(data, i * 3);
    return isFar(i) && amid[bin]! >= about[bin]! ? 1 : 0;
  });
  return { out, isPlain: border.filter(isFar).length < border.length * NOT_PLAIN };
}

const middleOf = (values: number[]) => values.sort((a, b) => a - b)[values.length >> 1] ?? 0;

/** Colours in 16 steps a channel. */
const STEPS = 16;
const binOf = (data: Pixels['data'], at: number) =>
  ((data[at]! >> 4) * STEPS + (data[at + 1]! >> 4)) * STEPS + (data[at + 2]! >> 4);

/** The share of each colour, its neighbours counted with it, among some pixels. */
function coloursOf(data: Pixels['data'], pixels: readonly number[]): Float64Array {
  const counts = new Float64Array(STEPS ** 3);
  for (const i of pixels) counts[binOf(data, i * 3)]! += 1 / pixels.length;
  const isStep = (of: number) => of >= 0 && of < STEPS;
  const around = [-1, 0, 1];
  return counts.map((_, bin) => {
    const [r, g, b] = [Math.floor(bin / STEPS ** 2), Math.floor(bin / STEPS) % STEPS, bin % STEPS];
    let sum = 0;
    for (const dr of around)
      for (const dg of around)
        for (const db of around)
          if (isStep(r + dr) && isStep(g + dg) && isStep(b + db))
            sum += counts[bin + (dr * STEPS + dg) * STEPS + db]!;
    return sum;
  });
}

/** A mask in which each pixel is what most of the 25 about it are. */
function withoutSpecks(mask: Uint8Array, width: number, height: number): Uint8Array {
  return Uint8Array.from(counted(mask, width, height, 2), (count) => (count > 12 ? 1 : 0));
}

/** A mask without what is nowhere a number of pixels wide and tall: what only touches the piece comes off it. */
function withoutThin(mask: Uint8Array, width: number, height: number, thin: number): Uint8Array {
  const reach = thin >> 1;
  const whole = (2 * reach + 1) ** 2;
  const cores = Uint8Array.from(counted(mask, width, height, reach), (count) => (count === whole ? 1 : 0));
  return Uint8Array.from(counted(cores, width, height, reach), (count) => (count > 0 ? 1 : 0));
}

/** How many pixels of a mask are set in the square about each pixel; past an edge its last pixel counts again. */
function counted(mask: Uint8Array, width: number, height: number, reach: number): Uint32Array {
  const across = summed(mask, { count: height, next: width }, { count: width, next: 1 }, reach);
  return summed(across, { count: width, next: 1 }, { count: height, next: width }, reach);
}

/** How many there are, and how far each is from the one before it in the array. */
interface Steps {
  readonly count: number;
  readonly next: number;
}

/** Each value with its neighbours up to a reach on either side, along lines. */
function summed(values: ArrayLike<number>, lines: Steps, along: Steps, reach: number): Uint32Array {
  const out = new Uint32Array(values.length);
  for (let line = 0; line < lines.count; line++) {
    const at = (i: number) =>
      values[line * lines.next + Math.min(along.count - 1, Math.max(0, i)) * along.next]!;
    let sum = 0;
    for (let i = -reach; i <= reach; i++) sum += at(i);
    for (let i = 0; i < along.count; i++) {
      out[line * lines.next + i * along.next] = sum;
      sum += at(i + reach + 1) - at(i - reach);
    }
  }
  return out;
}

/** The pixels of the patch of a mask that is largest, each counting less the farther it is from the middle. */
function middlePatch(mask: Uint8Array, width: number, height: number): readonly number[] {
  const left = mask.slice();
  let best: { readonly pixels: readonly number[]; readonly weight: number } = { pixels: [], weight: 0 };
  for (let start = 0; start < left.length; start++) {
    if (!left[start]) continue;
    left[start] = 0;
    const pixels = [start];
    let weight = 0;
    for (let n = 0; n < pixels.length; n++) {
      const i = pixels[n]!;
      const [x, y] = [i % width, Math.floor(i / width)];
      weight += 1 - Math.hypot(x / width - 0.5, y / height - 0.5);
      const take = (other: number, isThere: boolean) => {
        if (!isThere || !left[other]) return;
        left[other] = 0;
        pixels.push(other);
      };
      take(i - 1, x > 0);
      take(i + 1, x < width - 1);
      take(i - width, y > 0);
      take(i + width, y < height - 1);
    }
    if (weight > best.weight) best = { pixels, weight };
  }
  return best.pixels;
}

/** First and last place where the count is a quarter of the highest, as fractions; nothing when there is none. */
function span(counts: Uint32Array): [number, number] {
  const least = counts.reduce((most, count) => Math.max(most, count), 0) / 4;
  if (least === 0) return [0, 0];
  const first = counts.findIndex((count) => count >= least);
  const last = counts.findLastIndex((count) => count >= least);
  return [first / counts.length, (last + 1) / counts.length];
}

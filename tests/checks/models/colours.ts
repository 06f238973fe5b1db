import { deltaE00, hexOf, labOf, paletteDifference, type Palette } from '@/core/colour';
import { measureZone, type Pixels } from '@/core/photo';
import { Chance, percent, type Row, type Size } from './row';

const linear = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
const shown = (v: number) => (v <= 0.0031308 ? v * 12.92 : 1.055 * v ** (1 / 2.4) - 0.055);
const channels = (hex: string) => [1, 3, 5].map((i) => linear(parseInt(hex.slice(i, i + 2), 16) / 255));

/** How a second colour lies on the first: 1 where it is, 0 where it is not, by place in shares of the patch. */
type Pattern = (chance: Chance) => (x: number, y: number) => number;

/** Smooth noise from some waves that lie at random. */
function clouds(chance: Chance, fineness: number): (x: number, y: number) => number {
  const waves = Array.from({ length: 9 }, () => ({
    kx: chance.normal(0, fineness),
    ky: chance.normal(0, fineness),
    phase: chance.between(0, 6.3),
  }));
  return (x, y) => waves.reduce((sum, { kx, ky, phase }) => sum + Math.sin(kx * x + ky * y + phase), 0) / 3;
}

const step = (value: number, soft: number) => Math.min(1, Math.max(0, 0.5 + value / soft));

const PATTERNS: Readonly<Record<string, Pattern>> = {
  plain: () => () => 0,
  streaks: (chance) => {
    const noise = clouds(chance, 4);
    return (x, y) => step(Math.sin(x * 40 + 2 * noise(x, y / 3)) - 0.3, 0.4);
  },
  breaks: (chance) => {
    const noise = clouds(chance, 16);
    return (x, y) => step(noise(x, y) - 0.6, 0.3);
  },
  lines: () => (x, y) => step(0.012 - Math.abs(((y * 7 + 0.1 * Math.sin(x * 9)) % 1) - 0.5) / 7, 0.006),
  specks: (chance) => {
    const spots = Array.from(
      { length: 90 },
      () => [chance.next(), chance.next(), chance.between(0.008, 0.02)] as const,
    );
    return (x, y) => Math.max(...spots.map(([sx, sy, r]) => step(r - Math.hypot(x - sx, y - sy), 0.004)));
  },
};

/** Base and second colour of made-up glazes, and how the second lies on the first. */
const GLAZES: readonly (readonly [string, string, keyof typeof PATTERNS])[] = [
  ['#2f4a86', '#2f4a86', 'plain'],
  ['#efe9dd', '#efe9dd', 'plain'],
  ['#17130f', '#17130f', 'plain'],
  ['#4a2c1a', '#e6d6b4', 'breaks'],
  ['#5a3a22', '#3d5c8c', 'streaks'],
  ['#1f3d2f', '#ecebe6', 'lines'],
  ['#22303c', '#e9e6da', 'specks'],
  ['#8c2f2a', '#d8c9a8', 'streaks'],
  ['#6f8f78', '#dfe4d8', 'breaks'],
  ['#c8b48c', '#5b3a20', 'specks'],
];

interface Rendered {
  readonly pixels: Pixels;
  readonly truth: Palette;
  /** Share of pixels to which glare adds more than a just visible light. */
  readonly glare: number;
}

/** A patch in uneven light, with a lamp or a window glaring on it, soft or sharp, or nothing. */
function rendered([base, second, pattern]: (typeof GLAZES)[number], chance: Chance): Rendered {
  const [width, height] = [128, 128];
  const lies = PATTERNS[pattern]!(chance);
  const [one, other] = [channels(base), channels(second)] as [number[], number[]];
  const kind = chance.pick(['none', 'lamp', 'window', 'sparks'] as const);
  const [gx, gy, size] = [chance.between(0.2, 0.8), chance.between(0.2, 0.8), chance.between(0.05, 0.1)];
  const [slope, tilt] = [chance.between(-0.15, 0.15), chance.between(-0.15, 0.15)];
  const sparks = Array.from({ length: 4 }, () => [chance.next(), chance.next()] as const);
  const light = (x: number, y: number) => {
    if (kind === 'lamp') return 2.2 * Math.exp(-(((x - gx) / size) ** 2 + ((y - gy) / size) ** 2));
    if (kind === 'window')
      return 1.5 * step(size - Math.abs(x - gx), 0.03) * step(2 * size - Math.abs(y - gy), 0.03);
    if (kind === 'sparks')
      return Math.max(...sparks.map(([sx, sy]) => 0.9 * step(0.012 - Math.hypot(x - sx, y - sy), 0.008)));
    return 0;
  };
  const data = new Uint8Array(width * height * 3);
  let [covered, glaring] = [0, 0];
  for (let i = 0; i < width * height; i++) {
    const [x, y] = [(i % width) / width, Math.floor(i / width) / height];
    const [part, white] = [lies(x, y), light(x, y)];
    if (part > 0.5) covered++;
    if (white > 0.06) glaring++;
    const shade = 1 + slope * (x - 0.5) + tilt * (y - 0.5);
    for (let c = 0; c < 3; c++) {
      const value = (one[c]! * (1 - part) + other[c]! * part) * shade + white;
      data[i * 3 + c] = Math.min(
        255,
        Math.max(0, Math.round(shown(Math.min(1, value)) * 255 + chance.normal(0, 1.5))),
      );
    }
  }
  const share = covered / (width * height);
  const truth = [
    { lab: labOf(base), share: 1 - share },
    { lab: labOf(second), share },
  ].filter((colour) => colour.share > 0.02);
  return {
    pixels: { data, width, height },
    truth: truth.sort((a, b) => b.share - a.share),
    glare: glaring / (width * height),
  };
}

/** Colour of a zone from a photo: what is measured of patches whose colours, shares and glare are known. */
export function colourRows(size: Size): Row[] {
  const each = size === 'long' ? 24 : 4;
  // A few patches tell a mean to a few per cent only.
  const give = size === 'long' ? 0 : 0.04;
  return GLAZES.map((glaze, n) => {
    const chance = new Chance(140 + n);
    let [chief, apart, glare] = [0, 0, 0];
    for (let i = 0; i < each; i++) {
      const { pixels, truth, glare: drawn } = rendered(glaze, chance);
      const found = measureZone(pixels);
      chief = Math.max(chief, deltaE00(labOf(found.colour), truth[0]!.lab));
      apart += paletteDifference(found.palette, truth) / each;
      glare += Math.abs(found.glare - drawn) / each;
    }
    const [base, second, pattern] = glaze;
    return {
      model: 'colour of a zone',
      setting: pattern === 'plain' ? `plain ${hexOf(labOf(base))}` : `${base} with ${second}, ${pattern}`,
      aim: 'chief colour within 5, palette within 4, glare within 8 %',
      reached: `${chief.toFixed(1)} at worst, ${apart.toFixed(1)}, ${percent(glare)}`,
      isMet: chief <= 5 && apart <= 4 && glare <= 0.08 + give,
    };
  });
}

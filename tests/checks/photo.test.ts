import { deltaE00, labOf } from '@/core/colour';
import { findCracks, findPits, greyGains, measureZone, withGains, type Pixels } from '@/core/photo';
import { random } from '../../demo/random';
import { painted, type AskedTile } from './painted';

// Truth for these checks is what was drawn: painted tiles whose holes are known, and patches of known colour.

const asked = (glaze: string, defect: AskedTile['defect'], severity: 1 | 2 | 3 = 2): AskedTile => ({
  glaze,
  seed: `first ${glaze}`,
  defect,
  severity,
});

test('pits and pinholes of painted tiles are found: recall above 0.75, precision above 0.85', () => {
  let [hit, missed, wrong] = [0, 0, 0];
  const tiles = ['Plum Siding', 'Slate Bank', 'Limewash', 'Guard Green', 'Chalk Cut'].flatMap((glaze) => [
    asked(glaze, 'pitting'),
    asked(glaze, 'pinholing'),
  ]);
  for (const { patch, holes, mmPerPixel } of painted(tiles)) {
    const found = findPits(patch, mmPerPixel);
    const near = (a: { x: number; y: number }, b: { x: number; y: number; radius: number }) =>
      Math.hypot(a.x - b.x, a.y - b.y) < b.radius + 3;
    const seen = holes.filter((hole) => found.some((pit) => near(pit, hole))).length;
    hit += seen;
    missed += holes.length - seen;
    wrong += found.filter((pit) => !holes.some((hole) => near(pit, hole))).length;
  }
  // Measured: recall 0.82, precision 0.94 on 1384 drawn holes.
  expect(hit / (hit + missed)).toBeGreaterThan(0.75);
  expect(hit / (hit + wrong)).toBeGreaterThan(0.85);
});

test('a sound tile shows next to no pits and no cracks; a crazed one shows its net', () => {
  for (const glaze of ['Guard Green', 'Lamp Clear']) {
    const [sound, slight, crazed] = painted([
      asked(glaze, null),
      asked(glaze, 'crazing', 1),
      asked(glaze, 'crazing', 3),
    ]).map(({ patch, mmPerPixel }) => ({
      pits: findPits(patch, mmPerPixel).length,
      cracks: findCracks(patch, mmPerPixel).density,
    })) as [{ pits: number; cracks: number }, ...{ pits: number; cracks: number }[]];
    // On some 27 cm² of glaze.
    expect(sound.pits).toBeLessThanOrEqual(6);
    expect(sound.cracks).toBeLessThan(3);
    expect(slight!.cracks).toBeGreaterThan(sound.cracks + 3);
    expect(crazed!.cracks).toBeGreaterThan(slight!.cracks);
  }
});

test('a drawn grid of cracks has the length that was drawn, within a sixth', () => {
  const size = 400;
  const data = new Uint8Array(size * size * 3).fill(150);
  for (let y = 0; y < size; y++)
    for (let x = 0; x < size; x++)
      if (x % 50 === 25 || y % 50 === 25) data.fill(95, (y * size + x) * 3, (y * size + x) * 3 + 3);
  // 16 lines of 40 mm on 16 cm².
  const { density } = findCracks({ data, width: size, height: size }, 0.1);
  expect(density / 40).toBeGreaterThan(5 / 6);
  expect(density / 40).toBeLessThan(7 / 6);
});

/** A patch of one colour under uneven light, with noise and a window glaring in it. */
function shaded(rgb: readonly number[], seed: string, cast: readonly number[] = [1, 1, 1]): Pixels {
  const next = random(seed);
  const [width, height] = [120, 90];
  const data = new Uint8Array(width * height * 3);
  const linear = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
  const shown = (v: number) => (v <= 0.0031308 ? v * 12.92 : 1.055 * v ** (1 / 2.4) - 0.055);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const shade = 1 + 0.22 * (x / width - 0.5) + 0.1 * (y / height - 0.5);
      const glare = 0.9 * Math.exp(-(((x - 30) / 9) ** 2 + ((y - 25) / 12) ** 2));
      for (let c = 0; c < 3; c++) {
        const light = linear(rgb[c]! / 255) * shade * cast[c]! + glare;
        data[(y * width + x) * 3 + c] = Math.min(
          255,
          Math.max(0, shown(Math.min(1, light)) * 255 + (next() - 0.5) * 6),
        );
      }
    }
  return { data, width, height };
}

const PATCHES = [
  [38, 70, 140],
  [120, 40, 45],
  [150, 175, 150],
  [205, 198, 180],
  [40, 30, 26],
  [90, 110, 60],
];

test('a patch of known colour is measured within 2 ΔE00 through glare and shading', () => {
  for (const rgb of PATCHES) {
    const hex = `#${rgb.map((v) => v.toString(16).padStart(2, '0')).join('')}`;
    const found = measureZone(shaded(rgb, hex));
    expect(deltaE00(labOf(found.colour), labOf(hex))).toBeLessThan(2);
    expect(found.glare).toBeGreaterThan(0.005);
    expect(found.palette[0]!.share).toBeGreaterThan(0.7);
  }
});

test('a tapped grey card takes a warm, dim light out of the colours', () => {
  const cast = [0.8, 0.62, 0.4];
  const grey = shaded([118, 118, 118], 'card', cast);
  const gains = greyGains(grey, { x: 0.8, y: 0.8 });
  for (const rgb of PATCHES) {
    const hex = `#${rgb.map((v) => v.toString(16).padStart(2, '0')).join('')}`;
    const seen = measureZone(withGains(shaded(rgb, hex, cast), gains)).colour;
    const raw = measureZone(shaded(rgb, hex, cast)).colour;
    expect(deltaE00(labOf(seen), labOf(hex))).toBeLessThan(4.5);
    expect(deltaE00(labOf(seen), labOf(hex))).toBeLessThan(deltaE00(labOf(raw), labOf(hex)) / 2);
  }
  expect(() => greyGains(shaded([160, 20, 20], 'red'), { x: 0.8, y: 0.8 })).toThrow('no grey card');
});

test('a colour and a second one on it come out with their shares', () => {
  const patch = shaded([38, 70, 140], 'two');
  for (let y = 0; y < 90; y++)
    for (let x = 84; x < 120; x++) patch.data.set([170, 90, 40], (y * 120 + x) * 3);
  const shares = measureZone(patch).palette.map(({ share }) => share);
  expect(shares[0]).toBeCloseTo(0.7, 1);
  expect(shares[1]).toBeCloseTo(0.3, 1);
});

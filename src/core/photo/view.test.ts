import { halfOutline } from '../coats';
import {
  areaPatch,
  besideGlare,
  closePatch,
  measureZone,
  ringOf,
  sidesIn,
  zonePatch,
  guessView,
  type Pixels,
} from '.';
import { FORMS, VIEWS, type View } from '../vocabulary';

const [RIM, WELL, TABLE, HAND] = [
  [40, 90, 160],
  [200, 180, 120],
  [150, 140, 130],
  [205, 150, 120],
] as const;

/** A plate from above in its frame: a well, a rim of another glaze, a bright spot, a hand over the edge, a busy table. */
function plate(size = 240): Pixels {
  const data = new Uint8Array(size * size * 3);
  for (let y = 0; y < size; y++)
    for (let x = 0; x < size; x++) {
      const [u, v] = [(x + 0.5) / size - 0.5, (y + 0.5) / size - 0.5];
      const radius = 2 * Math.hypot(u, v);
      const busy = (x * 7 + y * 13) % 90;
      const isHand = radius > 0.8 && v > 0.3 && Math.abs(u) < 0.12;
      const isGlare = Math.hypot(u + 0.2, v + 0.2) < 0.04;
      const [r, g, b] = isGlare
        ? [255, 255, 255]
        : isHand
          ? HAND
          : radius <= 0.6
            ? WELL
            : radius <= 1
              ? RIM
              : TABLE.map((value) => value - 45 + busy);
      data.set([r, g, b], (y * size + x) * 3);
    }
  return { data, width: size, height: size };
}

const hex = ([r, g, b]: readonly number[]) =>
  `#${[r!, g!, b!].map((n) => n.toString(16).padStart(2, '0')).join('')}`;

test('a plate is cut as rings: each gets its own colour, whatever glares, holds or lies around it', () => {
  const colourOf = (from: number, to: number) =>
    measureZone(zonePatch(plate(), { side: 'inside', from, to }, 'from above', 'plate')!).colour;
  expect(colourOf(0, 0.6)).toBe(hex(WELL));
  expect(colourOf(0.6, 1)).toBe(hex(RIM));
});

test('a view feeds only the sides that it shows', () => {
  const fed = (view: View, form: (typeof FORMS)[number]) =>
    (['outside', 'left', 'right', 'inside'] as const).filter(
      (side) => zonePatch(plate(40), { side, from: 0, to: 1 }, view, form) !== null,
    );
  expect(fed('outside', 'cup')).toEqual(['outside', 'left', 'right']);
  expect(fed('inside', 'cup')).toEqual(['inside']);
  expect(fed('from above', 'bowl')).toEqual(['inside']);
  expect(fed('underside', 'plate')).toEqual(['outside']);
  for (const form of FORMS) {
    expect(fed('area', form)).toEqual([]);
    expect(sidesIn(guessView(form), form).length).toBeGreaterThan(0);
  }
  expect(VIEWS).toHaveLength(5);
});

test('the rings of a vessel follow its wall, with its floor in the ring at the foot', () => {
  const foot = ringOf('bowl', { side: 'inside', from: 0, to: 0.5 });
  const rim = ringOf('bowl', { side: 'inside', from: 0.5, to: 1 });
  expect([foot.from, foot.to, rim.to]).toEqual([0, rim.from, 1]);
  // A bowl widens fast: half way up its wall it is far wider than half.
  expect(rim.from).toBeGreaterThan(0.7);
});

test('an area that was drawn is sampled at its widest spot, one that has a photo of its own in the middle', () => {
  // Left half red, right half blue.
  const pixels = { width: 200, height: 100, data: new Uint8Array(200 * 100 * 3) };
  for (let i = 0; i < 200 * 100; i++) pixels.data[3 * i + (i % 200 < 100 ? 0 : 2)] = 200;
  const half = (name: 'left' | 'right') => ({ side: 'outside' as const, outline: halfOutline(name, false) });
  const colour = (patch: Pixels | null) =>
    patch && [...new Set(patch.data)].length === 2 && patch.data.slice(0, 3);
  expect(colour(areaPatch(pixels, half('left'), 'outside', 'mug'))).toEqual(new Uint8Array([200, 0, 0]));
  expect(colour(areaPatch(pixels, half('right'), 'outside', 'mug'))).toEqual(new Uint8Array([0, 0, 200]));
  expect(areaPatch(pixels, half('left'), 'from above', 'mug')).toBeNull();
  expect(closePatch(pixels).width).toBeLessThan(200);
});

test('the patch of a zone leaves out what lies in areas on it; where they take nearly all of it there is none', () => {
  const pixels = { width: 120, height: 90, data: new Uint8Array(120 * 90 * 3).fill(150) };
  const square = [
    [0.3, 0.3],
    [0.7, 0.3],
    [0.7, 0.7],
    [0.3, 0.7],
  ] as const;
  for (let y = 27; y < 63; y++) for (let x = 36; x < 84; x++) pixels.data.set([255, 0, 0], (y * 120 + x) * 3);
  const zone = { side: 'outside', from: 0, to: 1 } as const;
  const colours = (patch: Pixels | null) => patch && [...new Set(patch.data)];
  expect(colours(zonePatch(pixels, zone, 'outside', 'mug'))).toHaveLength(3);
  expect(colours(zonePatch(pixels, zone, 'outside', 'mug', [square]))).toEqual([150]);
  const disc = { ...zone, side: 'inside' } as const;
  expect(colours(zonePatch(pixels, disc, 'from above', 'plate', [square]))).toEqual([150]);
  expect(zonePatch(pixels, { ...disc, to: 0.3 }, 'from above', 'plate', [square])).toBeNull();
});

test('a swatch is cut beside the light that a glaze reflects; of an even one from the middle', () => {
  const pixels = { width: 100, height: 40, data: new Uint8Array(100 * 40 * 3) };
  const put = (x: number, y: number, value: number) =>
    pixels.data.fill(value, (y * 100 + x) * 3, (y * 100 + x) * 3 + 3);
  for (let y = 0; y < 40; y++) for (let x = 0; x < 100; x++) put(x, y, x < 50 ? 100 : 110);
  const seen = () => [...new Set(besideGlare(pixels).data)];
  expect(seen()).toEqual([100, 110]);
  // A window in the left third, as bright as it gets.
  for (let y = 5; y < 30; y++) for (let x = 22; x < 34; x++) put(x, y, 250);
  expect(seen()).not.toContain(250);
  expect(besideGlare(pixels).width).toBe(55);
});

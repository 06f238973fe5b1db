import { firedLength, shrinkageOf, wetLength } from '@/core/clay';
import { areaOfBand, areaOfRevolution } from '@/core/coats';
import { formShape } from '@/core/vocabulary';
import { makeAgain, type MakeAgain, type ModelCoat } from '@/core/rounds';
import { PLAIN_AREA } from '@/core/coats';
import type { Measures } from '@/core/vocabulary';

/** Of a coat that covers its band, with nothing weighed. */
const NOTHING_MORE = { cover: null, grams: null, area: null, not: [] } as const;

const make = (coats: readonly ModelCoat[], model: Measures, next: Measures, more: Partial<MakeAgain> = {}) =>
  makeAgain({ coats, areas: [], model, next, movement: 'stable', count: 1, ...more });

// Closed formulas for surfaces of revolution, as in I. N. Bronshtein and K. A. Semendyayev, Handbook of
// Mathematics, "Solids of revolution" (the formulas from memory).
describe('areas against closed formulas', () => {
  test('the wall of a cylinder: 2 π r h', () => {
    expect(areaOfRevolution(() => 40, 100, 0, 1)).toBeCloseTo((2 * Math.PI * 40 * 100) / 100, 6);
    expect(areaOfRevolution(() => 40, 100, 0.25, 0.75)).toBeCloseTo((2 * Math.PI * 40 * 50) / 100, 6);
  });

  test('the wall of a cone frustum: π (R + r) s', () => {
    const slant = Math.hypot(80, 60 - 20);
    expect(areaOfRevolution((t) => 20 + 40 * t, 80, 0, 1)).toBeCloseTo((Math.PI * 80 * slant) / 100, 6);
  });

  test('a cap of a sphere: 2 π R h, whatever its place on the sphere', () => {
    const sphere = (t: number) => Math.sqrt(Math.max(0, 50 ** 2 - (100 * t - 50) ** 2));
    expect(areaOfRevolution(sphere, 100, 0, 0.3) / ((2 * Math.PI * 50 * 30) / 100)).toBeCloseTo(1, 3);
    expect(areaOfRevolution(sphere, 100, 0.4, 0.6) / ((2 * Math.PI * 50 * 20) / 100)).toBeCloseTo(1, 4);
  });

  test('a plate is a disc: its rings add up to π R²', () => {
    const plate = { form: 'plate', heightMm: 220, widthMm: 220 } as const;
    const rings = areaOfBand(plate, 'inside', 0, 0.6) + areaOfBand(plate, 'inside', 0.6, 1);
    expect(rings).toBeCloseTo((Math.PI * 110 ** 2) / 100, 6);
    expect(areaOfBand(plate, 'inside', 0, 0.5)).toBeCloseTo((Math.PI * 55 ** 2) / 100, 6);
  });

  test('a tile is its face, and its halves are half of it', () => {
    const tile = { form: 'tile', heightMm: 100, widthMm: 60 } as const;
    expect(areaOfBand(tile, 'outside', 0, 1)).toBeCloseTo(60, 9);
    expect(areaOfBand(tile, 'left', 0, 1) + areaOfBand(tile, 'right', 0, 1)).toBeCloseTo(60, 9);
  });

  test('bands of a cup add up, and its inside has the floor besides', () => {
    const cup = { form: 'cup', heightMm: 90, widthMm: 80 } as const;
    const whole = areaOfBand(cup, 'outside', 0, 1);
    const parts = areaOfBand(cup, 'outside', 0, 0.4) + areaOfBand(cup, 'outside', 0.4, 1);
    // The step at its foot falls into one of the steps of the walk.
    expect(parts / whole).toBeCloseTo(1, 2);
    const floor = (Math.PI * ((formShape('cup').halfWidth(0) * 80) / 2) ** 2) / 100;
    expect(areaOfBand(cup, 'inside', 0, 1) - whole).toBeCloseTo(floor, 6);
  });
});

// Common practice, no source: bands scale with the height, what is needed grows with the area.
test('twice the size in every direction takes four times the glaze, its bands at the same shares', () => {
  const coat = {
    glaze: 'A',
    way: 'dipped',
    times: 1,
    seconds: 3,
    side: 'outside',
    from: 0.5,
    to: 1,
    ...NOTHING_MORE,
  } as const;
  const small = { form: 'cup', heightMm: 90, widthMm: 80 } as const;
  const large = { form: 'cup', heightMm: 180, widthMm: 160 } as const;
  const [one, four] = [small, large].map((size) => make([coat], small, size));
  expect(four!.grams.A! / one!.grams.A!).toBeCloseTo(4, 6);
  expect([four!.lines[0]!.fromMm, four!.lines[0]!.toMm]).toEqual([90, 180]);
  expect(make([coat], small, small, { count: 3 }).grams.A! / one!.grams.A!).toBeCloseTo(3, 9);
  // 60 cm² × 0.6 mm × 1.45 g/cm³, from the starting figures.
  const tile = { form: 'tile', heightMm: 100, widthMm: 60 } as const;
  expect(make([{ ...coat, from: 0 }], tile, tile).grams.A).toBeCloseTo(5.22, 6);
  // How large an area is nobody knows, so neither what lies on it.
  expect(make([coat, { ...coat, area: 'logo' }], tile, tile).grams.A).toBeNull();
});

test('what may go otherwise on the new form is said, and only then', () => {
  const coat = {
    ...({ glaze: 'A', way: 'dipped', times: 1, seconds: null } as const),
    ...({ side: 'left', from: 0, to: 1, ...NOTHING_MORE } as const),
  };
  const tile = { form: 'tile', heightMm: 100, widthMm: 60 } as const;
  expect(make([coat], tile, tile).cautions).toEqual([]);
  const vase = make([coat], tile, { form: 'cup', heightMm: 200, widthMm: 90 }, { movement: 'moves' });
  expect(vase.cautions.join(' ')).toMatch(/moves farther.*test tile/);
  expect(vase.lines[0]!.side).toBe('outside');
  expect(
    make([coat], tile, { form: 'plate', heightMm: 200, widthMm: 200 }, { movement: 'runs' }).cautions.join(
      ' ',
    ),
  ).toMatch(/cookie.*pools/);
});

// Common practice, no source: a rim band is told in centimetres, whatever the size of the pot; a line two fingers above
// the foot too.
test('a band may keep its centimetres: down from the rim, or above the foot', () => {
  const coat = {
    ...({ glaze: 'A', way: 'dipped', times: 1, seconds: null, side: 'outside' } as const),
    ...NOTHING_MORE,
  };
  const small = { form: 'tumbler', heightMm: 100, widthMm: 60 } as const;
  const large = { form: 'tumbler', heightMm: 250, widthMm: 150 } as const;
  const coats = [
    { ...coat, from: 0, to: 1 },
    { ...coat, from: 0.7, to: 1 },
    { ...coat, from: 0.1, to: 0.3 },
    { ...coat, from: 0.1, to: 0.3 },
  ];
  const { lines } = make(coats, small, large, { inCm: new Set([0, 1, 2]) });
  expect(lines.map(({ fromMm, toMm }) => [fromMm, toMm].map((mm) => Number(mm.toFixed(6))))).toEqual([
    [0, 250],
    [220, 250],
    [10, 30],
    [25, 75],
  ]);
  // On a smaller one it ends at the rim.
  const low = make([{ ...coat, from: 0.2, to: 0.9 }], large, small, { inCm: new Set([0]) }).lines[0]!;
  expect([low.from, low.to]).toEqual([0, 1]);
});

test('what is left free takes no glaze, a pattern its share, stuff grows with the surface', () => {
  const coat = {
    ...({ glaze: 'A', way: 'dipped', times: 1, seconds: null, side: 'outside', from: 0, to: 1 } as const),
    ...NOTHING_MORE,
  };
  const tile = { form: 'tile', heightMm: 100, widthMm: 60 } as const;
  const areas = [{ ...PLAIN_AREA, name: 'logo', side: 'outside', from: 0, to: 0.5, share: 0.5 }] as const;
  const dots = { kind: 'pattern', name: 'dots', percent: 20 } as const;
  const surface = (more: Partial<ModelCoat>) =>
    make([{ ...coat, ...more }], tile, tile, { areas }).lines[0]!.areaCm2;
  expect([surface({ not: ['logo'] }), surface({ area: 'logo' }), surface({ cover: dots })]).toEqual([
    expect.closeTo(45, 6),
    expect.closeTo(15, 6),
    expect.closeTo(12, 6),
  ]);
  expect(surface({ cover: { kind: 'fade', towards: 'rim' } })).toBeNull();
  const glass = { ...coat, way: 'scattered', grams: 3 } as const;
  const twice = { form: 'tile', heightMm: 100, widthMm: 120 } as const;
  expect(make([glass], tile, twice, { count: 2 }).grams.A).toBeCloseTo(12, 6);
});

// From the definition of shrinkage in per cent of the wet length (common practice, no source).
test('thrown, shrinkage, fired: two give the third', () => {
  expect([firedLength(100, 12), wetLength(88, 12), shrinkageOf(100, 88)]).toEqual([
    88,
    100,
    expect.closeTo(12, 9),
  ]);
  expect([shrinkageOf(88, 100), shrinkageOf(0, 1)]).toEqual([null, null]);
});

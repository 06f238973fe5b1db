import fc from 'fast-check';
import { readMeasure, readNumber, UNIT_SYSTEMS, type MeasureKind, type UnitSystem } from '.';

const canonical = (text: string, kind: MeasureKind, system?: UnitSystem) =>
  readMeasure(text, kind, system).measure?.canonical;

test.each<[string, MeasureKind, number]>([
  ['4 1/2 in', 'length', 114.3],
  ['4½″', 'length', 114.3],
  ['4-1/2 inches', 'length', 114.3],
  ['½ in.', 'length', 12.7],
  ['5\' 4 1/2"', 'length', 1638.3],
  ['5’4', 'length', 1625.6],
  ['11,4 cm', 'length', 114],
  ['1 m 20 cm', 'length', 1200],
  ['12', 'length', 120],
  ['1 lb 4 oz', 'weight', 566.9904625],
  ['1 1/4 lbs', 'weight', 566.9904625],
  ['1.200,5 g', 'weight', 1200.5],
  ['2 gal', 'volume', 7570.823568],
  ['1 quart 1 cup', 'volume', 1182.9411825],
  ['12 oz', 'volume', 354.88235475],
  ['2', 'volume', 2000],
  ['212 °F', 'temperature', 100],
  ['−40 F', 'temperature', -40],
  ['1223 degrees C', 'temperature', 1223],
  ['180 F/h', 'rate', 100],
  ['180 °F per hour', 'rate', 100],
  ['2 C/min', 'rate', 120],
  ['-90 F', 'rate', -50],
  ['150', 'rate', 150],
])('“%s” is understood as a %s', (text, kind, value) => {
  expect(canonical(text, kind)).toBeCloseTo(value, 9);
});

test('a number alone, a gallon and an ounce are those of the system', () => {
  expect(UNIT_SYSTEMS.map((system) => canonical('2', 'length', system))).toEqual([20, 50.8, 50.8]);
  expect(UNIT_SYSTEMS.map((system) => canonical('1 gal', 'volume', system))).toEqual([
    3785.411784, 3785.411784, 4546.09,
  ]);
  expect(canonical('8', 'weight', 'us')).toBeCloseTo(226.796185, 9);
  expect(canonical('2232', 'temperature', 'us')).toBeCloseTo(1222.22, 2);
  expect(readMeasure('1 lb 4 oz', 'weight').measure).toMatchObject({ value: 1.25, unit: 'lb' });
});

test.each<[string, MeasureKind, RegExp]>([
  ['', 'length', /Nothing/],
  ['three inches', 'length', /no number/],
  ['5-6 in', 'length', /no number/],
  ['1/0 in', 'length', /divides by zero/],
  ['-3 cm', 'length', /cannot be negative/],
  ['5 kg', 'length', /a weight, not a length/],
  ['150 F/h', 'temperature', /a rate, not a temperature/],
  ['5 %', 'weight', /no unit of a weight/],
  ['3 in 2 cm', 'length', /cannot follow/],
  ['4 oz 1 lb', 'weight', /cannot follow/],
  ['1 lb 4', 'weight', /without a unit/],
  ['1,250 g', 'weight', /thousands or decimals/],
  ['-300 C', 'temperature', /that cold/],
  ['20 C 5 C', 'temperature', /one number/],
])('“%s” is no %s', (text, kind, why) => {
  expect(readMeasure(text, kind)).toEqual({ measure: null, error: expect.stringMatching(why) });
});

const FACTORS: readonly (readonly [unit: string, kind: MeasureKind, size: number])[] = [
  ['mm', 'length', 1],
  ['cm', 'length', 10],
  ['in', 'length', 25.4],
  ['ft', 'length', 304.8],
  ['g', 'weight', 1],
  ['kg', 'weight', 1000],
  ['oz', 'weight', 28.349523125],
  ['lb', 'weight', 453.59237],
  ['ml', 'volume', 1],
  ['l', 'volume', 1000],
  ['cup', 'volume', 236.5882365],
  ['°C/h', 'rate', 1],
  ['°F/h', 'rate', 5 / 9],
];

test('any number in any unit, with decimals or as a fraction, comes to its size', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...FACTORS),
      fc.nat(5000),
      fc
        .integer({ min: 2, max: 64 })
        .chain((below) => fc.tuple(fc.integer({ min: 1, max: below - 1 }), fc.constant(below))),
      fc.boolean(),
      ([unit, kind, size], whole, [above, below], isFraction) => {
        const value = whole + above / below;
        const text = isFraction ? `${whole} ${above}/${below} ${unit}` : `${value.toFixed(4)}${unit}`;
        const read = canonical(text, kind)!;
        expect(Math.abs(read / size - value)).toBeLessThan(isFraction ? 1e-9 : 6e-5);
      },
    ),
  );
});

test('a number that is read is finite, whatever is typed', () => {
  fc.assert(
    fc.property(fc.string({ unit: fc.constantFrom(...'0123456789.,/ -½⅞−x') }), (text) => {
      const { value, error } = readNumber(text);
      expect(error === null ? Number.isFinite(value) : value === null).toBe(true);
    }),
    { numRuns: 2000 },
  );
});

import fc from 'fast-check';
import {
  aligned,
  areaOf,
  bulkOf,
  celsius,
  figures,
  grams,
  joined,
  keptValue,
  kelvins,
  lengthOf,
  METRIC,
  heldText,
  millilitres,
  millimetres,
  perHour,
  sayMessage,
  sayQuantity,
  sayText,
  setDecimalMark,
  shelfAreaOf,
  shortFigures,
  spaceOf,
  shownDigits,
  shownValue,
  signed,
  text,
  typedValue,
  unitOf,
  volumeOf,
  readNumber,
  type Dimension,
  type Units,
} from '.';

const US: Units = { temperature: '°F', length: 'in', mass: 'lb', volume: 'gal' };
const BRITISH: Units = { ...METRIC, volume: 'imp gal' };

test.each([
  [celsius(1222.4), '1222 °C', '2232 °F'],
  [kelvins(50), '50 °C', '90 °F'],
  [kelvins(-50), '−50 °C', '−90 °F'],
  [signed(kelvins(4)), '+4 °C', '+7 °F'],
  [perHour(150), '150 °C/h', '270 °F/h'],
  [lengthOf(5), '0.5 cm', '0.20 in'],
  [lengthOf(100), '10 cm', '3.94 in'],
  [millimetres(10), '10 mm', '0.4 in'],
  [millimetres(0.234, 2), '0.23 mm', '0.009 in'],
  [grams(453.59237), '454 g', '1 lb'],
  [grams(566.9904625), '567 g', '1 lb 4 oz'],
  [grams(12.34, 2), '12.34 g', '0.435 oz'],
  [aligned(grams(126, 1)), '126.0 g', '4.44 oz'],
  [bulkOf(1500), '1.5 kg', '3.3 lb'],
  [millilitres(60), '60 ml', '2 fl oz'],
  [volumeOf(18927.05892), '18.93 l', '5 gal'],
  [volumeOf(500), '500 ml', '16.9 fl oz'],
  [bulkOf(340.1942775), '340 g', '12 oz'],
  [spaceOf(198), '198 l', '7 cu ft'],
  [areaOf(64.516), '65 cm²', '10 sq in'],
  [shelfAreaOf(9290.304), '0.93 m²', '10 sq ft'],
])('%j is said in the reader’s units', (quantity, metric, us) => {
  expect(sayQuantity(quantity, METRIC)).toBe(metric);
  expect(sayQuantity(quantity, US)).toBe(us);
});

const dimensions: readonly Dimension[] = [
  'temperature',
  'temperatureStep',
  'rate',
  'length',
  'thickness',
  'area',
  'shelfArea',
  'mass',
  'bulk',
  'pour',
  'volume',
  'space',
];

test('what is shown and typed again is the same, in every dimension and unit', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...dimensions),
      fc.double({ min: -200, max: 3000, noNaN: true }),
      fc.constantFrom(METRIC, US, BRITISH),
      (dimension, value, units) => {
        expect(typedValue(dimension, shownValue(dimension, value, units), units)).toBeCloseTo(value, 8);
      },
    ),
  );
  expect(dimensions.map((one) => unitOf(one, US))).toEqual([
    ...['°F', '°F', '°F/h', 'in', 'in', 'sq in', 'sq ft', 'oz', 'lb', 'fl oz', 'gal', 'cu ft'],
  ]);
  expect(sayQuantity(volumeOf(4546.09), BRITISH)).toBe('1 gal');
});

test('what is typed, kept and shown again never drifts, to the third decimal', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...dimensions),
      fc.nat(5_000_000),
      fc.constantFrom(METRIC, US, BRITISH),
      (dimension, thousandths, units) => {
        const typed = thousandths / 1000;
        const kept = keptValue(dimension, typed, units);
        const again = shownValue(dimension, kept, units);
        return Number(again.toFixed(3)) + 0 === typed && keptValue(dimension, again, units) === kept;
      },
    ),
    { numRuns: 100_000 },
  );
});

test('a field shows as many decimals as can be read back', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...dimensions),
      fc.nat(4000),
      fc.constantFrom(METRIC, US, BRITISH),
      (dimension, value, units) => {
        const shown = shownValue(dimension, value, units).toFixed(shownDigits(dimension, 0, units));
        expect(Math.round(typedValue(dimension, Number(shown), units))).toBe(value);
      },
    ),
  );
});

test('a message keeps its quantities as numbers until somebody reads it', () => {
  const hold = text`hold ${15} min`;
  const message = text`Drop ${kelvins(50)} from ${celsius(1200)}, ${hold}.`;
  expect(message).toContainEqual(celsius(1200));
  expect(sayMessage(message, METRIC)).toBe('Drop 50 °C from 1200 °C, hold 15 min.');
  expect(sayMessage(message, US)).toBe('Drop 90 °F from 2192 °F, hold 15 min.');
  expect(sayMessage('as it stands', US)).toBe('as it stands');
  expect(sayMessage(joined([hold, 'then', message], ' | '), METRIC)).toBe(
    'hold 15 min | then | Drop 50 °C from 1200 °C, hold 15 min.',
  );
});

test('a text keeps its quantities too, where only text goes', () => {
  const held = heldText(text`Not above ${celsius(200)}, ${signed(kelvins(4))}.`);
  expect(sayText(held, METRIC)).toBe('Not above 200 °C, +4 °C.');
  expect(sayText(held, US)).toBe('Not above 392 °F, +7 °F.');
  expect(sayText(heldText('as it stands'), US)).toBe('as it stands');
});

test('a studio with a decimal comma writes it everywhere, and reads what it wrote', () => {
  setDecimalMark(',');
  try {
    expect([figures(1.5, 2), shortFigures(1.5), sayQuantity(lengthOf(114), METRIC)]).toEqual([
      '1,50',
      '1,5',
      '11,4 cm',
    ]);
    expect(readNumber('1,250').value).toBe(1.25);
    expect(readNumber('1.250').error).toMatch(/thousands or decimals/);
    fc.assert(
      fc.property(
        fc.integer({ min: -1e8, max: 1e8 }),
        (thousandths) => readNumber(shortFigures(thousandths / 1000)).value === thousandths / 1000,
      ),
    );
  } finally {
    setDecimalMark('.');
  }
});

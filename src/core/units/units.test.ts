import fc from 'fast-check';
import {
  celsius,
  grams,
  joined,
  keptValue,
  kelvins,
  lengthOf,
  METRIC,
  millimetres,
  perHour,
  sayMessage,
  sayQuantity,
  shownDigits,
  shownValue,
  signed,
  text,
  typedValue,
  unitOf,
  type Dimension,
  type Units,
} from '.';

const US: Units = { temperature: '°F', length: 'in', mass: 'lb' };

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
  'mass',
];

test('what is shown and typed again is the same, in every dimension and unit', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...dimensions),
      fc.double({ min: -200, max: 3000, noNaN: true }),
      fc.constantFrom(METRIC, US),
      (dimension, value, units) => {
        expect(typedValue(dimension, shownValue(dimension, value, units), units)).toBeCloseTo(value, 8);
      },
    ),
  );
  expect(dimensions.map((one) => unitOf(one, US))).toEqual(['°F', '°F', '°F/h', 'in', 'in', 'lb']);
});

test('what is typed, kept and shown again never drifts, to the third decimal', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...dimensions),
      fc.nat(5_000_000),
      fc.constantFrom(METRIC, US),
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
      fc.constantFrom(METRIC, US),
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
  expect(sayMessage(message)).toBe('Drop 50 °C from 1200 °C, hold 15 min.');
  expect(sayMessage(message, US)).toBe('Drop 90 °F from 2192 °F, hold 15 min.');
  expect(sayMessage('as it stands', US)).toBe('as it stands');
  expect(sayMessage(joined([hold, 'then', message], ' | '))).toBe(
    'hold 15 min | then | Drop 50 °C from 1200 °C, hold 15 min.',
  );
});

/**
 * Units against NIST Special Publication 811 (2008), Guide for the Use of the SI, appendix B.8, and for the imperial
 * gallon the same appendix, "gallon [Canadian and U.K. (Imperial)]". The figures are given there to seven places.
 */
import { readMeasure, type MeasureKind, type UnitSystem } from '../../src/core/units';

const TABLE: readonly (readonly [string, MeasureKind, number, UnitSystem])[] = [
  ['1 foot', 'length', 304.8, 'us'],
  ['1 inch', 'length', 25.4, 'us'],
  ['1 ounce', 'weight', 28.34952, 'us'],
  ['1 pound', 'weight', 453.5924, 'us'],
  ['1 cup', 'volume', 236.5882, 'us'],
  ['1 gallon', 'volume', 3785.412, 'us'],
  ['1 gallon', 'volume', 4546.09, 'imperial'],
  ['1 fluid ounce', 'volume', 29.57353, 'us'],
  ['1 fluid ounce', 'volume', 28.41306, 'imperial'],
  ['1 pint', 'volume', 473.1765, 'us'],
  ['1 quart', 'volume', 946.3529, 'us'],
  ['1 tablespoon', 'volume', 14.78676, 'us'],
  ['1 teaspoon', 'volume', 4.928922, 'us'],
];

test.each(TABLE)('%s of %s is %d (%s)', (text, kind, value, system) => {
  expect(readMeasure(text, kind, system).measure!.canonical).toBeCloseTo(value, value < 100 ? 4 : 2);
});

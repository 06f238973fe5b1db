import { ciede2000, deltaE00, hexOf, labOf } from '@/core/colour';
import { random } from '../../demo/random';

// Sharma, Wu and Dalal, Color Res. Appl. 30 (2005), table 1; figures from memory.
test.each([
  [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
  [[50, 0, 0], [50, -1, 2], 2.3669],
  [[50, 2.5, 0], [73, 25, -18], 27.1492],
  [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
] as const)('CIEDE2000 of %j and %j is %d', ([l1, a1, b1], [l2, a2, b2], expected) => {
  const [one, other] = [
    { l: l1, a: a1, b: b1 },
    { l: l2, a: a2, b: b2 },
  ];
  expect(deltaE00(one, other)).toBeCloseTo(expected, 4);
  expect(deltaE00(other, one)).toBeCloseTo(expected, 4);
  expect(ciede2000(l1, a1, b1, l2, a2, b2)).toBeCloseTo(expected, 4);
});

// Against culori's differenceCiede2000, an independent package, greys and nearly opposite hues among them (at exactly
// opposite ones the formula itself jumps).
test('the fast CIEDE2000 for searches is the package’s', () => {
  const next = random('ciede2000');
  const some = () => ({ l: 100 * next(), a: 140 * (next() - 0.5), b: 140 * (next() - 0.5) });
  let worst = 0;
  for (let i = 0; i < 3000; i++) {
    const one = some();
    const other = [some(), { ...one, a: -one.a, b: -0.9 * one.b }, { ...one, a: 0, b: 0 }, one][i % 4]!;
    const fast = ciede2000(one.l, one.a, one.b, other.l, other.a, other.b);
    worst = Math.max(worst, Math.abs(fast - deltaE00(one, other)));
  }
  expect(worst).toBeLessThan(1e-9);
});

// IEC 61966-2-1 (sRGB) and CIE 15: white and black of the space; mid grey from memory.
test('sRGB runs from L 0 to L 100 and back again', () => {
  expect(labOf('#ffffff').l).toBeCloseTo(100, 3);
  expect(labOf('#000000').l).toBeCloseTo(0, 6);
  expect(labOf('#777777').l).toBeCloseTo(50, 0);
  for (const hex of ['#21409a', '#874a30', '#e9e2d2']) expect(hexOf(labOf(hex))).toBe(hex);
  expect(() => labOf('glossy')).toThrow(RangeError);
});

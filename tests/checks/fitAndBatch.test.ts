import { spawnSync } from 'node:child_process';
import { fitOf } from '@/core/fit';
import { batchOf, dryPerMl, waterFor } from '@/core/recipe';

// Hutchinson and Suo (1992) and Beuth (1992): channel cracking; E 70 GPa, ν 0.2, ΔT 550 K, K 0.75 and 0.3 MPa·m^½.
test.each([
  [0.25, 12, 1.967, 0.315],
  [0.5, 24, 0.492, 0.079],
  [0.75, 36, 0.219, 0.035],
  [1, 48, 0.123, 0.02],
  [1.5, 72, 0.055, 0.009],
])(
  'a mismatch of %d gives %d MPa and crazes above %d mm, later above %d mm',
  (mismatch, stress, critical, delayed) => {
    const fit = fitOf({ glazeExpansion: 6 + mismatch, bodyExpansion: 6, thicknessMm: 0.3 });
    expect(Math.abs(fit.stressMPa / stress - 1)).toBeLessThan(0.005);
    expect(fit.criticalMm).toBeCloseTo(critical, 2);
    expect(fit.delayedMm).toBeCloseTo(delayed, 2);
  },
);

test('the verdict follows thickness in tension and mismatch in compression', () => {
  const verdict = (mismatch: number, thicknessMm: number) =>
    fitOf({ glazeExpansion: 6 + mismatch, bodyExpansion: 6, thicknessMm }).verdict;
  expect([
    verdict(0.5, 0.5),
    verdict(0.5, 0.3),
    verdict(0.5, 0.05),
    verdict(0, 0.3),
    verdict(-1.9, 0.3),
    verdict(-2.1, 0.3),
  ]).toEqual(['crazes', 'crazes later', 'fits', 'fits', 'fits', 'may shiver']);
  expect(fitOf({ glazeExpansion: 6, bodyExpansion: 7, thicknessMm: 0.3 })).toMatchObject({
    criticalMm: null,
    delayedMm: null,
  });
  expect(() => fitOf({ glazeExpansion: 6, bodyExpansion: 7, thicknessMm: 0 })).toThrow(RangeError);
});

// Mass balance (Brongniart).
test('1000 g dry of 2.6 take 982.9 g of water for 1.45, and a millilitre of it holds 0.7313 g', () => {
  expect(waterFor(1000, 1.45, 2.6)).toBeCloseTo(982.9, 1);
  expect(dryPerMl(1.45, 2.6)).toBeCloseTo(0.7313, 4);
  expect(() => waterFor(1000, 2.7, 2.6)).toThrow(RangeError);
});

// Common practice, no source: cards rarely total exactly 100, 99.96 is typical.
test('a card of 99.96 is normalised, additions go on top, and the slop has the weight and volume it says', () => {
  const lines = [
    { material: 'Potash feldspar', amount: 39.96 },
    { material: 'Silica', amount: 60 },
    { material: 'Red iron oxide', amount: 8, addition: true },
  ];
  const batch = batchOf(lines, { grams: 300, specificGravity: 1.45 });
  const percents = [(39.96 / 99.96) * 100, (60 / 99.96) * 100, 8];
  batch.lines.forEach((line, i) => expect(line.percent).toBeCloseTo(percents[i]!, 9));
  expect(batch.lines.slice(0, 2).reduce((sum, line) => sum + line.grams, 0)).toBeCloseTo(300, 9);
  expect(batch.totalGrams).toBeCloseTo(324, 9);
  expect((batch.totalGrams + batch.waterGrams!) / batch.slopMl!).toBeCloseTo(1.45, 9);
  expect(batch.slopMl! * dryPerMl(1.45, 2.6)).toBeCloseTo(324, 9);
  expect(batchOf(lines, { grams: 300 })).toMatchObject({ waterGrams: null, slopMl: null });
});

function jiten(command: string, input: unknown) {
  const { status, stdout, stderr } = spawnSync('bin/jiten', [command], {
    input: JSON.stringify(input),
    encoding: 'utf8',
  });
  return status === 0 ? JSON.parse(stdout) : { status, faults: stderr.trim().split('\n') };
}

test('the command line answers as the core does, and names the field that is wrong', () => {
  const lines = [
    { material: 'Potash feldspar', amount: 40 },
    { material: 'Silica', amount: 30 },
    { material: 'Whiting', amount: 20 },
    { material: 'Kaolin', amount: 10 },
  ];
  expect(jiten('analyse', { lines }).unity.CaO).toBeCloseTo(0.736, 3);
  expect(jiten('fit', { glazeExpansion: 7, bodyExpansion: 6.5, thicknessMm: 0.3 })).toMatchObject({
    mismatch: 0.5,
    verdict: 'crazes later',
  });
  expect(jiten('batch', { lines, grams: 300 })).toMatchObject({ baseGrams: 300, waterGrams: null });
  const bad = [
    { material: 'Silica', amount: 1 },
    { material: 'Whiting', amount: 2 },
    { material: 'Kaolin', amount: -1 },
  ];
  expect(jiten('analyse', { lines: bad })).toEqual({ status: 2, faults: ['lines[2].amount: must be ≥ 0'] });
  expect(
    jiten('analyse', { lines: [], materials: [{ name: 'x', analysis: { SiO2: 90, Al2O3: 20 } }] }).faults,
  ).toEqual(['materials[0].analysis: adds up to 110 %, more than 105']);
  expect(
    jiten('analyse', { lines: [], materials: [{ name: 'x', analysis: { Unobtainium: 1 } }] }).faults,
  ).toEqual(['materials[0].analysis.Unobtainium: is not an oxide that is known']);
  expect(jiten('fit', { glazeExpansion: 7, bodyExpansion: 6.5, thicknessMm: 0 }).faults).toEqual([
    'thicknessMm: must be > 0',
  ]);
  expect(jiten('batch', { lines, grams: 300, specificGravity: 3 }).faults).toEqual([
    'specificGravity: must be below that of the dry material',
  ]);
  expect(jiten('batch', { lines: [], grams: 300 }).faults).toEqual([
    'lines: must have a base that adds up to more than 0',
  ]);
});

import { execFileSync, spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { type Evidence, rank, type CauseId } from '@/core/clinic';
import type { DefectId } from '@/core/vocabulary';

// What a technician of some years says at the sight of it. Common practice, no source.
test.each<[DefectId, Evidence, CauseId]>([
  ['crazing', {}, 'expansion-mismatch'],
  ['crazing', { expansionMismatch: 1.1, pattern: 'one-body', boilTest: 'failed' }, 'expansion-mismatch'],
  ['crazing', { onlyWhereThick: true, coats: 2, expansionMismatch: 0.2 }, 'glaze-too-thick'],
  ['crazing', { appearsLate: true, bodyPorous: true, expansionMismatch: 0 }, 'moisture-expansion'],
  [
    'crazing',
    { targetCone: '6', achievedCone: '4', expansionMismatch: 0.1, surface: 'satin', wantedSurface: 'gloss' },
    'underfired-kiln',
  ],
  ['shivering', { expansionMismatch: -2.6, glazeHas: ['lithium'] }, 'overcompression'],
  ['dunting', { edges: 'sharp', cooling: 'fast' }, 'fast-cooling'],
  ['dunting', { edges: 'rounded', firing: 'fast' }, 'too-fast-firing'],
  ['dunting', { edges: 'rounded', presentBeforeGlazing: true, firing: 'normal' }, 'handling'],
  [
    'dunting',
    { edges: 'sharp', glazedSides: 'one', expansionMismatch: -2.4, cooling: 'slow' },
    'overcompression',
  ],
  ['crawling', { dryBetweenCoats: false, rawGlazeCracked: true }, 'wet-between-coats'],
  [
    'crawling',
    { rawGlazeCracked: true, glazeHas: ['high-clay', 'zinc'], dryBetweenCoats: true },
    'raw-shrinkage',
  ],
  [
    'crawling',
    { bisqueWiped: false, pattern: 'one-piece', rawGlazeCracked: false },
    'dusty-or-greasy-bisque',
  ],
  ['crawling', { onlyInOverlap: true, otherOrderClean: true, dryBetweenCoats: true }, 'incompatible-layer'],
  ['pinholing', { bodyCoarse: true, bareBodyAlso: true, bisqueSpeed: 'fast', reachesBody: true }, 'body-gas'],
  ['pinholing', { firing: 'fast', bisqueSpeed: 'slow', bodyIron: 'none' }, 'too-fast-firing'],
  ['pinholing', { onlyWhereThick: true, thickness: 'thick' }, 'glaze-too-thick'],
  ['pitting', { glazeHas: ['silicon-carbide', 'tin'], onlyWhereThick: true, coats: 3 }, 'glaze-gas'],
  ['pitting', { onlyWhereThick: true, thickness: 'thick', glazeHas: ['copper'] }, 'glaze-too-thick'],
  ['pitting', { holdMinutes: 0, dropHold: false, healedByRefiring: true, glazeHas: [] }, 'no-soak'],
  ['blistering', { onlyInOverlap: true, otherOrderClean: true }, 'incompatible-layer'],
  ['blistering', { location: 'overlap', glazeHas: ['soda-ash'] }, 'incompatible-layer'],
  ['blistering', { targetCone: '6', achievedCone: '8', pattern: 'whole-firing' }, 'overfired-kiln'],
  [
    'blistering',
    { reduction: 'heavy', atmosphere: 'reduction', pattern: 'whole-firing', onlyInOverlap: false },
    'over-reduction',
  ],
  ['bloating', { bodyMaxCone: '6', targetCone: '10', achievedCone: '10' }, 'body-beyond-range'],
  ['bloating', { bodyMaxCone: '8', targetCone: '6', achievedCone: '8' }, 'overfired-kiln'],
  ['running', { movement: 'runs', nearFoot: false, targetCone: '6', achievedCone: '6' }, 'fluid-glaze'],
  ['running', { nearFoot: true, movement: 'moves', thickness: 'medium' }, 'too-near-foot'],
  ['underfired', { targetCone: '6', achievedCone: '4' }, 'underfired-kiln'],
  ['underfired', { pattern: 'one-batch', targetCone: '6', achievedCone: '6' }, 'wrong-batch'],
  ['overfired', { targetCone: '6', achievedCone: '8' }, 'overfired-kiln'],
  ['slip-lifting', { slipAppliedTo: 'dry' }, 'slip-on-dry-clay'],
  ['slip-lifting', { slipAppliedTo: 'leather-hard', slipShrinkage: 'high' }, 'slip-shrinkage'],
  ['slip-lifting', { slipAppliedTo: 'leather-hard', slipThickness: 'thick' }, 'slip-too-thick'],
  [
    'colour-shift',
    {
      wantedAtmosphere: 'reduction',
      atmosphere: 'reduction',
      reduction: 'light',
      reductionStart: 'late',
      pattern: 'whole-firing',
      glazeHas: ['copper'],
    },
    'under-reduction',
  ],
  [
    'colour-shift',
    { pattern: 'one-piece', glazeHas: ['tin'], neighbourHas: ['chrome'], atmosphere: 'oxidation' },
    'fuming-neighbour',
  ],
  [
    'colour-shift',
    { glazeHas: ['zinc', 'chrome'], atmosphere: 'oxidation', pattern: 'twins-agree' },
    'zinc-colour-conflict',
  ],
  [
    'colour-shift',
    {
      wantedAtmosphere: 'reduction',
      atmosphere: 'reduction',
      coolingAtmosphere: 'oxidation',
      reduction: 'medium',
      reductionStart: 'early',
    },
    'reoxidised-cooling',
  ],
  ['colour-loss', { targetCone: '6', achievedCone: '8' }, 'overfired-kiln'],
  ['colour-loss', { thickness: 'thin', targetCone: '6', achievedCone: '6' }, 'glaze-too-thin'],
  ['clouding', { onlyWhereThick: true }, 'glaze-too-thick'],
  ['clouding', { cooling: 'slow', glazeHas: ['boron'], onlyWhereThick: false }, 'slow-cooling'],
  ['patchy', { marksVisible: true, method: 'brush' }, 'application-uneven'],
  [
    'patchy',
    { specificGravityOff: 'thin', stirred: false, marksVisible: false },
    'not-stirred-or-wrong-water',
  ],
  ['speck', { pattern: 'one-piece' }, 'contamination'],
  ['dry-wash', { location: 'decoration' }, 'colourant-unfluxed'],
  ['coring', { reduction: 'heavy', atmosphere: 'reduction' }, 'over-reduction'],
  ['warping', { supported: false }, 'unsupported-form'],
  ['warping', { bodyMaxCone: '6', achievedCone: '8', targetCone: '8', supported: true }, 'body-beyond-range'],
  ['stuck', { nearFoot: true }, 'too-near-foot'],
  ['pop-out', { appearsLate: true, bodyReclaimed: true }, 'lime-inclusion'],
  ['raw-flaking', { glazeHas: ['high-clay'], rawGlazeCracked: true }, 'raw-shrinkage'],
  ['explosion', { damp: true }, 'damp-ware'],
])('%s with %j is first of all %s', (defect, evidence, cause) => {
  expect(rank(defect, evidence).causes[0]!.cause.id).toBe(cause);
});

// Pinholes: gas needs the lack of time to heal. Common practice, no source.
test('gas from the body is named together with no soak, unless there was one', () => {
  const find = (evidence: Evidence) =>
    rank('pinholing', evidence).causes.find(({ cause }) => cause.id === 'body-gas')!;
  expect(find({ bodyCoarse: true }).with).toBe('no-soak');
  expect(find({ bodyCoarse: true, dropHold: true }).with).toBeNull();
});

test('the command answers with causes, reasons, remedies and a test, and names what is wrong', () => {
  const run = (input: unknown) =>
    spawnSync(resolve('bin/jiten'), ['diagnose'], { input: JSON.stringify(input), encoding: 'utf8' });
  const [first] = JSON.parse(
    execFileSync(resolve('bin/jiten'), ['diagnose'], {
      input: JSON.stringify({
        defect: 'pitting',
        evidence: { glazeHas: ['silicon-carbide'], onlyWhereThick: true },
      }),
      encoding: 'utf8',
    }),
  ).causes;
  expect(first).toMatchObject({
    id: 'glaze-gas',
    because: ['silicon carbide is in the glaze', 'it shows only where the glaze is thick'],
    against: [],
  });
  expect(first.remedies.length).toBeGreaterThan(2);
  expect(first.test).toMatch(/twice dipped/);
  expect(run({ defect: 'melting' }).stderr).toMatch(/^defect: must be one of crazing/);
  const wrong = run({
    defect: 'pitting',
    evidence: { coats: -1, edges: 'soft', achievedCone: '66', colour: 1 },
  });
  expect(wrong.status).toBe(2);
  expect(wrong.stderr.trim().split('\n').sort()).toEqual([
    expect.stringMatching(/^evidence\.achievedCone: must be a cone name/),
    'evidence.coats: must be ≥ 0',
    'evidence.edges: must be one of sharp, rounded',
    'evidence: unknown: colour',
  ]);
});

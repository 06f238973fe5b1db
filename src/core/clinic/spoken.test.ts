import { METRIC, sayMessage } from '../units';
import { coolingBelowTop, spoken, spokenEvidence, type SpokenFacts } from './spoken';

const said = (facts: Parameters<typeof spoken>[0]) => spoken(facts).map((one) => sayMessage(one, METRIC));

const facts = (more: Partial<SpokenFacts> = {}): SpokenFacts => ({
  defect: 'crazing',
  layers: [{ name: 'Lamp Clear', lines: [{ material: 'Soda feldspar', amount: 100 }], bucket: null }],
  body: {
    name: 'Viaduct Porcelain',
    figure: { expansion: 6.5, miss: 0.2, tiles: 24, tilesOf: { l: 24 }, shift: null },
    coneTo: '8',
  },
  glazeExpansion: 7,
  thicknessMm: 0.3,
  firing: { cone: '6', achievedCone: 6.1, cooling: 200 },
  ...more,
});

test('a crazed zone hears its mismatch, the learned limit, the thickness at which it crazes, and its own', () => {
  const [fit, thickness, heat] = said(facts());
  expect(fit).toContain('Lamp Clear 7.0, Viaduct Porcelain 6.5 (learned from 24 tiles of yours)');
  // fitOf({ glazeExpansion: 7, bodyExpansion: 6.5, thicknessMm: 0.3 }).criticalMm is 0.492
  expect(thickness).toContain('at once above 0.49 mm');
  expect(thickness).toContain('this zone is about 0.30 mm');
  expect(heat).toBe('The witness cones say cone 6, as meant.');
  const [unknown] = said(facts({ thicknessMm: null }));
  expect(unknown).toContain('(learned from 24 tiles of yours), 1e-6/K. How thick it lies is not known');
  const pits = said(facts({ defect: 'pitting' })).join(' ');
  expect(pits).not.toContain('1e-6/K');
});

test('names the material that has a part in the defect with its amount, and no other', () => {
  const lines = [
    { material: 'Silicon carbide', amount: 0.6, addition: true },
    { material: 'Tin oxide', amount: 5, addition: true },
  ];
  const words = said(facts({ defect: 'pitting', layers: [{ name: 'Plum Siding', lines, bucket: null }] }));
  expect(words).toContain('Plum Siding holds 0.6 % Silicon carbide.');
  expect(words.join(' ')).not.toContain('Tin oxide');
});

test('a bucket off its usual gravity and an unusual cooling are said and become evidence; the usual is not', () => {
  const bucket = { code: 'L7', gravity: 1.55, usual: 1.45 };
  const off = facts({
    layers: [{ name: 'Lamp Clear', lines: [], bucket }],
    firing: { cone: '6', achievedCone: 7.2, cooling: 40 },
  });
  expect(spokenEvidence(off)).toEqual({ specificGravityOff: 'thick', cooling: 'slow' });
  const words = said(off).join(' ');
  expect(words).toContain('thicker than usual');
  expect(words).toContain('1.2 cones above the cone 6');
  expect(words).toContain('40 °C/h');
  expect(spokenEvidence(facts())).toEqual({ cooling: 'normal' });
  expect(spokenEvidence(facts({ firing: { cone: '6', achievedCone: null, cooling: null } }))).toEqual({});
});

test('cooling is judged by the first 150 K below the top, whatever the climb; a log that ends there says nothing', () => {
  const climb = [0, 600].map((minutes) => ({ minutes, celsius: 20 + minutes * 2 }));
  expect(coolingBelowTop([...climb, { minutes: 690, celsius: 1070 }, { minutes: 900, celsius: 600 }])).toBe(
    100,
  );
  expect(coolingBelowTop([...climb, { minutes: 610, celsius: 1200 }])).toBeNull();
  expect(coolingBelowTop([])).toBeNull();
});

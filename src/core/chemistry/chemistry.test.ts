import fc from 'fast-check';
import {
  analyse,
  BUILT_IN,
  cautionsOf,
  EXPANSION_SETS,
  expansionParts,
  isOxide,
  MATERIALS,
  materialBook,
  searchMaterials,
  expansionOf,
  isKnownEnough,
  understandMaterial,
  sumOfAnalysis,
  unknownIn,
  type ExpansionSet,
} from '.';

const recipes = fc.array(
  fc.record({
    material: fc.constantFrom(...MATERIALS.map((material) => material.name)),
    amount: fc.double({ min: 0.1, max: 100, noNaN: true }),
  }),
  { minLength: 1, maxLength: 8 },
);

describe('an analysis', () => {
  test('of any recipe adds up: fluxes to 1, percents to 100, parts of each expansion to the whole', () => {
    fc.assert(
      fc.property(recipes, (lines) => {
        const { unity, weightPercent, molePercent, expansion } = analyse(lines);
        const sum = (amounts: object) => Object.values(amounts).reduce((all, n) => all + n, 0);
        expect(sumOfAnalysis(weightPercent)).toBeCloseTo(100, 9);
        expect(sum(molePercent)).toBeCloseTo(100, 9);
        if (Object.keys(unity).length) {
          const { Li2O = 0, Na2O = 0, K2O = 0, MgO = 0, CaO = 0, SrO = 0, BaO = 0, ZnO = 0, PbO = 0 } = unity;
          expect(Li2O + Na2O + K2O + MgO + CaO + SrO + BaO + ZnO + PbO).toBeCloseTo(1, 9);
        }
        for (const set of Object.keys(EXPANSION_SETS) as ExpansionSet[]) {
          if (expansion[set] === null) continue;
          const parts = expansionParts(set, set === 'appen' ? molePercent : weightPercent);
          expect(parts.reduce((all, part) => all + part.adds, 0)).toBeCloseTo(expansion[set], 9);
        }
      }),
    );
  });

  test('does not change with the size of the batch or the order of its lines', () => {
    fc.assert(
      fc.property(recipes, fc.double({ min: 0.01, max: 50, noNaN: true }), (lines, times) => {
        const other = lines.map((line) => ({ ...line, amount: line.amount * times })).reverse();
        const [now, before] = [other, lines].map((one) => analyse(one).expansion.appen);
        if (before === null) expect(now).toBeNull();
        else expect(now).toBeCloseTo(before!, 9);
      }),
    );
  });

  test('counts colouring oxides as flux only when asked', () => {
    const lines = [
      { material: 'Potash feldspar', amount: 60 },
      { material: 'Whiting', amount: 40 },
      { material: 'Black copper oxide', amount: 5, addition: true },
    ];
    const without = analyse(lines).unity;
    const withColour = analyse(lines, { colourantsAsFlux: true }).unity;
    expect(without.K2O! + without.CaO!).toBeCloseTo(1, 9);
    expect(withColour.K2O! + withColour.CaO! + withColour.CuO!).toBeCloseTo(1, 9);
  });

  test('warns outside the glasses a set was made for, and of factors it lacks', () => {
    const warnings = (material: string) =>
      analyse([
        { material, amount: 80 },
        { material: 'Whiting', amount: 20 },
      ]).warnings.join();
    expect(warnings('Silica')).toMatch(/45 to 80 mole % silica; this has 8\d/);
    expect(warnings('Chrome oxide')).toMatch(/has no factor for Cr2O3/);
    expect(warnings('Colemanite')).toMatch(/low in boron/);
    expect(warnings('Moon dust')).toMatch(/Moon dust is not known/);
  });
});

describe('the book of materials', () => {
  test('has at least 45, each of known oxides, and with its loss in the fire near 100 in all', () => {
    expect(MATERIALS.length).toBeGreaterThanOrEqual(45);
    for (const { name, analysis, loi, density } of MATERIALS) {
      expect([name, Object.keys(analysis).every(isOxide)]).toEqual([name, true]);
      const all = sumOfAnalysis(analysis) + loi;
      expect([name, all > 97 && all < 101]).toEqual([name, true]);
      expect([name, density! > 1.4 && density! < 9]).toEqual([name, true]);
    }
  });

  test('puts the studio’s own analysis before the built-in one of that name', () => {
    const own = materialBook([{ name: 'whiting', analysis: { CaO: 50, MgO: 4 } }]);
    const ratio = (book: typeof own) => analyse([{ material: 'Whiting', amount: 1 }], { book }).unity.MgO;
    expect(ratio(own)).toBeGreaterThan(0.05);
    expect(ratio(BUILT_IN)).toBeUndefined();
    expect(own.materials).toHaveLength(BUILT_IN.materials.length);
  });

  test('finds a material by two letters, by a later word, and by another name of it', () => {
    const first = (typed: string) => searchMaterials(BUILT_IN, typed)[0]?.name;
    expect(['wh', 'nep', 'fli', 'china', 'borosil'].map(first)).toEqual([
      'Whiting',
      'Nepheline syenite, typical',
      'Silica',
      'Kaolin',
      'Soda borosilicate frit, typical',
    ]);
    expect(searchMaterials(BUILT_IN, 'zzz')).toEqual([]);
    expect(searchMaterials(BUILT_IN, ' ')).toEqual([]);
  });

  test('understands a written name only when it can mean but one', () => {
    const named = (written: string) => understandMaterial(BUILT_IN, written)?.name;
    expect(['FLINT', 'Ball clay', 'SiO2', 'Kaolin', 'clay', 'Feldspar'].map(named)).toEqual([
      'Silica',
      'Ball clay, typical',
      'Silica',
      'Kaolin',
      undefined,
      undefined,
    ]);
  });
});

test('every hazard of the shelf is said where it is weighed', () => {
  const said = (name: string) => cautionsOf(BUILT_IN.find(name)!).join(' ');
  expect(said('Silica')).toMatch(/Respirable silica/);
  expect(said('Manganese dioxide')).toMatch(/Manganese/);
  expect(said('Barium carbonate')).toMatch(/poisonous/);
  expect(said('Borax')).toMatch(/fertility/);
  expect(said('Lithium carbonate')).toMatch(/Lithium.*Caustic/);
  expect(said('Wood ash, typical')).toMatch(/Caustic/);
  expect(said('Silicon carbide')).toMatch(/eye protection/);
  for (const name of [
    'Chrome oxide',
    'Nickel oxide',
    'Cobalt carbonate',
    'Copper carbonate',
    'Vanadium pentoxide',
  ])
    expect([name, /toxic dust/.test(said(name))]).toEqual([name, true]);
  expect(cautionsOf({ name: 'Lead frit', analysis: { PbO: 60 } }).join()).toMatch(/never on food/);
});

test('what is unknown of a recipe is a share of its dry batch, and with more than 3 % it is judged by nothing', () => {
  const recipe = (amount: number) => [
    { material: 'Potash feldspar', amount: 60 },
    { material: 'Whiting', amount: 40 - amount },
    { material: 'Moon dust', amount },
    { material: 'Tin oxide', amount: 25, addition: true },
  ];
  expect(unknownIn(recipe(0))).toEqual({ percent: 0, materials: [] });
  expect(unknownIn(recipe(10))).toEqual({ percent: 8, materials: ['Moon dust'] });
  expect([recipe(3.75), recipe(3.8)].map((lines) => isKnownEnough(lines))).toEqual([true, false]);
  expect(expansionOf(recipe(3.75))).toBeGreaterThan(5);
  expect(expansionOf(recipe(3.8))).toBeNull();
});

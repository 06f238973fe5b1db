import fc from 'fast-check';
import { analyse, BUILT_IN, materialBook, type Line } from '../chemistry';
import { bodyFigure } from '../fit';
import {
  baseForBucket,
  baseFromWhatIsLeft,
  baseTotal,
  batchOf,
  addToSlop,
  correctSlop,
  onTop,
  crazingLadder,
  differenceOf,
  drySpecificGravity,
  dryPerMl,
  mixRecipes,
  moveAlkali,
  normalise,
  parseRecipe,
  readAmount,
  solveUnity,
  swapMaterial,
  triaxialCells,
  triaxialParts,
  usableLines,
} from '.';

const CLEAR: readonly Line[] = [
  { material: 'Soda feldspar, typical', amount: 42 },
  { material: 'Silica', amount: 18 },
  { material: 'Whiting', amount: 17 },
  { material: 'Kaolin', amount: 10 },
  { material: 'Calcium borosilicate frit, typical', amount: 13 },
];

describe('an amount as it is written', () => {
  test.each([
    ['12,5', 12.5],
    [' 30 % ', 30],
    ['7g', 7],
    ['.5', 0.5],
    ['0,125', 0.125],
    ['99.96', 99.96],
    ['1000', 1000],
    ['56.029', 56.029],
  ])('%s is %d', (written, amount) => expect(readAmount(written)).toEqual({ amount, error: null }));

  test.each([
    ['1,000', /thousands or decimals/],
    ['1.000', /thousands or decimals/],
    ['1.234.567', /thousands or decimals/],
    ['1 200', /thousands or decimals/],
    ['-3', /negative/],
    ['ten', /no number/],
    ['1.2.3', /no number/],
    ['1e9', /no number/],
    ['9999999', /million/],
  ])('%s is refused with its reason', (written, why) => {
    const { amount, error } = readAmount(written);
    expect(amount).toBeNull();
    expect(error).toMatch(why);
  });

  test('a blank is neither a number nor a error', () =>
    expect(readAmount('  ')).toEqual({ amount: null, error: null }));
});

describe('a pasted recipe', () => {
  test('is understood from a spreadsheet and from plain text, in either order, with additions after + or a heading', () => {
    const text = [
      'Cone 6 clear\t',
      'Flint\t30',
      '20 Whiting',
      'China clay: 12,5 %',
      '- Potash feldspar, typical  37.5',
      '+ Tin oxide 4',
      'Additions',
      'Red iron oxide 2',
      'Total 106',
    ].join('\n');
    const { lines, passedOver } = parseRecipe(text, BUILT_IN);
    expect(lines.map(({ material, amount, addition }) => [material, amount, addition])).toEqual([
      ['Silica', 30, false],
      ['Whiting', 20, false],
      ['Kaolin', 12.5, false],
      ['Potash feldspar, typical', 37.5, false],
      ['Tin oxide', 4, true],
      ['Red iron oxide', 2, true],
    ]);
    expect(passedOver).toEqual(['Cone 6 clear', 'Additions', 'Total 106']);
  });

  test('a title is no ingredient, wherever its number comes from', () => {
    for (const title of ['Chalk Cut', 'Chalk Cut, cone 6', 'Test glaze 12', 'Whitestrip slip no. 3']) {
      const { lines, passedOver } = parseRecipe(`${title}\nSilica 30\nMoon dust 5`, BUILT_IN);
      expect(lines.map(({ material }) => material)).toEqual(['Silica', 'Moon dust']);
      expect(passedOver).toEqual([title]);
    }
    expect(parseRecipe('Moon dust 5\nSilica 30', BUILT_IN).lines).toHaveLength(2);
  });

  test('says of each line what is wrong with it and keeps the rest', () => {
    const { lines } = parseRecipe('Silica 1,000\nMoon dust 5\nWhiting\n40', BUILT_IN);
    expect(lines.map(({ material, known, amount, error }) => ({ material, known, amount, error }))).toEqual([
      { material: 'Silica', known: true, amount: null, error: expect.stringMatching(/thousands/) },
      { material: 'Moon dust', known: false, amount: 5, error: null },
      { material: 'Whiting', known: true, amount: null, error: 'No amount found.' },
      { material: '', known: false, amount: 40, error: 'No material found.' },
    ]);
    expect(usableLines({ lines, passedOver: [] })).toEqual([
      { material: 'Moon dust', amount: 5, addition: false },
    ]);
  });

  test('never throws, and gives every line of any text back in one list or the other', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        const { lines, passedOver } = parseRecipe(text, BUILT_IN);
        const written = text.split(/\r?\n/).filter((line) => line.trim() !== '');
        expect(lines.length + passedOver.length).toBe(written.length);
      }),
      // Words that every object knows by itself.
      { examples: [['__proto__'], ['constructor'], ['toString 20']] },
    );
  });
});

describe('two versions', () => {
  test('differ in what changed only, whatever they add up to', () => {
    const doubled = CLEAR.map((line) => ({ ...line, amount: line.amount * 2 }));
    expect(differenceOf(CLEAR, doubled)).toEqual([]);
    const after = [
      ...CLEAR.filter((line) => line.material !== 'Whiting'),
      { material: 'Wollastonite', amount: 17 },
      { material: 'Tin oxide', amount: 5, addition: true },
    ];
    expect(differenceOf(CLEAR, after)).toEqual([
      { material: 'Whiting', addition: false, before: 17, after: null },
      { material: 'Wollastonite', addition: false, before: null, after: 17 },
      { material: 'Tin oxide', addition: true, before: null, after: 5 },
    ]);
  });

  test('a base of nothing cannot be brought to 100', () =>
    expect(() => normalise([{ material: 'Silica', amount: 0 }])).toThrow(/adds up to 0/));
});

describe('a slop', () => {
  const dry = drySpecificGravity(CLEAR);

  test('dry density lies between its lightest and heaviest grain, and follows a heavy addition', () => {
    expect(drySpecificGravity([{ material: 'Silica', amount: 40 }])).toBeCloseTo(2.65, 9);
    expect(dry).toBeGreaterThan(2.6);
    expect(dry).toBeLessThan(2.71);
    const tinned = [...CLEAR, { material: 'Tin oxide', amount: 10, addition: true }];
    expect(drySpecificGravity(tinned)).toBeGreaterThan(dry + 0.1);
  });

  test('corrected with water or with dry material it has the specific gravity that was wanted', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 500, max: 30_000, noNaN: true }),
        fc.double({ min: 1.2, max: 1.8, noNaN: true }),
        fc.double({ min: 1.2, max: 1.8, noNaN: true }),
        (ml, measured, target) => {
          const fix = correctSlop({ ml, measured, target, dry });
          const grams = ml * measured;
          const water = fix.addWater - fix.takeOffWater;
          expect((grams + water) / (ml + water)).toBeCloseTo(target, 9);
          expect(fix.afterMl).toBeCloseTo(ml + water, 6);
          if (fix.addDry > 0) expect((grams + fix.addDry) / (ml + fix.addDry / dry)).toBeCloseTo(target, 9);
        },
      ),
    );
    expect(() => correctSlop({ ml: 1000, measured: 1, target: 1.45 })).toThrow(/measured must lie/);
  });

  test('an addition to a wet bucket is a share of the base that is in it, and its water keeps the gravity', () => {
    const lines = [...CLEAR, { material: 'Tin oxide', amount: 5, addition: true }];
    // A bucket that was filled from so much base holds that base again.
    const base = baseForBucket(lines, { litres: 8, specificGravity: 1.45, dry });
    const { grams, specificGravity, addWater } = addToSlop({
      ...{ ml: 8000, measured: 1.45, percent: 2, perBase: onTop(lines), dry },
    });
    expect(grams).toBeCloseTo(base * 0.02, 6);
    expect(specificGravity).toBeGreaterThan(1.45);
    const [mass, volume] = [8000 * 1.45 + grams + addWater, 8000 + grams / 2.6 + addWater];
    expect(mass / volume).toBeCloseTo(1.45, 9);
    expect(() => addToSlop({ ml: 8000, measured: 1.45, percent: 0 })).toThrow(/percent must/);
  });

  test('a bucket is filled, and what is left of a material used up, to the gram', () => {
    const lines = [...CLEAR, { material: 'Tin oxide', amount: 5, addition: true }];
    const grams = baseForBucket(lines, { litres: 19, specificGravity: 1.45, dry });
    const batch = batchOf(lines, { grams, specificGravity: 1.45, drySpecificGravity: dry });
    expect(batch.slopMl).toBeCloseTo(19_000, 6);
    expect(batch.totalGrams).toBeCloseTo(19_000 * dryPerMl(1.45, dry), 6);
    const left = batchOf(lines, { grams: baseFromWhatIsLeft(lines, 'Whiting', 850) });
    expect(left.lines.find((line) => line.material === 'Whiting')!.grams).toBeCloseTo(850, 9);
    expect(() => baseFromWhatIsLeft(lines, 'Talc', 100)).toThrow(/no Talc/);
  });
});

describe('the solver', () => {
  test('finds a recipe again from its own unity formula and materials', () => {
    const { unity } = analyse(CLEAR);
    const { lines, worst } = solveUnity(
      unity,
      CLEAR.map((line) => line.material),
    );
    expect(worst).toBeLessThan(1e-9);
    for (const line of lines)
      expect(line.amount).toBeCloseTo(CLEAR.find((one) => one.material === line.material)!.amount, 6);
  });

  test('shows what it misses when the materials cannot bring it, and never takes less than nothing', () => {
    const solution = solveUnity({ K2O: 0.3, CaO: 0.7, Al2O3: 0.5, SiO2: 4 }, ['Soda feldspar', 'Silica']);
    expect(solution.lines.every((line) => line.amount > 0)).toBe(true);
    expect(solution.worst).toBeGreaterThan(0.5);
    expect(solution.miss.CaO).toBeCloseTo(-0.7, 6);
    expect(() => solveUnity({ CaO: 1 }, ['Moon dust'])).toThrow('Moon dust is not known');
    expect(() => solveUnity({ CaO: 1 }, ['Tin oxide'])).toThrow(/none of these/);
  });
});

describe('what if', () => {
  const figure = bodyFigure(5.6, null)!;
  const porcelain = { figure, thicknessMm: 0.3 };

  test('the ladder moves a clear by some 0.4, keeps it a gloss, and says beforehand whether it can reach a fit', () => {
    const ladder = crazingLadder(CLEAR, [
      porcelain,
      { figure: { ...figure, expansion: 5 }, thicknessMm: 0.3 },
    ]);
    expect(ladder.rungs.map((rung) => [rung.silica, rung.kaolin])).toEqual([
      [0, 0],
      [1.25, 1],
      [2.5, 2],
      [3.75, 3],
      [5, 4],
    ]);
    expect(ladder.movesBy).toBeLessThan(-0.3);
    expect(ladder.movesBy).toBeGreaterThan(-0.5);
    const expansions = ladder.rungs.map((rung) => rung.analysis.expansion.appen!);
    expect(expansions).toEqual([...expansions].sort((a, b) => b - a));
    expect(new Set(ladder.rungs.map((rung) => rung.analysis.mapField))).toEqual(new Set(['gloss']));
    expect(ladder.rungs.every((rung) => Math.abs(baseTotal(rung.lines) - 100) < 1e-9)).toBe(true);
    expect(ladder.reaches[0]).toBeGreaterThan(0);
    expect(ladder.reaches[1]).toBeNull();
  });

  test('a swapped material keeps the formula, the additions, and names more gas when there is more', () => {
    const lines = [...CLEAR, { material: 'Tin oxide', amount: 4, addition: true }];
    const swap = swapMaterial(lines, 'Whiting', ['Wollastonite'], [porcelain]);
    expect(swap.worst).toBeLessThan(1e-4);
    expect(swap.lines.some((line) => line.material === 'Whiting')).toBe(false);
    expect(swap.lines.at(-1)).toMatchObject({ material: 'Tin oxide', addition: true });
    expect(swap.fits[0]!.mismatch).toBeCloseTo(analyse(lines).expansion.appen! - 5.6, 3);
    const back = swapMaterial(swap.lines, 'Wollastonite', ['Whiting'], []);
    expect(back.costs.join()).toMatch(/Whiting loses 44 %/);
    expect(() => swapMaterial(lines, 'Talc', ['Silica'], [])).toThrow(/no Talc/);
  });

  test.each(['boron', 'magnesia', 'lime', 'zinc'] as const)(
    'replacing alkali by %s brings the expansion down at a stated price',
    (to) => {
      const move = moveAlkali(CLEAR, to, 0.5, [porcelain]);
      expect(move.analysis.expansion.appen!).toBeLessThan(analyse(CLEAR).expansion.appen! - 0.4);
      expect(move.worst).toBeLessThan(0.05);
      expect(move.costs.length).toBeGreaterThan(0);
    },
  );

  test('without soda or potash there is nothing to replace', () => {
    const lime = [
      { material: 'Whiting', amount: 50 },
      { material: 'Kaolin', amount: 50 },
    ];
    expect(() => moveAlkali(lime, 'boron', 0.5, [])).toThrow(/no soda or potash/);
    expect(() => moveAlkali(CLEAR, 'boron', 0, [])).toThrow(RangeError);
  });
});

describe('blends', () => {
  test.each([
    [2, 3],
    [6, 21],
    [11, 66],
    [61, 1891],
  ])('%d cells an edge are %d cells, the parts of each add up to 1', (steps, count) => {
    const parts = triaxialParts(steps);
    expect(parts).toHaveLength(count);
    expect(new Set(parts.map(String)).size).toBe(count);
    for (const cell of parts) expect(cell.reduce((sum, part) => sum + part, 0)).toBeCloseTo(1, 12);
  });

  test('a corner is its own recipe, and half and half lies between', () => {
    const own = materialBook([{ name: 'House ash', analysis: { CaO: 40, SiO2: 20, K2O: 10 } }]);
    const ash = [{ material: 'House ash', amount: 60 }, ...CLEAR.slice(0, 1)];
    const cells = triaxialCells([CLEAR, ash, CLEAR], 3, own);
    const [top, middle, left] = [cells[0]!, cells[1]!, cells[3]!];
    expect(top.expansion).toBeCloseTo(analyse(CLEAR).expansion.appen!, 9);
    expect(left.expansion).toBeCloseTo(analyse(ash, { book: own }).expansion.appen!, 9);
    expect(middle.silicaAlumina).not.toBe(top.silicaAlumina);
    const half = mixRecipes([CLEAR, ash], [0.5, 0.5]);
    expect(baseTotal(half)).toBeCloseTo(100, 9);
    expect(() => triaxialParts(1)).toThrow(RangeError);
  });
});

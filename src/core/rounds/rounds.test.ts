import fc from 'fast-check';
import { analyse, type Line } from '../chemistry';
import { dryPerMl, drySpecificGravity, mixRecipes, normalise } from '../recipe';
import { random } from '../../../demo/random';
import {
  additionLadder,
  bestTests,
  clayComparison,
  coatsLadder,
  codeOf,
  crazingRound,
  factorial,
  fourCorners,
  lineBlend,
  loadsOf,
  needsOf,
  overlapGrid,
  pourPlan,
  provedBy,
  spreadTwins,
  gramsOfRing,
  piecesOfBag,
  stripsOfRing,
  triaxial,
  worthOf,
  leftOut,
  type Candidate,
  type Corner,
} from '.';

const corner = (name: string, ...lines: [string, number, boolean?][]): Corner => ({
  name,
  lines: lines.map(([material, amount, addition = false]): Line => ({ material, amount, addition })),
});
const A = corner('A', ['Potash feldspar', 60], ['Silica', 40]);
const B = corner('B', ['Whiting', 50], ['Kaolin', 50], ['Tin oxide', 10, true]);
const C = corner('C', ['Talc', 30], ['Silica', 70]);
const D = corner('D', ['Dolomite', 100]);

describe('how many tests a question takes', () => {
  test.each([
    ['overlap of 3, singles once', overlapGrid([A, B, C]), 9],
    ['overlap of 3, singles twice as well', overlapGrid([A, B, C], true), 12],
    ['line in quarters', lineBlend([A, B], 5), 5],
    ['triaxial of 6 an edge', triaxial([A, B, C], 6), 21],
    ['triaxial of 11 an edge', triaxial([A, B, C], 11), 66],
    ['four corners', fourCorners([A, B, C, D]), 35],
    ['coats ladder', coatsLadder([A, B], 4), 8],
    ['clays', clayComparison([A, B], ['x', 'y', 'z']), 6],
    ['crazing ladder', crazingRound(A), 5],
    ['one left out', leftOut(A), 3],
  ])('%s', (_, plan, count) => {
    expect(plan.cells).toHaveLength(count);
    expect(new Set(plan.cells.map((cell) => cell.label)).size).toBe(count);
    for (const { parts } of plan.cells)
      expect(Object.values(parts).reduce((sum, part) => sum + part, 0)).toBeCloseTo(1, 12);
  });

  test('both orders of an overlap are there, base below', () => {
    const words = overlapGrid([A, B]).cells.map(({ words, stack }) => [
      words,
      stack!.map((l) => l.glaze).join(),
    ]);
    expect(words).toEqual([
      ['A once', 'A'],
      ['B over A', 'A,B'],
      ['A over B', 'B,A'],
      ['B once', 'B'],
    ]);
  });

  test('places are coded past the alphabet', () =>
    expect([codeOf(0, 0), codeOf(25, 2), codeOf(26, 0), codeOf(701, 9)]).toEqual([
      'A1',
      'Z3',
      'AA1',
      'ZZ10',
    ]));
});

describe('a blended cell', () => {
  test('of a line lies at quarters; of the corner grid where a hand calculating puts it', () => {
    expect(lineBlend([A, B], 5).cells.map((cell) => cell.parts.A)).toEqual([1, 0.75, 0.5, 0.25, 0]);
    // Row 3 of 7, column 2 of 5: v = 2/6, u = 1/4; A (1-u)(1-v) = 1/2, B u(1-v) = 1/6, C (1-u)v = 1/4, D uv = 1/12.
    const cell = fourCorners([A, B, C, D]).cells.find((one) => one.label === 'C2')!;
    const byHand = { A: 1 / 2, B: 1 / 6, C: 1 / 4, D: 1 / 12 };
    for (const [name, part] of Object.entries(byHand)) expect(cell.parts[name]).toBeCloseTo(part, 12);
  });

  test('has the weighted recipe, and none when a corner has none', () => {
    const half = lineBlend([A, B], 3).cells[1]!;
    expect(half.lines).toEqual([
      { material: 'Potash feldspar', amount: 30, addition: false },
      { material: 'Silica', amount: 20, addition: false },
      { material: 'Whiting', amount: 25, addition: false },
      { material: 'Kaolin', amount: 25, addition: false },
      { material: 'Tin oxide', amount: 5, addition: true },
    ]);
    expect(lineBlend([A, { name: 'unknown' }], 3).cells.every((cell) => cell.lines === undefined)).toBe(true);
  });

  test('of a ladder steps on top of the base; of a crazing ladder into it, at 7.37 silica to alumina', () => {
    const ladder = additionLadder(
      B,
      [
        { material: 'Tin oxide', step: 2 },
        { material: 'Rutile', step: 1 },
      ],
      3,
    );
    expect(ladder.cells[2]!.lines!.filter((line) => line.addition)).toEqual([
      { material: 'Tin oxide', amount: 14, addition: true },
      { material: 'Rutile', amount: 2, addition: true },
    ]);
    const [control, , , , last] = crazingRound(A).cells;
    expect(control!.words).toBe('A, control');
    const grown = last!.lines!.map((line) => line.amount * 1.09);
    expect(grown[1]! - 40).toBeCloseTo(5, 9);
    expect(grown[2]).toBeCloseTo(4, 9);
  });
});

describe('a series', () => {
  const base = corner('A', ['Whiting', 20], ['Silica', 80], ['Rutile', 3, true]);

  test('goes down as well as up on the line the recipe has, the base where it says', () => {
    const { cells } = additionLadder(base, [{ material: 'Whiting', step: 5 }], 4, 2);
    expect(cells.map(({ words }) => words)).toEqual([
      'A − 10 % Whiting',
      'A − 5 % Whiting',
      'A',
      'A + 5 % Whiting',
    ]);
    // 15 of 95: a share of what is left, so that a hundred is a hundred.
    expect(cells[1]!.lines![0]!.amount).toBeCloseTo(100 * (15 / 95), 9);
    expect(cells[2]!.lines).toEqual(base.lines);
    const onTop = additionLadder(base, [{ material: 'Rutile', step: 1 }], 3, 2).cells;
    expect(onTop.map(({ lines }) => lines!.find(({ material }) => material === 'Rutile')!.amount)).toEqual([
      1, 2, 3,
    ]);
    expect(() => additionLadder(base, [{ material: 'Rutile', step: 2 }], 3, 2)).toThrow('only 3 % Rutile');
    expect(() => additionLadder(base, [{ material: 'Talc', step: 2 }], 3, 1)).toThrow('only 0 % Talc');
  });

  test('leaves each material out once, the control first', () => {
    const { cells } = leftOut(base);
    expect(cells.map(({ words }) => words)).toEqual([
      'A',
      'A without Whiting',
      'A without Silica',
      'A without Rutile',
    ]);
    expect(cells[1]!.lines!.map(({ material, amount }) => [material, amount])).toEqual([
      ['Silica', 100],
      ['Rutile', 3],
    ]);
  });
});

describe('pouring by volume', () => {
  const slop = ({ name, lines }: Corner, specificGravity: number) => {
    const dry = drySpecificGravity(lines!);
    const onTop = normalise(lines!).reduce((sum, line) => sum + line.amount, 0) / 100;
    return { name, basePerMl: dryPerMl(specificGravity, dry) / onTop };
  };
  const slops = [slop(A, 1.5), slop(B, 1.35), slop(C, 1.42)];

  test('gives back the planned recipe although the slops are unequal, within a drop', () => {
    const { cells } = triaxial([A, B, C], 6);
    const pours = pourPlan(cells, slops, 60).cells;
    cells.forEach((cell, i) => {
      const grams = slops.map(({ name, basePerMl }) => (pours[i]!.ml[name] ?? 0) * basePerMl);
      const all = grams.reduce((sum, each) => sum + each, 0);
      const poured = mixRecipes(
        [A, B, C].map((one) => one.lines!),
        grams.map((each) => each / all),
      );
      expect(Object.values(pours[i]!.ml).reduce((sum, ml) => sum + ml, 0)).toBeCloseTo(60, 9);
      expect(analyse(poured).expansion.appen).toBeCloseTo(analyse(cell.lines!).expansion.appen!, 9);
    });
  });

  test('adds up what each corner takes, washes once less than there are corners, and names what is too small', () => {
    const plan = pourPlan(fourCorners([A, B, C, D]).cells, [...slops, { name: 'D', basePerMl: 0.7 }], 20);
    expect(Object.values(plan.totals).reduce((sum, ml) => sum + ml, 0)).toBeCloseTo(35 * 20, 6);
    expect(plan.washes).toBe(3);
    expect(plan.tooSmall.length).toBeGreaterThan(0);
    expect(() => pourPlan(lineBlend([A, D], 3).cells, slops, 20)).toThrow('D has no slop');
    expect(() => pourPlan(lineBlend([A, B], 3).cells, [slops[0]!, { name: 'B', basePerMl: 0 }], 20)).toThrow(
      /nothing dry/,
    );
  });
});

test('needs: pieces with twins, strips of a ring, glaze by area and thickness, room and loads', () => {
  const size = { form: 'tile', heightMm: 100, widthMm: 60 } as const;
  const needs = needsOf(overlapGrid([A, B]).cells, 2, size, { isWaxed: true });
  expect(needs.pieces).toBe(8);
  // A face of 60 cm² × 0.06 cm × 1.45 g/cm³ is 5.22 g a dip; A lies once alone and once in each of two overlaps.
  expect(needs.glazeGrams.A).toBeCloseTo(5.22 * 3 * 2, 2);
  // Both faces and the edges of a tile of 7 mm: 2 × 60 + 2 × (10 + 6) × 0.7 = 142 cm², 2.4 faces.
  const dipped = needsOf(overlapGrid([A, B]).cells, 2, size);
  expect(dipped.glazeGrams.A! / needs.glazeGrams.A!).toBeCloseTo(2.4, 9);
  expect([needs.rings, needs.clayGrams]).toEqual([0, expect.closeTo(8 * 60 * 0.7 * 1.9, 6)]);
  expect(loadsOf(needs.shelfCm2, { litres: 190, shelves: 4 })).toBe(1);
  expect(loadsOf(20_000, { litres: 190, shelves: 4 })).toBe(3);
});

test('strips of a ring by its girth, its clay by wall and foot, pieces of a bag', () => {
  const ring = { diameterMm: 300, flangeMm: 30 };
  // 942 mm around: 20 strips of 45 mm and a rest.
  expect(stripsOfRing(ring, 45)).toBe(20);
  expect(stripsOfRing({ ...ring, diameterMm: 450 / Math.PI }, 45)).toBe(10);
  // 94.2 cm × (9 + 3) cm × 0.7 cm × 1.9 g/cm³, and a tenth for trimming.
  expect(gramsOfRing(ring, 90)).toBeCloseTo(Math.PI * 30 * 12 * 0.7 * 1.9 * 1.1, 6);
  const needs = needsOf(
    overlapGrid([A, B]).cells,
    6,
    { form: 'ring strip', heightMm: 90, widthMm: 45 },
    { ring },
  );
  expect([needs.pieces, needs.strips, needs.rings]).toEqual([24, 20, 2]);
  expect(needs.clayGrams).toBeCloseTo(2 * needs.ringGrams, 9);
  expect([piecesOfBag(12_500, 420), piecesOfBag(12_500, 0)]).toEqual([29, 0]);
});

describe('a factorial', () => {
  const two = (n: number) => Array.from({ length: n }, (_, i) => ({ name: `f${i}`, levels: ['-', '+'] }));

  test('is full when it fits', () => {
    const mixedLevels = [...two(2), { name: 'clay', levels: ['x', 'y', 'z'] }];
    expect(factorial(mixedLevels, 12)).toMatchObject({ aliases: [] });
    expect(new Set(factorial(mixedLevels, 12).runs.map(String)).size).toBe(12);
  });

  test('is a balanced fraction when it does not, and says what can no longer be told apart', () => {
    const { runs, aliases } = factorial(two(5), 16);
    expect(runs).toHaveLength(16);
    for (let a = 0; a < 5; a++)
      for (let b = a + 1; b < 5; b++) {
        const counts = [0, 0, 0, 0];
        for (const run of runs) counts[run[a]! * 2 + run[b]!]! += 1;
        expect(counts).toEqual([4, 4, 4, 4]);
      }
    expect(aliases).toEqual([]);
    expect(factorial(two(4), 8).aliases).toContain('f0 with f1 = f2 with f3');
  });

  test('is refused, with what to do, when it cannot be even', () => {
    expect(() => factorial([...two(3), { name: 'clay', levels: ['x', 'y', 'z'] }], 12)).toThrow(
      /take levels out/,
    );
    expect(() => factorial(two(7), 4)).toThrow(/at least 8/);
  });
});

describe('which tests are worth the clay', () => {
  const candidates = (next: () => number): Candidate[] =>
    Array.from({ length: 7 }, (_, i) => {
      const proofs = Math.floor(next() * 4);
      return {
        key: String(i),
        proofs,
        agreeing: Math.floor(next() * (proofs + 1)),
        wanted: Math.floor(next() * 3),
        near: [String(Math.floor(next() * 7)), String(Math.floor(next() * 7))].filter(
          (key) => key !== String(i),
        ),
      };
    });

  test('known well, weakly or not at all', () =>
    expect(
      [
        [0, 0],
        [1, 1],
        [3, 1],
        [2, 2],
      ].map(([proofs, agreeing]) => provedBy({ proofs: proofs!, agreeing: agreeing! })),
    ).toEqual(['lacking', 'weak', 'weak', 'proved']));

  test('greedy comes within 80 % of the exhaustive best on small cases; 63 % is proven', () => {
    for (let seed = 0; seed < 40; seed++) {
      const all = candidates(random(`gaps ${seed}`));
      const sets = all.flatMap((a) => all.flatMap((b) => all.map((c) => [a.key, b.key, c.key])));
      const best = Math.max(...sets.map((keys) => worthOf(all, keys)));
      const greedy = worthOf(
        all,
        bestTests(all, 3).map((one) => one.key),
      );
      expect(greedy / best).toBeGreaterThan(0.8);
    }
  });

  test('what is wanted comes before what is not, and a proved one last', () => {
    const blank = { near: [], wanted: 0 };
    const picked = bestTests(
      [
        { ...blank, key: 'proved', proofs: 4, agreeing: 4 },
        { ...blank, key: 'new', proofs: 0, agreeing: 0 },
        { ...blank, key: 'wanted', proofs: 0, agreeing: 0, wanted: 3 },
      ],
      2,
    );
    expect(picked[0]!.key).toBe('wanted');
    expect(picked.map((one) => one.key)).not.toContain('proved');
  });
});

test('twins are spread over shelves and over front and back; runny ones stay low, on cookies; a seed repeats', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 5 }),
      fc.integer({ min: 1, max: 12 }),
      fc.string(),
      (shelves, groups, seed) => {
        const pieces = Array.from({ length: groups * 2 }, (_, i) => ({
          id: String(i),
          group: String(i >> 1),
          runny: i % 6 < 2,
        }));
        const placed = spreadTwins(pieces, shelves, random(seed));
        expect(placed).toEqual(spreadTwins(pieces, shelves, random(seed)));
        expect(placed).toHaveLength(pieces.length);
        const at = new Map(placed.map((one) => [one.id, one]));
        for (let g = 0; g < groups; g++) {
          const [a, b] = [at.get(String(g * 2))!, at.get(String(g * 2 + 1))!];
          if (pieces[g * 2]!.runny) {
            expect(Math.max(a.shelf, b.shelf)).toBeLessThanOrEqual(Math.ceil(shelves / 2));
            expect(a.cookie && b.cookie).toBe(true);
          } else expect(a.shelf).not.toBe(b.shelf);
        }
        for (let shelf = 1; shelf <= shelves; shelf++) {
          const here = placed.filter((one) => one.shelf === shelf);
          const front = here.filter((one) => one.front).length;
          expect(Math.abs(front * 2 - here.length)).toBeLessThanOrEqual(1);
        }
      },
    ),
  );
});

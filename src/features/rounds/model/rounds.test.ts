import type { RoundCell } from '@/records/rounds';
import { partsOf, verdictLine, verdictsOf, type TestVerdict } from './parts';
import { isLate, stepsOf, trendsOf } from './progress';
import { entriesOfCell, factorialRound, layOut, PLAIN_PUT, type NamedRecipe } from '@/core/rounds';
import { FIRST_SETUP, knownOf, named, pieceOf, questionOf, type Setup } from './setup';
import { suggestTests } from './suggest';

const id = (n: number) => `01ARZ3NDEKTSV4RRFFQ69G5FA${n}`;
const glaze = (
  n: number,
  name: string,
  lines: NamedRecipe['lines'] = [{ material: 'Silica', amount: 1 }],
) => ({
  id: id(n),
  name,
  kind: 'glaze' as const,
  colour: '#777777',
  lines,
});
const GLAZES = [glaze(1, 'Limewash'), glaze(2, 'Sleeper'), glaze(3, 'Jar', null)];
const plan = (setup: Partial<Setup>) => {
  const asked = { ...FIRST_SETUP, bodies: ['b'], ...setup };
  const laid = layOut(questionOf(asked, pieceOf(asked, [])), GLAZES);
  return typeof laid === 'string' ? laid : laid.plan;
};

describe('the page where a round is made', () => {
  test.each([
    [{ kind: 'crazing', glazes: [] }, 'Choose a glaze.'],
    [{ kind: 'line', glazes: [id(1)] }, 'Choose 2 glazes.'],
    [{ kind: 'overlap', glazes: [id(1)] }, 'Choose at least 2 glazes.'],
    [{ kind: 'line', glazes: [id(1), id(3)] }, /Jar has no recipe/],
    [{ kind: 'clays', glazes: [id(1)] }, /at least two clays/],
    [{ kind: 'coats', glazes: [id(1)], steps: 10_000 }, /10000 tests: more than 1000/],
    [{ kind: 'line', glazes: [id(1), id(2)], steps: 2000 }, /^2000 tests/],
    [{ kind: 'free', tests: [] }, 'Add the first test.'],
    [{ kind: 'line', glazes: [id(1), id(2)], steps: 1 }, /steps must be a whole number/],
    [{ kind: 'ladder', glazes: [id(1)], additions: [{ material: ' ', step: 1 }] }, /what is added/],
  ] as const)('%j is answered in words', (setup, words) =>
    expect(plan(setup as Partial<Setup>)).toMatch(words),
  );

  test('a glaze without a recipe may be overlapped, and names stand where ids were', () => {
    const laid = plan({ kind: 'overlap', glazes: [id(1), id(3)], singlesTwice: false });
    if (typeof laid === 'string') throw new Error(laid);
    expect(laid.cells.map((cell) => named(cell.words, GLAZES))).toEqual([
      'Limewash once',
      'Jar over Limewash',
      'Limewash over Jar',
      'Jar once',
    ]);
  });

  test('a free round takes any tests, each as it was put together', () => {
    const stack = [
      { glaze: id(1), times: 2, ...PLAIN_PUT },
      { glaze: id(3), times: 1, ...PLAIN_PUT },
    ];
    const laid = plan({ kind: 'free', tests: [{ stack }, { stack: stack.slice(0, 1) }] });
    if (typeof laid === 'string') throw new Error(laid);
    expect(laid.cells.map((cell) => named(cell.words, GLAZES))).toEqual([
      'Jar over Limewash twice',
      'Limewash twice',
    ]);
  });

  test('several things at once are balanced, and a fraction says what it cannot tell apart', () => {
    const corners = GLAZES.slice(0, 2).map(({ id: name }) => ({ name }));
    const factors = { glazes: corners, bodies: ['x', 'y'], coats: [1, 2] };
    expect(factorialRound(factors, 8)).toMatchObject({ aliases: [] });
    const half = factorialRound(factors, 4);
    expect(half.plan.cells).toHaveLength(4);
    expect(half.aliases.join()).toMatch(/coats/);
  });

  test('a cell is known only on its clay, at its cone, in its atmosphere', () => {
    const [cell] = (
      plan({ kind: 'coats', glazes: [id(1)], steps: 1 }) as Exclude<ReturnType<typeof plan>, string>
    ).cells;
    const six = { cone: '6', atmosphere: 'oxidation' } as const;
    const piece = pieceOf(FIRST_SETUP, []);
    const kindOf = () => 'glaze' as const;
    const [entry] = entriesOfCell(cell!.stack!, piece, 'b', six, kindOf);
    const known = {
      ...{ entry: entry!, bodyId: 'b', slips: [], proofs: 2, agreeing: 2, swatchHash: null },
      ...six,
    };
    const all = new Map([[entry!, { ...known, stack: [] }]]);
    const at = { piece, bodyId: 'b', target: six, kindOf };
    expect(knownOf(cell!, at, all)).toBe(all.get(entry!));
    // The clay and the target are the cell's own.
    expect(knownOf({ ...cell!, body: 'other' }, at, all)).toBeUndefined();
    expect(knownOf({ ...cell!, target: { ...six, cone: '10' } }, at, all)).toBeUndefined();
    // Of a test of two zones both have to be known, and the less known one speaks.
    const two = { ...cell!, stack: [...cell!.stack!, { glaze: id(2), times: 1, bands: [UPPER] }] };
    expect(knownOf(two, at, all)).toBeUndefined();
    const both = entriesOfCell(two.stack, piece, 'b', six, kindOf);
    const weak = { ...known, entry: both[1]!, proofs: 1, agreeing: 1, stack: [] };
    expect(knownOf(two, at, new Map([...all, [both[1]!, weak]]))).toBe(weak);
  });
});

const UPPER = { side: 'outside', from: 0.5, to: 1 } as const;

const plainCell = (column: number, more: Partial<RoundCell['pieces'][number]> | null = {}): RoundCell => ({
  id: String(column),
  label: `A${column + 1}`,
  row: 0,
  column,
  words: '',
  parts: {},
  recipe: null,
  stack: [],
  mixture: null,
  bodyId: 'b',
  body: 'b',
  texture: null,
  block: 0,
  cone: '6',
  atmosphere: 'oxidation',
  pieces: [
    {
      ...{ id: '', label: '', fate: null, photoHash: null, colour: null, palette: null, defects: [] },
      ...(more
        ? { step: 'read', firingId: 'f', surface: 'gloss', movement: 'stable', ...more }
        : { step: 'made', firingId: null, surface: null, movement: null }),
    },
  ],
});

describe('what a tray says', () => {
  const cell = plainCell;
  const crazed = { defects: [{ defect: 'crazing', severity: 2 }] };

  test('where it stops crazing and where it turns matte; nothing where it goes to and fro', () => {
    const row = [cell(0, crazed), cell(1, crazed), cell(2, {}), cell(3, { surface: 'matte' })];
    expect(trendsOf(row).map((trend) => trend.words)).toEqual([
      'gloss up to A3, not from A4 on',
      'crazing up to A2, not from A3 on',
      'matte from A4 on',
    ]);
    expect(trendsOf([cell(0, crazed), cell(1, {}), cell(2, crazed)])).toEqual([]);
    expect(trendsOf([cell(0, crazed), cell(1, null), cell(2, null)])).toEqual([]);
    const split = { ...cell(3, {}), pieces: [...cell(3, {}).pieces, ...cell(3, crazed).pieces] };
    expect(trendsOf([cell(0, crazed), cell(1, crazed), cell(2, {}), split])).toEqual([
      { words: 'crazing up to A2, not from A3 on (but A4 1 of 2)' },
    ]);
  });

  test('a round is late only while something is still to be read', () => {
    const dueOn = '2026-03-01';
    const today = '2026-03-03';
    expect(isLate({ dueOn }, stepsOf([cell(0, {}), cell(1, null)]), today)).toBe(true);
    expect(isLate({ dueOn }, stepsOf([cell(0, {})]), today)).toBe(false);
    expect(isLate({ dueOn }, { made: 1 }, '2026-03-01')).toBe(false);
    expect(isLate({ dueOn: null }, { made: 1 }, today)).toBe(false);
  });
});

test('parts of a round are set apart by what varies, and clay, texture and firing are judged test by test', () => {
  const at = (column: number, block: number, more: Partial<RoundCell>): RoundCell => ({
    ...plainCell(column),
    ...{ block, stack: [{ glaze: `g${column}`, name: `G${column}`, colour: '', times: 2 }] },
    ...more,
  });
  const matte = { pieces: [{ ...plainCell(0).pieces[0]!, surface: 'matte' }] };
  const cells = [
    ...[at(0, 0, { body: 'red' }), at(1, 0, { body: 'red' })],
    ...[at(0, 1, { body: 'white', ...matte }), at(1, 1, { body: 'white' })],
  ];
  expect(partsOf(cells).map(({ words, cells: own }) => [words, own.length])).toEqual([
    ['red', 2],
    ['white', 2],
  ]);
  const [clay, ...others] = verdictsOf(cells);
  expect(others).toEqual([]);
  expect(clay!.tests.map(({ words, matters }) => [words, matters])).toEqual([
    ['G0 twice', 'may'],
    ['G1 twice', 'hardly'],
  ]);
  expect(verdictLine(clay!)).toBe('The clay may matter for 1 of 2 tests.');
  const [second] = clay!.tests.slice(1);
  const line = (...tests: Partial<TestVerdict>[]) =>
    verdictLine({ factor: 'clay', tests: tests.map((more) => ({ ...second!, ...more })) });
  expect(line({})).toBe('The clay hardly matters (by 1 piece of each).');
  expect(line({ matters: 'plainly' })).toBe('The clay matters.');
  expect(line({ matters: 'plainly' }, { matters: 'may' }, { matters: null })).toBe(
    'The clay matters for 1 of 2 tests; it may for 1 more (1 test not read yet).',
  );
  expect(partsOf(cells.slice(0, 2))).toMatchObject([{ words: '' }]);
  // Tests that differ in the cone too are not set against each other.
  const elsewhere = [at(0, 0, { body: 'red' }), at(0, 1, { body: 'white', cone: '10' })];
  expect(verdictsOf(elsewhere)).toEqual([]);
});

test('a suggestion fills the most wanted gaps first, says why, and leaves out what is coming already', () => {
  const one = (stack: { glaze: string; times: number }[], proofs: number, agreeing: number) => ({
    ...({ bodyId: 'b', cone: '6', atmosphere: 'oxidation', entry: '' } as const),
    slips: [],
    stack: stack.map((layer) => ({ ...layer, way: 'dipped' as const })),
    proofs,
    agreeing,
    swatchHash: null,
  });
  const over = (below: number, top: number) => [
    { glaze: id(below), times: 1 },
    { glaze: id(top), times: 1 },
  ];
  const asked = {
    glazes: GLAZES.slice(0, 2),
    known: [one([{ glaze: id(1), times: 1 }], 3, 3), one([{ glaze: id(2), times: 1 }], 2, 1)],
    underWay: [over(1, 2), over(1, 2), over(1, 2)],
    wanted: [{ baseId: id(2), topId: id(1), times: 4 }],
    cases: [],
    places: 4,
  };
  const list = suggestTests(asked);
  expect(list[0]).toMatchObject({
    words: 'Limewash over Sleeper',
    why: 'no tile on this clay yet; searched for 4 times',
  });
  expect(list.map((each) => each.words)).not.toContain('Sleeper over Limewash');
  expect(list.map((each) => each.words)).not.toContain('Limewash once');
  expect(new Set(list.map((each) => each.key)).size).toBe(4);
  const differing = suggestTests({ ...asked, wanted: [], underWay: [], places: 6 }).find(
    (each) => each.words === 'Sleeper once',
  );
  expect(differing?.why).toBe('twins differ: 1 of 2 agree');
  const inCase = suggestTests({ ...asked, wanted: [], underWay: [], cases: [[id(1), id(2)]], places: 2 });
  expect(inCase.map((each) => each.why)).toEqual([
    'no tile on this clay yet; an open case is about it',
    'no tile on this clay yet; an open case is about it',
  ]);
});

import { crazingRound, overlapGrid } from '@/core/rounds';
import { newId, NotFound, Refusal } from '@/records/platform';
import { partsOf, verdictsOf } from '@/features/rounds/model/parts';
import { advanceFiring, loadPieces, queueOf } from '@/records/firings';
import { fitTiles, listBodies, listGlazes, saveBody } from '@/records/materials';
import { openingOf } from '@/records/openings';
import { piecesById } from '@/records/pieces';
import {
  comingStacks,
  glazeCells,
  knownStacks,
  listRounds,
  roundPage,
  firedRungs,
  saveRound,
  type RoundDraft,
  todayIn,
} from '@/records/rounds';
import { listFailedLookups, recordFailedLookup } from '@/records/dictionary';
import { emptyFiring, freshStudio, readAll, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => (studio = await freshStudio('rounds')));
afterAll(async () => studio.base.destroy());

const LINES = [
  { material: 'Soda feldspar', amount: 45 },
  { material: 'Silica', amount: 20 },
  { material: 'Whiting', amount: 20 },
  { material: 'Kaolin', amount: 15 },
];

const ONE_PART = { texture: null, block: 0, cone: '6', atmosphere: 'oxidation' } as const;

function draft(more: Partial<RoundDraft> = {}): RoundDraft {
  const { cells, rows, columns, shape } = crazingRound({ name: 'Limewash', lines: LINES }, 3);
  return {
    id: newId(),
    name: 'Away from crazing',
    kind: 'crazing',
    setup: { steps: 3 },
    shape,
    rows,
    columns,
    form: 'tile',
    formId: null,
    heightMm: 100,
    widthMm: 60,
    twins: 2,
    cone: '6',
    atmosphere: 'oxidation',
    dueOn: '2026-03-01',
    colour: '#eeeeee',
    unlessUnderWay: false,
    cells: cells.map(({ label, row, column, words, lines, parts }) => ({
      label,
      row,
      column,
      words,
      parts,
      recipe: lines!,
      stack: null,
      bodyId: studio.bodyId,
      ...ONE_PART,
    })),
    ...more,
  };
}

test('a round is laid out in one step: cells, test glazes with their recipes, and numbered twins; twice is once', async () => {
  const { base, member } = studio;
  const round = draft();
  expect(await saveRound(base, member, round)).toBe(1);
  expect(await saveRound(base, member, round)).toBe(1);
  const { cells } = await roundPage(base, round.id);
  expect(cells.map((cell) => [cell.label, cell.pieces.length, cell.pieces[0]!.step])).toEqual([
    ['A1', 2, 'made'],
    ['A2', 2, 'made'],
    ['A3', 2, 'made'],
  ]);
  const labels = cells.flatMap((cell) => cell.pieces.map((piece) => piece.label));
  expect(new Set(labels).size).toBe(6);
  const glazes = await listGlazes(base);
  const withTests = await listGlazes(base, { tests: true });
  expect(withTests.length - glazes.length).toBe(3);
  expect(cells[1]!.stack[0]!.name).toMatch(/^R1 A2 Limewash \+ 1.25 % Silica/);
  await expect(roundPage(base, newId())).rejects.toThrow(NotFound);
});

test('two people laying out at once get two numbers; a blend without a recipe is refused and leaves nothing behind', async () => {
  const { base, member } = studio;
  const numbers = await Promise.all([saveRound(base, member, draft()), saveRound(base, member, draft())]);
  expect([...numbers].sort()).toEqual([2, 3]);
  const before = await base('piece').count('* as n').first();
  const bare = draft();
  const broken = {
    ...bare,
    cells: bare.cells.map((cell, i) => (i === 2 ? { ...cell, recipe: null } : cell)),
  };
  await expect(saveRound(base, member, broken)).rejects.toThrow(Refusal);
  expect(await base('piece').count('* as n').first()).toEqual(before);
  expect(await base('round').where({ id: broken.id }).first()).toBeUndefined();
});

test('its pieces are followed from made to read, and what was read counts as evidence of fit', async () => {
  const { base, member } = studio;
  const round = draft({ name: 'Followed' });
  await saveRound(base, member, round);
  const page = () => roundPage(base, round.id);
  const stepsOf = async () => [...new Set((await page()).cells.flatMap((c) => c.pieces.map((p) => p.step)))];
  const ids = (await page()).cells.map((cell) => cell.id);
  expect(await glazeCells(base, member, ids)).toBe(6);
  expect(await glazeCells(base, member, ids)).toBe(0);
  expect(await stepsOf()).toEqual(['glazed']);
  expect((await todayIn(base, new Date())).rounds.map((one) => one.name)).toContain('Followed');
  const firingId = await emptyFiring(studio);
  const pieces = (await page()).cells.flatMap((cell) => cell.pieces);
  await loadPieces(
    base,
    member,
    firingId,
    pieces.map((piece) => ({ pieceId: piece.id, shelf: 1 })),
  );
  expect(await stepsOf()).toEqual(['loaded']);
  await advanceFiring(base, member, firingId, 'open');
  await readAll(studio, firingId, (n) =>
    n < 2 ? { defects: [{ defect: 'crazing', severity: 2, place: 'everywhere' }] } : {},
  );
  expect(await stepsOf()).toEqual(['read']);
  const [first] = (await page()).cells;
  expect(first!.pieces[0]).toMatchObject({ surface: 'gloss', defects: [{ defect: 'crazing', severity: 2 }] });
  const tiles = (await fitTiles(base)).map(({ crazed, count }) => [crazed, count]);
  expect(tiles).toEqual(
    expect.arrayContaining([
      [true, 2],
      [false, 2],
    ]),
  );
  const rungs = (await firedRungs(base, studio.bodyId)).filter((rung) => rung.round.id === round.id);
  expect(rungs.map(({ words, read, crazed }) => [words, read, crazed])).toEqual(
    round.cells.map(({ words }, i) => [words, 2, i === 0 ? 2 : 0]),
  );
  expect(rungs[1]!.lines).toEqual(round.cells[1]!.recipe);
  expect(await firedRungs(base, newId())).toEqual([]);
  const summary = (await listRounds(base)).find((one) => one.id === round.id)!;
  expect(summary.steps).toEqual({ read: 6 });
});

test('what the dictionary holds of dipped stacks is known by glaze, times, clay, cone and atmosphere', async () => {
  const { base, member, glazes, bodyId } = studio;
  const { cells, rows, columns, shape } = overlapGrid([{ name: glazes.Sleeper }, { name: glazes.Limewash }]);
  const round = draft({
    kind: 'overlap',
    rows,
    columns,
    shape,
    cells: cells.map(({ label, row, column, words, parts, stack }) => ({
      ...{ label, row, column, words, parts, recipe: null, bodyId, ...ONE_PART },
      stack: stack!,
    })),
  });
  await saveRound(base, member, round);
  const laid = await roundPage(base, round.id);
  await glazeCells(
    base,
    member,
    laid.cells.map((cell) => cell.id),
  );
  const firingId = await emptyFiring(studio);
  const pieces = laid.cells.flatMap((cell) => cell.pieces);
  await loadPieces(
    base,
    member,
    firingId,
    pieces.map((piece) => ({ pieceId: piece.id, shelf: 1 })),
  );
  await advanceFiring(base, member, firingId, 'open');
  await readAll(studio, firingId);
  const known = await knownStacks(base);
  const over = known.find((one) => one.stack.length === 2 && one.stack[0]!.glaze === glazes.Sleeper)!;
  expect(over).toMatchObject({ bodyId, cone: '6', atmosphere: 'oxidation', proofs: 2, agreeing: 2 });
  expect(over.stack.map((layer) => layer.times)).toEqual([1, 1]);
});

test('two people accepting the same suggestion: the second is told which round has it', async () => {
  const { base, member, glazes, bodyId } = studio;
  const suggestion = () =>
    draft({
      kind: 'free',
      unlessUnderWay: true,
      cells: [
        {
          ...{
            label: 'A1',
            row: 0,
            column: 0,
            words: 'Limewash three times',
            parts: {},
            recipe: null,
            bodyId,
            ...ONE_PART,
          },
          stack: [{ glaze: glazes.Limewash, times: 3 }],
        },
      ],
    });
  const both = await Promise.allSettled([
    saveRound(base, member, suggestion()),
    saveRound(base, member, suggestion()),
  ]);
  expect(both.map((one) => one.status).sort()).toEqual(['fulfilled', 'rejected']);
  const refused = both.find((one) => one.status === 'rejected')!;
  expect(refused.reason).toMatchObject({
    field: 'cells',
    message: expect.stringMatching(/^Limewash three times is in round \d+, Away from crazing already/),
  });
  expect((await comingStacks(base)).some((one) => one.stack[0]!.times === 3)).toBe(true);
});

test('a look-up in vain is wanted when it names two glazes in full, and counted', async () => {
  const { base, glazes } = studio;
  for (const text of [
    'Whitestrip over Sleeper',
    ' whitestrip OVER sleeper',
    'whitestrip over sle',
    'nothing',
  ])
    await recordFailedLookup(base, text);
  expect(await listFailedLookups(base)).toEqual([
    { baseId: glazes.Sleeper, topId: glazes.Whitestrip, times: 2 },
  ]);
});

test('the same test on two clays at two cones is glazed, queued and read by its part, and the page says what matters', async () => {
  const { base, member, glazes, bodyId } = studio;
  const other = newId();
  const [clay] = await listBodies(base);
  await saveBody(base, member, { ...clay!, id: other, name: 'Tunnel Black' }, null);
  const bands = [{ side: 'inside', from: 0, to: 1 }] as const;
  const stack = [
    { glaze: glazes.Whitestrip, times: 1, method: 'brush' as const },
    { glaze: glazes.Sleeper, times: 2, bands },
  ];
  const at = (block: number, body: string, cone: '6' | '10'): RoundDraft['cells'][number] => ({
    ...{
      label: `${block + 1}-A1`,
      row: 0,
      column: 0,
      words: 'Sleeper inside',
      parts: {},
      recipe: null,
      stack,
    },
    ...{ bodyId: body, texture: 'combed', block, cone, atmosphere: 'oxidation' },
  });
  const cells = [at(0, bodyId, '6'), at(1, bodyId, '10'), at(2, other, '6'), at(3, other, '10')];
  const round = draft({ kind: 'free', form: 'cup', heightMm: 90, widthMm: 80, rows: 1, columns: 1, cells });
  await saveRound(base, member, round);
  const laid = (await roundPage(base, round.id)).cells;
  await glazeCells(
    base,
    member,
    laid.map(({ id }) => id),
  );
  const pieces = laid.flatMap((cell) => cell.pieces);
  const [cup] = await piecesById(base, [pieces[0]!.id]);
  expect(cup).toMatchObject({ form: 'cup', heightMm: 90, texture: { outside: ['combed'] } });
  expect(cup!.coats.map(({ method, side, from, times }) => [method, side, from, times])).toEqual([
    ['brush', 'outside', 0.1, 1],
    ['dip', 'inside', 0, 2],
  ]);
  const queue = await queueOf(base, new Date());
  const wanted = queue.proposals.map(({ cone }) => cone);
  expect(wanted).toEqual(expect.arrayContaining(['6', '10']));
  // Those of cone 6 are fired; the black ones come out matte.
  const firingId = await emptyFiring(studio);
  const six = laid.filter(({ cone }) => cone === '6').flatMap((cell) => cell.pieces);
  await loadPieces(
    base,
    member,
    firingId,
    six.map((piece) => ({ pieceId: piece.id, shelf: 1 })),
  );
  await advanceFiring(base, member, firingId, 'open');
  const black = new Set(laid[2]!.pieces.map(({ id }) => id));
  const { pieces: opened } = await openingOf(base, firingId);
  await readAll(studio, firingId, (n) => (black.has(opened[n]!.id) ? { surface: 'matte' } : {}));
  const page = await roundPage(base, round.id);
  expect(partsOf(page.cells).map(({ words }) => words)).toHaveLength(4);
  const [byClay, byFire] = verdictsOf(page.cells);
  expect(byClay!.tests.map(({ matters }) => matters)).toEqual(['may', null]);
  expect(byClay!.tests[0]!.differences[0]).toBe(
    `gloss: 2 of 2 on ${clay!.name}, 0 of 2 on Tunnel Black (so few may be chance)`,
  );
  expect(byFire!.tests.every(({ matters }) => matters === null)).toBe(true);
});

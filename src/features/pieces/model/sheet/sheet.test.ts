import { METRIC } from '@/core/units';
import type { GlazeChoice } from '../draft';
import { completed, namedForms, patternsOf, type SheetBook } from './book';
import { moved, visibleColumns } from './moves';
import { firstChunk, waitingRows } from './outbox';
import { pasted } from './paste';
import { readRow } from './readRow';
import { copied, EMPTY_CELLS, filledDown, newRow, rowAfter, withCell, type Cells, type Row } from './rows';

const glaze = (name: string, more: Partial<GlazeChoice> = {}): GlazeChoice => ({
  ...{ id: name, name, kind: 'glaze', colour: '#888888', advice: '', usualMethod: null, usualTimes: null },
  ...{ movement: null, opaque: null, versionId: `${name} 1`, versions: [], batches: [] },
  ...more,
});
const own = {
  ...{ id: 'own', name: 'Signal beaker', form: 'tumbler' as const, profile: null as never },
  ...{ heightMm: 120, widthMm: 80, bands: [] },
};
const book: SheetBook = {
  bodies: [
    { id: 'white', name: 'Buffer White', colour: '#eeeeee' },
    { id: 'black', name: 'Tunnel Black', colour: '#222222' },
  ],
  glazes: [
    ...[glaze('Ash Tip'), glaze('Limewash'), glaze('Sleeper', { usualMethod: 'brush', usualTimes: 3 })],
    glaze('Slate Bank'),
  ],
  patterns: patternsOf([
    {
      ...{ id: 'P', name: 'Platform stripe', areas: [] },
      coats: [
        {
          ...{ glaze: 0, side: 'left', from: 0, to: 1, method: 'pour', times: 2 },
          ...{ area: null, not: [], wiped: false, cover: null },
        },
      ],
    },
  ]),
  forms: namedForms([own], ['tile', 'cup']),
  makers: [{ id: 'M', name: 'Ines' }],
  rooms: [{ litres: 250, shelfWidthMm: 600, shelfDepthMm: 600, roundShelves: false }],
};
const cells = (more: Partial<Cells>): Cells => ({
  ...EMPTY_CELLS,
  ...{ form: 'tumbler', clay: 'Buffer White', pattern: 'all over', glaze1: 'Limewash' },
  ...more,
});
const read = (more: Partial<Cells>) => readRow(cells(more), book, METRIC);
const coatsOf = (more: Partial<Cells>) =>
  read(more).piece!.coats.map(({ glazeId, side, from, to, method, times }) => [
    ...[glazeId, side, Number(from.toFixed(2)), Number(to.toFixed(2))],
    ...[method, times],
  ]);

test('letters mean the name they begin, then one with such a word; what stands above comes first', () => {
  expect(completed('glaze1', 'li', book)).toBe('Limewash');
  expect(completed('glaze1', 'ti', book)).toBe('Ash Tip');
  expect(completed('glaze1', 's', book)).toBe('Sleeper');
  expect(completed('glaze1', 's', book, ['Slate Bank'])).toBe('Slate Bank');
  expect(completed('glaze1', 'slate bank', book, ['Sleeper'])).toBe('Slate Bank');
  expect(completed('glaze1', 'Xyz', book)).toBe('Xyz');
  expect(completed('note', 'li', book)).toBe('li');
});

test('a pattern lays the glazes of a row, in their usual way unless the row says how often', () => {
  const over = { pattern: 'under all over, over inside and rim', glaze1: 'Limewash', glaze2: 'Sleeper' };
  expect(coatsOf(over)).toEqual([
    ['Limewash', 'outside', 0, 1, 'dip', 1],
    ['Limewash', 'inside', 0, 1, 'dip', 1],
    ['Sleeper', 'inside', 0, 1, 'brush', 3],
    ['Sleeper', 'outside', 0.93, 1, 'brush', 3],
  ]);
  expect(coatsOf({ ...over, times: '2 1' }).map((coat) => coat[5])).toEqual([2, 2, 1, 1]);
  expect(coatsOf({ pattern: 'once, twice above', times: '1' })).toEqual([
    ['Limewash', 'outside', 0, 1, 'dip', 1],
    ['Limewash', 'inside', 0, 1, 'dip', 1],
    ['Limewash', 'outside', 0.5, 1, 'dip', 1],
  ]);
  const thirds = { pattern: 'thirds: lower two, upper two', glaze2: 'Ash Tip' };
  expect(read(thirds).problems).toEqual({});
  expect(coatsOf(thirds)).toHaveLength(2);
  expect(coatsOf({ ...thirds, glaze3: 'Sleeper' }).at(-1)).toEqual(['Sleeper', 'inside', 0, 1, 'brush', 3]);
});

test('the studio’s own pattern and form are taken as they were kept; a form without its sides is refused', () => {
  const tile = { form: 'tile', pattern: 'Platform stripe' };
  expect(coatsOf(tile)).toEqual([['Limewash', 'left', 0, 1, 'pour', 2]]);
  expect(read(tile).piece!.split).toBe(true);
  expect(read({ pattern: 'Platform stripe' }).problems).toEqual({
    pattern: 'It does not go on a tumbler.',
  });
  expect(read({ form: 'tile', pattern: 'liner and outside', glaze2: 'Sleeper' }).problems.pattern).toMatch(
    /does not go on a tile/,
  );
  expect(read({ form: 'signal beaker' }).piece).toMatchObject({ formId: 'own', heightMm: 120 });
});

test.each([
  ['12 x 8', { heightMm: 120, widthMm: 80 }],
  ['12,5x8', { heightMm: 125, widthMm: 80 }],
  ['9', { heightMm: 90 }],
])('a size of %s is height and width', (size, mm) => {
  expect(read({ size }).piece).toMatchObject(mm);
});

test('a size that fits no kiln is asked about, not refused', () => {
  expect(read({ size: '78 x 20' })).toMatchObject({ isTooLarge: true, problems: {} });
  expect(read({ size: '48 x 20' })).toMatchObject({ isTooLarge: false });
});

test('inches are read as inches, and one figure of a plate is how far it measures across', () => {
  const inches = readRow(cells({ size: '4 x 3' }), book, { ...METRIC, length: 'in' });
  expect(inches.piece!.heightMm).toBeCloseTo(101.6, 6);
  expect(read({ form: 'plate', size: '26' }).piece).toMatchObject({ heightMm: 260, widthMm: 260 });
});

test.each<[Partial<Cells>, Partial<Record<keyof Cells, string>>]>([
  [{ glaze1: 'Limwash' }, { glaze1: 'No glaze “Limwash”. Meant Limewash?' }],
  [{ glaze1: '' }, { glaze1: 'Choose the glaze.' }],
  [{ glaze2: 'Sleeper' }, { glaze2: '“all over” takes 1.' }],
  [{ pattern: '' }, { glaze1: 'Choose a pattern for it first.' }],
  [{ clay: '' }, { clay: 'Choose a clay.' }],
  [{ size: '0.1' }, { size: 'From 0.5 cm to 2 m.' }],
  [{ size: 'tall' }, { size: 'Height, or height x width, as 12 x 8.' }],
  [{ times: 'two' }, { times: 'Whole numbers, as 2, or 2 1 for two glazes.' }],
  [{ pieces: '61' }, { pieces: 'A whole number up to 60.' }],
  [{ maker: 'Nobody' }, { maker: 'No maker “Nobody”.' }],
])('%j is refused at its cell', (more, problems) => {
  expect(read(more).problems).toEqual(problems);
});

test('a coat for every piece lies on top; a form that has not its place is told', () => {
  const foot = [{ glazeId: 'Ash Tip', method: 'spray' as const, place: 'foot 2 cm' }];
  const all = readRow(cells({}), book, METRIC, foot);
  expect(all.piece!.coats.at(-1)).toMatchObject({
    glazeId: 'Ash Tip',
    method: 'spray',
    side: 'outside',
    from: 0,
  });
  expect(readRow(cells({ form: 'plate' }), book, METRIC, foot).problems.form).toMatch(/has no “foot 2 cm”/);
});

const rows = (...all: Partial<Cells>[]): Row[] => all.map((one) => newRow(cells(one), false));
const words = (all: readonly Row[], column: keyof Cells) => all.map((row) => row.cells[column]);

test('a new row is offered like the one above, its own number one higher, and counts once it is typed in', () => {
  const [first] = rows({ number: 'T09', note: 'thin', pieces: '4' });
  const offered = rowAfter(first!);
  expect(offered).toMatchObject({
    isOffered: true,
    cells: { number: 'T10', note: '', pieces: '', glaze1: 'Limewash' },
  });
  // Typing the same again says that it is the same again.
  expect(withCell([first!, offered], 1, 'glaze1', 'Limewash')[1]!.isOffered).toBe(false);
  expect(withCell([first!, offered], 0, 'glaze1', 'Limewash')[1]!.isOffered).toBe(true);
  expect(words(filledDown(rows({ number: '7' }, {}, {}), 0, 'number'), 'number')).toEqual(['7', '8', '9']);
  expect(copied(rows({}), 0).map(({ isOffered }) => isOffered)).toEqual([false, false]);
});

test('Tab passes what a row has no use for, Enter goes down to where the work began, and offers a row once', () => {
  const all = rows({}, {});
  const visible = visibleColumns(all, book);
  expect(visible).toContain('glaze2');
  const go = (
    how: Parameters<typeof moved>[2],
    row: number,
    column: keyof Cells,
    list: readonly Row[] = all,
  ) => moved(list, { row, column }, how, 'glaze1', visible, book);
  expect(go('next', 0, 'glaze1').at).toEqual({ row: 0, column: 'times' });
  expect(go('previous', 0, 'times').at).toEqual({ row: 0, column: 'glaze1' });
  expect(go('next', 0, 'note').at).toEqual({ row: 1, column: 'number' });
  expect(go('enter', 0, 'times').at).toEqual({ row: 1, column: 'glaze1' });
  expect(go('down', 1, 'times').at).toEqual({ row: 1, column: 'times' });
  const more = go('enter', 1, 'glaze1');
  expect([more.at, more.rows.length, more.rows[2]!.isOffered]).toEqual([
    { row: 2, column: 'glaze1' },
    3,
    true,
  ]);
  expect(go('enter', 2, 'glaze1', more.rows).rows).toHaveLength(3);
});

test('a table is pasted from the cell on, or under the titles of its first line', () => {
  const visible = visibleColumns(rows({}), book);
  const plain = pasted(
    rows({}, {}),
    'lim\tsleeper\r\nash\t\r\n',
    { row: 1, column: 'glaze1' },
    visible,
    book,
  );
  expect(words(plain.rows, 'glaze1')).toEqual(['Limewash', 'Limewash', 'Ash Tip']);
  expect(words(plain.rows, 'glaze2')).toEqual(['', 'Sleeper', '']);
  const titled = 'Clay\tColour\tGlaze\nTunnel Black\tblue\tSlate\n';
  const named = pasted(rows({}), titled, { row: 0, column: 'note' }, visible, book);
  expect(named.rows[0]!.cells).toMatchObject({ clay: 'Tunnel Black', glaze1: 'Slate Bank', note: '' });
  expect(named.left).toBe(1);
  const many = Array.from({ length: 1200 }, (_, i) => `a${i}\tb`).join('\n');
  const full = pasted(rows({}), many, { row: 0, column: 'glaze1' }, visible, book);
  expect([full.rows.length, full.left]).toEqual([1000, 200]);
  const nonsense = pasted(rows({}), '"\t;\n\u0000\t"', { row: 0, column: 'note' }, visible, book);
  expect(
    nonsense.rows.every((row) => Object.values(row.cells).every((cell) => typeof cell === 'string')),
  ).toBe(true);
});

test('rows go in their order, sixty pieces at a time, a row never in two requests, a series in each', () => {
  const all = rows({ pieces: '50' }, { pieces: '10' }, { pieces: '1' }).map((row) => ({
    row,
    read: readRow(row.cells, book, METRIC),
  }));
  const waiting = waitingRows(all, { series: 'SW', orderId: null });
  expect(waiting.map(({ ids }) => [ids[0], new Set(ids).size])).toEqual(
    all.map(({ row, read: { count } }) => [row.id, count]),
  );
  expect(firstChunk(waiting)).toEqual(waiting.slice(0, 2));
  expect(firstChunk(waiting.slice(2))).toEqual(waiting.slice(2));
  // Another series is another request.
  expect(firstChunk([waiting[2]!, ...waitingRows(all, { series: 'T', orderId: null })])).toEqual([
    waiting[2],
  ]);
});

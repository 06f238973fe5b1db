import type { Heat } from '@/core/vocabulary';
import type { WallEntry } from '@/records/dictionary';
import { cellKey, cellsOf } from './cells';
import { chooseWall, onlyWall, wallSearch } from './choose';
import { switchedCells } from './wallSwitch';
import { inOrder, type Order } from './order';
import { paramsOf } from '../server/wallOf';
import { fitting, inView, stepped } from './zoom';

const entry = (more: Partial<WallEntry>): WallEntry => ({
  id: 'e',
  headwordId: 'h',
  groundId: 'light',
  baseId: 'A',
  topId: 'B',
  baseTimes: 1,
  topTimes: 1,
  proofs: 1,
  agreeing: 1,
  worstDefect: null,
  worstSeverity: null,
  colour: null,
  swatchHash: null,
  surface: null,
  movement: null,
  ...more,
});

test('a cell shows once below and twice above, on the light ground left and the dark one right', () => {
  const all = [entry({}), entry({ topTimes: 2 }), entry({ groundId: 'dark', topTimes: 2 })];
  const cell = cellsOf(all, ['light', 'dark']).get(cellKey('A', 'B'))!;
  expect(cell.quarters[0]).toEqual({ once: all[0], twice: all[1] });
  expect(cell.quarters[1]).toEqual({ once: null, twice: all[2] });
});

test('the thinnest base is shown, and the order of glazes makes two cells', () => {
  const [thick, thin] = [entry({ baseTimes: 2 }), entry({ baseTimes: 1 })];
  expect(cellsOf([thick, thin], ['light']).get('A.B')!.quarters[0]!.once).toBe(thin);
  expect([...cellsOf([entry({}), entry({ baseId: 'B', topId: 'A' })], ['light']).keys()]).toEqual([
    'A.B',
    'B.A',
  ]);
});

test('the worst defect shown is the one in the corner; other grounds do not count', () => {
  const bad = entry({ worstDefect: 'pitting', worstSeverity: 2, topTimes: 2 });
  const worse = entry({ worstDefect: 'crawling', worstSeverity: 3, groundId: 'elsewhere' });
  expect(cellsOf([entry({}), bad, worse], ['light']).get('A.B')!.worst).toBe(bad);
  expect(cellsOf([entry({})], ['light']).get('A.B')!.worst).toBeNull();
});

const id = (letter: string) => letter.repeat(26);
const setting = (groundId: string, colour: string, proofs: number, more = {}) => ({
  groundId,
  ground: groundId,
  slips: [] as string[],
  colour,
  cone: '6' as Heat,
  atmosphere: 'oxidation' as const,
  proofs,
  ...more,
});
const CHOICES = [
  setting(id('R'), '#874a30', 90),
  setting(id('W'), '#874a30', 80, { slips: ['white'] }),
  setting(id('P'), '#efece4', 5),
  setting(id('G'), '#c9a77c', 4, { cone: '10' as const, atmosphere: 'reduction' as const }),
];

test('an open address shows what is proved most, the lighter ground to the left', () => {
  expect(chooseWall({}, CHOICES)).toEqual({
    cone: '6',
    atmosphere: 'oxidation',
    grounds: [id('W'), id('R')],
  });
});

test('what the address asks for is shown when the studio has it, and nothing else', () => {
  expect(chooseWall({ left: id('P') }, CHOICES).grounds).toEqual([id('P'), id('W')]);
  expect(chooseWall({ cone: '10' }, CHOICES)).toEqual({
    cone: '10',
    atmosphere: 'reduction',
    grounds: [id('G')],
  });
  expect(chooseWall({ left: id('G'), right: "' or 1" }, CHOICES).grounds).toEqual([id('W'), id('R')]);
  expect(chooseWall({ cone: '99', atmosphere: 'vacuum' }, CHOICES).cone).toBe('6');
});

test('an empty studio has an empty wall', () => {
  expect(chooseWall({}, [])).toEqual({ cone: '6', atmosphere: 'oxidation', grounds: [] });
  expect(cellsOf([], []).size).toBe(0);
});

describe('orders', () => {
  const glaze = (name: string, colour: string) => ({ id: name, name, colour });
  const all = [
    glaze('Red', '#802020'),
    glaze('White', '#f0f0f0'),
    glaze('Blue', '#203080'),
    glaze('Dark red', '#601818'),
    glaze('Grey', '#808080'),
  ];
  const names = (order: Order, entries: readonly WallEntry[] = []) =>
    inOrder(all, order, entries).map(({ name }) => name);

  test('by name, by colour with greys before hues, and the studio’s own', () => {
    expect(names('own')).toEqual(all.map(({ name }) => name));
    expect(names('name')[0]).toBe('Blue');
    expect(names('colour').slice(0, 2)).toEqual(['White', 'Grey']);
  });

  test('likeness walks from the lightest to the nearest colour left', () => {
    const walk = names('likeness');
    expect(walk[0]).toBe('White');
    expect(walk[1]).toBe('Grey');
    expect(Math.abs(walk.indexOf('Red') - walk.indexOf('Dark red'))).toBe(1);
  });

  test('what came out on this wall goes before the card', () => {
    const runs = entry({ baseId: 'White', topId: 'White', movement: 'runs', colour: '#401010' });
    const stays = entry({ baseId: 'Blue', topId: 'Blue', movement: 'stable' });
    expect(names('movement', [runs, stays]).slice(0, 2)).toEqual(['Blue', 'White']);
    expect(names('colour', [runs])[0]).toBe('Grey');
  });
});

test('a flick shows the other order, coats or grounds at the same place', () => {
  const [once, twice] = [entry({}), entry({ topTimes: 2 })];
  const dark = entry({ groundId: 'dark' });
  const cells = cellsOf([once, twice, dark], ['light', 'dark']);
  expect([...switchedCells(cells, 'order').keys()]).toEqual(['B.A']);
  expect(switchedCells(cells, 'coats').get('A.B')!.quarters[0]).toEqual({ once: twice, twice: once });
  expect(switchedCells(cells, 'grounds').get('A.B')!.quarters[0]).toEqual({ once: dark, twice: null });
});

test('only what is in view stands in the page, at any zoom', () => {
  expect(inView(0, 600, 60, 60)).toEqual([0, 10]);
  expect(inView(1200, 600, 60, 60)).toEqual([19, 30]);
  expect(inView(0, 600, 60, 3)).toEqual([0, 2]);
  expect(fitting(60, 900)).toBe(12);
  expect(fitting(11, 900)).toBe(64);
  expect([stepped(64, 1), stepped(64, -1), stepped(640, 1), stepped(12, -1)]).toEqual([96, 42, 640, 12]);
});

test('an address of a wall shows the same wall again', () => {
  const choice = chooseWall({ cone: '6', left: id('P'), third: id('T') }, CHOICES);
  expect(chooseWall(paramsOf(wallSearch({ choice, order: 'colour' })), CHOICES)).toEqual(choice);
});

test('a link shows its own wall or nothing, never another in its place', () => {
  const asked = { cone: '6', atmosphere: 'oxidation', left: id('W'), right: id('R') };
  expect(onlyWall(asked, CHOICES)).toEqual(chooseWall(asked, CHOICES));
  expect(onlyWall({}, CHOICES).grounds).toEqual([id('W'), id('R')]);
  expect(onlyWall({ ...asked, left: id('X') }, CHOICES).grounds).toEqual([]);
  expect(onlyWall({ ...asked, cone: '04' }, CHOICES).grounds).toEqual([]);
  expect(onlyWall(asked, CHOICES.slice(3)).grounds).toEqual([]);
});

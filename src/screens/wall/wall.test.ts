import type { WallEntry } from '@/records/wall';
import { cellKey, cellsOf } from './cells';
import { chooseWall } from './choose';

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
  cone: '6',
  atmosphere: 'oxidation' as const,
  proofs,
  ...more,
});
const CHOICES = [
  setting(id('R'), '#874a30', 90),
  setting(id('W'), '#874a30', 80, { slips: ['white'] }),
  setting(id('P'), '#efece4', 5),
  setting(id('G'), '#c9a77c', 4, { cone: '10', atmosphere: 'reduction' as const }),
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

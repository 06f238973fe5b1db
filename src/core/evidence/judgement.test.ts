import { labOf } from '../colour';
import { judgementOf, type JudgedZone } from './judgement';

let n = 0;
const zone = (more: Partial<JudgedZone> = {}): JudgedZone => ({
  ...{
    pieceId: `p${n++}`,
    clay: 'Buffer White',
    cone: '6',
    atmosphere: 'oxidation',
    places: ['alone'],
    times: 1,
  },
  ...{ movement: null, breaks: null, colour: null, defects: [], differs: null, isHeld: null },
  ...more,
});

test('only pieces are counted: a piece is sound when all its zones are, and moved as far as its zone that moved most', () => {
  const zones = [
    zone({ pieceId: 'cup', movement: 'stable' }),
    zone({ pieceId: 'cup', movement: 'runs', defects: ['pinholing'] }),
    zone({ pieceId: 'tile', movement: 'stable' }),
    zone({ pieceId: 'tile', movement: null }),
    zone({ pieceId: 'plate', times: 3, defects: ['crawling', 'pinholing'] }),
  ];
  const { moves, thickness } = judgementOf(zones);
  expect(moves).toEqual([
    { movement: 'stable', count: 1 },
    { movement: 'runs', count: 1 },
  ]);
  expect(thickness).toEqual([
    { times: 1, sound: { count: 1, of: 2 } },
    { times: 3, sound: { count: 0, of: 1 } },
  ]);
});

test('over and under others are told apart, the commonest defect first', () => {
  const zones = [
    zone({ places: ['over'], defects: ['blistering'] }),
    zone({ places: ['over', 'under'], defects: ['blistering', 'running'] }),
    zone({ places: ['over'] }),
    zone({ places: ['under'] }),
  ];
  const { over, under } = judgementOf(zones);
  expect(over).toEqual({
    ...{ pieces: 3, sound: 1 },
    defects: [
      { defect: 'blistering', count: 2 },
      { defect: 'running', count: 1 },
    ],
  });
  expect([under.pieces, under.sound]).toEqual([2, 1]);
});

test('what nobody asked about is not counted, and what is not known of a firing is neither held nor not', () => {
  const zones = [
    zone({ breaks: true, isHeld: true }),
    zone({ breaks: false, isHeld: false, defects: ['pitting'] }),
    zone({ isHeld: null }),
  ];
  expect(judgementOf(zones)).toMatchObject({
    breaks: { count: 1, of: 2 },
    held: { count: 1, of: 1 },
    notHeld: { count: 0, of: 1 },
  });
  expect(judgementOf([zone()])).toMatchObject({ breaks: null, held: null, notHeld: null, colours: [] });
});

test('its colour on a clay is that of a piece, the one in the middle of all, at each cone and in each atmosphere by itself', () => {
  const of = (hex: string, more: Partial<JudgedZone> = {}) => zone({ colour: labOf(hex), ...more });
  const { colours } = judgementOf([
    of('#204060'),
    of('#24445f'),
    of('#c0b090'),
    of('#802020', { atmosphere: 'reduction' }),
    of('#c0b090', { cone: '04' }),
    of('#ffffff', { places: ['over'] }),
  ]);
  expect(colours.map(({ cone, atmosphere, pieces }) => [cone, atmosphere, pieces])).toEqual([
    ['6', 'oxidation', 3],
    ['6', 'reduction', 1],
    ['04', 'oxidation', 1],
  ]);
  expect(colours[0]!.colour).toEqual(labOf('#24445f'));
});

test('a piece comes out again when it differs nowhere; one alone in its entry says nothing', () => {
  const zones = [
    zone({ pieceId: 'tile', differs: false }),
    zone({ pieceId: 'tile', times: 2, differs: true }),
    zone({ pieceId: 'cup', differs: false }),
    zone({ pieceId: 'cup', times: 2, differs: false }),
    zone({ pieceId: 'plate' }),
  ];
  expect(judgementOf(zones).repeatable).toEqual({ count: 1, of: 2 });
  expect(judgementOf([zone()]).repeatable).toBeNull();
});

import type { FiredZoneFacts } from '../evidence';
import { BUILT_IN } from '../chemistry';
import { ladderForecast, riskByCoats, riskByLayers } from './forward';

let number = 0;
/** Pieces of one stack, so many with the defect. */
const pieces = (stack: readonly (readonly [string, number])[], bad: number, of: number): FiredZoneFacts[] =>
  Array.from({ length: of }, (_, i) => ({
    ...{ pieceId: `p${number++}`, firing: 'two 1', kiln: 'Number Two', cone: '6', atmosphere: 'oxidation' },
    ...{ shelf: 'shelf 1', body: 'Buffer White', slips: '', batches: '', hasDefect: i < bad },
    ...{ reached: null, cooling: null, dried: null, clay: null },
    ...{ place: 'outside', form: 'cup', texture: null },
    layers: stack.map(([glaze, times]) => ({ glaze, times })),
  }));

test('the risk by coats never falls, says where it crosses the limit, and counts only this glaze', () => {
  const { steps, above } = riskByCoats(
    [
      ...pieces([['Ballast', 1]], 1, 10),
      ...pieces([['Ballast', 2]], 0, 10),
      ...pieces([['Ballast', 3]], 6, 10),
      ...pieces([['Sleeper', 1]], 10, 10),
    ],
    ['Ballast'],
  );
  expect(steps.map(({ estimate }) => estimate)).toEqual([0.05, 0.05, 0.6]);
  expect(steps.map(({ share }) => share.count)).toEqual([1, 0, 6]);
  expect(above).toBe(3);
  expect(riskByCoats([], ['Ballast'])).toEqual({ steps: [], above: null });
});

test('a piece with several zones of a stack is one piece, spoilt when any of them is', () => {
  const [one] = pieces([['Ballast', 1]], 0, 1);
  const { steps } = riskByCoats([one!, { ...one!, hasDefect: true }, one!], ['Ballast']);
  expect(steps[0]!.share).toMatchObject({ count: 1, of: 1 });
});

test('of two orders and of the partners, the ones with less of the defect stand first', () => {
  const { orders, partners } = riskByLayers(
    [
      ...pieces(
        [
          ['Slate Bank', 1],
          ['Fogman', 1],
        ],
        5,
        6,
      ),
      ...pieces(
        [
          ['Fogman', 1],
          ['Slate Bank', 1],
        ],
        0,
        4,
      ),
      ...pieces(
        [
          ['Limewash', 1],
          ['Fogman', 1],
        ],
        1,
        5,
      ),
      ...pieces([['Fogman', 2]], 0, 3),
      ...pieces([['Fogman', 1]], 0, 5),
    ],
    ['Slate Bank', 'Fogman'],
  );
  expect(orders.map(({ words, share }) => [words, share.count, share.of])).toEqual([
    ['Slate Bank over Fogman', 0, 4],
    ['Fogman over Slate Bank', 5, 6],
  ]);
  expect(partners.map(({ words, share }) => [words, share.of])).toEqual([
    ['Fogman alone', 8],
    ['Fogman over Limewash', 5],
    ['Fogman over Slate Bank', 6],
  ]);
});

test('each rung of a crazing ladder expands less, and its verdict moves from crazing towards fitting', () => {
  const lines = [
    { material: 'Soda feldspar', amount: 45 },
    { material: 'Silica', amount: 20 },
    { material: 'Whiting', amount: 20 },
    { material: 'Kaolin', amount: 15 },
  ];
  const body = { expansion: 6.4, miss: 0.2, tiles: 12, tilesOf: { l: 12 }, shift: null };
  const rungs = ladderForecast({ name: 'Lamp Clear', lines }, body, 1, BUILT_IN);
  expect(rungs).toHaveLength(5);
  rungs.slice(1).forEach(({ expansion, band }, i) => {
    expect(expansion).toBeLessThan(rungs[i]!.expansion);
    expect(band.stressMPa).toBeLessThan(rungs[i]!.band.stressMPa);
  });
  expect(riskByLayers([], ['Slate Bank', 'Fogman'])).toEqual({ orders: [], partners: [] });
});

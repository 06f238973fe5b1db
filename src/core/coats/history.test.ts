import type { Atmosphere } from '../vocabulary';
import { entryKey, fileZones, historyWords, zonesOf, type Coat, type FiredAt } from '.';

/** "10R" is a firing to cone 10 in reduction, "6" one to cone 6 in oxidation. */
function firings(words: string): FiredAt[] {
  return words.split(' ').map((word): FiredAt => {
    const atmosphere: Atmosphere = word.endsWith('R') ? 'reduction' : 'oxidation';
    return { cone: word.replace('R', ''), atmosphere };
  });
}

const coat = (glaze: string, from: number, to: number, firing = 0, side: Coat['side'] = 'outside'): Coat => ({
  ...{ glaze, from, to, side, times: 1, firing },
});

/** Where each zone is filed, foot to rim: what lies there, its row, and its whole history when it has more. */
function filed(words: string, ...coats: Coat[]): string[] {
  return fileZones(zonesOf(coats), firings(words)).map(({ stack, cone, atmosphere, history }) => {
    const lies = stack.map(({ glaze, firing }) => glaze + (firing ? `^${firing}` : '')).join(' ');
    const row = historyWords([{ cone, atmosphere }]);
    return `${lies || 'bare'}: ${row}${history.length > 1 ? ` (${historyWords(history)})` : ''}`;
  });
}

const SIX = 'cone 6 oxidation';
const TEN = 'cone 10 reduction';

test.each([
  ['a first glaze firing', '6', [coat('A', 0, 1)], [`A: ${SIX}`]],
  [
    'a vase with a lustre rim: only the rim and what touches it know of the lustre firing',
    '6 018',
    [coat('A', 0, 1), coat('B', 0, 0.3), coat('Lustre', 0.9, 1, 1)],
    [
      `A B: ${SIX}`,
      `A: ${SIX} (${SIX}, then cone 018 oxidation)`,
      `A Lustre^1: ${SIX} (${SIX}, then cone 018 oxidation)`,
    ],
  ],
  ['a decal firing that put nothing on this side', '6 018', [coat('A', 0, 1)], [`A: ${SIX}`]],
  [
    'a cone 10 reduction pot refired at 7 as it was',
    '10R 7',
    [coat('A', 0, 1)],
    [`A: ${TEN} (${TEN}, then cone 7 oxidation)`],
  ],
  [
    'the same pot with a new glaze in the second firing: that glaze never saw cone 10',
    '10R 7',
    [coat('A', 0, 0.5), coat('B', 0.5, 1, 1)],
    [`A: ${TEN} (${TEN}, then cone 7 oxidation)`, `B^1: cone 7 oxidation (${TEN}, then cone 7 oxidation)`],
  ],
  ['fired twice alike', '6 6', [coat('A', 0, 1)], [`A: ${SIX} (${SIX}, then ${SIX})`]],
  [
    'raku, then cone 6 as it was: nobody knows how hot the first was, and the later made it',
    'rakuR 6',
    [coat('A', 0, 1)],
    [`A: ${SIX} (raku reduction, then ${SIX})`],
  ],
  [
    'cone 6, then a pit: the later counts',
    '6 pitR',
    [coat('A', 0, 1)],
    [`A: pit fire reduction (${SIX}, then pit fire reduction)`],
  ],
  [
    'a lustre fired on raku ware leaves it raku',
    'rakuR 018',
    [coat('A', 0, 1), coat('Lustre', 0.9, 1, 1)],
    [
      'A: raku reduction (raku reduction, then cone 018 oxidation)',
      'A Lustre^1: raku reduction (raku reduction, then cone 018 oxidation)',
    ],
  ],
  [
    'low fired first, then high: the hottest counts',
    '04 6',
    [coat('A', 0, 1)],
    [`A: ${SIX} (cone 04 oxidation, then ${SIX})`],
  ],
  [
    'reglazed after a lustre firing: the lustre burnt away under it',
    '6 018 6',
    [coat('A', 0, 1), coat('Lustre', 0, 0.2, 1), coat('B', 0.6, 1, 2)],
    [
      `A Lustre^1: ${SIX} (${SIX}, then cone 018 oxidation, then ${SIX})`,
      `A: ${SIX} (${SIX}, then cone 018 oxidation, then ${SIX})`,
      `A B^1: ${SIX} (${SIX}, then ${SIX})`,
    ],
  ],
  [
    'ware that was never fired hotter than its enamels',
    '018',
    [coat('Enamel', 0, 1)],
    ['Enamel: cone 018 oxidation'],
  ],
  ['bare clay refired', '6 10R', [], [`bare: ${TEN} (${SIX}, then ${TEN})`]],
])('%s', (_, words, coats, expected) => {
  expect(filed(words, ...coats)).toEqual(expected);
});

test('an entry with one firing keeps its key whatever was fired beside it; any other history is another', () => {
  const keys = ['6', '6 018', '6 6', '10R 7', '10R 6', '04 6'].map((words) => {
    const [zone] = fileZones(zonesOf([coat('A', 0, 1)]), firings(words));
    return entryKey({ ground: { body: 'red', slips: [] }, ...zone! });
  });
  expect(keys[1]).toBe(keys[0]);
  expect(new Set(keys).size).toBe(keys.length - 1);
});

test('equally hot firings file by the last; a lustre on the other half of a split tile is beside', () => {
  const [both] = fileZones(zonesOf([coat('A', 0, 1)]), firings('6 6'));
  expect(both!.filedBy).toBe(1);
  const zones = zonesOf([coat('A', 0, 1), coat('Lustre', 0, 1, 1, 'left')]);
  expect(fileZones(zones, firings('6 018')).map(({ zone, history }) => [zone.side, history.length])).toEqual([
    ['left', 2],
    ['right', 2],
  ]);
  expect(() => fileZones(zones, [])).toThrow(RangeError);
});

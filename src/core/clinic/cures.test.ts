import { curesOf, type FiredAgain } from './cures';

let n = 0;
const again = (firingId: string, before: number, after: number, isGlazed = false): FiredAgain => ({
  ...{ pieceId: `p${n++}`, firingId, isGlazed, before, after, said: null },
});

test('cures are counted by what was done before the second firing, with an interval over several firings only', () => {
  const cures = curesOf([
    ...[again('a', 2, 0), again('a', 3, 0), again('b', 3, 2), again('b', 2, 2), again('b', 2, 3)],
    ...[again('a', 2, 0, true), again('a', 2, 2, true)],
  ]);
  expect(cures.map(({ isGlazed, better, same, worse }) => [isGlazed, better, same, worse])).toEqual([
    [false, 1, 1, 1],
    [true, 0, 1, 0],
  ]);
  expect(cures[0]!.gone).toMatchObject({ count: 2, of: 5 });
  // Clopper and Pearson for 2 of 5: 5.3 to 85.3 %.
  expect(cures[0]!.gone.interval!.map((part) => Math.round(part * 1000))).toEqual([53, 853]);
  expect(cures[1]!.gone).toMatchObject({ count: 1, of: 2, interval: null });
  expect(curesOf([])).toEqual([]);
});

import { PLAIN_AREA, PLAIN_COAT } from '@/core/coats';
import { METRIC } from '@/core/units';
import { differing } from './differing';
import { emptyDraft } from './draft';

const names = {
  bodyOf: (id: string) => `clay ${id}`,
  glazeOf: (id: string) => `glaze ${id}`,
  formOf: () => 'My mug',
};
const coat = {
  ...PLAIN_COAT,
  ...({ glazeId: 'a', method: 'brush', times: 2, side: 'outside', from: 0, to: 1 } as const),
};

test('two versions of a piece are told apart in words, down to where a coat lies and what an area is of', () => {
  const mine = { ...emptyDraft('cup', 'b'), coats: [coat] };
  const theirs = {
    ...mine,
    heightMm: 95,
    areas: [{ ...PLAIN_AREA, name: 'logo', side: 'outside' as const, from: 0.5, to: 1, bodyId: 'c' }],
    coats: [{ ...coat, from: 0.5, not: ['logo'] }],
    wanted: ['crazing' as const],
  };
  expect(differing(mine, mine, names, METRIC)).toEqual([]);
  expect(differing(mine, theirs, names, METRIC).slice(1)).toEqual([
    { name: 'Areas', mine: 'none', theirs: 'logo, upper half, of clay c' },
    { name: 'Wanted effects', mine: 'none', theirs: 'crazing' },
    {
      name: 'Coats',
      mine: 'glaze a brushed twice, all over',
      theirs: 'glaze a brushed twice, upper half, not on logo',
    },
  ]);
});

import { coreCoats, PLAIN_COAT, zonesOf } from '@/core/coats';
import { emptyDraft } from './draft';
import { presetsFor } from './presets';
import type { PieceDraft } from '@/records/pieces';

const coat = {
  ...PLAIN_COAT,
  ...({ glazeId: 'g', method: 'dip', times: 2, side: 'outside', from: 0.2, to: 0.5 } as const),
};
const put = (draft: PieceDraft, name: string) =>
  presetsFor(draft)
    .find((one) => one.name === name)!
    .put(draft, 0)
    .coats.map(({ side, from, to, times }) => [side, Number(from.toFixed(3)), Number(to.toFixed(3)), times]);

test('usual places are one tap: bands by centimetres, thirds, the liner', () => {
  const mug = { ...emptyDraft('cup', 'b'), heightMm: 100, coats: [coat] };
  expect(put(mug, 'all over')).toEqual([['outside', 0, 1, 2]]);
  expect(put(mug, '1 cm above the foot')).toEqual([['outside', 0.1, 1, 2]]);
  expect(put(mug, 'rim 3 cm')).toEqual([['outside', 0.7, 1, 2]]);
  expect(put(mug, 'lower two thirds')).toEqual([['outside', 0, 0.667, 2]]);
  expect(put(mug, 'liner')).toEqual([['inside', 0, 1, 2]]);
});

test('inside and outside at once are two coats of the same, and one zone a side', () => {
  const mug = { ...emptyDraft('cup', 'b'), coats: [coat] };
  expect(put(mug, 'inside and outside')).toEqual([
    ['inside', 0, 1, 2],
    ['outside', 0, 1, 2],
  ]);
  const both = presetsFor(mug)
    .find(({ name }) => name === 'inside and outside')!
    .put(mug, 0);
  expect(zonesOf(both.coats.flatMap((one) => coreCoats({ ...one, glazeKind: 'glaze' })))).toHaveLength(2);
});

test('what a form has not is not offered', () => {
  const names = (form: 'tile' | 'plate', heightMm: number) =>
    presetsFor({ ...emptyDraft(form, 'b'), heightMm }).map(({ name }) => name);
  expect(names('tile', 100)).not.toContain('liner');
  expect(names('tile', 15)).toEqual(['all over', 'lower two thirds', 'upper two thirds']);
  expect(names('plate', 200)).not.toContain('1 cm above the foot');
});

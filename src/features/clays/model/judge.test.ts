import { BUILT_IN } from '@/core/chemistry';
import { judge } from './judge';

test('glazes on a clay stand from most stretched to most squeezed, each with its own tiles; without a recipe last', () => {
  const glaze = (id: string, kind = 'glaze' as const) => ({ id, name: id, kind, colour: '#777777' });
  const tile = { bodyId: 'b', glazeExpansion: 8, thicknessMm: 0.3, ageDays: 0, example: 'SW-0001' };
  const judged = judge({
    body: { expansion: 6 },
    calibration: null,
    glazes: [glaze('unknown'), glaze('stiff'), glaze('soft'), { ...glaze('slip'), kind: 'slip' }],
    recipes: [
      { glazeId: 'soft', lines: [{ material: 'Soda feldspar', amount: 100 }] },
      {
        glazeId: 'stiff',
        lines: [
          { material: 'Talc', amount: 40 },
          { material: 'Kaolin', amount: 60 },
        ],
      },
    ],
    tiles: [
      { ...tile, glaze: 'soft', crazed: true, count: 3 },
      { ...tile, glaze: 'soft', crazed: false, count: 1 },
    ],
    book: BUILT_IN,
    dips: 1,
  });
  expect(judged.map(({ id, band, crazed, sound }) => [id, band?.verdict ?? null, crazed, sound])).toEqual([
    ['soft', 'crazes', 3, 1],
    ['stiff', 'may shiver', 0, 0],
    ['unknown', null, 0, 0],
  ]);
});

import { PLAIN_AREA, PLAIN_COAT, zonesOf } from '@/core/coats';
import { drawnAreas, drawnCoats, emptyDraft, type GlazeChoice } from './draft';
import { coatOn, isLeftFree, leftFree, withArea, withAreaAt, withoutArea } from './areas';

const coat = {
  ...PLAIN_COAT,
  ...({ glazeId: 'g', method: 'dip', times: 1, side: 'outside', from: 0, to: 1 } as const),
};
const cup = { ...emptyDraft('cup', 'b'), coats: [coat, { ...coat, side: 'inside' as const }] };

test('a logo lies on a side, a handle is a part of its own; a name is there once', () => {
  const draft = withArea(withArea(withArea(cup, 'logo'), 'handle'), ' logo ');
  expect(draft.areas).toEqual([
    { ...PLAIN_AREA, name: 'logo', side: 'outside', from: 0, to: 1 },
    { ...PLAIN_AREA, name: 'handle', side: null, from: 0, to: 1 },
  ]);
  expect(withArea(cup, '  ')).toBe(cup);
});

test('what is left free is kept off by the coats of its side only, and runs through again', () => {
  const draft = withArea(cup, 'logo');
  const [logo] = draft.areas;
  expect(isLeftFree(draft, logo!)).toBe(false);
  const free = leftFree(draft, logo!, true);
  expect(free.coats.map(({ not }) => not)).toEqual([['logo'], []]);
  expect(isLeftFree(free, logo!)).toBe(true);
  expect(leftFree(free, logo!, false)).toEqual(draft);
  expect(isLeftFree(draft, { ...logo!, side: null })).toBeNull();
});

test('a coat goes with its area: to another side, and off the piece', () => {
  const draft = withArea(cup, 'logo');
  const on = { ...draft, coats: [...draft.coats, { ...coat, ...coatOn(draft, { area: 'logo' }) }] };
  const inside = withAreaAt(on, 'logo', { side: 'inside', from: 0.2 });
  expect([inside.areas[0], inside.coats[2]!.side]).toEqual([
    { ...PLAIN_AREA, name: 'logo', side: 'inside', from: 0.2, to: 1 },
    'inside',
  ]);
  const part = withAreaAt(leftFree(inside, inside.areas[0]!, true), 'logo', { side: null });
  expect([part.areas[0]!.from, part.coats.flatMap(({ not }) => not)]).toEqual([0, []]);
  expect(withoutArea(leftFree(on, on.areas[0]!, true), 'logo')).toEqual(cup);
});

test('while an area is typed that has no height yet, the rest is drawn', () => {
  const logo = withArea(cup, 'logo');
  const on = { ...logo, coats: [...logo.coats, { ...coat, ...coatOn(logo, { area: 'logo' }) }] };
  const halfTyped = withAreaAt(leftFree(on, on.areas[0]!, true), 'logo', { from: 1 });
  const glazes = new Map([['g', { kind: 'glaze', colour: '#000000' } as GlazeChoice]]);
  const coats = drawnCoats(halfTyped, glazes);
  expect([drawnAreas(halfTyped), coats.length]).toEqual([[], 2]);
  expect(zonesOf(coats, drawnAreas(halfTyped))).toHaveLength(2);
});

test('a sector is its share of what goes around; it is drawn where one sees it', () => {
  const of = (form: 'plate' | 'cup', word: string) => withArea(emptyDraft(form, 'b'), word).areas[0]!;
  expect(of('plate', 'quarter 2')).toMatchObject({ side: 'inside', share: 0.25, from: 0, to: 1 });
  expect(of('plate', 'quarter 2').outline).not.toBeNull();
  expect(of('cup', 'third 1')).toMatchObject({ share: 1 / 3, outline: null });
  expect(of('cup', 'left half').outline).not.toBeNull();
});

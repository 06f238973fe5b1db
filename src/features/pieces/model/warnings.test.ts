import { PLAIN_COAT } from '@/core/coats';
import { METRIC, sayMessage } from '@/core/units';
import type { CoatDraft } from '@/records/pieces';
import { drawnCoats, emptyDraft, type GlazeChoice } from './draft';
import { coatWarnings } from './warnings';

const choice = (id: string, more: Partial<GlazeChoice>): GlazeChoice => ({
  ...({ id, name: id, kind: 'glaze', colour: '#000000', advice: '', versionId: `${id} 1` } as const),
  ...({
    versions: [],
    batches: [],
    movement: null,
    opaque: null,
    usualMethod: null,
    usualTimes: null,
  } as const),
  ...more,
});
const glazes = new Map(
  [
    choice('Line Blue', { kind: 'underglaze' }),
    choice('Limewash', { opaque: true }),
    choice('Lamp Clear', { opaque: false }),
    choice('Fogman', { movement: 'runs' }),
  ].map((one) => [one.id, one]),
);
const coat = (glazeId: string, more: Partial<CoatDraft> = {}): CoatDraft => ({
  ...PLAIN_COAT,
  ...({ glazeId, method: 'dip', times: 1, side: 'outside', from: 0, to: 1 } as const),
  ...more,
});
const said = (form: 'cup' | 'plate', ...coats: CoatDraft[]) => {
  const draft = { ...emptyDraft(form, 'b'), coats };
  return coatWarnings(draft, drawnCoats(draft, glazes), glazes).map((one) => sayMessage(one, METRIC));
};

test('an opaque glaze over a drawing hides it; beside it, below it or see-through it does not', () => {
  const line = coat('Line Blue', { from: 0.4, to: 0.6 });
  expect(said('cup', line, coat('Limewash'))).toEqual(['Limewash is opaque: it will hide Line Blue.']);
  expect(said('cup', coat('Limewash'), line)).toEqual([]);
  expect(said('cup', line, coat('Lamp Clear'))).toEqual([]);
  expect(said('cup', line, coat('Limewash', { from: 0.7 }))).toEqual([]);
});

test('a glaze that runs wants a free foot; inside and on a plate it has none', () => {
  expect(said('cup', coat('Fogman'))).toEqual([
    'Fogman runs and ends at the foot: keep 1 cm free, or stand it on a cookie.',
  ]);
  expect(said('cup', coat('Fogman', { from: 0.2 }))).toEqual([]);
  expect(said('cup', coat('Fogman', { side: 'inside' }))).toEqual([]);
  expect(said('plate', coat('Fogman'))).toEqual([]);
});

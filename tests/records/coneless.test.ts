import { auditDictionary, headwordPage } from '@/records/dictionary';
import {
  addEvent,
  advanceFiring,
  firingById,
  kilnById,
  loadPieces,
  logOf,
  outcomeOf,
  shelfPieces,
} from '@/records/firings';
import { newId } from '@/records/platform';
import { emptyFiring, fired, freshStudio, readAll, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('coneless');
});
afterAll(() => studio.base.destroy());

test('what was fired without a cone is filed under how it was fired, until it is fired again', async () => {
  const { base, member } = studio;
  const raku = await fired(studio, [tile(studio)], {
    cone: 'raku',
    atmosphere: 'reduction',
    toCelsius: 1000,
  });
  await readAll(studio, raku.firingId);
  expect(await firingById(base, raku.firingId)).toMatchObject({ cone: 'raku', toCelsius: 1000 });
  // A glaze that was only fired by eye is not known to stand any cone.
  const [piece] = await shelfPieces(base, raku.ids, null);
  expect(piece!.fired.map(({ hottest }) => hottest)).toEqual([null, null]);
  // A cone says what it goes to by itself.
  const plain = await fired(studio, [tile(studio)], { toCelsius: 1222 });
  await readAll(studio, plain.firingId);
  expect((await firingById(base, plain.firingId)).toCelsius).toBeNull();

  const senses = await base('entry').whereNotNull('first_at').select('cone', 'proofs', 'headword_id');
  const over = senses.filter(({ headword_id }) => headword_id === senses[0]!.headword_id);
  expect(new Set(over.map(({ cone }) => cone))).toEqual(new Set(['raku', '6']));
  expect(senses.every(({ proofs }) => proofs === 1)).toBe(true);
  const page = await headwordPage(base, over[0]!.headword_id);
  expect(page.senses.map(({ cone }) => cone).sort()).toEqual(['6', 'raku']);
  expect((await auditDictionary(base)).differences).toEqual([]);

  // The raku piece goes to cone 6 as it is: it is raku no more.
  const again = await emptyFiring(studio, { kind: 'refire' });
  await loadPieces(base, member, again, [{ pieceId: raku.ids[0]!, shelf: 1 }]);
  await advanceFiring(base, member, again, 'open');
  await readAll(studio, again);
  const zones = await base('zone').where({ piece_id: raku.ids[0]!, firing_id: again, ended_at: null });
  const entries = await base('entry').whereIn(
    'id',
    zones.map(({ entry_id }) => entry_id!),
  );
  expect(new Set(entries.map(({ cone, firings }) => `${cone} ${firings}`))).toEqual(new Set(['6 2']));
  expect((await auditDictionary(base)).differences).toEqual([]);
});

test('a kiln that cools is foretold; ware that was drawn hot or lies in ash waits for no lid, and reduces in no log', async () => {
  const { base, member, kilnId } = studio;
  const cooling = async (cone: '6' | 'none' | 'raku' | 'pit') => {
    const id = await emptyFiring(studio, { cone, atmosphere: 'reduction' });
    await advanceFiring(base, member, id, 'cooling');
    for (let hour = 0; hour <= 10; hour += 0.5)
      await addEvent(base, member, {
        ...{ id: newId(), firingId: id, kind: 'hand reading', note: '' },
        ...{ minutes: hour * 60, value: Math.round(20 + 1200 * Math.exp(-0.15 * hour)) },
      });
    const log = await logOf(base, await firingById(base, id), await kilnById(base, kilnId), new Date());
    const { suggestion } = await outcomeOf(base, await firingById(base, id));
    return [log.last?.celsius, log.crack !== null, log.open !== null, suggestion?.reached ?? null];
  };
  expect(await cooling('6')).toEqual([288, true, true, 'weak']);
  expect(await cooling('none')).toEqual([288, true, true, 'weak']);
  expect(await cooling('raku')).toEqual([288, false, false, null]);
  expect(await cooling('pit')).toEqual([288, false, false, null]);
});

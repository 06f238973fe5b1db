import { addMember } from '@/records/people';
import { savePieces, usualOf } from '@/records/pieces';
import { newId } from '@/records/platform';
import { dip, fired, freshStudio, readAll, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('usual');
});
afterAll(() => studio.base.destroy());

test('who has made nothing has nothing usual', async () => {
  const { base } = studio;
  const id = await addMember(base, {
    name: 'New',
    signIn: 'new',
    password: 'a wet clay bag',
    role: 'student',
  });
  expect(await usualOf(base, id)).toBeNull();
});

test('the newest piece says form and clay, most of the last fired ones the fire', async () => {
  const { base, member, glazes } = studio;
  const coats = [dip(glazes.Sleeper, 0, 1)];
  const common = await fired(studio, [tile(studio, coats), tile(studio, coats)]);
  await readAll(studio, common.firingId, () => ({ surface: 'gloss', movement: null, colour: null }));
  const later = await fired(studio, [tile(studio, coats)]);
  await base('firing').where({ id: later.firingId }).update({ cone: '10', atmosphere: 'reduction' });
  const { cone, atmosphere } = (await base('firing')
    .where({ id: common.firingId })
    .first('cone', 'atmosphere'))!;
  const before = (await usualOf(base, member))!;
  expect([before.form, before.cone, before.atmosphere]).toEqual(['tile', cone, atmosphere]);
  const ground = await base('ground').where({ id: before.groundId! }).first('body_id', 'slips');
  expect(ground).toEqual({ body_id: before.bodyId, slips: [] });
  // A bisque is no fire of glazes, and a piece that nobody described says nothing.
  const bowl = { ...tile(studio, []), form: 'bowl' as const };
  const [piece] = await savePieces(base, member, bowl, [newId()], { madeAt: new Date(Date.now() + 1000) });
  expect((await usualOf(base, member))!.form).toBe('bowl');
  await base('piece').where({ id: piece!.id }).update({ described: false });
  expect((await usualOf(base, member))!.form).toBe('tile');
});

import {
  addEvents,
  correctStart,
  endEvents,
  eventsOf,
  firingById,
  lightKiln,
  openSource,
} from '@/records/firings';
import { newId } from '@/records/platform';
import { emptyFiring, freshStudio, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('start');
});
afterAll(() => studio.base.destroy());

test('a firing that was lit before anybody said so begins when it did; what was logged stays at its time of day', async () => {
  const { base, member } = studio;
  const firingId = await emptyFiring(studio);
  const now = Math.floor(Date.now() / 1000) * 1000;
  const ago = (minutes: number) => new Date(now - minutes * 60_000);
  const light = (at: Date) => lightKiln(base, member, { firingId, sourceId: newId(), at }, null);
  await expect(light(ago(-10))).rejects.toThrow('has not come yet');
  await expect(light(ago(80 * 60))).rejects.toThrow('past firing');
  await light(ago(60));
  expect((await firingById(base, firingId)).startedAt).toEqual(ago(60));

  const lines = [newId(), newId()].map((id, i) => ({
    id,
    minutes: 30 + 20 * i,
    value: 100 + 50 * i,
    note: '',
  }));
  const book = lines.map((line) => ({ ...line, kind: 'hand reading' as const }));
  await addEvents(base, member, firingId, book);
  await addEvents(base, member, firingId, book);
  const minutes = async () => (await eventsOf(base, firingId)).map((event) => event.minutes);
  expect(await minutes()).toEqual([30, 50]);
  await correctStart(base, member, { firingId, at: ago(90) });
  expect([(await firingById(base, firingId)).startedAt, await minutes()]).toEqual([ago(90), [60, 80]]);
  // Not after something that was logged, and not where a log knows better.
  await expect(correctStart(base, member, { firingId, at: ago(20) })).rejects.toThrow('logged before that');
  expect(await minutes()).toEqual([60, 80]);
  await endEvents(base, member, [lines[1]!.id], true);
  expect(await minutes()).toEqual([60]);
  await openSource(base, member, { id: newId(), firingId, name: 'a controller', speed: 1 });
  await expect(correctStart(base, member, { firingId, at: ago(95) })).rejects.toThrow('log says');
});

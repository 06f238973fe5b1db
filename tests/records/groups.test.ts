import { shelfPieces } from '@/records/firings';
import { newId } from '@/records/platform';
import { addMember, giveToGroup, groupThings, saveGroup, setGroupEnded } from '@/records/people';
import { summaryOf } from '@/records/openings';
import { changeMany, listPieces, savePieces } from '@/records/pieces';
import { keepWall } from '@/records/dictionary';
import { groupModel } from '@/features/people/server/groupModel';
import type { Member } from '@/records/people';
import { dip, fired, freshStudio, readAll, tile, type Studio } from './studio';

let studio: Studio;
const people = {} as Record<'teacher' | 'inside' | 'outside', Member>;
const group = { id: newId(), name: 'Tuesday class', dueOn: '2026-12-04' };
beforeAll(async () => {
  studio = await freshStudio('groups');
  Object.assign(globalThis, { jitenDb: studio.base });
  for (const name of ['teacher', 'inside', 'outside'] as const) {
    const role = name === 'teacher' ? 'teacher' : 'student';
    const id = await addMember(studio.base, { name, signIn: name, password: 'a wet clay bag', role });
    people[name] = { id, name, role };
  }
  const draft = { ...group, teacherId: people.teacher.id, memberIds: [people.inside.id] };
  await saveGroup(studio.base, studio.member, draft, null);
});
afterAll(() => studio.base.destroy());

const madeBy = async (member: Member) => {
  const { base, glazes } = studio;
  const [piece] = await savePieces(base, member.id, tile(studio, [dip(glazes.Sleeper, 0, 1)]), [newId()]);
  return piece!.id;
};
const dueOf = async (id: string) => (await shelfPieces(studio.base, [id], null))[0]!.dueOn;

test('a group’s day is that of its members’ pieces until the group ends; a piece’s own day goes before', async () => {
  const { base, member } = studio;
  const [inside, outside] = [await madeBy(people.inside), await madeBy(people.outside)];
  expect([await dueOf(inside), await dueOf(outside)]).toEqual(['2026-12-04', null]);
  await base('piece').where({ id: inside }).update({ due_on: '2026-12-20' });
  expect(await dueOf(inside)).toBe('2026-12-20');
  await base('piece').where({ id: inside }).update({ due_on: null });
  await setGroupEnded(base, member, group.id, true);
  expect(await dueOf(inside)).toBeNull();
  await setGroupEnded(base, member, group.id, false);
});

test('a group is seen by its people, its teacher and technicians, with what waits and what came out', async () => {
  const { base, member, glazes } = studio;
  const coats = [dip(glazes.Sleeper, 0, 1)];
  const { firingId, ids } = await fired(studio, [tile(studio, coats), tile(studio, coats)]);
  await readAll(studio, firingId, () => ({ surface: 'gloss', movement: null, colour: null }));
  await base('piece').where({ id: ids[0] }).update({ member_id: people.inside.id });
  const now = new Date('2026-12-01T12:00:00Z');
  const seen = await Promise.all(
    [people.inside, people.teacher, people.outside].map((one) => groupModel(one, group.id, now)),
  );
  expect(seen.map((one) => one?.mayChange)).toEqual([false, true, undefined]);
  const model = (await groupModel({ id: member, name: '', role: 'technician' }, group.id, now))!;
  expect(model.members.map(({ name }) => name)).toEqual(['inside']);
  expect(model.pieceCount).toBe(2);
  expect(model.openings.map(({ id }) => id)).toEqual([firingId]);
  // One of its pieces waits; that of somebody else is not counted.
  expect(model.loads.map(({ count }) => count)).toEqual([1]);
  const [own, all] = await Promise.all([summaryOf(base, firingId, group.id), summaryOf(base, firingId)]);
  expect([own.pieces, own.sound.of, all.pieces, all.sound.of]).toEqual([1, 1, 2, 2]);
  expect([own.fresh[0]?.pieces, all.fresh[0]?.pieces]).toEqual([1, 2]);
});

test('pieces that others made for a group are its own: its day, its list, its part of a summary', async () => {
  const { base, member } = studio;
  const { firingId, ids } = await fired(studio, [tile(studio), tile(studio)]);
  await readAll(studio, firingId);
  expect((await summaryOf(base, firingId, group.id)).pieces).toBe(0);
  const change = { id: ids[0]!, group: { from: null, to: group.id } };
  expect(await changeMany(base, member, [change])).toEqual([]);
  expect(await Promise.all(ids.map(dueOf))).toEqual(['2026-12-04', null]);
  expect((await summaryOf(base, firingId, group.id)).pieces).toBe(1);
  const listed = await listPieces(base, { groupId: group.id, ids });
  expect(listed.rows.map(({ id, groupId }) => [id, groupId])).toEqual([[ids[0], group.id]]);
  // Somebody who saw it before is told; taken back it is no group's.
  const label = listed.rows[0]!.label;
  expect(await changeMany(base, member, [change])).toEqual([label]);
  expect(await changeMany(base, member, [{ id: ids[0]!, group: { from: group.id, to: null } }])).toEqual([]);
  expect(await dueOf(ids[0]!)).toBeNull();
});

test('a wall is one group’s until it is given back', async () => {
  const { base, member } = studio;
  const [wall, other] = [newId(), newId()];
  await keepWall(base, member, { id: wall, name: 'Tuesday', search: 'cone=6' });
  await saveGroup(
    base,
    member,
    { id: other, name: 'Friday', teacherId: member, memberIds: [], dueOn: null },
    null,
  );
  const give = (groupId: string, isGiven: boolean) =>
    giveToGroup(base, member, 'named_wall', wall, { groupId, isGiven });
  await give(group.id, true);
  // Neither taken over nor given back by another group.
  for (const isGiven of [true, false]) await expect(give(other, isGiven)).rejects.toThrow('another group');
  await give(group.id, false);
  await give(other, true);
  expect((await groupThings(base)).walls).toMatchObject([{ id: wall, groupId: other }]);
});

import { PLAIN_AREA } from '@/core/coats';
import { latestChanges, undoChange } from '@/records/changes';
import { fromJson, newId } from '@/records/platform';
import { addMember, saveGroup } from '@/records/people';
import { listGlazes, saveGlaze, saveRecipe, setVersionInUse } from '@/records/materials';
import { correctPiece, piecePage, savePieces } from '@/records/pieces';
import { firingWithKiln, saveFiring } from '@/records/firings';
import { draftOf } from '@/features/pieces/model/fromPiece';
import { mayPutBack } from '@/features/people/server/mayPutBack';
import { blankGlaze } from '@/features/glazes/model/blankGlaze';
import { dip, fired, freshStudio, tile, type Studio } from './studio';

let studio: Studio;
beforeAll(async () => {
  studio = await freshStudio('history');
});
afterAll(() => studio.base.destroy());

const of = (rowId: string) => latestChanges(studio.base, { rowId }, 20);
const glazeOf = async (id: string) => (await listGlazes(studio.base)).find((glaze) => glaze.id === id)!;

test('every record says who changed what, from what, to what; an earlier state is put back as a change of its own', async () => {
  const { base, member } = studio;
  const glaze = blankGlaze(newId(), 'Kettle Blue');
  await saveGlaze(base, member, glaze, null);
  await saveGlaze(base, member, { ...glaze, advice: 'Stir well.', opaque: true }, 1);
  await saveGlaze(base, member, { ...glaze, advice: 'Stir.', opaque: true }, 2);
  const [last, first, made] = await of(glaze.id);
  expect([last, first, made].map((one) => [one!.name, one!.isUndoable])).toEqual([
    ['Kettle Blue', true],
    ['Kettle Blue', false],
    ['Kettle Blue', false],
  ]);
  expect(last).toMatchObject({ before: { advice: 'Stir well.' }, after: { advice: 'Stir.' } });
  await expect(undoChange(base, member, first!.id)).rejects.toThrow('changed again since');
  await expect(undoChange(base, member, made!.id)).rejects.toThrow('cannot be taken back');
  await undoChange(base, member, last!.id);
  expect(await glazeOf(glaze.id)).toMatchObject({ advice: 'Stir well.', opaque: true, version: 4 });
  // Taking it back stands among the changes, and can be taken back.
  const [undone] = await of(glaze.id);
  expect(undone).toMatchObject({ after: { advice: 'Stir well.' }, isUndoable: true });
  await undoChange(base, member, undone!.id);
  expect((await glazeOf(glaze.id)).advice).toBe('Stir.');
});

test('a name that somebody else has now is not put back', async () => {
  const { base, member } = studio;
  const glaze = blankGlaze(newId(), 'Lantern');
  await saveGlaze(base, member, glaze, null);
  await saveGlaze(base, member, { ...glaze, name: 'Lantern Red' }, 1);
  await saveGlaze(base, member, blankGlaze(newId(), 'Lantern'), null);
  const [renamed] = await of(glaze.id);
  await expect(undoChange(base, member, renamed!.id)).rejects.toMatchObject({ field: 'name' });
  expect((await glazeOf(glaze.id)).name).toBe('Lantern Red');
});

test('a day and a flag come back as they were', async () => {
  const { base, member } = studio;
  const group = { id: newId(), name: 'Tuesday', teacherId: member, memberIds: [], dueOn: '2026-12-04' };
  await saveGroup(base, member, group, null);
  await saveGroup(base, member, { ...group, dueOn: null }, 1);
  const change = (await of(group.id)).find(({ what, before }) => what === 'member_group' && before)!;
  expect(change.isUndoable).toBe(true);
  await undoChange(base, member, change.id);
  const [row] = await base('member_group').where({ id: group.id });
  expect(row!.due_on?.toISOString().slice(0, 10)).toBe('2026-12-04');
});

test('changes are found by person and kind, and read on from the last one seen', async () => {
  const { base } = studio;
  const other = await addMember(base, {
    name: 'Ona',
    signIn: 'ona',
    password: 'a wet clay bag',
    role: 'teacher',
  });
  const names = ['One', 'Two', 'Three'];
  for (const name of names) await saveGlaze(base, other, blankGlaze(newId(), name), null);
  const seen = await latestChanges(base, { memberId: other, what: 'glaze' }, 2);
  expect(seen.map(({ name, by }) => [name, by])).toEqual([
    ['Three', 'Ona'],
    ['Two', 'Ona'],
  ]);
  const older = await latestChanges(base, { memberId: other, what: 'glaze', before: seen.at(-1)!.id }, 2);
  expect(older.map(({ name }) => name)).toEqual(['One']);
});

test('who is no technician sees the changes of people that they made themselves, and all others', async () => {
  const { base, member } = studio;
  const [teacher, group] = [newId(), newId()];
  await addMember(base, {
    id: teacher,
    name: 'Lin',
    signIn: 'lin',
    password: 'a wet clay bag',
    role: 'teacher',
  });
  const draft = { name: 'Friday', teacherId: teacher, memberIds: [], dueOn: null };
  await saveGroup(base, teacher, { id: group, ...draft }, null);
  await saveGroup(base, member, { id: newId(), ...draft, name: 'Sunday' }, null);
  const seen = await latestChanges(base, { peopleBy: teacher }, 100);
  expect(new Set(seen.filter(({ what }) => what === 'member_group').map(({ rowId }) => rowId))).toEqual(
    new Set([group]),
  );
  expect(seen.some(({ what, memberId }) => what === 'glaze' && memberId === member)).toBe(true);
});

test('bands that were corrected wrongly come back with the zones they had; a fact of the piece beside them stays', async () => {
  const { base, member, glazes } = studio;
  const { ids, firingId } = await fired(studio, [tile(studio, [dip(glazes.Sleeper, 0, 1)])]);
  const id = ids[0]!;
  const correct = async (change: Partial<ReturnType<typeof draftOf>>) => {
    const piece = await piecePage(base, id);
    await correctPiece(base, member, id, piece.version, { ...draftOf(piece), ...change });
  };
  const stacks = async () =>
    (await base('zone').where({ piece_id: id, ended_at: null }).orderBy('from').select('from', 'to')).length;
  const before = await stacks();
  await correct({
    coats: [dip(glazes.Limewash, 0, 0.5, { firingId }), dip(glazes.Sleeper, 0.3, 1, { firingId })],
  });
  expect(await stacks()).toBeGreaterThan(before);
  await correct({ note: 'A crack at the foot.' });
  const [note, coats] = (await of(id)).filter(({ isUndoable }) => isUndoable);
  expect([note!.what, coats!.what]).toEqual(['piece', 'coats']);
  expect([coats!.before, coats!.after]).toEqual([
    { coats: 'Sleeper once' },
    { coats: 'Limewash once, from 0 % up to 50 %; then Sleeper once, from 30 % up to 100 %' },
  ]);
  await undoChange(base, member, coats!.id);
  const piece = await piecePage(base, id);
  expect(piece.coats.map(({ glazeName, from, to }) => [glazeName, from, to])).toEqual([['Sleeper', 0, 1]]);
  expect([piece.note, await stacks()]).toEqual(['A crack at the foot.', before]);
  await undoChange(base, member, note!.id);
  expect((await piecePage(base, id)).note).toBe('');
});

test('bands that name an area come back when it is there again; areas and textures are said by name', async () => {
  const { base, member, glazes } = studio;
  const areas = [{ ...PLAIN_AREA, name: 'logo', side: 'outside', from: 0.2, to: 0.4 }] as const;
  const coats = [dip(glazes.Sleeper, 0, 1, { not: ['logo'] })];
  const [piece] = await savePieces(base, member, { ...tile(studio, coats), areas }, [newId()]);
  const plain = { ...tile(studio, [dip(glazes.Sleeper, 0, 1)]), texture: { outside: ['combed'] as const } };
  await correctPiece(base, member, piece!.id, 1, plain);
  const changes = (await of(piece!.id)).filter(({ isUndoable }) => isUndoable);
  const [bands, facts] = [
    changes.find(({ what }) => what === 'coats')!,
    changes.find(({ what }) => what === 'piece')!,
  ];
  expect(bands.before).toEqual({ coats: 'Sleeper once, not on logo' });
  expect(facts).toMatchObject({
    before: { areas: 'logo', texture: '' },
    after: { areas: '', texture: 'outside combed' },
  });
  await expect(undoChange(base, member, bands.id)).rejects.toThrow('Put its areas back first');
  await undoChange(base, member, facts.id);
  await undoChange(base, member, bands.id);
  const now = await piecePage(base, piece!.id);
  expect([now.areas.length, now.coats[0]!.not, now.texture]).toEqual([1, ['logo'], {}]);
});

test('an earlier recipe comes back as a new version, the version in use as it was; what differs is said by material', async () => {
  const { base, member, glazes } = studio;
  const glazeId = glazes.Limewash;
  const [{ id: first }] = (await base('glaze_version').where({ glaze_id: glazeId }).select('id')) as [
    { id: string },
  ];
  const lines = (silica: number) => [
    { material: 'Potash feldspar', amount: 100 - silica },
    { material: 'Silica', amount: silica },
  ];
  const write = (id: string, follows: string, silica: number, wasWritten: boolean) =>
    saveRecipe(base, member, { id, glazeId, follows, wasWritten, lines: lines(silica), note: '' });
  const [second, third] = [newId(), newId()];
  const { recipe } = (await base('glaze_version').where({ id: first }).first('recipe'))!;
  await write(second, first, 20, recipe !== null);
  const newest = recipe === null ? first : second;
  await write(third, newest, 30, true);
  await setVersionInUse(base, member, { glazeId, versionId: third });
  const [change] = await of(third);
  expect(change).toMatchObject({ before: { Silica: 20 }, after: { Silica: 30 }, isUndoable: true });
  expect(change!.name).toMatch(/^Limewash, version \d$/);
  await undoChange(base, member, change!.id);
  const versions = await base('glaze_version').where({ glaze_id: glazeId }).orderBy('number').select();
  expect(fromJson(versions.at(-1)!.recipe)).toEqual(lines(20));
  const [chosen] = (await of(glazeId)).filter(({ isUndoable }) => isUndoable);
  await undoChange(base, member, chosen!.id);
  expect((await glazeOf(glazeId)).versionId).not.toBe(third);
});

test('the plan of a firing is put back, what the kiln did is not', async () => {
  const { base, member } = studio;
  const { firingId } = await fired(studio, [tile(studio, [])]);
  const { firing } = await firingWithKiln(base, firingId);
  await saveFiring(base, member, { ...firing, remarks: 'Slow to the end.', cone: '5' }, firing.version);
  const changes = await of(firingId);
  expect(changes.filter(({ isUndoable }) => isUndoable)).toHaveLength(1);
  await undoChange(base, member, changes[0]!.id);
  expect((await firingWithKiln(base, firingId)).firing).toMatchObject({
    ...{ remarks: firing.remarks, cone: firing.cone, state: firing.state, plannedOn: firing.plannedOn },
  });
});

test('a student puts back what was done to own pieces, nobody but a technician what others did elsewhere', async () => {
  const { base, member } = studio;
  const account = (role: 'student' | 'teacher') => ({
    name: role,
    signIn: role,
    password: 'a wet clay bag',
    role,
  });
  const student = await addMember(base, account('student'));
  const teacher = await addMember(base, account('teacher'));
  const [own] = await savePieces(base, student, tile(studio, []), [newId()]);
  const [others] = await savePieces(base, member, tile(studio, []), [newId()]);
  const as = (id: string, role: 'student' | 'teacher' | 'technician') => ({ id, name: role, role });
  const may = (who: Parameters<typeof mayPutBack>[1], what: string, rowId: string, by: string) =>
    mayPutBack(base, who, { what, rowId, memberId: by });
  expect(
    await Promise.all([
      may(as(student, 'student'), 'coats', own!.id, teacher),
      may(as(student, 'student'), 'piece', others!.id, student),
      may(as(student, 'student'), 'glaze', newId(), student),
      may(as(teacher, 'teacher'), 'glaze', newId(), teacher),
      may(as(teacher, 'teacher'), 'glaze', newId(), member),
      may(as(teacher, 'teacher'), 'kiln', newId(), teacher),
      may(as(member, 'technician'), 'kiln', newId(), teacher),
    ]),
  ).toEqual([true, false, false, true, false, false, true]);
});

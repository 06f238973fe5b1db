import { latestChanges, newId, undoChange } from '@/records/platform';
import { addMember, saveGroup } from '@/records/people';
import { listGlazes, saveGlaze } from '@/records/materials';
import { blankGlaze } from '@/features/glazes/model/blankGlaze';
import { freshStudio, type Studio } from './studio';

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

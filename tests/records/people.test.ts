import { latestChanges } from '@/records/changes';
import { newId, Conflict, Refusal } from '@/records/platform';
import { addBatch, listGlazes, saveGlaze } from '@/records/materials';
import {
  addFirstMember,
  addMember,
  checkPassword,
  endSessions,
  hasRole,
  memberOfSession,
  sessionsOf,
  startSession,
} from '@/records/people';
import { freshBase, freshStudio } from './studio';

test('passwords are kept as argon2id; a wrong one, an unknown name and a member who left are all nobody', async () => {
  const base = await freshBase('people');
  const id = await addMember(base, {
    name: 'Ada Ruiz',
    signIn: 'Ada',
    password: 'correct horse',
    role: 'student',
  });
  expect((await base('member').first())!.password_hash).toMatch(/^\$argon2id\$/);
  expect(await checkPassword(base, ' ADA ', 'correct horse')).toEqual({
    id,
    name: 'Ada Ruiz',
    role: 'student',
  });
  expect(await checkPassword(base, 'ada', 'wrong')).toBeNull();
  expect(await checkPassword(base, 'nobody', 'correct horse')).toBeNull();
  await base('member').update({ ended_at: new Date() });
  expect(await checkPassword(base, 'ada', 'correct horse')).toBeNull();
  await base.destroy();
});

test('a session ends when it is ended, when it is stale, and when the member leaves', async () => {
  const base = await freshBase('sessions');
  const id = await addMember(base, {
    name: 'Ada Ruiz',
    signIn: 'ada',
    password: 'correct horse',
    role: 'student',
  });
  const [one, two] = [await startSession(base, id, 'a phone'), await startSession(base, id, 'a computer')];
  expect(await memberOfSession(base, one)).toMatchObject({ id, role: 'student' });
  await endSessions(base, { sessionId: one });
  expect(await memberOfSession(base, one)).toBeNull();
  expect((await sessionsOf(base, id)).map((session) => session.id)).toEqual([two]);
  await base('session')
    .where({ id: two })
    .update({ seen_at: new Date(Date.now() - 31 * 86_400_000) });
  expect(await memberOfSession(base, two)).toBeNull();
  const three = await startSession(base, id, '');
  await base('member').update({ ended_at: new Date() });
  expect(await memberOfSession(base, three)).toBeNull();
  expect(await memberOfSession(base, newId())).toBeNull();
  await base.destroy();
});

test('the first technician is made once, also when two begin at once, and names the series', async () => {
  const base = await freshBase('first');
  const first = (signIn: string) =>
    addFirstMember(base, { name: signIn, signIn, password: 'a long password', prefix: 'KD' });
  const made = await Promise.allSettled([first('one'), first('two')]);
  expect(made.filter((result) => result.status === 'fulfilled' && result.value)).toHaveLength(1);
  expect(await base('member').count('* as n').first()).toEqual({ n: 1 });
  expect((await base('series').first())!.prefix).toBe('KD');
  await base.destroy();
});

test('each role may do what the ones below it may', () => {
  expect(hasRole('technician', 'teacher')).toBe(true);
  expect(hasRole('teacher', 'teacher')).toBe(true);
  expect(hasRole('student', 'teacher')).toBe(false);
  expect(hasRole('visitor', 'student')).toBe(false);
});

test('a glaze has one name, a first version, and is changed under its lock with the change noted', async () => {
  const { base, member, glazes } = await freshStudio('glazes');
  const batch = {
    id: newId(),
    glazeId: glazes.Sleeper,
    versionId: null,
    code: 'S02',
    mixedOn: '2026-02-03',
    specificGravity: 1.44,
  };
  await Promise.all([
    addBatch(base, member, batch),
    addBatch(base, member, { ...batch, id: newId(), code: 'S01', mixedOn: '2026-01-03' }),
  ]);
  await addBatch(base, member, batch);
  const [sleeper] = await listGlazes(base);
  expect(sleeper).toMatchObject({ name: 'Sleeper', versionNumber: 1, version: 1 });
  expect(sleeper!.batches.map((one) => one.code)).toEqual(['S02', 'S01']);
  const draft = { ...sleeper!, advice: 'Two quick dips.' };
  await expect(saveGlaze(base, member, { ...draft, id: newId() }, null)).rejects.toThrow(Refusal);
  await saveGlaze(base, member, draft, 1);
  await expect(saveGlaze(base, member, { ...draft, advice: 'One dip.' }, 1)).rejects.toThrow(Conflict);
  const [change] = await latestChanges(base, { what: 'glaze', rowId: glazes.Sleeper }, 100);
  expect(change).toMatchObject({
    by: 'Ines Varga',
    before: { advice: '' },
    after: { advice: 'Two quick dips.' },
  });
  await base.destroy();
});

import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { actions, guarded, said, sealed, sessions, studioOfRoles, wordsOf } from './roles';
import { READS, RIGHTS, SIGNED_OUT } from '@/auth';
import { newId } from '@/records/platform';
import { endSessions, startSession } from '@/records/people';
import type { Role } from '@/core/vocabulary';
import { fired, tile, type Studio } from './studio';

/** What a student may write besides own pieces' readings at the opening: the README's "own pieces and readings", and asking. */
const STUDENTS = [
  ...['saveNewPieces', 'saveCorrection', 'saveLateLook', 'markRepaired', 'noteGlazed', 'saveMeasure'],
  ...['openCaseAction', 'saveCase', 'saveTry', 'correct', 'requestTest', 'withdrawTestRequest'],
  ...['savePhoto', 'savePhotoTime', 'showPhotoFirst', 'takeBack'],
  ...['sayWare', 'addToSet', 'takeOutOfSet', 'mixClay', 'saveSheet', 'saveGlazingPattern', 'saveMany'],
  ...['saveCorrections', 'decidePlan', 'takePhotoFirst', 'findPiece'],
  ...['sayExpectation', 'addReminder', 'tickReminder'],
];
/** Kilns, and the hours they may be fired at, are the technician's. */
const TECHNICIANS = [
  ...['saveKilnForm', 'savePart', 'setPartEnded', 'makePasswordLink', 'saveStudio', 'dropFactor'],
  ...['saveSeries', 'removeSeries', 'removeLogo', 'makeDevice', 'removeDevice', 'skipStep'],
  ...['savePersonCard', 'letLeave', 'letReturn', 'mergeMakers'],
];
/** What anybody who is signed in does with the own account. */
const ANYBODY = [
  ...['endOwnSession', 'endAllOwnSessions', 'saveOwnName', 'saveOwnPassword'],
  ...['offerFactor', 'confirmFactor', 'removeFactor', 'chooseUnits', 'saveOwnPin', 'tellHints'],
];
/** Routes that ask nobody who they are: whether the server is well, and the calendar, which has a secret in its address. */
const OPEN_ROUTES = ['health', 'calendar.ics'];
/** Rights of routes: no action has their names. */
const OF_ROUTES = ['addPhoto', 'writeOpening', 'reserveNumbers', 'saveShelfPhoto', 'saveLogo'];

const API = join(process.cwd(), 'src/app/api/v1');
const routes = readdirSync(API, { recursive: true, encoding: 'utf8' }).filter((file) =>
  file.endsWith('route.ts'),
);

/** What a route answers to a method, with the same text for every part of its address that it leaves open. */
async function answered(file: string, method: string, part: string, query = ''): Promise<Response | null> {
  const handler = (await import(join(API, file)))[method];
  if (!handler) return null;
  const names = [...file.matchAll(/\[(\w+)\]/g)].map(([, name]) => [name!, part]);
  const body = method === 'GET' ? undefined : query || '{}';
  const address = `http://127.0.0.1/api/v1/${file.replace('/route.ts', '').replace(/\[\w+\]/g, part)}?${query}`;
  const headers = { 'content-type': 'application/json' };
  return handler(new Request(address, { method, headers, body }), {
    params: Promise.resolve(Object.fromEntries(names)),
  });
}

/** One that never ends, and one that draws for seconds; browser tests try them. */
const LONG_ROUTES = ['live/route.ts', 'wall/poster/route.ts'];
const METHODS = ['GET', 'POST', 'PUT', 'DELETE'];

let studio: Studio;
beforeAll(async () => {
  studio = await studioOfRoles('rights');
});
afterAll(() => studio.base.destroy());

test('no action writes for who is signed out, or for a session that was ended', async () => {
  expect(guarded().length).toBeGreaterThan(40);
  const ended = await startSession(studio.base, studio.member, 'test');
  await endSessions(studio.base, { sessionId: ended });
  for (const name of guarded()) {
    expect([name, wordsOf(await said(name, null))]).toEqual([name, SIGNED_OUT]);
    sealed.sessionId = ended;
    expect([name, wordsOf(await actions.get(name)!({}))]).toEqual([name, SIGNED_OUT]);
  }
});

test('every action and every route that writes stands in the table of rights, and nothing else does', () => {
  expect([...guarded(), ...OF_ROUTES].sort()).toEqual(Object.keys(RIGHTS).sort());
});

test.each([
  ['visitor', () => ANYBODY],
  ['student', () => [...STUDENTS, ...ANYBODY]],
  ['teacher', () => guarded().filter((name) => !TECHNICIANS.includes(name))],
  ['technician', guarded],
] as const)('a %s may do what the role is for, and nothing else', async (role, may) => {
  for (const name of guarded()) {
    const words = wordsOf(await said(name, role));
    expect([name, words.startsWith(`A ${role} may not do this`)]).toEqual([name, !may().includes(name)]);
  }
});

test('what makes no sense is refused with the names of the fields, and nothing is thrown or kept', async () => {
  const { base } = studio;
  const before = await base('change').count('* as count');
  const nonsense = [{}, null, 'text', { id: 'x' }, { id: newId(), ids: [], draft: 7, version: 'one' }];
  // A new address for the calendar needs to know nothing.
  for (const name of guarded().filter((one) => one !== 'renewCalendarFeed'))
    for (const input of nonsense) {
      const outcome = await said(name, 'technician', input);
      expect([name, input, outcome.ok]).toEqual([name, input, false]);
      if (outcome.ok || input === null || typeof input === 'string') continue;
      for (const { field, message } of outcome.errors) {
        expect([name, field !== '' || message.length > 10]).toEqual([name, true]);
      }
    }
  expect(await base('change').count('* as count')).toEqual(before);
});

test('no route answers who is signed out', async () => {
  delete sealed.sessionId;
  let asked = 0;
  for (const file of routes.filter((one) => !OPEN_ROUTES.some((open) => one.startsWith(open))))
    for (const method of METHODS) {
      const answer = await answered(file, method, newId());
      if (!answer) continue;
      asked++;
      const isRefused = answer.status === 401 || (await answer.text()).includes(SIGNED_OUT);
      expect([file, method, isRefused]).toEqual([file, method, true]);
    }
  expect(asked).toBeGreaterThan(20);
});

/** What a visitor with a sign-in reads: no recipe, no sheet, no file. */
const VISITED = ['entries/photos', 'firings/[id]/log', 'live', 'look-up', 'photos/[hash]', 'wall'];

test('every route that is read stands in the table, and a visitor reads no recipe and takes no file', async () => {
  const read: string[] = [];
  for (const file of routes.filter((one) => !OPEN_ROUTES.some((open) => one.startsWith(open)))) {
    if (!(await import(join(API, file))).GET) continue;
    const name = file.replace('/route.ts', '');
    read.push(name);
    if (LONG_ROUTES.includes(file) && VISITED.includes(name)) continue;
    sealed.sessionId = sessions.visitor;
    const answer = await answered(file, 'GET', newId());
    expect([name, answer!.status === 403]).toEqual([name, !VISITED.includes(name)]);
    await answer?.body?.cancel();
  }
  expect(read.sort()).toEqual(Object.keys(READS).sort());
  sealed.sessionId = sessions.student;
  for (const name of read.filter((one) => !LONG_ROUTES.includes(`${one}/route.ts`)))
    expect([name, (await answered(`${name}/route.ts`, 'GET', newId()))!.status]).not.toEqual([name, 403]);
});

test.each([
  ['an id of nothing', newId(), ''],
  ['no id', 'x', ''],
  ['text that is SQL', "' or 1=1 --", "of=' or 1=1 --&of=2"],
  ['a way out of the folder', '../../../../etc/passwd', 'of=../../etc/passwd&width=96'],
  ['figures of no size', newId(), 'width=1e99&from=-1&to=NaN&cone=999999&atmosphere=air&paper=A99&set=x'],
  ['a long text', 'x'.repeat(3000), `q=${'x'.repeat(5000)}&of=${'y,'.repeat(2000)}`],
])('a route never falls over %s', async (_, part, query) => {
  sealed.sessionId = sessions.technician;
  for (const file of routes.filter((one) => !LONG_ROUTES.includes(one)))
    for (const method of METHODS) {
      const answer = await answered(file, method, part, query);
      if (answer) expect([file, method, query, answer.status < 500]).toEqual([file, method, query, true]);
      await answer?.body?.cancel();
    }
});

test('a write that another member made is not done under this one’s session', async () => {
  const { POST } = await import(join(API, 'opening/route.ts'));
  const send = (writer: string | null) =>
    POST(
      new Request('http://127.0.0.1/api/v1/opening', {
        method: 'POST',
        body: '{}',
        headers: writer === null ? {} : { 'x-jiten-writer': writer },
      }),
    ) as Promise<Response>;
  sealed.sessionId = sessions.student;
  const refused = await send(studio.member);
  expect([refused.status, await refused.json()]).toMatchObject([409, { ok: false, code: 'other member' }]);
  const { id } = (await studio.base('member').where({ sign_in: 'student' }).first('id'))!;
  // The member's own, and a device that names nobody, come as far as the schema.
  for (const writer of [id, null])
    expect(await (await send(writer)).json()).toMatchObject({ ok: false, code: 'invalid' });
});

/** A piece of somebody with a role, in a firing that came out; and its zone there. */
async function firedPiece(role: Role): Promise<{ pieceId: string; firingId: string; zoneId: string }> {
  const { base } = studio;
  const row = await base('member').where({ sign_in: role }).first('id');
  const { firingId, ids } = await fired(studio, [tile(studio)]);
  const pieceId = ids[0]!;
  await base('piece').where({ id: pieceId }).update({ member_id: row!.id });
  const zone = await base('zone').where({ piece_id: pieceId, firing_id: firingId }).first('id');
  return { pieceId, firingId, zoneId: zone!.id };
}

/** What the route of the opening says to a role that records a piece, or takes readings back. */
async function atOpening(role: Role, write: unknown, firingId: string): Promise<string> {
  sealed.sessionId = sessions[role];
  const { POST } = await import(join(API, 'opening/route.ts'));
  const body = JSON.stringify({ id: newId(), firingId, write });
  const answer = await POST(new Request('http://127.0.0.1/api/v1/opening', { method: 'POST', body }));
  return wordsOf(await answer.json());
}

const read = (
  { pieceId, firingId, zoneId }: Awaited<ReturnType<typeof firedPiece>>,
  ageDays: number | null = null,
  follows: string | null = null,
) => {
  const id = newId();
  const reading = {
    ...{ id, zoneId, follows, stage: 'after', surface: 'gloss', movement: 'stable', colour: null },
    ...{ note: '', boilTest: null, ageDays, defects: [] },
  };
  const said = { pieceId, firingId, state: 'read', fate: null, readings: [reading] };
  return { id, said, write: { kind: 'piece', reading: said } };
};

test('a student reads own pieces only, takes back own readings only, and helps with an opening that was assigned', async () => {
  const [own, other] = [await firedPiece('student'), await firedPiece('technician')];
  const others = 'A student may change own pieces only.';
  expect(await atOpening('student', read(other).write, other.firingId)).toBe(others);
  // Under the name of a firing of one's own it is still somebody else's piece.
  expect(await atOpening('student', read(other).write, own.firingId)).toBe(others);
  expect(await atOpening('student', read(own).write, own.firingId)).toBe('done');
  // What the technician read is not read over, and not taken back, but a later fault is reported.
  const technicians = read(own);
  expect(await atOpening('technician', technicians.write, own.firingId)).toMatch(/done|Somebody else/);
  const seen = await studio.base('reading').where({ piece_id: own.pieceId, ended_at: null }).first('id');
  await studio.base('reading').where({ id: seen!.id }).update({ member_id: studio.member });
  const undone = {
    pieceId: own.pieceId,
    firingId: own.firingId,
    readingIds: [seen!.id],
    state: 'loaded',
    fate: null,
  };
  for (const write of [read(own).write, { kind: 'undo', undone }])
    expect(await atOpening('student', write, own.firingId)).toMatch('Somebody else read this piece');
  expect(wordsOf(await said('saveLateLook', 'student', read(own).said))).toMatch('after how many days');
  expect(wordsOf(await said('saveLateLook', 'student', read(own, 40, seen!.id).said))).toBe('done');
  expect(wordsOf(await said('saveLateLook', 'student', read(other, 40).said))).toBe(others);

  const student = await studio.base('member').where({ sign_in: 'student' }).first('id');
  const assign = { firingId: other.firingId, memberIds: [student!.id] };
  expect(wordsOf(await said('assignOpening', 'student', assign))).toMatch('A student may not');
  expect(wordsOf(await said('assignOpening', 'teacher', assign))).toBe('done');
  expect(await atOpening('student', read(other).write, other.firingId)).toBe('done');
  // A helper of one opening reaches no piece of another.
  const third = await firedPiece('technician');
  expect(await atOpening('student', read(third).write, other.firingId)).toBe(others);
  expect(wordsOf(await said('assignOpening', 'teacher', { ...assign, memberIds: [] }))).toBe('done');
  expect(await atOpening('student', read(other).write, other.firingId)).toBe(others);
});

test('a teacher changes all pieces while there are no groups, then those of own groups; a technician all', async () => {
  const piece = await firedPiece('student');
  const foreign = await firedPiece('technician');
  const correct = async (role: Role, { pieceId: id }: { pieceId: string }) => {
    const row = await studio.base('piece').where({ id }).first('version');
    return wordsOf(await said('saveCorrection', role, { id, version: row!.version, draft: tile(studio) }));
  };
  const beyond = 'A teacher may change the pieces of own groups only; ask a technician.';
  expect(await correct('teacher', foreign)).toBe('done');
  const [teacher, student] = await Promise.all(
    ['teacher', 'student'].map(
      async (name) => (await studio.base('member').where({ sign_in: name }).first('id'))!.id,
    ),
  );
  const group = { id: newId(), name: 'Tuesday class', teacherId: teacher, memberIds: [student], dueOn: null };
  const ofOthers = { ...group, teacherId: studio.member };
  expect(wordsOf(await said('saveGroupCard', 'teacher', { group: ofOthers, version: null }))).toMatch(
    'own groups only',
  );
  expect(wordsOf(await said('saveGroupCard', 'teacher', { group, version: null }))).toBe('done');
  expect(await correct('teacher', piece)).toBe('done');
  expect(await correct('teacher', foreign)).toBe(beyond);
  expect(await correct('technician', foreign)).toBe('done');
  // A reading of any firing is a teacher's.
  const another = await firedPiece('technician');
  expect(await atOpening('teacher', read(another).write, another.firingId)).toBe('done');
  const given = { pieceId: foreign.pieceId, makerId: student };
  expect(wordsOf(await said('giveToMaker', 'teacher', given))).toBe(beyond);
  expect(wordsOf(await said('giveToMaker', 'technician', given))).toBe('done');
  expect(await correct('student', foreign)).toBe('done');
  // Invitations reach as far: students, into own groups.
  const invitation = { id: newId(), role: 'student', groupId: group.id, makerId: null, most: 3 };
  const ask = (change: object) => ({
    invitation: { ...invitation, ...change },
    token: 'q'.repeat(43),
    days: 7,
  });
  expect(wordsOf(await said('invite', 'teacher', ask({ groupId: null })))).toMatch('own groups');
  expect(wordsOf(await said('invite', 'teacher', ask({ role: 'technician' })))).toMatch('invites students');
  expect(wordsOf(await said('invite', 'teacher', ask({})))).toBe('done');
  await said('endGroup', 'teacher', { id: group.id, isEnded: true });
});

test('a photo is re-framed by its maker, by who took it, and by who reaches the piece; not by another student', async () => {
  const foreign = await firedPiece('technician');
  const id = newId();
  await studio.base('photo').insert({
    ...{
      id,
      piece_id: foreign.pieceId,
      firing_id: foreign.firingId,
      hash: 'h'.repeat(43),
      width: 10,
      height: 10,
    },
    ...{
      frame: '{"left":0,"right":1,"rim":0,"foot":1}',
      strokes: '[]',
      member_id: studio.member,
      at: new Date(),
    },
  });
  for (const [name, input] of [
    ['savePhoto', { id, view: 'inside' }],
    ['savePhotoTime', { id, firingId: null, stage: 'before' }],
    ['showPhotoFirst', { id }],
  ] as const)
    expect([name, wordsOf(await said(name, 'student', input))]).toEqual([
      name,
      'A student may change own pieces only.',
    ]);
});

test('a student logs a piece and corrects it, but no piece of somebody else', async () => {
  const [own, other] = [newId(), newId()];
  for (const [role, id] of [
    ['student', own],
    ['teacher', other],
  ] as const) {
    const input = { ids: [id], draft: tile(studio), modelId: null };
    expect(await said('saveNewPieces', role, input)).toMatchObject({ ok: true, value: [{ id }] });
  }
  const draft = { ...tile(studio), note: 'dipped on a wet day' };
  const noteOf = (id: string) => studio.base('piece').where({ id }).first('note');
  expect(wordsOf(await said('saveCorrection', 'student', { id: other, version: 1, draft }))).toBe(
    'A student may change own pieces only.',
  );
  expect(await noteOf(other)).toEqual({ note: '' });
  expect(await said('saveCorrection', 'student', { id: own, version: 1, draft })).toMatchObject({ ok: true });
  expect(await noteOf(own)).toEqual({ note: draft.note });
  // What was typed over another's change in between comes back with theirs.
  expect(await said('saveCorrection', 'student', { id: own, version: 1, draft })).toMatchObject({
    ok: false,
    theirs: { note: draft.note },
  });
});

test('a member signs in and out; a wrong password says no more than that the two do not go together', async () => {
  const form = (fields: Record<string, string>) => {
    const data = new FormData();
    for (const [name, value] of Object.entries(fields)) data.set(name, value);
    return data;
  };
  const enter = (fields: Record<string, string>) => actions.get('signIn')!(null, form(fields));
  delete sealed.sessionId;
  const [unknown, wrong] = [
    await enter({ signIn: 'nobody', password: 'a long password' }),
    await enter({ signIn: 'teacher', password: 'another password' }),
  ];
  expect(unknown).toEqual(wrong);
  expect(sealed.sessionId).toBeUndefined();
  await expect(enter({ signIn: 'teacher', password: 'a long password' })).rejects.toThrow('to /');
  const session = sealed.sessionId;
  expect(wordsOf(await actions.get('saveKilnForm')!({}))).toMatch('A teacher may not');
  await expect(actions.get('signOut')!(null)).rejects.toThrow('to /sign-in');
  sealed.sessionId = session;
  expect(wordsOf(await actions.get('nameWall')!({}))).toBe(SIGNED_OUT);
  const first = { prefix: 'SW', name: 'Late', signIn: 'late', password: 'a long password' };
  expect(wordsOf(await actions.get('makeFirst')!(null, form(first)))).toMatch('has members already');
});

test('after ten wrong passwords a name waits, whatever it types', async () => {
  const enter = (password: string) => {
    const data = new FormData();
    data.set('signIn', 'Student');
    data.set('password', password);
    return actions.get('signIn')!(null, data);
  };
  for (let i = 0; i < 10; i++) expect(wordsOf(await enter(`guess ${i}`))).toMatch('do not go together');
  expect(wordsOf(await enter('a long password'))).toMatch('Too many tries');
});

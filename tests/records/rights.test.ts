import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { SIGNED_OUT, type Outcome } from '@/auth';
import { newId } from '@/records/platform';
import { addMember, endSessions, startSession } from '@/records/people';
import type { Role } from '@/core/vocabulary';
import { freshStudio, tile, type Studio } from './studio';

const mockSealed: { sessionId?: string; save: () => void; destroy: () => void } = {
  save: () => undefined,
  destroy: () => delete mockSealed.sessionId,
};
jest.mock('@/auth/session', () => ({ sealedSession: async () => mockSealed }));
jest.mock('next/cache', () => ({ refresh: () => undefined, revalidatePath: () => undefined }));
jest.mock('next/headers', () => ({ headers: async () => new Headers(), cookies: async () => undefined }));
jest.mock('next/navigation', () => ({
  redirect: (to: string) => {
    throw new Error(`to ${to}`);
  },
}));

type Action = (input: unknown, form?: FormData) => Promise<Outcome<unknown>>;

/** What a student may write besides own pieces' readings at the opening: the README's "own pieces and readings", and asking. */
const STUDENTS = [
  ...['saveNewPieces', 'saveCorrection', 'saveLateLook', 'markRepaired', 'noteGlazed', 'saveMeasure'],
  ...['openCaseAction', 'saveCase', 'saveTry', 'correct', 'requestTest', 'withdrawTestRequest'],
  ...['savePhoto', 'savePhotoTime', 'showPhotoFirst'],
];
/** Kilns, and the hours they may be fired at, are the technician's. */
const TECHNICIANS = ['saveKilnForm', 'savePart', 'setPartEnded'];
/** Routes that ask nobody who they are: whether the server is well, and the calendar, which has a secret in its address. */
const OPEN_ROUTES = ['health', 'calendar.ics'];
/** Anybody ends a session of their own; signing in is tried below. */
const OPEN = ['endOwnSession', 'signIn', 'makeFirst', 'signOut'];

const FEATURES = join(process.cwd(), 'src/features');
const files = readdirSync(FEATURES, { recursive: true, encoding: 'utf8' }).filter((file) =>
  file.endsWith('actions.ts'),
);

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
const sessions = {} as Record<Role, string>;
const actions = new Map<string, Action>();
beforeAll(async () => {
  studio = await freshStudio('doors');
  // What `db()` of the actions gives.
  Object.assign(globalThis, { jitenDb: studio.base });
  for (const role of ['technician', 'teacher', 'student', 'visitor'] as const) {
    const id = await addMember(studio.base, {
      name: `A ${role}`,
      signIn: role,
      password: 'a long password',
      role,
    });
    sessions[role] = await startSession(studio.base, id, 'test');
  }
  for (const file of files)
    for (const [name, action] of Object.entries(await import(join(FEATURES, file))))
      actions.set(name, action as Action);
});
afterAll(() => studio.base.destroy());

/** What an action says to somebody of a role, or to nobody. */
async function said(name: string, role: Role | null, input: unknown = {}): Promise<Outcome<unknown>> {
  mockSealed.sessionId = role ? sessions[role] : undefined;
  return actions.get(name)!(input);
}

const guarded = () => [...actions.keys()].filter((name) => !OPEN.includes(name));
const wordsOf = (outcome: Outcome<unknown>) =>
  outcome.ok ? 'done' : outcome.errors.map(({ message }) => message).join(' ');

test('no action writes for who is signed out, or for a session that was ended', async () => {
  expect(guarded().length).toBeGreaterThan(40);
  const ended = await startSession(studio.base, studio.member, 'test');
  await endSessions(studio.base, { sessionId: ended });
  for (const name of guarded()) {
    expect([name, wordsOf(await said(name, null))]).toEqual([name, SIGNED_OUT]);
    mockSealed.sessionId = ended;
    expect([name, wordsOf(await actions.get(name)!({}))]).toEqual([name, SIGNED_OUT]);
  }
});

test.each([
  ['visitor', () => []],
  ['student', () => STUDENTS],
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
  delete mockSealed.sessionId;
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

test.each([
  ['an id of nothing', newId(), ''],
  ['no id', 'x', ''],
  ['text that is SQL', "' or 1=1 --", "of=' or 1=1 --&of=2"],
  ['a way out of the folder', '../../../../etc/passwd', 'of=../../etc/passwd&width=96'],
  ['figures of no size', newId(), 'width=1e99&from=-1&to=NaN&cone=999999&atmosphere=air&paper=A99&set=x'],
  ['a long text', 'x'.repeat(3000), `q=${'x'.repeat(5000)}&of=${'y,'.repeat(2000)}`],
])('a route never falls over %s', async (_, part, query) => {
  mockSealed.sessionId = sessions.technician;
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
  mockSealed.sessionId = sessions.student;
  const refused = await send(studio.member);
  expect([refused.status, await refused.json()]).toMatchObject([409, { ok: false, code: 'other member' }]);
  const { id } = (await studio.base('member').where({ sign_in: 'student' }).first('id'))!;
  // The member's own, and a device that names nobody, come as far as the schema.
  for (const writer of [id, null])
    expect(await (await send(writer)).json()).toMatchObject({ ok: false, code: 'invalid' });
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
  delete mockSealed.sessionId;
  const [unknown, wrong] = [
    await enter({ signIn: 'nobody', password: 'a long password' }),
    await enter({ signIn: 'teacher', password: 'another password' }),
  ];
  expect(unknown).toEqual(wrong);
  expect(mockSealed.sessionId).toBeUndefined();
  await expect(enter({ signIn: 'teacher', password: 'a long password' })).rejects.toThrow('to /');
  const session = mockSealed.sessionId;
  expect(wordsOf(await actions.get('saveKilnForm')!({}))).toMatch('A teacher may not');
  await expect(actions.get('signOut')!(null)).rejects.toThrow('to /sign-in');
  mockSealed.sessionId = session;
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

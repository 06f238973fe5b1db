import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Outcome } from '@/auth';
import { addMember, startSession } from '@/records/people';
import type { Role } from '@/core/vocabulary';
import { freshStudio, type Studio } from './studio';

const mockSealed: { sessionId?: string; save: () => void; destroy: () => void } = {
  save: () => undefined,
  destroy: () => delete mockSealed.sessionId,
};
jest.mock('@/auth/session', () => ({
  sealedSession: async () => mockSealed,
  sealedDevice: async () => ({ deviceId: undefined, save: () => undefined }),
}));
jest.mock('next/cache', () => ({ refresh: () => undefined, revalidatePath: () => undefined }));
jest.mock('next/headers', () => ({ headers: async () => new Headers(), cookies: async () => undefined }));
jest.mock('next/navigation', () => ({
  redirect: (to: string) => {
    throw new Error(`to ${to}`);
  },
  notFound: () => {
    throw new Error('not there');
  },
}));
// Nothing is drawn here.
jest.mock('react-hotkeys-hook', () => ({}));
jest.mock('react-markdown', () => ({}));

type Action = (input: unknown, form?: FormData) => Promise<Outcome<unknown>>;

/** Signing in, by the sign-in page and by the links of the people's page. */
const OPEN = [
  'signIn',
  'signInByPin',
  'signInWithCode',
  'makeFirst',
  'joinStudio',
  'setForgotten',
  'signOut',
];

/** The cookie of the request that is tried. */
export const sealed = mockSealed;
/** A session of somebody of each role. */
export const sessions = {} as Record<Role, string>;
/** Every server action by its name. */
export const actions = new Map<string, Action>();

/** A studio with somebody of each role, and all actions ready to be tried on it. */
export async function studioOfRoles(name: string): Promise<Studio> {
  const studio = await freshStudio(name);
  // What `db()` of the actions gives.
  Object.assign(globalThis, { jitenDb: studio.base });
  for (const role of ['technician', 'teacher', 'student', 'visitor'] as const) {
    const account = { name: `A ${role}`, signIn: role, password: 'a long password', role };
    sessions[role] = await startSession(studio.base, await addMember(studio.base, account), 'test');
  }
  const features = join(process.cwd(), 'src/features');
  for (const file of readdirSync(features, { recursive: true, encoding: 'utf8' }))
    if (/actions\.ts$/i.test(file))
      for (const [one, action] of Object.entries(await import(join(features, file))))
        actions.set(one, action as Action);
  return studio;
}

/** What an action says to somebody of a role, or to nobody. */
export async function said(name: string, role: Role | null, input: unknown = {}): Promise<Outcome<unknown>> {
  sealed.sessionId = role ? sessions[role] : undefined;
  return actions.get(name)!(input);
}

/** The actions that ask who somebody is. */
export const guarded = () => [...actions.keys()].filter((name) => !OPEN.includes(name));

/** An answer in words. */
export const wordsOf = (outcome: Outcome<unknown>) =>
  outcome.ok ? 'done' : outcome.errors.map(({ message }) => message).join(' ');

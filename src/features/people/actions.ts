'use server';
import { refresh } from 'next/cache';
import { z } from 'zod';
import { action, type Outcome, failure, failureOf, sealedSession } from '@/auth';
import { db, NotFound } from '@/records/platform';
import { endSessions, sessionsOf, addFirstMember, checkPassword, startSession } from '@/records/people';
import { idSchema } from '@/features/shared/schema';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { RateLimiterMemory } from 'rate-limiter-flexible';

/** Ends one of the member's own sessions: the phone left on the bus. */
export const endOwnSession = action(
  'visitor',
  z.object({ sessionId: idSchema }),
  async (member, { sessionId }) => {
    const own = await sessionsOf(db(), member.id);
    if (!own.some((session) => session.id === sessionId)) throw new NotFound('This session');
    await endSessions(db(), { sessionId });
    refresh();
    return null;
  },
);

const signInSchema = z.object({
  signIn: z.string().trim().min(1, 'Type your sign-in name.').max(120),
  password: z.string().min(1, 'Type your password.').max(400),
});

const firstSchema = z.object({
  prefix: z
    .string()
    .trim()
    .toUpperCase()
    .regex(/^[A-Z]{1,6}$/, 'One to six letters.'),
  name: z.string().trim().min(1, 'Type your name.').max(120),
  signIn: z.string().trim().min(2, 'At least 2 letters.').max(120),
  password: z.string().min(10, 'At least 10 characters; a short sentence is good.').max(400),
});

/** Ten wrong passwords a name and thirty an address, each in a quarter of an hour. */
const byName = new RateLimiterMemory({ points: 10, duration: 900 });
const byAddress = new RateLimiterMemory({ points: 30, duration: 900 });

async function addressOf(): Promise<string> {
  const list = await headers();
  const behindProxy = process.env.JITEN_PROXY === '1';
  return (
    (behindProxy && list.get('x-forwarded-for')?.split(',').at(-1)?.trim()) ||
    list.get('x-jiten-address') ||
    'local'
  );
}

async function open(memberId: string): Promise<void> {
  const sealed = await sealedSession();
  sealed.sessionId = await startSession(db(), memberId, (await headers()).get('user-agent') ?? '');
  await sealed.save();
}

/** Signs a member in; says the same for an unknown name and a wrong password. */
export async function signIn(_before: unknown, form: FormData): Promise<Outcome<null>> {
  const parsed = signInSchema.safeParse(Object.fromEntries(form));
  if (!parsed.success) return failureOf(parsed.error);
  const { signIn: name, password } = parsed.data;
  const address = await addressOf();
  try {
    await Promise.all([byName.consume(name.toLowerCase()), byAddress.consume(address)]);
  } catch {
    return failure('refused', 'Too many tries. Wait a quarter of an hour, or ask a technician.');
  }
  const member = await checkPassword(db(), name, password);
  if (!member) return failure('refused', 'Sign-in name and password do not go together.', 'password');
  await Promise.all([byName.delete(name.toLowerCase()), byAddress.reward(address)]);
  await open(member.id);
  redirect('/');
}

/** Makes the first technician of a studio that has nobody yet, and signs them in. */
export async function makeFirst(_before: unknown, form: FormData): Promise<Outcome<null>> {
  const parsed = firstSchema.safeParse(Object.fromEntries(form));
  if (!parsed.success) return failureOf(parsed.error);
  const id = await addFirstMember(db(), parsed.data);
  if (!id) return failure('refused', 'This studio has members already. Sign in instead.');
  await open(id);
  redirect('/');
}

/** Ends this session on the server and drops the cookie. */
export async function signOut(): Promise<void> {
  const sealed = await sealedSession();
  if (sealed.sessionId) await endSessions(db(), { sessionId: sealed.sessionId });
  sealed.destroy();
  redirect('/sign-in');
}

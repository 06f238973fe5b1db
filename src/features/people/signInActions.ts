'use server';
import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { currentDevice, failure, failureOf, sealedSession, type Outcome } from '@/auth';
import {
  acceptInvitation,
  addFirstMember,
  checkPassword,
  checkPin,
  endSessions,
  forgetPinTries,
  hasSecondFactor,
  startSession,
  takeCode,
  takePasswordLink,
} from '@/records/people';
import { db } from '@/records/platform';
import {
  firstMemberSchema,
  joinSchema,
  newPasswordFormSchema,
  signInCodeSchema,
  signInSchema,
  tapSchema,
} from './schema';

/** Ten wrong passwords a name and thirty an address, each in a quarter of an hour. */
const byName = new RateLimiterMemory({ points: 10, duration: 900 });
const byAddress = new RateLimiterMemory({ points: 30, duration: 900 });
/** Five wrong codes after a right password, in a quarter of an hour. */
const byCode = new RateLimiterMemory({ points: 5, duration: 900 });
/** So long a right password waits for its code, ms. */
const CODE_WAITS = 600_000;

const TOO_MANY = failure('refused', 'Too many tries. Wait a quarter of an hour, or ask a technician.');

async function addressOf(): Promise<string> {
  const list = await headers();
  const behindProxy = process.env.JITEN_PROXY === '1';
  return (
    (behindProxy && list.get('x-forwarded-for')?.split(',').at(-1)?.trim()) ||
    list.get('x-jiten-address') ||
    'local'
  );
}

async function open(memberId: string, deviceId: string | null = null): Promise<void> {
  const sealed = await sealedSession();
  delete sealed.pending;
  sealed.sessionId = await startSession(db(), memberId, (await headers()).get('user-agent') ?? '', deviceId);
  await sealed.save();
}

/** Signs a member in, or asks for the second factor; says the same for an unknown name and a wrong password. */
export async function signIn(_before: unknown, form: FormData): Promise<Outcome<null>> {
  const parsed = signInSchema.safeParse(Object.fromEntries(form));
  if (!parsed.success) return failureOf(parsed.error);
  const { signIn: name, password } = parsed.data;
  const address = await addressOf();
  try {
    await Promise.all([byName.consume(name.toLowerCase()), byAddress.consume(address)]);
  } catch {
    return TOO_MANY;
  }
  const member = await checkPassword(db(), name, password);
  if (!member) return failure('refused', 'Sign-in name and password do not go together.', 'password');
  await Promise.all([
    byName.delete(name.toLowerCase()),
    byAddress.reward(address),
    forgetPinTries(db(), member.id),
  ]);
  return openOrAskCode(member.id);
}

/** Signs in whose name was tapped on a device of the studio, with their PIN; a session of it manages nothing. */
export async function signInByPin(_before: unknown, form: FormData): Promise<Outcome<null>> {
  const parsed = tapSchema.safeParse(Object.fromEntries(form));
  if (!parsed.success) return failureOf(parsed.error);
  const device = await currentDevice();
  if (!device)
    return failure('refused', 'This device is no longer the studio’s. Sign in with your password.');
  const { memberId, pin } = parsed.data;
  try {
    await checkPin(db(), memberId, pin);
  } catch (error) {
    return failureOf(error);
  }
  await open(memberId, device.id);
  redirect('/');
}

/** Signs in whose password is right; one with a second factor is asked for a code first. */
async function openOrAskCode(memberId: string): Promise<never> {
  if (!(await hasSecondFactor(db(), memberId))) {
    await open(memberId);
    redirect('/');
  }
  const sealed = await sealedSession();
  sealed.pending = { memberId, since: Date.now() };
  await sealed.save();
  redirect('/sign-in/code');
}

/** Signs in who typed the right password, with a code of the authenticator or a recovery code. */
export async function signInWithCode(_before: unknown, form: FormData): Promise<Outcome<null>> {
  const parsed = signInCodeSchema.safeParse(Object.fromEntries(form));
  if (!parsed.success) return failureOf(parsed.error);
  const { pending } = await sealedSession();
  if (!pending || Date.now() - pending.since > CODE_WAITS) redirect('/sign-in');
  try {
    await byCode.consume(pending.memberId);
  } catch {
    return TOO_MANY;
  }
  if (!(await takeCode(db(), pending.memberId, parsed.data.code)))
    return failure(
      'refused',
      'This code is not right, or it was used already. Wait for the next one.',
      'code',
    );
  await byCode.delete(pending.memberId);
  await open(pending.memberId);
  redirect('/');
}

/** Makes the first technician of a studio that has nobody yet, and signs them in. */
export async function makeFirst(_before: unknown, form: FormData): Promise<Outcome<null>> {
  return openFor(async () => {
    const id = await addFirstMember(db(), firstMemberSchema.parse(Object.fromEntries(form)));
    return id ?? failure('refused', 'This studio has members already. Sign in instead.');
  });
}

/** Makes the account that an invitation offers, and signs it in. */
export async function joinStudio(token: string, _before: unknown, form: FormData): Promise<Outcome<null>> {
  return openFor(() => acceptInvitation(db(), token, joinSchema.parse(Object.fromEntries(form))));
}

/** Sets another password by a link, and signs in; a second factor is asked for all the same. */
export async function setForgotten(token: string, _before: unknown, form: FormData): Promise<Outcome<null>> {
  const parsed = newPasswordFormSchema.safeParse(Object.fromEntries(form));
  if (!parsed.success) return failureOf(parsed.error);
  return openFor(() => takePasswordLink(db(), token, parsed.data.password));
}

/** Opens a session for the member that some work gives, within the tries of an address. */
async function openFor(work: () => Promise<string | Outcome<null>>): Promise<Outcome<null>> {
  const address = await addressOf();
  try {
    await byAddress.consume(address);
  } catch {
    return TOO_MANY;
  }
  let id: string | Outcome<null>;
  try {
    id = await work();
  } catch (error) {
    return failureOf(error);
  }
  if (typeof id !== 'string') return id;
  await byAddress.reward(address);
  return openOrAskCode(id);
}

/** Ends this session on the server and drops the cookie. */
export async function signOut(): Promise<void> {
  const sealed = await sealedSession();
  if (sealed.sessionId) await endSessions(db(), { sessionId: sealed.sessionId });
  sealed.destroy();
  redirect('/sign-in');
}

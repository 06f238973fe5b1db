import { redirect } from 'next/navigation';
import { cache } from 'react';
import type { ZodType } from 'zod';
import { db } from '@/records/db';
import { mayDo, memberOfSession, type Member, type Role } from '@/records/members';
import { failed, outcomeOf, type Outcome } from './outcome';
import { sealedSession } from './session';

/** What a write says to a person whose session has ended. */
export const SIGNED_OUT =
  'You are signed out. Sign in again in another tab, then save: what you typed is still here.';

/** The member who is signed in on this request, or null. */
export const currentMember = cache(async (): Promise<Member | null> => {
  const { sessionId } = await sealedSession();
  return sessionId ? memberOfSession(db(), sessionId) : null;
});

/** The member for a page; sends anybody else to the sign-in, and back afterwards. */
export async function memberOfPage(): Promise<Member> {
  return (await currentMember()) ?? redirect('/sign-in');
}

/**
 * The one place where it is decided who may write: checks the session and the role, then the input, then
 * runs the work. What a person can mend comes back as faults.
 *
 * @param least the lowest role that may do this
 * @param schema of the input
 */
export async function withMember<I, T>(
  least: Role,
  schema: ZodType<I>,
  input: unknown,
  work: (member: Member, value: I) => Promise<T>,
): Promise<Outcome<T>> {
  const member = await currentMember();
  if (!member) return failed('', SIGNED_OUT);
  if (!mayDo(member.role, least)) return failed('', `A ${member.role} may not do this; ask a ${least}.`);
  try {
    return { ok: true, value: await work(member, schema.parse(input)) };
  } catch (error) {
    return outcomeOf(error);
  }
}

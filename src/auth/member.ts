import type { Units } from '@/core/units';
import { notFound, redirect } from 'next/navigation';
import { cache } from 'react';
import type { input as Input, output, ZodType } from 'zod';
import { db } from '@/records/platform';
import {
  beyondReach,
  hasRole,
  deviceBy,
  memberOfSession,
  settingsForAnswer,
  unitsFor,
  type Member,
  type SignedIn,
  type Touched,
} from '@/records/people';
import { failure, failureOf, type Failure, type Outcome } from './outcome';
import {
  PAGES,
  READS,
  RIGHTS,
  type PageName,
  type PageRight,
  type ReachingName,
  type Right,
  type RightName,
} from './rights';
import { sealedDevice, sealedSession } from './session';

/** What a write says to a person whose session has ended. */
export const SIGNED_OUT =
  'You are signed out. Sign in again in another tab, then save: what you typed is still here.';

/** The settings of the studio; its clock holds for this answer. */
export const studioNow = cache(() => settingsForAnswer(db()));

/** The member who is signed in on this request, or null. */
export const currentMember = cache(async (): Promise<SignedIn | null> => {
  const { sessionId } = await sealedSession();
  const [member] = await Promise.all([sessionId ? memberOfSession(db(), sessionId) : null, studioNow()]);
  return member;
});

/** The units that the reader of this answer reads in. */
export const readerUnits = cache(async (): Promise<Units> => {
  const [member, { units }] = await Promise.all([currentMember(), studioNow()]);
  return member ? unitsFor(db(), member.id, units) : units;
});

/** The device of the studio that this request comes from, or null. */
export const currentDevice = cache(async () => {
  const { deviceId } = await sealedDevice();
  return deviceId ? deviceBy(db(), deviceId) : null;
});

/** Where a member is sent who has to set up a second factor first. */
const ACCOUNT = '/account';

/** Whether a technician works here only with a second factor and has none yet. */
async function lacksFactor(member: SignedIn): Promise<boolean> {
  return member.role === 'technician' && !member.hasSecondFactor && (await studioNow()).isFactorRequired;
}

/**
 * The member for a page; sends anybody else to the sign-in. To who may not see it there is no such page.
 *
 * @param page its path, as it stands in {@link PAGES}
 */
export async function requireMember(page: PageName): Promise<SignedIn> {
  const right: PageRight = PAGES[page];
  const member = (await currentMember()) ?? redirect('/sign-in');
  if (!right.isWithoutFactor && (await lacksFactor(member))) redirect(ACCOUNT);
  return hasRole(member.role, right.least) && !(right.isManaging && member.isByPin) ? member : notFound();
}

/** What to answer who may not read a route; null when they may. */
export async function refuseReader(route: keyof typeof READS): Promise<Response | null> {
  const member = await currentMember();
  if (!member) return new Response('Sign in first.', { status: 401 });
  if (await lacksFactor(member)) return new Response('Set up your second factor first.', { status: 403 });
  return hasRole(member.role, READS[route])
    ? null
    : new Response(`A ${member.role} may not read this; ask a teacher.`, { status: 403 });
}

/** The work that a write touches, from its checked input. */
type TouchedBy<S extends ZodType> = (value: output<S>) => Touched;

/**
 * What a write gives back. The one place that decides who may write: it checks the session and the role, then the
 * input, then whether the work that is touched is within the member's reach, then runs the work. What a person can fix
 * comes back as errors.
 *
 * @param name what is done, as it stands in {@link RIGHTS}
 * @param schema of the input
 */
export async function withMember<S extends ZodType, T>(
  name: RightName,
  schema: S,
  input: unknown,
  work: (member: Member, value: output<S>) => Promise<T>,
  touchedBy?: TouchedBy<S>,
): Promise<Outcome<T>> {
  const right: Right = RIGHTS[name];
  const member = await currentMember();
  if (!member) return failure('signed out', SIGNED_OUT);
  if (!hasRole(member.role, right.least))
    return failure('not allowed', `A ${member.role} may not do this; ask a ${right.least}.`);
  if (member.isByPin && !right.isOnTablet)
    return failure('not allowed', 'Not with a PIN: sign in with your password to do this.');
  if ((await lacksFactor(member)) && !right.isWithoutFactor)
    return failure('not allowed', 'Set up your second factor first, on your account page.');
  try {
    const value = schema.parse(input);
    const why = right.reach ? await beyondReach(db(), member, right.reach, touchedBy!(value)) : null;
    return why === null ? { ok: true, value: await work(member, value) } : failure('not allowed', why);
  } catch (error) {
    return failureOf(error);
  }
}

/**
 * What a form may send for a schema: every field by its name, with values that nobody has checked yet (a number
 * may be missing, a choice may be any text). A field that the schema requires and the form forgets does not compile.
 */
export type Unchecked<T> = unknown extends T
  ? unknown
  : T extends readonly (infer E)[]
    ? readonly Unchecked<E>[]
    : T extends string
      ? string | null
      : T extends number
        ? number | null
        : T extends object
          ? { readonly [K in keyof T]: Unchecked<T[K]> }
          : T;

/**
 * A server action whose input is typed by its schema and still checked against it when it arrives. Where it matters
 * whose work is touched, it says which that is.
 *
 * @example export const saveBodyCard = action('saveBodyCard', saveBodySchema, (member, { body }) => …);
 */
export function action<S extends ZodType, T, Name extends RightName>(
  name: Name,
  schema: S,
  work: (member: Member, value: output<S>) => Promise<T>,
  ...[touchedBy]: Name extends ReachingName ? [TouchedBy<S>] : []
): (input: Unchecked<Input<S>>) => Promise<Outcome<T>> {
  return (input) => withMember(name, schema, input, work, touchedBy);
}

/**
 * The failure of a write that a device sends under another member's session; null when the writer is the member who
 * is signed in, or is not named.
 */
export async function otherMemberFailure(writerId: string | null): Promise<Failure | null> {
  const member = writerId === null ? null : await currentMember();
  if (!member || member.id === writerId) return null;
  return failure(
    'other member',
    `${member.name} is signed in on this device; this was written by somebody else.`,
  );
}

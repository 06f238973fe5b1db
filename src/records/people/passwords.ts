import { hash, verify } from '@node-rs/argon2';
import { dictionary } from '@zxcvbn-ts/language-common';
import { PASSWORD_LENGTH } from '@/core/vocabulary';
import { Refusal } from '@/records/platform/errors';

/** The most common passwords, in small letters. */
const COMMON: ReadonlySet<string> = new Set(dictionary['passwords-common']);

/**
 * Why a password is refused, after NIST SP 800-63B section 5.1.1.2: too short, among the most common, or the name of
 * the person or of the house; no rule about which characters it has.
 *
 * @param about names that are no password: the person's, the sign-in name
 * @returns null when it will do
 * @example passwordError('password123', []) // 'This is one of the passwords that are tried first. …'
 */
export function passwordError(password: string, about: readonly string[]): string | null {
  const plain = password.normalize('NFKC');
  if ([...plain].length < PASSWORD_LENGTH.least)
    return `At least ${PASSWORD_LENGTH.least} characters; a short sentence is good.`;
  const said = plain.toLowerCase();
  const bare = said.replace(/[\d\s_.!-]+$/, '');
  if (COMMON.has(said) || COMMON.has(bare) || new Set(said).size < 4)
    return 'This is one of the passwords that are tried first. Choose another; a short sentence is good.';
  const names = [...about, 'jiten'].map((name) => name.trim().toLowerCase()).filter(Boolean);
  if (names.some((name) => bare === name || bare.replaceAll(name, '').length < 4))
    return 'This is hardly more than a name that others know. Choose another; a short sentence is good.';
  return null;
}

/** An argon2id hash of a password that will do. @throws Refusal of the field `password` */
export async function hashPassword(password: string, about: readonly string[]): Promise<string> {
  const error = passwordError(password, about);
  if (error) throw new Refusal('password', error);
  return hash(password.normalize('NFKC'));
}

// Checked when there is none, so that an unknown name takes as long as a wrong password.
const NONE = hash('nobody has this password');

/** Whether a password is the one of a hash; false, as slowly, when there is none. */
export async function isPassword(kept: string | null | undefined, password: string): Promise<boolean> {
  const isRight = await verify(kept ?? (await NONE), password.normalize('NFKC'));
  return Boolean(kept) && isRight;
}

import { randomBytes } from 'node:crypto';
import { hashOf } from '@/records/platform/hash';
import type { Db } from '@/records/platform/db';
import { saveSetting, setting } from '@/records/platform/settings';

const NAME = 'calendar feed';

/** Makes a new address for the calendar feed and puts the old one out of use; only its hash is kept. */
export async function renewFeed(base: Db, memberId: string): Promise<string> {
  const token = randomBytes(24).toString('base64url');
  const { version } = await setting(base, NAME, null);
  await saveSetting(base, memberId, NAME, { hash: hashOf(token) }, version);
  return token;
}

/** Whether a token is the feed's. */
export async function isFeedToken(base: Db, token: string): Promise<boolean> {
  const { value } = await setting<{ hash: string } | null>(base, NAME, null);
  return value !== null && value.hash === hashOf(token);
}

import { cache } from 'react';
import { db } from '@/records/db';
import { shareBy, type Share } from '@/records/shares';

const TOKEN = /^[\w-]{43}$/;

/** The link that a visitor came by, while it works; null otherwise. Asked once a request. */
export const visit = cache(async (token: string): Promise<Share | null> =>
  TOKEN.test(token) ? shareBy(db(), token) : null,
);

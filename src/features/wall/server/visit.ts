import 'server-only';
import { cache } from 'react';
import { db } from '@/records/platform';
import { shareBy, type Share, wallChoices, type WallChoice } from '@/records/dictionary';
import { onlyWall } from '../model/choose';
import { paramsOf, wallOf, type Wall } from './wallOf';

const TOKEN = /^[\w-]{43}$/;

/** The link that a visitor came by, while it works; null otherwise. Asked once a request. */
export const visit = cache(async (token: string): Promise<Share | null> =>
  TOKEN.test(token) ? shareBy(db(), token) : null,
);

/** The one wall that a link shows. */
export function sharedWall({ search }: Share): Promise<Wall> {
  return wallOf(db(), paramsOf(search), onlyWall);
}

/** Which wall a link shows, without what is on it. */
export async function sharedChoice({ search }: Share): Promise<WallChoice> {
  return onlyWall(paramsOf(search), await wallChoices(db()));
}

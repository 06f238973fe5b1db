'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { saveBody } from '@/records/materials';
import { z } from 'zod';
import { db, inTransaction } from '@/records/platform';
import { namedSchema } from '@/features/shared/names';
import { blankBody } from './model/blankBody';
import { saveBodySchema } from './schema';

/** Adds a clay or changes what is said about one. */
export const saveBodyCard = action('saveBodyCard', saveBodySchema, async (member, { body, version }) => {
  await saveBody(db(), member.id, body, version);
  refresh();
  return null;
});

/** Adds several clays by their names, all or none. */
export const addClays = action('addClays', z.object({ named: namedSchema }), async (member, { named }) => {
  await inTransaction(db(), async (trx) => {
    for (const { id, name } of named) await saveBody(trx, member.id, blankBody(id, name), null);
  });
  refresh();
  return null;
});

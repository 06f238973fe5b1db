'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { saveBody } from '@/records/materials';
import { db } from '@/records/platform';
import { saveBodySchema } from './schema';

/** Adds a clay or changes what is said about one. */
export const saveBodyCard = action('saveBodyCard', saveBodySchema, async (member, { body, version }) => {
  await saveBody(db(), member.id, body, version);
  refresh();
  return null;
});

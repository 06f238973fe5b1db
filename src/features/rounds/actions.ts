'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { db } from '@/records/platform';
import { glazeCells, saveRound } from '@/records/rounds';
import { glazeCellsSchema, roundSchema } from './schema';

/** Lays a round out and gives its pieces their numbers. */
export const layOutRound = action('layOutRound', roundSchema, (member, draft) =>
  saveRound(db(), member.id, draft),
);

/** Notes that cells were glazed as planned. */
export const noteGlazed = action('noteGlazed', glazeCellsSchema, async (member, { cells }) => {
  const glazed = await glazeCells(db(), member.id, cells);
  refresh();
  return glazed;
});

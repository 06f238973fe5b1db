'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { addTry, changeCase, openCase } from '@/records/clinic';
import { db } from '@/records/platform';
import { changeSchema, openSchema, trySchema } from './schema';

/** Opens a case and gives its number. */
export const openCaseAction = action('openCaseAction', openSchema, (member, draft) =>
  openCase(db(), member.id, draft),
);

/** Keeps answers, closes a case with what helped, or opens it again. */
export const saveCase = action('saveCase', changeSchema, async (member, change) => {
  await changeCase(db(), member.id, change);
  refresh();
  return null;
});

/** Notes a remedy that was tried. */
export const saveTry = action('saveTry', trySchema, async (member, said) => {
  await addTry(db(), member.id, said);
  refresh();
  return null;
});

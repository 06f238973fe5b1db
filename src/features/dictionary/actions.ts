'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { db } from '@/records/platform';
import {
  addCorrection,
  saveTeacherNote,
  settleCorrection,
  addRequest,
  withdrawRequest,
} from '@/records/dictionary';
import { askedSchema, correctionSchema, noteSchema, settleSchema } from './schema';

/** Writes the teacher's note of an entry. */
export const saveNote = action('saveNote', noteSchema, async (member, note) => {
  await saveTeacherNote(db(), member.id, note);
  refresh();
  return null;
});

/** Says what is wrong with an entry. */
export const correct = action('correct', correctionSchema, async (member, correction) => {
  await addCorrection(db(), member.id, correction);
  refresh();
  return null;
});

/** Marks a correction as settled. */
export const settle = action('settle', settleSchema, async (member, { id }) => {
  await settleCorrection(db(), member.id, id);
  refresh();
  return null;
});

/** Asks for a combination that nobody has tried. */
export const requestTest = action('requestTest', askedSchema, async (member, request) => {
  await addRequest(db(), member.id, request);
  refresh();
  return null;
});

/** Takes a request back. */
export const withdrawTestRequest = action(
  'withdrawTestRequest',
  askedSchema.pick({ id: true }),
  async (member, { id }) => {
    await withdrawRequest(db(), member.id, id);
    refresh();
    return null;
  },
);

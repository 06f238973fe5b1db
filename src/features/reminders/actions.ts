'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { db } from '@/records/platform';
import { addReminder as add, setReminderDone } from '@/records/reminders';
import { reminderSchema, tickedReminderSchema } from './schema';

/** Writes a note that comes up when what it is about is next used. */
export const addReminder = action('addReminder', reminderSchema, async (member, said) => {
  await add(db(), member.id, said);
  refresh();
  return null;
});

/** Ticks such a note off, or takes the tick back. */
export const tickReminder = action('tickReminder', tickedReminderSchema, async (member, { id, isDone }) => {
  await setReminderDone(db(), member.id, id, isDone);
  refresh();
  return null;
});

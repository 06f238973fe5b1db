import { z } from 'zod';
import { REMINDER_ABOUT } from '@/core/vocabulary';
import { idSchema } from '@/features/shared/schema';

export const reminderSchema = z.object({
  id: idSchema,
  about: z.enum(REMINDER_ABOUT),
  /** The id of what it is about; of a form of the library its name. */
  aboutId: z.string().min(1).max(26),
  words: z.string().trim().min(1, 'Type a note.').max(300, 'At most 300 letters.'),
});
export const tickedReminderSchema = z.object({ id: idSchema, isDone: z.boolean() });

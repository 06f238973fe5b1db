import { z } from 'zod';
import { ATMOSPHERES, HEATS } from '@/core/vocabulary';
import { idSchema } from '@/features/shared/schema';

export const noteSchema = z.object({
  entryId: idSchema,
  text: z.string().trim().max(2000, 'At most 2000 characters.'),
  version: z.int().positive(),
});

export const typedNoteSchema = noteSchema.pick({ text: true });

export const correctionSchema = z.object({
  id: idSchema,
  entryId: idSchema,
  text: z.string().trim().min(1, 'Say what is wrong.').max(600, 'At most 600 characters.'),
});

export const typedCorrectionSchema = correctionSchema.pick({ text: true });

export const settleSchema = z.object({ id: idSchema });

export const askedSchema = z.object({
  id: idSchema,
  baseId: idSchema,
  topId: idSchema,
  groundId: idSchema.nullable(),
  cone: z.enum(HEATS).nullable(),
  atmosphere: z.enum(ATMOSPHERES).nullable(),
  baseTimes: z.int().min(1).max(30).nullable(),
  topTimes: z.int().min(1).max(30).nullable(),
  note: z.string().trim().max(400, 'At most 400 characters.'),
});

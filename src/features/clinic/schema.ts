import { DEFECT_IDS } from '@/core/vocabulary';
import { z } from 'zod';
import { CAUSES, type CauseId } from '@/core/clinic';
import { idSchema } from '@/features/shared/schema';

const answers = z.string().max(600);
const words = z.string().trim().min(1, 'Say it in a few words.').max(400, 'At most 400 characters.');

export const openSchema = z.object({
  id: idSchema,
  defect: z.enum(DEFECT_IDS),
  pieceId: idSchema.nullable(),
  subject: z
    .string()
    .regex(/^[a-z]+\.[0-9A-Z]{26}$/)
    .nullable(),
  answers,
});

export const changeSchema = z.object({
  id: idSchema,
  version: z.number().int().positive(),
  answers: answers.optional(),
  closed: z
    .object({ cause: z.enum(CAUSES.map(({ id }) => id) as [CauseId, ...CauseId[]]), helped: words })
    .optional(),
  reopened: z.literal(true).optional(),
});

export const trySchema = z.object({
  id: idSchema,
  caseId: idSchema,
  act: words,
  worked: z.enum(['yes', 'no', 'not yet']),
  roundId: idSchema.nullable(),
});

import { DEFECT_IDS } from '@/core/vocabulary';
import { z } from 'zod';
import { CAUSES, type ClosedCause } from '@/core/clinic';
import { WORKED } from './model/tries';
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

/** How a case ends. */
export const closedSchema = z
  .object({
    cause: z.enum(['other', ...CAUSES.map(({ id }) => id)] as [ClosedCause, ...ClosedCause[]]),
    causeWords: z.string().trim().max(400, 'At most 400 letters.').nullable().default(null),
    helped: words,
  })
  .transform((closed) => ({ ...closed, causeWords: closed.cause === 'other' ? closed.causeWords : null }))
  .refine(({ cause, causeWords }) => cause !== 'other' || causeWords, {
    path: ['causeWords'],
    message: 'Say which cause it was.',
  });

export const changeSchema = z.object({
  id: idSchema,
  version: z.number().int().positive(),
  answers: answers.optional(),
  closed: closedSchema.optional(),
  reopened: z.literal(true).optional(),
});

/** What is typed of a try. */
export const typedTrySchema = z.object({
  act: words,
  worked: z.enum(WORKED),
  roundId: idSchema.nullable(),
});

export const trySchema = typedTrySchema.extend({ id: idSchema, caseId: idSchema });

import { z } from 'zod';
import { CAUSES, type CauseId } from '@/core/clinic';
import { DEFECTS, type DefectId } from '@/core/evidence';
import { idSchema } from '@/features/shared/schema';

const told = z.string().max(600);
const words = z.string().trim().min(1, 'Say it in a few words.').max(400, 'At most 400 characters.');

export const openSchema = z.object({
  id: idSchema,
  defect: z.enum(DEFECTS.map(({ id }) => id) as [DefectId, ...DefectId[]]),
  pieceId: idSchema.nullable(),
  about: z
    .string()
    .regex(/^[a-z]+\.[0-9A-Z]{26}$/)
    .nullable(),
  told,
});

export const changeSchema = z.object({
  id: idSchema,
  version: z.number().int().positive(),
  told: told.optional(),
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

import { z } from 'zod';
import {
  AGAIN_OUTCOMES,
  FATES,
  MOVEMENTS,
  PLACES,
  SURFACES,
  READING_STAGES,
  BOIL_TESTS,
  DEFECT_IDS,
  SEVERITIES,
} from '@/core/vocabulary';
import { idSchema } from './schema';

const readingSchema = z.object({
  id: idSchema,
  zoneId: idSchema,
  follows: idSchema.nullable(),
  stage: z.enum(READING_STAGES),
  surface: z.enum(SURFACES).nullable(),
  movement: z.enum(MOVEMENTS).nullable(),
  colour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i, 'is no colour')
    .nullable(),
  note: z.string().max(2000, 'At most 2000 characters.'),
  breaks: z.boolean().nullable().default(null),
  boilTest: z.enum(BOIL_TESTS).nullable().default(null),
  ageDays: z.number().int().min(0).max(20_000).nullable().default(null),
  defects: z
    .array(z.object({ defect: z.enum(DEFECT_IDS), severity: z.literal(SEVERITIES), place: z.enum(PLACES) }))
    .max(20),
});

const reason = z.string().trim().min(1).max(60, 'At most 60 letters.');

export const pieceReadingSchema = z.object({
  pieceId: idSchema,
  firingId: idSchema,
  state: z.enum(['read', 'missing', 'broken']),
  fate: z.enum(FATES).nullable(),
  fateBefore: z.enum(FATES).nullable().optional(),
  reasons: z.array(reason).max(12).optional(),
  outcomes: z.record(reason, z.enum(AGAIN_OUTCOMES)).optional(),
  readings: z.array(readingSchema).max(60),
});

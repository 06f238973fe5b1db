import { z } from 'zod';
import { DEFECTS, FATES, MOVEMENTS, PLACES, SURFACES, type DefectId } from '@/core/evidence';
import { idSchema } from './schema';

const defectId = z.enum(DEFECTS.map((defect) => defect.id) as [DefectId, ...DefectId[]]);

const readingSchema = z.object({
  id: idSchema,
  zoneId: idSchema,
  follows: idSchema.nullable(),
  stage: z.enum(['before', 'after']),
  surface: z.enum(SURFACES).nullable(),
  movement: z.enum(MOVEMENTS).nullable(),
  colour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i, 'is no colour')
    .nullable(),
  note: z.string().max(2000, 'At most 2000 characters.'),
  boilTest: z.enum(['passed', 'failed']).nullable().default(null),
  ageDays: z.number().int().min(0).max(20_000).nullable().default(null),
  defects: z
    .array(z.object({ defect: defectId, severity: z.literal([1, 2, 3]), place: z.enum(PLACES) }))
    .max(20),
});

export const pieceReadingSchema = z.object({
  pieceId: idSchema,
  firingId: idSchema,
  state: z.enum(['read', 'missing', 'broken']),
  fate: z.enum(FATES).nullable(),
  fateBefore: z.enum(FATES).nullable().optional(),
  readings: z.array(readingSchema).max(60),
});

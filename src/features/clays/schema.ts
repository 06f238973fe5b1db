import { z } from 'zod';
import { CONES } from '@/core/vocabulary';
import { coneIndex } from '@/core/firing';
import { colourSchema, idSchema } from '@/features/shared/schema';

const measured = (most: number) =>
  z.number('This is not a number.').min(0, 'Cannot be negative.').max(most, `At most ${most}.`).nullable();

export const bodySchema = z
  .object({
    id: idSchema,
    name: z.string().trim().min(1, 'Type a name.').max(120, 'At most 120 letters.'),
    colourOxidation: colourSchema,
    colourReduction: colourSchema,
    iron: z.enum(['none', 'low', 'high']).nullable(),
    coarse: z.boolean(),
    coneFrom: z.enum(CONES).nullable(),
    coneTo: z.enum(CONES).nullable(),
    shrinkage: measured(40),
    absorption: measured(40),
    expansion: measured(30),
    note: z.string().trim().max(2000, 'At most 2000 characters.'),
  })
  .refine(({ coneFrom, coneTo }) => !coneFrom || !coneTo || coneIndex(coneFrom)! <= coneIndex(coneTo)!, {
    path: ['coneTo'],
    message: 'The range ends below its start.',
  });

export const saveBodySchema = z.object({ body: bodySchema, version: z.int().nullable() });

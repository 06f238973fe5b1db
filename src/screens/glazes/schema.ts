import { z } from 'zod';
import { GLAZE_KINDS } from '@/core/coats';
import { MOVEMENTS, SURFACES } from '@/core/evidence';
import { idSchema } from '../pieces/schema';

export const colourSchema = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'Pick a colour.');

export const glazeSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1, 'Type a name.').max(120, 'At most 120 letters.'),
  kind: z.enum(GLAZE_KINDS),
  colour: colourSchema,
  surface: z.enum(SURFACES).nullable(),
  movement: z.enum(MOVEMENTS).nullable(),
  opaque: z.boolean(),
  decorative: z.boolean(),
  advice: z.string().trim().max(2000, 'At most 2000 characters.'),
  caution: z.string().trim().max(2000, 'At most 2000 characters.'),
});

export const saveGlazeSchema = z.object({ glaze: glazeSchema, version: z.int().nullable() });

export const batchSchema = z.object({
  id: idSchema,
  glazeId: idSchema,
  code: z.string().trim().min(1, 'Write what is on the bucket.').max(40, 'At most 40 characters.'),
  mixedOn: z.iso.date('Choose a day.'),
  specificGravity: z
    .number('This is no number.')
    .min(1, 'Water alone is 1.00.')
    .max(2.5, 'More than 2.50?')
    .nullable(),
});

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
  advice: z.string().trim().max(2000, 'At most 2000 characters.'),
  caution: z.string().trim().max(2000, 'At most 2000 characters.'),
});

export const saveGlazeSchema = z.object({ glaze: glazeSchema, version: z.int().nullable() });

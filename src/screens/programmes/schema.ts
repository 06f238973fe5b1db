import { z } from 'zod';
import { segmentsSchema } from '../firings/schema';
import { idSchema } from '../pieces/schema';

export const programmeSchema = z.object({
  programme: z.object({
    id: idSchema,
    name: z.string().trim().min(1, 'Type a name.').max(80, 'At most 80 letters.'),
    segments: segmentsSchema,
    note: z.string().trim().max(1000, 'At most 1000 letters.'),
  }),
  version: z.int().nullable(),
});

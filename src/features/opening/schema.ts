import { z } from 'zod';
import { FATES, LOAD_STATES, SHELF_FAULTS } from '@/core/vocabulary';
import { photoSettingsSchema, pointSchema } from '@/features/shared/photoSchema';
import { pieceReadingSchema } from '@/features/shared/readingSchema';
import { idSchema } from '@/features/shared/schema';

const shelf = z.number().int().min(1).max(20);
const note = z.string().max(400, 'At most 400 characters.');

/** One write of an opening, as a device sends it. */
export const openingWriteSchema = z.object({
  id: idSchema,
  firingId: idSchema,
  write: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('piece'), reading: pieceReadingSchema }),
    z.object({
      kind: z.literal('undo'),
      undone: z.object({
        pieceId: idSchema,
        firingId: idSchema,
        readingIds: z.array(idSchema).max(60),
        state: z.enum(LOAD_STATES),
        fate: z.enum(FATES).nullable(),
        writeId: idSchema.optional(),
      }),
    }),
    z.object({
      kind: z.literal('unlogged'),
      piece: z.object({
        id: idSchema,
        firingId: idSchema,
        blockId: idSchema,
        number: z.number().int().positive(),
        shelf,
        note,
      }),
    }),
    z.object({
      kind: z.literal('join'),
      join: z.object({
        firingId: idSchema,
        number: z.string().trim().min(1, 'Type a number.').max(24, 'At most 24 letters.'),
        shelf,
      }),
    }),
    z.object({
      kind: z.literal('repair'),
      repair: z.object({ id: idSchema, firingId: idSchema, shelf, what: z.enum(SHELF_FAULTS), note }),
    }),
    z.object({ kind: z.literal('repaired'), repairId: idSchema, done: z.boolean() }),
    z.object({ kind: z.literal('frame'), photo: photoSettingsSchema.extend({ id: idSchema }) }),
    z.object({
      kind: z.literal('count'),
      count: z.object({
        id: idSchema,
        zoneId: idSchema,
        photoId: idSchema,
        kind: z.enum(['pits', 'cracks']),
        perCm2: z.number().min(0).max(10_000),
        areaCm2: z.number().positive().max(10_000),
        marks: z.array(pointSchema).max(5000),
      }),
    }),
  ]),
});

import { z } from 'zod';
import { DEFECTS, FATES, MOVEMENTS, PLACES, SURFACES, type DefectId } from '@/core/evidence';
import { SHELF_FAULTS } from '@/core/firing';
import { idSchema } from '../pieces/schema';

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

const share = z.number().min(-0.5).max(1.5);
const point = z.object({ x: share, y: share });

/** What a person set on a photo. */
export const photoSettingsSchema = z.object({
  frame: z.object({
    left: share,
    right: share,
    rim: share,
    foot: share,
    tilt: z.number().min(-180).max(180).optional(),
  }),
  gains: z.tuple([z.number(), z.number(), z.number()]).nullable(),
  strokes: z.array(z.array(point).max(500)).max(40),
});

const shelf = z.number().int().min(1).max(20);
const note = z.string().max(400, 'At most 400 characters.');

/** One write of an opening, as a device sends it. */
export const openingWriteSchema = z.object({
  id: idSchema,
  firingId: idSchema,
  write: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('piece'), said: pieceReadingSchema }),
    z.object({
      kind: z.literal('takeBack'),
      taken: z.object({
        pieceId: idSchema,
        firingId: idSchema,
        readingIds: z.array(idSchema).max(60),
        state: z.enum(['loaded', 'read', 'missing', 'broken']),
        fate: z.enum(FATES).nullable(),
      }),
    }),
    z.object({
      kind: z.literal('stray'),
      stray: z.object({
        id: idSchema,
        firingId: idSchema,
        blockId: idSchema,
        number: z.number().int().positive(),
        shelf,
        note,
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
        marks: z.array(point).max(5000),
      }),
    }),
  ]),
});

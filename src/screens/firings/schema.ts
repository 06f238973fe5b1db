import { z } from 'zod';
import { CONES, FIRING_KINDS } from '@/core/firing';
import { idSchema } from '../pieces/schema';

export const ATMOSPHERES = ['oxidation', 'neutral', 'reduction'] as const;

export const segmentsSchema = z
  .array(
    z.object({
      rate: z.number('Type a rate.').positive('More than 0 °C/h.').max(999, 'At most 999 °C/h.'),
      target: z.number('Type a temperature.').min(20, 'At least 20 °C.').max(1400, 'At most 1400 °C.'),
      hold: z.number('Type minutes.').min(0, 'Not below 0.').max(2880, 'At most 48 hours.'),
    }),
  )
  .min(1, 'At least one step.')
  .max(40, 'At most 40 steps.');

export const firingSchema = z.object({
  id: idSchema,
  kilnId: z.string().min(1, 'Choose a kiln.').pipe(idSchema),
  kind: z.enum(FIRING_KINDS),
  cone: z.enum(CONES, 'Choose a cone.'),
  atmosphere: z.enum(ATMOSPHERES),
  plannedOn: z.iso.date('Choose a day.'),
  startsAt: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time such as 18:00.'),
  programmeId: idSchema.nullable(),
  segments: segmentsSchema.nullable(),
  programme: z.string().trim().max(1000, 'At most 1000 characters.'),
  remarks: z.string().trim().max(4000, 'At most 4000 characters.'),
});

export const saveFiringSchema = z.object({ firing: firingSchema, version: z.int().nullable() });

export const kilnSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1, 'Type a name.').max(80, 'At most 80 letters.'),
  heat: z.enum(['electric', 'gas', 'wood']),
  litres: z.int('Whole litres.').min(1, 'At least 1 L.').max(20_000, 'At most 20 000 L.'),
  shelves: z.int('Whole shelves.').min(1, 'At least one.').max(30, 'At most 30.'),
  controller: z
    .string()
    .trim()
    .max(200, 'At most 200 letters.')
    .regex(/^(https?:\/\/\S+[^/\s])?$/, 'An address such as http://192.168.1.20:80/kiln, or nothing.'),
  openBelow: z
    .int('Whole degrees.')
    .min(25, 'At least 25 °C.')
    .max(200, 'Not above 200 °C: that is safe to crack, not to open.'),
  mostCelsius: z.int('Whole degrees.').min(600, 'At least 600 °C.').max(1400, 'At most 1400 °C.'),
  shelfWidthMm: z.int('Whole millimetres.').min(50, 'At least 50 mm.').max(4000, 'At most 4000 mm.'),
  shelfDepthMm: z.int('Whole millimetres.').min(50, 'At least 50 mm.').max(4000, 'At most 4000 mm.'),
  roundShelves: z.boolean(),
});

export const saveKilnSchema = z.object({ kiln: kilnSchema, version: z.int().nullable() });

const spot = z.int('Whole millimetres.').min(0).max(4000);

export const loadSchema = z.object({
  firingId: idSchema,
  places: z
    .array(
      z.object({ pieceId: idSchema, shelf: z.int().min(1).max(30), x: spot, y: spot, cookie: z.boolean() }),
    )
    .min(1, 'Choose pieces first.')
    .max(400),
});

export const shelfSchema = z.object({
  firingId: idSchema,
  shelf: z.int().min(1).max(30),
  postMm: z.int('Whole millimetres.').min(20, 'At least 20 mm.').max(1500, 'At most 1500 mm.').nullable(),
});

export const dueSchema = z.object({
  pieceIds: z.array(idSchema).min(1, 'Choose pieces first.').max(400),
  dueOn: z.iso.date('Choose a day.').nullable(),
});

export const unloadSchema = z.object({ firingId: idSchema, pieceId: idSchema });

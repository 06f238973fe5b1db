import { z } from 'zod';
import { CONES, FIRING_KINDS, FIRING_STATES } from '@/core/firing';
import { idSchema } from '../pieces/schema';

export const ATMOSPHERES = ['oxidation', 'neutral', 'reduction'] as const;

export const firingSchema = z.object({
  id: idSchema,
  kilnId: z.string().min(1, 'Choose a kiln.').pipe(idSchema),
  kind: z.enum(FIRING_KINDS),
  cone: z.enum(CONES, 'Choose a cone.'),
  atmosphere: z.enum(ATMOSPHERES),
  plannedOn: z.iso.date('Choose a day.'),
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
});

export const loadSchema = z.object({
  firingId: idSchema,
  places: z
    .array(z.object({ pieceId: idSchema, shelf: z.int().min(1).max(30) }))
    .min(1, 'Choose pieces first.')
    .max(400),
});

export const unloadSchema = z.object({ firingId: idSchema, pieceId: idSchema });

export const advanceSchema = z.object({
  firingId: idSchema,
  to: z.enum(FIRING_STATES),
  achievedCone: z.number().min(-22).max(15).nullable().optional(),
});

import { celsius, heldText, millimetres, spaceOf, text } from '@/core/units';
import { KILN_HEATS, KILN_PARTS } from '@/core/vocabulary';
import { z } from 'zod';
import { segmentsSchema, idSchema } from '@/features/shared/schema';

export const programmeFieldsSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1, 'Type a name.').max(80, 'At most 80 letters.'),
  segments: segmentsSchema,
  note: z.string().trim().max(1000, 'At most 1000 letters.'),
});

export const programmeSchema = z.object({
  programme: programmeFieldsSchema,
  version: z.int().nullable(),
});

const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time such as 18:00.');

export const studioHoursSchema = z.object({
  days: z
    .array(
      z
        .object({ opens: time, closes: time })
        .refine(({ opens, closes }) => opens < closes, 'It must close after it opens.')
        .nullable(),
    )
    .length(7),
  quiet: z.object({ from: time, to: time }).nullable(),
});

export const hoursSchema = z.object({ hours: studioHoursSchema, version: z.int().min(0) });

export const moveSchema = z.object({
  firingId: idSchema,
  version: z.int(),
  plannedOn: z.iso.date('Choose a day.'),
  startsAt: time,
});

export const nothingSchema = z.object({});

export const kilnSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1, 'Type a name.').max(80, 'At most 80 letters.'),
  heat: z.enum(KILN_HEATS),
  litres: z
    .number('Type a volume.')
    .min(1, heldText(text`At least ${spaceOf(1)}.`))
    .max(20_000, heldText(text`At most ${spaceOf(20_000)}.`))
    .transform(Math.round),
  shelves: z.int('Whole shelves.').min(1, 'At least one.').max(30, 'At most 30.'),
  controller: z
    .string()
    .trim()
    .max(200, 'At most 200 letters.')
    .regex(/^(https?:\/\/\S+[^/\s])?$/, 'An address such as http://192.168.1.20:80/kiln, or nothing.'),
  openBelow: z
    .int('Whole degrees.')
    .min(25, heldText(text`At least ${celsius(25)}.`))
    .max(200, heldText(text`Not above ${celsius(200)}: that is safe to crack, not to open.`)),
  mostCelsius: z
    .int('Whole degrees.')
    .min(600, heldText(text`At least ${celsius(600)}.`))
    .max(1400, heldText(text`At most ${celsius(1400)}.`)),
  shelfWidthMm: z
    .int('Whole millimetres.')
    .min(50, heldText(text`At least ${millimetres(50)}.`))
    .max(4000, heldText(text`At most ${millimetres(4000)}.`)),
  shelfDepthMm: z
    .int('Whole millimetres.')
    .min(50, heldText(text`At least ${millimetres(50)}.`))
    .max(4000, heldText(text`At most ${millimetres(4000)}.`)),
  roundShelves: z.boolean(),
});

export const saveKilnSchema = z.object({ kiln: kilnSchema, version: z.int().nullable() });

export const partSchema = z.object({
  id: idSchema,
  kilnId: idSchema,
  part: z.enum(KILN_PARTS),
  changedOn: z.iso.date('Choose a day.'),
  note: z.string().trim().max(400, 'At most 400 letters.'),
});

export const endPartSchema = z.object({ id: idSchema, ended: z.boolean() });

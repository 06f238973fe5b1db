import { z } from 'zod';
import { idSchema } from '../pieces/schema';

const time = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time such as 18:00.');

export const hoursSchema = z.object({
  hours: z.object({
    days: z
      .array(
        z
          .object({ opens: time, closes: time })
          .refine(({ opens, closes }) => opens < closes, 'It must close after it opens.')
          .nullable(),
      )
      .length(7),
    quiet: z.object({ from: time, to: time }).nullable(),
  }),
  version: z.int().min(0),
});

export const moveSchema = z.object({
  firingId: idSchema,
  version: z.int(),
  plannedOn: z.iso.date('Choose a day.'),
  startsAt: time,
});

export const nothingSchema = z.object({});

import { celsius, heldText, perHour, text } from '@/core/units';
import { z } from 'zod';

/** A row id made by the client. */
export const idSchema = z.string().regex(/^[0-9A-HJKMNP-TV-Z]{26}$/, 'is not an id');

/** A colour as a browser's picker gives it, `#rrggbb`. */
export const colourSchema = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'Pick a colour.');

/** The steps of a programme: °C/h, °C, minutes. */
export const segmentsSchema = z
  .array(
    z.object({
      rate: z
        .number('Type a rate.')
        .positive(heldText(text`More than ${perHour(0)}.`))
        .max(999, heldText(text`At most ${perHour(999)}.`)),
      target: z
        .number('Type a temperature.')
        .min(20, heldText(text`At least ${celsius(20)}.`))
        .max(1400, heldText(text`At most ${celsius(1400)}.`)),
      hold: z.number('Type minutes.').min(0, 'Not below 0.').max(2880, 'At most 48 hours.'),
    }),
  )
  .min(1, 'At least one step.')
  .max(40, 'At most 40 steps.');

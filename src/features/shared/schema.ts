import { z } from 'zod';

/** A row id made by the client. */
export const idSchema = z.string().regex(/^[0-9A-HJKMNP-TV-Z]{26}$/, 'is not an id');

/** A colour as a browser's picker gives it, `#rrggbb`. */
export const colourSchema = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'Pick a colour.');

/** The steps of a programme: °C/h, °C, minutes. */
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

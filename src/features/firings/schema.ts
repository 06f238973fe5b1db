import { celsius, heldText, millimetres, text } from '@/core/units';
import { z } from 'zod';
import {
  ATMOSPHERES,
  ATMOSPHERES_REACHED,
  CONES,
  EVENT_KINDS,
  FIRING_KINDS,
  FULLNESSES,
  HEATS,
} from '@/core/vocabulary';
import { idSchema, segmentsSchema } from '@/features/shared/schema';

const heatFault = heldText(text`A temperature from ${celsius(100)} to ${celsius(1450)}.`);

export const firingSchema = z.object({
  id: idSchema,
  kilnId: z.string().min(1, 'Choose a kiln.').pipe(idSchema),
  kind: z.enum(FIRING_KINDS, 'Choose what it is.'),
  cone: z.enum(HEATS, 'Choose a cone.'),
  /** Where it has no cone: the temperature it goes to; null for one that is judged by eye. */
  toCelsius: z.number().min(100, heatFault).max(1450, heatFault).nullable().default(null),
  atmosphere: z.enum(ATMOSPHERES, 'Choose an atmosphere.'),
  plannedOn: z.iso.date('Choose a day.'),
  startsAt: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'A time such as 18:00.'),
  programmeId: idSchema.nullable(),
  segments: segmentsSchema.nullable(),
  programme: z.string().trim().max(1000, 'At most 1000 characters.'),
  remarks: z.string().trim().max(4000, 'At most 4000 characters.'),
});

/** A firing that is over, with the numbers of what was in it: "12-40, 55". */
export const pastFiringSchema = firingSchema.extend({
  numbers: z.string().trim().max(2000, 'At most 2000 characters.'),
});

export const savePastFiringSchema = z.object({ firing: pastFiringSchema });
export const saveFiringSchema = z.object({ firing: firingSchema, version: z.int().nullable() });

const spot = z.int('Whole millimetres.').min(0).max(4000);

const placeOnShelf = z.object({
  pieceId: idSchema,
  shelf: z.int().min(1).max(30),
  x: spot,
  y: spot,
  cookie: z.boolean(),
});

const piecesAt = <T extends z.ZodType>(place: T) =>
  z.object({ firingId: idSchema, places: z.array(place).min(1, 'Choose pieces first.').max(400) });

/** Pieces for a firing; one that nobody has placed yet has a shelf and no spot on it. */
export const loadSchema = piecesAt(placeOnShelf.partial({ x: true, y: true, cookie: true }));

/** New spots of pieces that are in a firing. */
export const moveOnShelvesSchema = piecesAt(placeOnShelf);

export const shelfSchema = z.object({
  firingId: idSchema,
  shelf: z.int().min(1).max(30),
  postMm: z
    .int('Whole millimetres.')
    .min(20, heldText(text`At least ${millimetres(20)}.`))
    .max(1500, heldText(text`At most ${millimetres(1500)}.`))
    .nullable(),
});

export const dueSchema = z.object({
  pieceIds: z.array(idSchema).min(1, 'Choose pieces first.').max(400),
  dueOn: z.iso.date('Choose a day.').nullable(),
});

export const unloadSchema = z.object({ firingId: idSchema, pieceId: idSchema });

export const startSchema = z.object({
  firingId: idSchema,
  sourceId: idSchema,
  /** Whether its controller runs it, or it is lit by hand. */
  by: z.enum(['controller', 'hand']),
  /** When it was lit, if not now. */
  at: z.iso.datetime().nullable().default(null),
});
export const litSchema = z.object({ firingId: idSchema, at: z.iso.datetime() });

export const firingIdSchema = z.object({ firingId: idSchema });

export const fileSchema = firingIdSchema.extend({ cone: z.enum(CONES).nullable() });

export const atmosphereSchema = firingIdSchema.extend({ reached: z.enum(ATMOSPHERES_REACHED).nullable() });

export const helpersSchema = firingIdSchema.extend({ memberIds: z.array(idSchema).max(60, 'At most 60.') });
export const fullnessSchema = firingIdSchema.extend({ fullness: z.enum(FULLNESSES).nullable() });

export const eventSchema = z
  .object({
    id: idSchema,
    firingId: idSchema,
    kind: z.enum(EVENT_KINDS),
    minutes: z
      .number()
      .min(0, 'Not before the start.')
      .max(60 * 24 * 60, 'At most 60 days.'),
    value: z.number('Type a number.').nullable(),
    note: z.string().trim().max(400, 'At most 400 letters.'),
  })
  .superRefine(({ kind, value, note }, context) => {
    const error = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    if (kind === 'hand reading' && (value === null || value < -20 || value > 1450))
      error('value', heldText(text`A temperature from ${celsius(-20)} to ${celsius(1450)}.`));
    if ((kind === 'damper' || kind === 'gas') && (value === null || value < 0 || value > 100))
      error('value', '0 to 100 %.');
    if (kind === 'note' && !note) error('note', 'Write something.');
  });

/** Readings of a firing book, all in one. */
export const bookSchema = z.object({
  firingId: idSchema,
  lines: z
    .array(
      z.object({
        id: idSchema,
        minutes: eventSchema.shape.minutes,
        celsius: z.number().min(-20).max(1450),
        note: eventSchema.shape.note,
      }),
    )
    .min(1, 'Nothing to save.')
    .max(400, 'At most 400 lines at once.'),
});

export const endEventsSchema = z.object({ ids: z.array(idSchema).min(1).max(400), ended: z.boolean() });

export const conesSchema = z.object({
  firingId: idSchema,
  cones: z
    .array(
      z.object({
        id: idSchema,
        shelf: z.int().min(1).max(30),
        cone: z.enum(CONES, 'Choose a cone.'),
        bend: z.number().min(0, 'Upright is 0.').max(90, 'Flat is 90.'),
      }),
    )
    .max(60, 'At most 60 cones.'),
});

export const importSchema = z.object({
  id: idSchema,
  firingId: idSchema,
  name: z.string().trim().min(1).max(200),
  sensors: z
    .array(
      z
        .array(
          z.object({
            seq: z.int().min(1),
            minutes: z.number().min(0),
            celsius: z.number().min(-50).max(1500).nullable(),
            target: z.null(),
            oxygen: z.null(),
          }),
        )
        .min(1, 'There is no reading in it.')
        .max(200_000, 'At most 200 000 readings a thermocouple.'),
    )
    .min(1)
    .max(8, 'At most eight thermocouples.'),
});

export const repairedSchema = z.object({ repairId: idSchema, done: z.boolean() });
export const closeSchema = z.object({ firingId: idSchema });

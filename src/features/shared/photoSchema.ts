import { z } from 'zod';
import { READING_STAGES, VIEWS } from '@/core/vocabulary';

const share = z.number().min(-0.5).max(1.5);
/** A spot on a picture, fractions of it. */
export const pointSchema = z.object({ x: share, y: share });

/** Words on a photo, each with the spot that they speak of. */
export const photoLabelsSchema = z
  .array(
    z.object({
      at: pointSchema,
      words: z.string().trim().min(1, 'Type a word.').max(60, 'At most 60 letters.'),
    }),
  )
  .max(20, 'At most 20 notes on a photo.');

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
  strokes: z.array(z.array(pointSchema).max(500)).max(40),
  // A device that the release before wrote on says nothing of these.
  labels: photoLabelsSchema.default([]),
  view: z.enum(VIEWS).nullable().default(null),
  area: z.string().max(40).nullable().default(null),
  stage: z.enum(READING_STAGES).nullable().default(null),
});

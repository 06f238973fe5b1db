import { heldText, lengthOf, text } from '@/core/units';
import { z } from 'zod';
import { CLAY_STATES, FORMS, METHODS, READING_STAGES, SIDES, TEXTURES, VIEWS } from '@/core/vocabulary';
import { EDGE_TOLERANCE } from '@/core/coats';
import { photoLabelsSchema } from '@/features/shared/photoSchema';
import { pieceReadingSchema } from '@/features/shared/readingSchema';
import { idSchema } from '@/features/shared/schema';

const fraction = z
  .number('Type a length.')
  .min(0, 'Type a length from the foot up.')
  .max(1, 'Cannot end above the rim.');

const areaName = z.string().trim().min(1, 'Type a name.').max(40, 'At most 40 letters.');

/** A named part beside the bands. */
const areaSchema = z
  .object({ name: areaName, side: z.enum(SIDES).nullable(), from: fraction, to: fraction })
  .refine((area) => area.to - area.from > EDGE_TOLERANCE, {
    path: ['to'],
    message: 'The upper edge must lie above the lower one.',
  });

export const coatSchema = z
  .object({
    glazeId: idSchema.or(z.literal('').transform((_, ctx) => (ctx.addIssue('Choose a glaze.'), z.NEVER))),
    batchId: idSchema.nullable(),
    versionId: idSchema.nullable().default(null),
    method: z.enum(METHODS),
    times: z.int('Whole times only.').min(1, 'At least once.').max(30, 'More than 30 times?'),
    seconds: z.number().min(0, 'Cannot be negative.').max(600, 'More than ten minutes?').nullable(),
    side: z.enum(SIDES),
    from: fraction,
    to: fraction,
    dryBefore: z.boolean().nullable(),
    clay: z.enum(CLAY_STATES).nullable().default(null),
    wiped: z.boolean(),
    firingId: idSchema.nullable(),
    area: areaName.nullable().default(null),
    not: z.array(areaName).max(12).default([]),
  })
  .refine((coat) => coat.to - coat.from > EDGE_TOLERANCE, {
    path: ['to'],
    message: 'The upper edge must lie above the lower one.',
  });

export const pieceSchema = z
  .object({
    form: z.enum(FORMS),
    heightMm: z
      .number('Type a height.')
      .min(5, heldText(text`At least ${lengthOf(5)}.`))
      .max(2000, heldText(text`At most ${lengthOf(2000)}.`)),
    widthMm: z
      .number('Type a width.')
      .min(5, heldText(text`At least ${lengthOf(5)}.`))
      .max(2000, heldText(text`At most ${lengthOf(2000)}.`)),
    bodyId: z.string().min(1, 'Choose a clay.').pipe(idSchema),
    split: z.boolean(),
    texture: z.partialRecord(z.enum(SIDES), z.array(z.enum(TEXTURES)).max(TEXTURES.length)).default({}),
    areas: z.array(areaSchema).max(12, 'At most 12 areas.').default([]),
    note: z.string().max(4000, 'At most 4000 characters.'),
    coats: z.array(coatSchema).max(40, 'At most 40 coats.'),
  })
  .superRefine(({ areas, coats }, context) => {
    const names = areas.map(({ name }) => name);
    const refuse = (path: (string | number)[], message: string) =>
      context.addIssue({ code: 'custom', path, message });
    for (const [i, name] of names.entries())
      if (names.indexOf(name) < i) refuse(['areas', i, 'name'], `There is an area ${name} already.`);
    for (const [i, { area, not }] of coats.entries()) {
      if (area !== null && !names.includes(area)) refuse(['coats', i, 'area'], `There is no area ${area}.`);
      for (const name of not)
        if (!names.includes(name)) refuse(['coats', i, 'not'], `There is no area ${name}.`);
    }
  });

export const newPieceSchema = z.object({
  ids: z.array(idSchema).min(1).max(60, 'At most 60 at once.'),
  draft: pieceSchema,
  /** Who made them, when it is not who writes them down. */
  makerId: idSchema.nullable().default(null),
  /** The piece that they are made after. */
  modelId: idSchema.nullable().default(null),
  /** The letters of the series that their numbers come from; null for the usual one. */
  series: z.string().max(12).nullable().default(null),
});
export const correctedPieceSchema = z.object({ id: idSchema, version: z.int(), draft: pieceSchema });

export const makerOfPieceSchema = z.object({ pieceId: idSchema, makerId: idSchema });

export const photoIdSchema = z.object({ id: idSchema });
export const changedPhotoSchema = photoIdSchema.extend({
  view: z.enum(VIEWS).optional(),
  labels: photoLabelsSchema.optional(),
});
export const photoTimeSchema = photoIdSchema.extend({
  firingId: idSchema.nullable(),
  stage: z.enum(READING_STAGES),
});
export const removedPhotoSchema = photoIdSchema.extend({ isRemoved: z.boolean() });
export const movedPhotoSchema = photoIdSchema.extend({
  label: z.string().trim().min(1, 'Type the number of a piece.').max(24, 'At most 24 letters.'),
});

/** What somebody saw on a piece some days after its opening: it never stands in the place of what was seen then. */
export const lateLookSchema = pieceReadingSchema.refine(
  ({ readings }) => readings.every(({ ageDays }) => ageDays !== null),
  { path: ['readings'], message: 'Say after how many days it was seen.' },
);

import { heldText, lengthOf, text } from '@/core/units';
import { z } from 'zod';
import {
  AFTER_WORK,
  CLAY_MIXES,
  CLAY_STATES,
  DEFECT_IDS,
  FATES,
  FORMS,
  METHODS,
  READING_STAGES,
  SIDES,
  TEXTURES,
  VIEWS,
} from '@/core/vocabulary';
import { EDGE_TOLERANCE } from '@/core/coats';
import { photoLabelsSchema } from '@/features/shared/photoSchema';
import { pieceReadingSchema } from '@/features/shared/readingSchema';
import { idSchema } from '@/features/shared/schema';

const fraction = z
  .number('Type a length.')
  .min(0, 'Type a length from the foot up.')
  .max(1, 'Cannot end above the rim.');

/** A size of a piece, mm. */
const lengthMm = (missing: string) =>
  z
    .number(missing)
    .min(5, heldText(text`At least ${lengthOf(5)}.`))
    .max(2000, heldText(text`At most ${lengthOf(2000)}.`));

const areaName = z.string().trim().min(1, 'Type a name.').max(40, 'At most 40 letters.');

/** A place on the drawing of a side; a hand goes over its edge. */
const drawnAt = z.number().min(-1).max(2);

/** A named part beside the bands. */
const areaSchema = z
  .object({
    ...{ name: areaName, side: z.enum(SIDES).nullable(), from: fraction, to: fraction },
    bodyId: idSchema.nullable().default(null),
    texture: z.array(z.enum(TEXTURES)).max(TEXTURES.length).default([]),
    share: z
      .number('Type a number.')
      .gt(0, 'More than nothing.')
      .max(1, 'At most 100 %.')
      .nullable()
      .default(null),
    outline: z
      .array(z.tuple([drawnAt, drawnAt]))
      .min(3)
      .max(400)
      .nullable()
      .default(null),
  })
  .refine((area) => area.to - area.from > EDGE_TOLERANCE, {
    path: ['to'],
    message: 'The upper edge must lie above the lower one.',
  });

const coverSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('pattern'),
    name: z.string().trim().min(1, 'Name the pattern.').max(40, 'At most 40 letters.'),
    percent: z.number('Type a number.').gt(0, 'More than nothing.').lt(100, 'Less than all of it.'),
  }),
  z.object({ kind: z.literal('fade'), towards: z.enum(['rim', 'foot']) }),
  z.object({
    kind: z.literal('slope'),
    rise: z.number('Type a length.').gt(0, 'More than nothing.').max(1, 'At most the height of the piece.'),
  }),
]);

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
    cover: coverSchema.nullable().default(null),
    grams: z.number().gt(0, 'More than nothing.').max(5000, 'More than 5000 g?').nullable().default(null),
    pieces: z
      .int('Whole pieces only.')
      .min(1, 'At least one.')
      .max(500, 'More than 500?')
      .nullable()
      .default(null),
    firingId: idSchema.nullable(),
    area: areaName.nullable().default(null),
    not: z.array(areaName).max(12).default([]),
  })
  .refine((coat) => coat.to - coat.from > EDGE_TOLERANCE, {
    path: ['to'],
    message: 'The upper edge must lie above the lower one.',
  });

/** A silhouette: heights rise from the foot to the rim. */
export const profileSchema = z
  .array(z.tuple([z.number().min(0).max(1), z.number().gt(0).max(1)]))
  .min(2, 'At least two points.')
  .max(40, 'At most 40 points.')
  .refine((points) => points.every(([height], i) => i === 0 || height > points[i - 1]![0]), {
    message: 'Each point lies above the one before.',
  });

export const pieceSchema = z
  .object({
    form: z.enum(FORMS),
    formId: idSchema.nullable().default(null),
    profile: profileSchema.nullable().default(null),
    heightMm: lengthMm('Type a height.'),
    widthMm: lengthMm('Type a width.'),
    bodyId: z.string().min(1, 'Choose a clay.').pipe(idSchema),
    split: z.boolean(),
    texture: z.partialRecord(z.enum(SIDES), z.array(z.enum(TEXTURES)).max(TEXTURES.length)).default({}),
    areas: z.array(areaSchema).max(12, 'At most 12 areas.').default([]),
    wanted: z.array(z.enum(DEFECT_IDS)).max(8).default([]),
    ownNumber: z.string().trim().max(24, 'At most 24 letters.').default(''),
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
  /** The number of the piece that they belong together with. */
  setWith: z.string().max(24).nullable().default(null),
});
/** A piece of which there is only a picture yet. */
export const photoFirstSchema = z.object({
  id: idSchema,
  ownNumber: z.string().trim().max(24, 'At most 24 letters.'),
});

/** Rows of a sheet, each a piece or several alike, written by whoever typed them. */
export const sheetSchema = z.object({
  memberId: idSchema,
  rows: z
    .array(newPieceSchema.pick({ ids: true, draft: true, makerId: true }))
    .min(1)
    .max(60, 'At most 60 rows at once.'),
  series: newPieceSchema.shape.series,
  /** The order that they are made for. */
  orderId: idSchema.nullable().default(null),
});

/** What is expected of the next firing of a piece; no words take it back. */
export const expectSchema = z.object({
  id: idSchema,
  pieceId: idSchema,
  words: z.string().trim().max(120, 'At most 120 letters.'),
});

const turned = <T extends z.ZodType>(value: T) => z.object({ from: value, to: value }).optional();

/** What is changed on several pieces in one act, each from what it was. */
export const manySchema = z.object({
  changes: z
    .array(
      z.object({
        id: idSchema,
        note: turned(z.string().max(4000, 'At most 4000 characters.')),
        maker: turned(idSchema),
        order: turned(idSchema.nullable()),
        group: turned(idSchema.nullable()),
        set: turned(idSchema.nullable()),
      }),
    )
    .max(300, 'At most 300 pieces at once.'),
});
export const patternSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1, 'Type a name.').max(60, 'At most 60 letters.'),
  pieceId: idSchema,
});
export const endedPatternSchema = z.object({ id: idSchema, isEnded: z.boolean() });
export const correctedPieceSchema = z.object({ id: idSchema, version: z.int(), draft: pieceSchema });
export const correctedManySchema = z.object({
  corrections: z.array(correctedPieceSchema).max(300, 'At most 300 pieces at once.'),
});

/** One plan for several pieces, or its taking back. */
export const planSchema = z.object({
  pieces: z
    .array(z.object({ id: idSchema, from: z.enum(FATES).nullable(), to: z.enum(FATES).nullable() }))
    .max(300, 'At most 300 pieces at once.'),
  reasons: z.array(z.string().trim().min(1).max(60, 'At most 60 letters.')).max(8),
  isBack: z.boolean(),
});

/** What is said of a piece as ware; what is left out stays as it was. */
export const wareSchema = z.object({
  pieceId: idSchema,
  said: z
    .object({
      owner: z.string().trim().max(120, 'At most 120 letters.'),
      promisedBy: z.iso.date('Choose a day.').nullable(),
      price: z.string().trim().max(40, 'At most 40 letters.'),
      isSold: z.boolean(),
      isForDisplay: z.boolean(),
      after: z.array(z.enum(AFTER_WORK)).max(AFTER_WORK.length),
    })
    .partial(),
  isLiked: z.boolean().optional(),
});

export const leaveSetSchema = z.object({ pieceId: idSchema });
export const joinSetSchema = leaveSetSchema.extend({
  label: z.string().trim().min(1, 'Type the number of a piece.').max(24, 'At most 24 letters.'),
});

export const mixedClaySchema = z
  .object({
    how: z.enum(CLAY_MIXES),
    bodyIds: z.array(idSchema).min(1, 'Choose a clay.').max(4, 'At most four clays.'),
    stain: z.string().trim().min(1, 'What is stirred in?').max(60, 'At most 60 letters.').nullable(),
    percent: z.number('Type a number.').gt(0, 'More than nothing.').max(50, 'At most 50 %.').nullable(),
  })
  .superRefine(({ how, bodyIds, stain, percent }, context) => {
    const refuse = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    if (how === 'stained') {
      if (bodyIds.length > 1) refuse('bodyIds', 'One clay is stained.');
      if (stain === null) refuse('stain', 'What is stirred in?');
      if (percent === null) refuse('percent', 'Type a number.');
    } else if (new Set(bodyIds).size < 2) refuse('bodyIds', 'Choose two different clays.');
  });

const formSizeMm = z.number().gt(0, 'More than nothing.').max(2000, 'Too large.').nullable();
const formSizeSchema = z.object({ heightMm: formSizeMm, widthMm: formSizeMm });
export const studioFormSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1, 'Type a name.').max(80, 'At most 80 letters.'),
  form: z.enum(FORMS),
  profile: profileSchema,
  heightMm: lengthMm('Type a height.'),
  widthMm: lengthMm('Type a width.'),
  clayGrams: z.number().gt(0, 'More than nothing.').max(50_000, 'Too heavy.').nullable(),
  sizes: z.object({ thrown: formSizeSchema, trimmed: formSizeSchema }),
  bands: z
    .array(
      z
        .object({ name: areaName, from: fraction, to: fraction })
        .refine(({ from, to }) => to - from > EDGE_TOLERANCE, {
          path: ['to'],
          message: 'The upper edge must lie above the lower one.',
        }),
    )
    .max(8, 'At most 8 bands.'),
  note: z.string().trim().max(2000, 'At most 2000 characters.'),
});
export const saveFormSchema = z.object({ form: studioFormSchema, version: z.int().nullable() });
export const endedFormSchema = z.object({ id: idSchema, isEnded: z.boolean() });

export const makerOfPieceSchema = z.object({ pieceId: idSchema, makerId: idSchema });

export const photoIdSchema = z.object({ id: idSchema });
export const changedPhotoSchema = photoIdSchema.extend({
  view: z.enum(VIEWS).optional(),
  area: areaName.nullable().optional(),
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

/** A number as somebody reads it under the foot. */
export const numberSchema = z.object({
  number: z.string().trim().min(1, 'Type a number.').max(40, 'At most 40 letters.'),
});

import { heldText, shortFigures, text, volumeOf } from '@/core/units';
import { z } from 'zod';
import { GLAZE_KINDS, JUDGE_CRITERIA, METHODS, MOVEMENTS, SURFACES } from '@/core/vocabulary';
import { colourSchema, idSchema } from '@/features/shared/schema';
import { isOxide, sumOfAnalysis } from '@/core/chemistry';
import { readAnalysis } from './model/analysisText';
import { MOST_LINES } from './model/glazeDraft';

export const glazeSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1, 'Type a name.').max(120, 'At most 120 letters.'),
  also: z.string().trim().max(200, 'At most 200 letters.').default(''),
  kind: z.enum(GLAZE_KINDS),
  colour: colourSchema,
  surface: z.enum(SURFACES).nullable(),
  movement: z.enum(MOVEMENTS).nullable(),
  opaque: z.boolean().nullable(),
  decorative: z.boolean(),
  usualMethod: z.enum(METHODS).nullable().default(null),
  usualTimes: z
    .int('Whole times only.')
    .min(1, 'At least once.')
    .max(30, 'More than 30 times?')
    .nullable()
    .default(null),
  advice: z.string().trim().max(2000, 'At most 2000 characters.'),
  caution: z.string().trim().max(2000, 'At most 2000 characters.'),
});

/** What is said of a glaze under one criterion; no words take it back. */
export const judgeSchema = z.object({
  glazeId: idSchema,
  criterion: z.enum(JUDGE_CRITERIA),
  from: z.string().max(400),
  to: z.string().trim().max(400, 'At most 400 letters.'),
});

export const saveGlazeSchema = z.object({ glaze: glazeSchema, version: z.int().nullable() });

export const batchSchema = z.object({
  id: idSchema,
  glazeId: idSchema,
  versionId: idSchema,
  code: z.string().trim().min(1, 'Write what is on the bucket.').max(40, 'At most 40 characters.'),
  mixedOn: z.iso.date('Choose a day.'),
  specificGravity: z
    .number('This is not a number.')
    .min(1, 'Water alone is 1.00.')
    .max(2.5, 'More than 2.50?')
    .nullable(),
});

/** A name that the studio writes for a material. */
export const aliasSchema = z.object({
  name: z.string().trim().min(1).max(80, 'At most 80 letters.'),
  material: z.string().trim().min(1).max(80).nullable(),
});

export const versionChoiceSchema = z.object({ glazeId: idSchema, versionId: idSchema });

const lineSchema = z.object({
  material: z.string().trim().min(1, 'Which material?').max(120, 'At most 120 letters.'),
  amount: z.number('This is not a number.').min(0, 'Cannot be negative.').max(1e6, 'More than a million?'),
  addition: z.boolean().optional(),
});

export const recipeSchema = z.object({
  id: idSchema,
  glazeId: idSchema,
  follows: idSchema,
  wasWritten: z.boolean(),
  lines: z
    .array(lineSchema)
    .max(MOST_LINES, `At most ${MOST_LINES} lines.`)
    .refine((lines) => lines.some((line) => !line.addition && line.amount > 0), 'The base adds up to 0.'),
  note: z.string().trim().max(2000, 'At most 2000 characters.'),
});

const share = z.number('This is not a number.').min(0, 'Cannot be negative.').max(105, 'More than 105 %?');

/** An analysis may add up to a little over 100, as laboratories round; 105 is a slip of the pen. */
const MOST_PERCENT = 105;

export const materialSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1, 'Type a name.').max(120, 'At most 120 letters.'),
  analysis: z.record(z.string(), share).superRefine((analysis, ctx) => {
    const wrong = (message: string) => ctx.addIssue({ code: 'custom', message });
    for (const oxide of Object.keys(analysis)) if (!isOxide(oxide)) wrong(`${oxide} is not a known oxide.`);
    const sum = sumOfAnalysis(analysis);
    if (sum > MOST_PERCENT) wrong(`Adds up to ${shortFigures(sum, 2)} %, more than ${MOST_PERCENT}.`);
    if (sum === 0) wrong('Type at least one oxide.');
  }),
  loi: z.number('This is not a number.').min(0, 'Cannot be negative.').max(100, 'At most 100.'),
  density: z
    .number('This is not a number.')
    .min(0.5, 'Lighter than 0.5?')
    .max(12, 'Heavier than 12?')
    .nullable(),
  source: z.string().trim().max(200, 'At most 200 letters.'),
});

/** A material as its card has it: the analysis as it was typed, a blank loss on ignition for none. */
export const typedMaterialSchema = materialSchema.extend({
  analysis: z
    .string()
    .transform((text, ctx) => {
      const { analysis, errors } = readAnalysis(text);
      if (errors.length) ctx.addIssue({ code: 'custom', message: errors.join(' ') });
      return analysis;
    })
    .pipe(materialSchema.shape.analysis),
  loi: materialSchema.shape.loi.nullable().transform((loi) => loi ?? 0),
});

export const saveMaterialSchema = z.object({ material: materialSchema, version: z.int().nullable() });

export const measureSchema = z.object({
  id: idSchema,
  batchId: idSchema,
  specificGravity: z
    .number('This is not a number.')
    .gt(1, 'Water alone is 1.00.')
    .max(2.5, 'More than 2.50?'),
  ml: z
    .number('This is not a number.')
    .positive('More than nothing.')
    .max(1e6, heldText(text`More than ${volumeOf(1e6)}?`))
    .nullable(),
  done: z.string().trim().max(200, 'At most 200 letters.'),
});

import { METRIC, sayMessage } from '../../src/core/units';
import { z } from 'zod';
import { CONE_KEYS, FLAGS, INGREDIENTS, NUMBERS, rank, WORDS } from '../../src/core/clinic';
import { DEFECTS, type DefectId, type Cone } from '../../src/core/vocabulary';
import { coneIndex } from '../../src/core/firing';
import type { Command } from './main';

const known = (values: readonly string[]) => `must be one of ${values.join(', ')}`;
const coneSchema = z
  .string('must be a cone name')
  .refine(
    (name) => coneIndex(name) !== null,
    'must be a cone name, such as "6" or "04"',
  ) as unknown as z.ZodType<Cone>;
const ingredients = z.array(z.enum(INGREDIENTS, known(INGREDIENTS)), 'must be a list');

/** A schema for every key of a table. */
function each<K extends string, S extends z.ZodType>(keys: readonly K[], schema: (key: K) => S) {
  return Object.fromEntries(keys.map((key) => [key, schema(key).optional()])) as Record<K, z.ZodOptional<S>>;
}

const evidenceSchema = z.strictObject(
  {
    ...each(Object.keys(WORDS) as (keyof typeof WORDS)[], (key) =>
      z.enum(WORDS[key] as readonly [string, ...string[]], known(WORDS[key])),
    ),
    ...each(FLAGS, () => z.boolean('must be true or false')),
    ...each(Object.keys(NUMBERS) as (keyof typeof NUMBERS)[], (key) =>
      z
        .number('must be a number')
        .min(NUMBERS[key][0], `must be ≥ ${NUMBERS[key][0]}`)
        .max(NUMBERS[key][1], `must be ≤ ${NUMBERS[key][1]}`),
    ),
    ...each(CONE_KEYS, () => coneSchema),
    glazeCone: z.tuple([coneSchema, coneSchema], 'must be two cones').optional(),
    glazeHas: ingredients.optional(),
    neighbourHas: ingredients.optional(),
  },
  {
    error: (issue) =>
      issue.code === 'unrecognized_keys' ? `unknown: ${(issue.keys as string[]).join(', ')}` : undefined,
  },
);

const ids = DEFECTS.map((defect) => defect.id) as [DefectId, ...DefectId[]];
const schema = z.object({ defect: z.enum(ids, known(ids)), evidence: evidenceSchema.default({}) });

/** `diagnose`: the causes of a defect by what is known of it, best first. */
export const diagnose: Command = (input) => {
  const parsed = schema.safeParse(input);
  if (!parsed.success) return { errors: parsed.error };
  const { defect, evidence } = parsed.data;
  const { causes, other, enough } = rank(defect, evidence as Parameters<typeof rank>[1]);
  return {
    answer: {
      causes: causes.map(({ cause, score, because, against, with: partner }) => ({
        id: cause.id,
        score,
        because: because.map(({ words }) => words),
        against: against.map(({ words }) => words),
        remedies: cause.remedies.map(({ act }) => sayMessage(act, METRIC)),
        test: sayMessage(cause.test, METRIC),
        ...(partner && { with: partner }),
      })),
      other,
      enough,
    },
  };
};

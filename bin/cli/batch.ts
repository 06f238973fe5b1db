import { z } from 'zod';
import { batchOf, DRY_SPECIFIC_GRAVITY } from '../../src/core/recipe';
import type { Command } from './main';
import { linesSchema } from './recipe';

const schema = z
  .object({
    lines: linesSchema.refine(
      (lines) => lines.some((line) => !line.addition && line.amount > 0),
      'must have a base that adds up to more than 0',
    ),
    grams: z.number('must be a number').positive('must be > 0'),
    specificGravity: z.number('must be a number').gt(1, 'must be > 1 (water)').optional(),
    drySpecificGravity: z.number('must be a number').gt(1, 'must be > 1 (water)').optional(),
  })
  .refine((batch) => (batch.specificGravity ?? 0) < (batch.drySpecificGravity ?? DRY_SPECIFIC_GRAVITY), {
    path: ['specificGravity'],
    message: 'must be below that of the dry material',
  });

/** `batch`: grams of every line, and water for a specific gravity. */
export const batch: Command = (input) => {
  const parsed = schema.safeParse(input);
  if (!parsed.success) return { errors: parsed.error };
  const { lines, ...options } = parsed.data;
  return { answer: batchOf(lines, options) };
};

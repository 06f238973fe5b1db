import { z } from 'zod';
import { contrastOf, mantelHaenszel, together, type Table } from '../../src/core/evidence';
import type { Command } from './main';

const count = z.int('must be a whole number').min(0, 'must be ≥ 0').max(1_000_000, 'must be ≤ 1000000');
const row = z.tuple([count, count], 'must be two counts');
const table = z.tuple([row, row], 'must be two rows of two counts');

const schema = z
  .object({
    table: table.optional(),
    strata: z.array(table, 'must be a list').min(1, 'must have at least one').max(10_000).optional(),
  })
  .refine(
    (input) => (input.table === undefined) !== (input.strata === undefined),
    'must have either table or strata',
  );

/** `contrast`: exact test, odds ratio and its interval of a two by two table; strata are pooled besides. */
export const contrast: Command = (input) => {
  const parsed = schema.safeParse(input);
  if (!parsed.success) return { errors: parsed.error };
  const { table: one, strata } = parsed.data as { table?: Table; strata?: readonly Table[] };
  if (one) return { answer: contrastOf(one) };
  return { answer: { ...contrastOf(together(strata!)), mantelHaenszel: mantelHaenszel(strata!) } };
};

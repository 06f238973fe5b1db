import { z } from 'zod';
import { deltaE00, labOf } from '../../src/core/colour';
import type { Command } from './main';

const value = z.number('must be a number').min(-200, 'must be ≥ -200').max(200, 'must be ≤ 200');
const colourSchema = z.union(
  [
    z
      .string()
      .regex(/^#[0-9a-f]{6}$/i)
      .transform(labOf),
    z.object({ l: z.number().min(0).max(100), a: value, b: value }),
  ],
  'must be "#rrggbb" or {l, a, b}',
);

const schema = z.object({ a: colourSchema, b: colourSchema });

/** `colour`: how far two colours are apart, ΔE00. */
export const colour: Command = (input) => {
  const parsed = schema.safeParse(input);
  if (!parsed.success) return { errors: parsed.error };
  return { answer: { deltaE00: deltaE00(parsed.data.a, parsed.data.b) } };
};

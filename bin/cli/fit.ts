import { z } from 'zod';
import { fitOf } from '../../src/core/fit';
import type { Command } from './main';

const positive = z.number('must be a number').positive('must be > 0');
const expansion = z.number('must be a number').min(-20, 'must be ≥ -20').max(60, 'must be ≤ 60');

const schema = z.object({
  glazeExpansion: expansion,
  bodyExpansion: expansion,
  thicknessMm: positive,
  setDropK: positive.optional(),
  modulusGPa: positive.optional(),
  poisson: z.number('must be a number').min(0, 'must be ≥ 0').lt(0.5, 'must be < 0.5').optional(),
});

/** `fit`: mismatch, stress and the thickness at which a glaze crazes on a body. */
export const fit: Command = (input) => {
  const parsed = schema.safeParse(input);
  return parsed.success ? { answer: fitOf(parsed.data) } : { errors: parsed.error };
};

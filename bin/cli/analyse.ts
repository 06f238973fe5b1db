import { z } from 'zod';
import { analyse as analyseRecipe, materialBook } from '../../src/core/chemistry';
import type { Command } from './main';
import { linesSchema, materialsSchema } from './recipe';

const schema = z.object({ lines: linesSchema, materials: materialsSchema.optional() });

/** `analyse`: the chemistry of a recipe. */
export const analyse: Command = (input) => {
  const parsed = schema.safeParse(input);
  if (!parsed.success) return { errors: parsed.error };
  const { lines, materials = [] } = parsed.data;
  return { answer: analyseRecipe(lines, { book: materialBook(materials) }) };
};

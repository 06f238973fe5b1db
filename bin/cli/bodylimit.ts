import { z } from 'zod';
import { calibrate, limitOf, type FitTile } from '../../src/core/fit';
import type { Command } from './main';

const positive = z.number('must be a number').gt(0, 'must be > 0');

const tile = z.object({
  glaze: z.string('must be a text').min(1, 'must not be empty').max(200, 'must have at most 200 letters'),
  expansion: positive.max(30, 'must be ≤ 30'),
  thicknessMm: positive.max(20, 'must be ≤ 20'),
  ageDays: z.number('must be a number').min(0, 'must be ≥ 0').max(40_000, 'must be ≤ 40000'),
  crazed: z.boolean('must be true or false'),
});

const schema = z.object({
  tiles: z
    .array(tile, 'must be a list')
    .min(1, 'must have at least one')
    .max(20_000, 'must have at most 20000'),
});

function answerOf({ tiles }: z.infer<typeof schema>) {
  const known = tiles.map(({ expansion, ...rest }): FitTile => ({ ...rest, glazeExpansion: expansion }));
  const { value, low, high } = limitOf(known);
  return { expansion: value, low, high, enough: calibrate(known).enough };
}

/** `bodylimit`: the expansion that crazed and sound tiles say a body has, of one list of tiles or of many. */
export const bodylimit: Command = (input) => {
  if (Array.isArray(input)) {
    const many = z.array(schema).max(1000, 'must have at most 1000').safeParse(input);
    return many.success ? { answer: many.data.map(answerOf) } : { errors: many.error };
  }
  const one = schema.safeParse(input);
  return one.success ? { answer: answerOf(one.data) } : { errors: one.error };
};

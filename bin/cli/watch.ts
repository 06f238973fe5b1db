import { z } from 'zod';
import { steadyChance, watch as chart } from '../../src/core/evidence';
import type { Command } from './main';

const whole = z.int('must be a whole number').min(0, 'must be ≥ 0').max(100_000, 'must be ≤ 100000');

const schema = z.object({
  samples: z
    .array(
      z
        .tuple([whole, whole], 'must be two numbers: pieces with the defect, pieces in all')
        .refine(([count, of]) => count <= of, 'must not have more defects than pieces'),
      'must be a list',
    )
    .max(2000, 'must have at most 2000'),
});

/** `watch`: the upper limit of each sample, which are beyond it, and from when on there is more. */
export const watch: Command = (input) => {
  const parsed = schema.safeParse(input);
  if (!parsed.success) return { errors: parsed.error };
  const samples = parsed.data.samples.map(([count, of], i) => ({
    id: `${i}`,
    words: '',
    count,
    of,
    firings: [`${i}`],
  }));
  const { samples: charted, rise } = chart(samples, steadyChance());
  const known = new Map(charted.map((one) => [one.id, one]));
  return {
    answer: {
      limits: samples.map(({ id }) => known.get(id)?.limit ?? null),
      out: samples.map(({ id }) => known.get(id)?.isOut ?? false),
      // An empty sample has a place in the input but none in the chart.
      rise: rise && { from: Number(charted[rise.at]!.id), p: rise.chance },
    },
  };
};

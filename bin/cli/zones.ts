import { z } from 'zod';
import { EDGE_TOLERANCE, zonesOf } from '../../src/core/coats';
import { SIDES } from '../../src/core/vocabulary';
import type { Command } from './main';

const fraction = z.number('must be a number').min(0, 'must be ≥ 0').max(1, 'must be ≤ 1');

const schema = z.object({
  coats: z.array(
    z
      .object({
        glaze: z.string('must be a name').trim().min(1, 'must not be empty'),
        side: z.enum(SIDES, `must be one of ${SIDES.join(', ')}`),
        from: fraction,
        to: fraction,
        times: z.int('must be a whole number').min(1, 'must be ≥ 1'),
      })
      .refine((coat) => coat.to - coat.from > EDGE_TOLERANCE, {
        path: ['from'],
        message: 'must be below to',
      }),
    'must be a list',
  ),
});

/** `zones`: the zones of a piece, foot to rim, bare stretches included. */
export const zones: Command = (input) => {
  const parsed = schema.safeParse(input);
  return parsed.success ? { answer: { zones: zonesOf(parsed.data.coats) } } : { errors: parsed.error };
};

import { z } from 'zod';
import { CONES } from '../../src/core/vocabulary';
import { coneAt, coneIndex, endPoint, isPublishedRate, TABLE_RATES } from '../../src/core/firing';
import type { Command } from './main';

const [slowest, , fastest] = TABLE_RATES;

const schema = z
  .object({
    cone: z
      .string('must be a name')
      .refine((name) => coneIndex(name) !== null, 'must be a cone from 022 to 14')
      .transform((name) => CONES.find((cone) => coneIndex(cone) === coneIndex(name))!)
      .optional(),
    celsius: z.number('must be a number').optional(),
    rate: z
      .number('must be a number')
      .refine(isPublishedRate, `must be between ${slowest} and ${fastest}, where end points are published`),
  })
  .transform(({ cone, celsius, rate }, context) => {
    const error = (field: string, message: string) => {
      context.addIssue({ code: 'custom', path: field ? [field] : [], message });
      return z.NEVER;
    };
    if ((cone === undefined) === (celsius === undefined))
      return error('', 'must have either cone or celsius');
    if (cone !== undefined) {
      const end = endPoint(cone, rate);
      return end === null
        ? error('rate', `has no published end point for cone ${cone}; at least 60`)
        : { cone, celsius: end };
    }
    const at = coneAt(celsius!, rate);
    if (!at) return error('celsius', 'must be within the cones published at this rate');
    const { between, fraction } = at;
    return { cone: at.cone, celsius: celsius!, ...(between && { between, fraction }) };
  });

/** `cone`: the end point of a cone at a rate, or the cone that a climb has brought down. */
export const cone: Command = (input) => {
  const parsed = schema.safeParse(input);
  return parsed.success ? { answer: parsed.data } : { errors: parsed.error };
};

import { z } from 'zod';
import { readCone } from '../../src/core/firing';
import { MEASURE_KINDS, readMeasure, UNIT_SYSTEMS } from '../../src/core/units';
import type { Command } from './main';

const schema = z
  .object({
    text: z.string('must be a text').max(200, 'must have at most 200 letters'),
    kind: z.enum([...MEASURE_KINDS, 'cone'], `must be one of ${MEASURE_KINDS.join(', ')}, cone`),
    units: z.enum(UNIT_SYSTEMS, `must be one of ${UNIT_SYSTEMS.join(', ')}`).default('metric'),
  })
  .transform(({ text, kind, units }, context) => {
    const wrong = (message: string) => {
      context.addIssue({ code: 'custom', path: ['text'], message });
      return z.NEVER;
    };
    if (kind === 'cone') {
      const index = readCone(text);
      return index === null
        ? wrong('is no cone from 022 to 14')
        : { value: index, unit: 'cone', canonical: index };
    }
    const { measure, error } = readMeasure(text, kind, units);
    return error === null ? measure : wrong(error);
  });

/** `measure`: what a written length, weight, volume, temperature, rate or cone comes to. */
export const measure: Command = (input) => {
  const parsed = schema.safeParse(input);
  return parsed.success ? { answer: parsed.data } : { errors: parsed.error };
};

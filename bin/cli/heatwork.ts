import { z } from 'zod';
import { heatWork, tidyLog } from '../../src/core/firing';
import type { Command } from './main';

/** A log as it is given: minutes on any clock, °C. */
export const logSchema = z
  .array(
    z.object({
      minutes: z.number('must be a number'),
      celsius: z.number('must be a number').gt(-273.15, 'must be > -273.15').max(2000, 'must be ≤ 2000'),
    }),
    'must be a list',
  )
  .min(1, 'must have at least one')
  .max(1_000_000, 'must have at most 1000000');

const schema = z.object({ readings: logSchema });

/** `heatwork`: what a log comes to in cones. */
export const heatwork: Command = (input) => {
  const parsed = schema.safeParse(input);
  if (!parsed.success) return { errors: parsed.error };
  const readings = parsed.data.readings.map(({ minutes, celsius }) => ({ minutes, temperature: celsius }));
  const { cone, coneIndex, peakCelsius, minutesNearPeak } = heatWork(tidyLog(readings).points);
  return { answer: { cone, coneIndex, peakCelsius, minutesNearPeak } };
};

import { z } from 'zod';
import { coolingForecast, tidyLog } from '../../src/core/firing';
import { logSchema } from './heatwork';
import type { Command } from './main';

const schema = z.object({
  readings: logSchema,
  to: z.number('must be a number').gt(20, 'must be > 20').max(1400, 'must be ≤ 1400'),
  history: z.array(logSchema, 'must be a list').max(50, 'must have at most 50').default([]),
});

const curveOf = (log: z.infer<typeof logSchema>) =>
  tidyLog(log.map(({ minutes, celsius }) => ({ minutes, temperature: celsius }))).points;

/** `cooling`: when a kiln is down at a temperature, with an interval that holds 4 times in 5. */
export const cooling: Command = (input) => {
  const parsed = schema.safeParse(input);
  if (!parsed.success) return { errors: parsed.error };
  const { readings, to, history } = parsed.data;
  const time = coolingForecast(curveOf(readings), history.map(curveOf)).timeAt(to);
  return { answer: time ?? { minutes: null, low: null, high: null } };
};

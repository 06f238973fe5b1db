import { z } from 'zod';
import type { Segment } from '@/core/firing';

const reading = z.object({
  seq: z.int().min(1),
  minutes: z.number().min(0),
  celsius: z.number().nullable(),
  target: z.number().nullable(),
  oxygen: z.number().nullable(),
});

const state = z.object({
  heat: z.enum(['electric', 'gas']),
  run: z.string().nullable(),
  status: z.enum(['idle', 'running', 'complete', 'stopped']),
  speed: z.number().positive(),
  minutes: z.number(),
  celsius: z.number().nullable(),
  target: z.number().nullable(),
  power: z.number(),
  oxygen: z.number().nullable(),
  settings: z.object({ gas: z.number(), air: z.number(), damper: z.number() }),
});

export type ControllerReading = z.infer<typeof reading>;
export type ControllerState = z.infer<typeof state>;

/** What Jiten asks of a kiln controller; another make gets a driver of its own. */
export interface KilnDriver {
  state(): Promise<ControllerState>;
  /** Begins a programme; the same run twice is one run. */
  start(run: string, segments: readonly Segment[]): Promise<ControllerState>;
  stop(): Promise<ControllerState>;
  /** Sets air, gas or damper, each 0 to 1, where the kiln has them. */
  set(settings: Partial<ControllerState['settings']>): Promise<ControllerState>;
  /** Readings after number `since`, in order; an empty list when there are no more. */
  readingsSince(run: string, since: number): Promise<ControllerReading[]>;
}

/** The controller could not be asked, or would not answer; the message is fit to be shown. */
export class ControllerError extends Error {}

const PATIENCE = 6000;

/**
 * A controller behind the small HTTP interface of docs/formats.md.
 *
 * @param address "http://host:port/path"
 */
export function httpDriver(address: string): KilnDriver {
  const ask = async <T>(path: string, schema: z.ZodType<T>, body?: unknown): Promise<T> => {
    let answer: Response;
    try {
      answer = await fetch(`${address}/${path}`, {
        signal: AbortSignal.timeout(PATIENCE),
        ...(body !== undefined && { method: 'POST', body: JSON.stringify(body) }),
      });
    } catch {
      throw new ControllerError('The controller does not answer.');
    }
    if (answer.status === 404) throw new ControllerError('The controller does not know this firing.');
    if (!answer.ok) throw new ControllerError(`The controller refuses (${answer.status}).`);
    const parsed = schema.safeParse(await answer.json().catch(() => null));
    if (!parsed.success) throw new ControllerError('The controller answers in a way that is not understood.');
    return parsed.data;
  };
  return {
    state: () => ask('state', state),
    start: (run, segments) => ask('start', state, { run, segments }),
    stop: () => ask('stop', state, {}),
    set: (settings) => ask('settings', state, settings),
    readingsSince: async (run, since) =>
      (
        await ask(
          `readings?run=${encodeURIComponent(run)}&since=${since}`,
          z.object({ readings: z.array(reading) }),
        )
      ).readings,
  };
}

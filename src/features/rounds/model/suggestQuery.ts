import { z } from 'zod';
import { HEATS, type Heat, type Atmosphere, ATMOSPHERES } from '@/core/vocabulary';

/** What a suggestion is asked for. */
export interface SuggestQuery {
  readonly places: number;
  readonly bodyId: string;
  readonly cone: Heat;
  readonly atmosphere: Atmosphere;
}

/** Reads the question from the address; what is missing or wrong gets its usual value. */
export function readSuggestQuery(
  query: Readonly<Record<string, string | undefined>>,
  bodies: readonly { readonly id: string }[],
): SuggestQuery {
  return {
    places: z.coerce.number().int().min(1).max(200).catch(24).parse(query.places),
    bodyId: bodies.find((body) => body.id === query.clay)?.id ?? bodies[0]?.id ?? '',
    cone: z.enum(HEATS).catch('6').parse(query.cone),
    atmosphere: z.enum(ATMOSPHERES).catch('oxidation').parse(query.atmosphere),
  };
}

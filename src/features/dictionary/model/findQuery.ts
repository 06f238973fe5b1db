import { z } from 'zod';
import { SURFACES, ATMOSPHERES, TEXTURES } from '@/core/vocabulary';
import type { Usual } from '@/records/pieces';
import { colourSchema, idSchema } from '@/features/shared/schema';

const flag = z.literal('1').optional().catch(undefined);

const findSchema = z.object({
  colour: colourSchema.optional().catch(undefined),
  cone: z.string().max(4).optional().catch(undefined),
  atmosphere: z.enum(ATMOSPHERES).optional().catch(undefined),
  clay: idSchema.optional().catch(undefined),
  surface: z.enum(SURFACES).optional().catch(undefined),
  texture: z
    .enum([...TEXTURES, 'breaks'])
    .optional()
    .catch(undefined),
  stays: flag,
  sound: flag,
  food: flag,
  now: flag,
  but: idSchema.optional().catch(undefined),
});

/** What is asked for, as it stands in the address. */
export type FindQuery = z.infer<typeof findSchema>;

/** Reads the address of the finder; what it does not understand is left out. */
export function readFindQuery(params: unknown): FindQuery {
  return findSchema.parse(params);
}

/** The fire a member mostly uses, as the finder asks for it. */
export function ownFire({ cone, atmosphere }: Pick<Usual, 'cone' | 'atmosphere'>): FindQuery {
  return cone && atmosphere ? { cone, atmosphere } : {};
}

/** The address with something changed; undefined takes it away. */
export function findAddress(asked: FindQuery, change: Partial<FindQuery> = {}): string {
  const params = new URLSearchParams();
  for (const [key, value] of Object.entries({ ...asked, ...change })) if (value) params.set(key, value);
  return `/find${params.size ? `?${params}` : ''}`;
}

/** How far a colour is, for the eye: CIEDE2000. */
export function nearWords(difference: number): string {
  if (difference < 2) return 'barely visible';
  if (difference < 5) return 'close';
  return difference < 9 ? 'near' : 'similar';
}

import { z } from 'zod';
import type { PieceFilter } from '@/records/pieces';
import { FATES, TEXTURES } from '@/core/vocabulary';
import { idSchema } from '@/features/shared/schema';

export const PAGE_SIZE = 50;

/** The piece list's address as a filter; what is not understood is left out rather than refused. */
const querySchema = z.object({
  stage: z.enum(['made', 'glazed', 'loaded', 'fired', 'read']).optional().catch(undefined),
  fate: z.enum(FATES).optional().catch(undefined),
  body: idSchema.optional().catch(undefined),
  glaze: idSchema.optional().catch(undefined),
  group: idSchema.optional().catch(undefined),
  for: idSchema.optional().catch(undefined),
  round: idSchema.optional().catch(undefined),
  firing: idSchema.optional().catch(undefined),
  texture: z.enum(TEXTURES).optional().catch(undefined),
  todo: z.literal('write-up').optional().catch(undefined),
  from: z.iso.date().optional().catch(undefined),
  to: z.iso.date().optional().catch(undefined),
  sort: z.enum(['number', 'form', 'body', 'stage', 'madeAt', 'colour']).default('number').catch('number'),
  order: z.enum(['asc', 'desc']).default('desc').catch('desc'),
  page: z.coerce.number().int().min(0).max(100_000).default(0).catch(0),
});

/** Reads the address of the piece list. */
export function readQuery(params: unknown): { filter: PieceFilter; page: number } {
  const { body, glaze, group, page, stage, fate, sort, order, ...more } = querySchema.parse(params);
  const { for: orderId, round, firing, texture, from, to, todo } = more;
  const filter: PieceFilter = {
    sort,
    order,
    ...(stage && { stage }),
    ...(fate && { fate }),
    ...(body && { bodyId: body }),
    ...(glaze && { glazeId: glaze }),
    ...(group && { groupId: group }),
    ...(orderId && { orderId }),
    ...(round && { roundId: round }),
    ...(firing && { firingId: firing }),
    ...(texture && { texture }),
    ...(todo && { isDescribed: false }),
    ...(from && { madeFrom: from }),
    ...(to && { madeTo: to }),
  };
  return { filter, page };
}

import { FORMS, type Form } from '@/core/vocabulary';
import type { FormChoice } from './draft';

/** How many forms are offered before somebody asks for all. */
const OFFERED = 8;

/** What a studio that has made nothing yet is offered. */
const COMMON: readonly Form[] = ['tile', 'ring strip', 'cup', 'mug', 'bowl', 'plate', 'vase', 'other'];

/**
 * The few forms that are offered first, by key (the name of one of the library, the id of one of the studio's own): the
 * chosen one, the studio's own, then those that are made most. They stand in the order of the library, own ones last,
 * so that none jumps when another is chosen.
 */
export function offeredForms(
  chosen: string,
  ownForms: readonly FormChoice[],
  inUse: readonly Form[],
): string[] {
  const ownKeys = ownForms.map(({ id }) => id);
  const wanted = [...new Set<string>([chosen, ...ownKeys.slice(0, 3), ...inUse, ...COMMON])];
  const few = new Set(wanted.slice(0, OFFERED));
  return [...FORMS, ...ownKeys].filter((key) => few.has(key));
}

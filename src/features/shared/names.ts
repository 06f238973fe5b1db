import { z } from 'zod';
import { idSchema } from './schema';

/** How many things may be added at once. */
const MOST = 200;

/** What a list of names adds: an id for each, made by the browser, so that a repeated submit adds nothing twice. */
export const namedSchema = z
  .array(z.object({ id: idSchema, name: z.string().trim().min(1).max(120, 'At most 120 letters a name.') }))
  .min(1, 'Type a name.')
  .max(MOST, `At most ${MOST} at once.`);

/**
 * The names in a pasted list: one a line, of a table its first column, without bullets and numbers before them; each
 * once.
 *
 * @param known names that are there already; small and capital letters are the same
 */
export function readNames(text: string, known: readonly string[]): { fresh: string[]; there: string[] } {
  const isKnown = new Set(known.map((name) => name.toLowerCase()));
  const names = new Map<string, string>();
  for (const line of text.split(/\r?\n/)) {
    const name = line
      .split('\t')[0]!
      .replace(/^\s*(?:[-*•·]|\d+[.)])\s+/, '')
      .replace(/[,;]\s*$/, '')
      .trim();
    if (name) names.set(name.toLowerCase(), name);
  }
  const all = [...names];
  return {
    fresh: all.filter(([key]) => !isKnown.has(key)).map(([, name]) => name),
    there: all.filter(([key]) => isKnown.has(key)).map(([, name]) => name),
  };
}

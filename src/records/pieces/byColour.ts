import { colourRank } from '@/core/colour';
import type { Db } from '@/records/platform/db';

/**
 * Pieces in the order of what was measured of them, see {@link colourRank}: each by the colour of its largest zone in its
 * last firing. Those of which no colour is known stand last, the newest first.
 *
 * @param ids of the pieces, the newest first
 */
export async function inOrderOfColour(base: Db, ids: readonly string[]): Promise<string[]> {
  const zones: { piece_id: string; colour: string; extent: number; firing_id: string }[] = await base('zone')
    .whereIn('piece_id', [...ids])
    .whereNull('ended_at')
    .whereNotNull('colour')
    .orderBy('firing_id', 'desc')
    .orderByRaw('`to` - `from` desc')
    .select('piece_id', 'colour', 'firing_id', base.raw('`to` - `from` as extent'));
  const ranks = new Map<string, number>();
  for (const { piece_id, colour } of zones) if (!ranks.has(piece_id)) ranks.set(piece_id, colourRank(colour));
  const rankOf = (id: string) => ranks.get(id) ?? Infinity;
  return ids.toSorted((one, other) => (rankOf(one) === rankOf(other) ? 0 : rankOf(one) - rankOf(other)));
}

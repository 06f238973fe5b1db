import { timesWords } from '@/core/coats';
import type { Line } from '@/core/chemistry';
import { type Db, fromJson } from '@/records/platform/db';

/** A coat as a change keeps it. */
interface CoatColumns {
  readonly glaze_id: string;
  readonly times: number;
  readonly from: number;
  readonly to: number;
  readonly side: string;
  readonly area?: string | null;
}

/** "Sleeper once, then Limewash twice from 33 % up to 100 %, inside". */
function coatsWords(coats: readonly CoatColumns[], names: ReadonlyMap<string, string>): string {
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  return coats
    .map(({ glaze_id, times, from, to, side, area }) =>
      [
        `${names.get(glaze_id) ?? 'a glaze'} ${timesWords(times)}`,
        (from > 0 || to < 1) && `from ${percent(from)} up to ${percent(to)}`,
        area ?? (side !== 'outside' && side),
      ]
        .filter(Boolean)
        .join(', '),
    )
    .join('; then ');
}

/** A recipe as its materials with their amounts, so that only those that differ are said. */
function recipeColumns(recipe: unknown): Record<string, number> {
  return Object.fromEntries(
    fromJson<readonly Line[]>(recipe).map(({ material, amount, addition }) => [
      addition ? `${material}, added` : material,
      amount,
    ]),
  );
}

/**
 * How the two sides of changes are said to people: lists of coats by the names of their glazes, recipes by their
 * materials, all else as it is kept.
 *
 * @param changes those that are to be said; their glazes are looked up at once
 */
export async function spokenBy(
  base: Db,
  changes: readonly {
    readonly what: string;
    readonly before_json: string | null;
    readonly after_json: string | null;
  }[],
): Promise<(what: string, side: unknown) => unknown> {
  const coats = changes
    .filter(({ what }) => what === 'coats')
    .flatMap(({ before_json, after_json }) => [before_json, after_json])
    .flatMap((json) => fromJson<readonly CoatColumns[] | null>(json) ?? []);
  const ids = [...new Set(coats.map(({ glaze_id }) => glaze_id))];
  const rows = ids.length ? await base('glaze').whereIn('id', ids).select('id', 'name') : [];
  const names = new Map(rows.map(({ id, name }) => [id, name]));
  return (what, side) => {
    if (what === 'coats') return { coats: coatsWords((side ?? []) as readonly CoatColumns[], names) };
    const recipe = what === 'glaze_version' ? (side as { recipe?: unknown } | null)?.recipe : null;
    return recipe ? recipeColumns(recipe) : side;
  };
}

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
  readonly not_areas?: string | readonly string[];
}

/** "Sleeper once, then Limewash twice from 33 % up to 100 %, inside". */
function coatsWords(coats: readonly CoatColumns[], names: ReadonlyMap<string, string>): string {
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  return coats
    .map(({ glaze_id, times, from, to, side, area, not_areas }) =>
      [
        `${names.get(glaze_id) ?? 'a glaze'} ${timesWords(times)}`,
        (from > 0 || to < 1) && `from ${percent(from)} up to ${percent(to)}`,
        area ?? (side !== 'outside' && side),
        notOn(fromJson<readonly string[] | undefined>(not_areas)),
      ]
        .filter(Boolean)
        .join(', '),
    )
    .join('; then ');
}

const notOn = (areas: readonly string[] = []) => areas.length > 0 && `not on ${areas.join(' and ')}`;

/** What of a piece is kept as JSON, in words: its areas by name, the clay of each side, what it is as ware. */
function pieceColumns(side: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const areas = fromJson<readonly { readonly name: string }[] | undefined>(side.areas);
  const texture = fromJson<Readonly<Record<string, readonly string[]>> | undefined>(side.texture);
  const wanted = fromJson<readonly string[] | undefined>(side.wanted);
  const { ware, profile, ...plain } = side;
  const treated = Object.entries(texture ?? {}).filter(([, list]) => list.length > 0);
  return {
    ...plain,
    ...(profile ? { silhouette: 'of the studio’s form' } : {}),
    ...(typeof ware === 'object' && ware),
    ...(wanted && { wanted: wanted.join(', ') }),
    ...(areas && { areas: areas.map(({ name }) => name).join(', ') }),
    ...(texture && { texture: treated.map(([on, list]) => `${on} ${list.join(', ')}`).join('; ') }),
  };
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
    if (what === 'piece' && typeof side === 'object' && side !== null) return pieceColumns({ ...side });
    const recipe = what === 'glaze_version' ? (side as { recipe?: unknown } | null)?.recipe : null;
    return recipe ? recipeColumns(recipe) : side;
  };
}

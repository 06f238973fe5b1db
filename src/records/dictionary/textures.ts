import { textureAt, type WrittenArea } from '@/core/coats';
import type { Texture, TextureBySide } from '@/core/vocabulary';
import { fromJson, type Db } from '@/records/platform/db';
import { rowsOf } from '@/records/platform/joins';

/** What an entry shows over one texture, counted in pieces. */
export interface OverTexture {
  readonly texture: Texture;
  readonly pieces: number;
  /** Of those whose reading says: pieces on which it breaks over the edges, and on which it does not. */
  readonly breaks: number;
  readonly holds: number;
}

/**
 * What entries show on clay that was treated, by entry, most pieces first; entries whose pieces are all untreated are
 * left out.
 *
 * @param entryIds null for all
 */
export async function overTextures(
  base: Db,
  entryIds: readonly string[] | null,
): Promise<Map<string, OverTexture[]>> {
  const zones = base('zone as z')
    .join('piece as p', 'p.id', 'z.piece_id')
    .join(
      'reading as r',
      (join) => void join.on('r.zone_id', 'z.id').andOnNull('r.ended_at').andOnVal('r.stage', 'after'),
    )
    .whereNull('z.ended_at')
    .where((some) => void some.whereNot('p.texture', '{}').orWhereNot('p.areas', '[]'));
  if (entryIds) void zones.whereIn('z.entry_id', entryIds);
  const rows = await rowsOf<{ z: 'zone'; p: 'piece'; r: 'reading' }>()(
    zones,
    'z.entry_id',
    'z.piece_id',
    'z.side',
    'z.area',
    'p.texture',
    'p.areas',
    'r.breaks',
  );
  const found = new Map<string, Map<Texture, Pieces>>();
  for (const { entry_id, piece_id, side, area, texture, areas, breaks } of rows) {
    if (entry_id === null) continue;
    const piece = {
      texture: fromJson<TextureBySide>(texture),
      areas: fromJson<readonly WrittenArea[]>(areas),
    };
    const own = found.get(entry_id) ?? new Map<Texture, Pieces>();
    for (const one of textureAt(piece, { side, area })) {
      const seen = own.get(one) ?? { all: new Set(), breaks: new Set(), holds: new Set() };
      seen.all.add(piece_id);
      if (breaks !== null) seen[breaks ? 'breaks' : 'holds'].add(piece_id);
      own.set(one, seen);
    }
    if (own.size) found.set(entry_id, own);
  }
  const counted = ([texture, { all, breaks, holds }]: [Texture, Pieces]): OverTexture => ({
    ...{ texture, pieces: all.size, breaks: breaks.size, holds: holds.size },
  });
  return new Map(
    [...found].map(([id, own]) => [id, [...own].map(counted).sort((one, two) => two.pieces - one.pieces)]),
  );
}

/** The pieces of an entry on one texture, by id. */
interface Pieces {
  readonly all: Set<string>;
  readonly breaks: Set<string>;
  readonly holds: Set<string>;
}

import { rowsOf } from '@/records/platform/joins';
import type { CoatRow, GlazeRow } from '@/records/platform/tables';
import { type Mapping, flagOrNull, flag, json, readRow } from '@/records/platform/mapping';
import type { ClayState, CoatCover, GlazeKind, Method, Side } from '@/core/vocabulary';
import type { Db } from '@/records/platform/db';

/** One coat as it is written down. `from` and `to`: 0 = foot, 1 = rim. */
export interface CoatDraft {
  readonly glazeId: string;
  readonly batchId: string | null;
  /** The recipe version; null for that of its batch, or else the one in use. A batch goes before it. */
  readonly versionId: string | null;
  readonly method: Method;
  readonly times: number;
  readonly seconds: number | null;
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  /** Whether the coat below was dry to the touch; null when nobody said. */
  readonly dryBefore: boolean | null;
  /** What the clay was like under it; null when nobody said. */
  readonly clay: ClayState | null;
  readonly wiped: boolean;
  /** How far it covers its band; null for all of it. */
  readonly cover: CoatCover | null;
  /** What was put on in all, of stuff that is weighed or counted; null when nobody did. */
  readonly grams: number | null;
  readonly pieces: number | null;
  /** The firing it went into; null for one that has not been fired. */
  readonly firingId: string | null;
  /** The area of the piece that it lies on alone; null for its side. */
  readonly area: string | null;
  /** Areas that it was kept off. */
  readonly not: readonly string[];
}

/** Where the fields of a coat are kept. */
export const COAT: Mapping<CoatDraft, CoatRow> = {
  glazeId: 'glaze_id',
  batchId: 'batch_id',
  versionId: 'glaze_version_id',
  method: 'method',
  times: 'times',
  seconds: 'seconds',
  side: 'side',
  from: 'from',
  to: 'to',
  dryBefore: flagOrNull('dry_before'),
  clay: 'clay',
  wiped: flag('wiped'),
  cover: json<CoatCover | null>()('cover'),
  grams: 'grams',
  pieces: 'pieces',
  firingId: 'firing_id',
  area: 'area',
  not: json<readonly string[]>()('not_areas'),
};

/** A coat row with the glaze it is of, as read back. */
export interface StoredCoat extends CoatDraft {
  readonly id: string;
  readonly glazeName: string;
  readonly glazeKind: GlazeKind;
  readonly glazeColour: string;
  /** Whether its card keeps it off what food touches. */
  readonly isDecorative: boolean;
  readonly versionId: string;
}

type CoatOfGlaze = CoatRow & Pick<GlazeRow, 'name' | 'kind' | 'colour' | 'decorative'>;

/** The live coats of pieces, in order of application, by piece. */
export async function coatsOf(base: Db, pieceIds: readonly string[]): Promise<Map<string, StoredCoat[]>> {
  const rows: CoatOfGlaze[] = await rowsOf<{ c: 'coat'; g: 'glaze' }>()(
    base('coat as c')
      .join('glaze as g', 'g.id', 'c.glaze_id')
      .whereIn('c.piece_id', pieceIds)
      .whereNull('c.ended_at')
      .orderBy(['c.piece_id', 'c.position']),
    'c.*',
    'g.name',
    'g.kind',
    'g.colour',
    'g.decorative',
  );
  const byPiece = new Map<string, StoredCoat[]>(pieceIds.map((id) => [id, []]));
  for (const row of rows) {
    byPiece.get(row.piece_id)!.push({
      ...readRow(COAT, row),
      id: row.id,
      glazeName: row.name,
      glazeKind: row.kind,
      glazeColour: row.colour,
      isDecorative: Boolean(row.decorative),
      versionId: row.glaze_version_id,
    });
  }
  return byPiece;
}

import { type JoinedRow } from '@/records/platform/joins';
import { expansionOf, type Line } from '@/core/chemistry';
import type { Stack } from '@/core/coats';
import { BOIL_TEST, calibrate, firedThickness, type Calibration, type FitTile } from '@/core/fit';
import { cachedUntilWrite } from '@/records/platform/cache';
import { fromJson, type Db } from '@/records/platform/db';
import { studioBook } from './materials';

/** Tiles alike in glaze, body, thickness and outcome, as evidence of fit. */
export interface StudioTile extends FitTile {
  readonly bodyId: string;
  readonly count: number;
  /** The number of one of them. */
  readonly example: string;
}

/** Days after which an age is told in months: cracks grow ever more slowly. */
const MONTH = 30;

/**
 * The studio's evidence of fit: zones of one glaze of known recipe alone on a bare body, crazed or sound when
 * last looked at. Counted in the database, so that thousands of tiles come as some dozens of rows.
 */
export async function fitTiles(base: Db): Promise<StudioTile[]> {
  const crazed =
    "exists (select 1 from reading_defect d where d.reading_id = r.id and d.defect = 'crazing' and d.severity >= 1)";
  const zones = () =>
    base('entry as e')
      .join('headword as h', 'h.id', 'e.headword_id')
      .join('ground as g', 'g.id', 'e.ground_id')
      .join('body as b', 'b.id', 'g.body_id')
      .join('zone as z', (join) => void join.on('z.entry_id', 'e.id').andOnNull('z.ended_at'))
      .join(
        'reading as r',
        (join) => void join.on('r.zone_id', 'z.id').andOnNull('r.ended_at').andOnVal('r.stage', 'after'),
      )
      .join('firing as f', 'f.id', 'z.firing_id')
      .join('piece as p', 'p.id', 'z.piece_id')
      .join('glaze_version as v', (join) => void join.on('v.glaze_id', 'h.top_glaze_id'))
      .where({ 'h.depth': 1, 'e.firings': 1 })
      .whereRaw(
        'json_length(g.slips) = 0 and v.recipe is not null and json_contains(z.versions, json_quote(v.id))',
      );
  const rows = await zones()
    .groupBy('g.body_id', 'v.id', 'e.stack', 'crazed', 'boiled', 'days', 'absorption')
    .select<
      (JoinedRow<
        { g: 'ground'; v: 'glaze_version'; e: 'entry' },
        'g.body_id' | 'v.id as version_id' | 'v.glaze_id' | 'v.recipe' | 'e.stack'
      > & {
        crazed: number;
        boiled: number;
        days: number;
        absorption: string | null;
        count: number | string;
        example: string;
      })[]
    >(
      'g.body_id',
      'v.id as version_id',
      'v.glaze_id',
      'v.recipe',
      'e.stack',
      base.raw(`${crazed} or coalesce(r.boil_test = 'failed', 0) as crazed`),
      base.raw('r.boil_test is not null as boiled'),
      base.raw(
        'case when @days < :month then @days else floor(@days / :month) * :month end as days'.replaceAll(
          '@days',
          'greatest(0, datediff(r.at, coalesce(f.opened_at, f.planned_on)))',
        ),
        { month: MONTH },
      ),
      'b.absorption',
      base.raw('count(*) as count'),
      base.raw('min(p.label) as example'),
    );
  const counts = await zones()
    .groupBy('g.body_id', 'v.glaze_id')
    .select<{ body_id: string; glaze_id: string; pieces: number | string }[]>(
      'g.body_id',
      'v.glaze_id',
      base.raw('count(distinct z.piece_id) as pieces'),
    );
  const pieces = new Map(counts.map((row) => [`${row.body_id} ${row.glaze_id}`, Number(row.pieces)]));
  const book = await studioBook(base);
  const expansions = new Map<string, number | null>();
  return rows.flatMap((row): StudioTile[] => {
    if (!expansions.has(row.version_id))
      expansions.set(row.version_id, expansionOf(fromJson<Line[]>(row.recipe), book));
    const glazeExpansion = expansions.get(row.version_id) ?? null;
    const thicknessMm = firedThickness(fromJson<Stack>(row.stack));
    if (glazeExpansion === null || !thicknessMm) return [];
    return [
      {
        bodyId: row.body_id,
        glaze: row.glaze_id,
        glazeExpansion,
        thicknessMm,
        crazed: Boolean(row.crazed),
        ageDays: Number(row.days),
        ...(row.boiled && { shockK: BOIL_TEST }),
        ...(row.absorption !== null && { absorption: Number(row.absorption) }),
        count: Number(row.count),
        piecesOfGlaze: pieces.get(`${row.body_id} ${row.glaze_id}`) ?? 0,
        example: row.example,
      },
    ];
  });
}

/** {@link fitTiles}, and what they say of every body that has any; kept until something is written. */
export const fitEvidence = (base: Db) => evidence(base, 'all');

const evidence = cachedUntilWrite(async (base) => {
  const tiles = await fitTiles(base);
  return { tiles, learned: calibrations(tiles) };
}, 1);

function calibrations(tiles: readonly StudioTile[]): Map<string, Calibration> {
  const bodies = [...new Set(tiles.map((tile) => tile.bodyId))];
  return new Map(bodies.map((id) => [id, calibrate(tiles.filter((tile) => tile.bodyId === id))]));
}

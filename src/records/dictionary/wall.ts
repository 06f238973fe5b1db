import { type JoinedRow } from '@/records/platform/joins';
import type { Atmosphere, Movement, Surface } from '@/core/vocabulary';
import { packed } from '@/core/rows';
import { fromJson, type Db } from '@/records/platform/db';
import { cachedUntilWrite } from '@/records/platform/cache';

/** What one quadrant of a wall cell shows: one entry. */
export interface WallEntry {
  readonly id: string;
  readonly headwordId: string;
  readonly groundId: string;
  readonly baseId: string;
  readonly topId: string;
  readonly baseTimes: number;
  readonly topTimes: number;
  /** 0 when only an older recipe, or a firing that missed its cone, was read. */
  readonly proofs: number;
  readonly agreeing: number;
  readonly worstDefect: string | null;
  readonly worstSeverity: number | null;
  readonly colour: string | null;
  readonly swatchHash: string | null;
  readonly surface: string | null;
  readonly movement: string | null;
}

export interface WallChoice {
  readonly grounds: readonly string[];
  readonly cone: string;
  readonly atmosphere: Atmosphere;
  /** A third glaze that lies over both. */
  readonly third?: string | undefined;
}

/**
 * The entries of a wall: one glaze alone or one over another, proved on these grounds at this cone in this
 * atmosphere after one firing; with a third glaze, those two with it over both. One index range of `entry` a
 * ground, one look at its headword each: which index is said, for in a studio of few headwords a sample of the
 * statistics may let another look as good.
 */
export function wallEntriesQuery(base: Db, { grounds, cone, atmosphere, third }: WallChoice) {
  const query = base('entry as e')
    .from(base.raw('entry as e force index (entry_wall_index)'))
    .join('headword as h', 'h.id', 'e.headword_id')
    .whereIn('e.ground_id', grounds)
    .where({ 'e.cone': cone, 'e.atmosphere': atmosphere, 'e.firings': 1 })
    .whereNotNull('e.first_at');
  return third
    ? query.where({ 'e.wall_layers': 3, 'h.top_glaze_id': third })
    : query.whereBetween('e.wall_layers', [1, 2]);
}

type WallRow = JoinedRow<
  { e: 'entry'; h: 'headword' },
  | 'e.id'
  | 'e.headword_id'
  | 'e.ground_id'
  | 'h.base_glaze_id'
  | 'h.top_glaze_id'
  | 'e.base_times'
  | 'e.top_times'
  | 'e.proofs'
  | 'e.agreeing'
  | 'e.worst_defect'
  | 'e.worst_severity'
  | 'e.colour'
  | 'e.swatch_hash'
> & { surface: Surface | null; movement: Movement | null };

/** What the wall shows of its entries, see {@link wallEntriesQuery}. */
export function wallQuery(base: Db, choice: WallChoice) {
  return wallEntriesQuery(base, choice).select<WallRow[]>(
    'e.id',
    'e.headword_id',
    'e.ground_id',
    'h.base_glaze_id',
    base.raw(choice.third ? "json_value(h.layers, '$[1].glaze') as top_glaze_id" : 'h.top_glaze_id'),
    'e.base_times',
    'e.top_times',
    'e.proofs',
    'e.agreeing',
    'e.worst_defect',
    'e.worst_severity',
    'e.colour',
    'e.swatch_hash',
    base.raw("json_value(e.summary, '$.surface') as surface"),
    base.raw("json_value(e.summary, '$.movement') as movement"),
  );
}

/** The entries of a wall, see {@link wallQuery}. */
export async function wallEntries(base: Db, choice: WallChoice): Promise<WallEntry[]> {
  if (choice.grounds.length === 0) return [];
  const rows = await wallQuery(base, choice);
  return rows.map((row) => ({
    id: row.id,
    headwordId: row.headword_id,
    groundId: row.ground_id,
    // Only stacks of plain glazes stand on the wall: both are there.
    baseId: row.base_glaze_id!,
    topId: row.top_glaze_id!,
    baseTimes: row.base_times,
    topTimes: row.top_times,
    proofs: row.proofs,
    agreeing: row.agreeing,
    worstDefect: row.worst_defect,
    worstSeverity: row.worst_severity,
    colour: row.colour,
    swatchHash: row.swatch_hash,
    surface: row.surface,
    movement: row.movement,
  }));
}

/** Walls kept at a time; each of 60 × 60 glazes takes a megabyte or two. */
const WALLS_KEPT = 8;

/** What is on a wall, and the same packed to be sent, see `packed`. */
export interface WallContent {
  readonly entries: readonly WallEntry[];
  readonly text: string;
}

const keptContent = cachedUntilWrite(async (base, key): Promise<WallContent> => {
  const entries = await wallEntries(base, JSON.parse(key) as WallChoice);
  return { entries, text: packed(entries) };
}, WALLS_KEPT);

/**
 * What is on a wall, read once until something is written.
 *
 * @param revision of the records, if it was just asked for, see `currentRevision`
 */
export async function wallNow(base: Db, choice: WallChoice, revision?: string): Promise<WallContent> {
  const { grounds, cone, atmosphere, third } = choice;
  return keptContent(base, JSON.stringify({ grounds, cone, atmosphere, third }), revision);
}

/**
 * What a wall can be drawn for: every ground, cone and atmosphere with proofs of glazes, most proved first.
 *
 * @param revision of the records, if it was just asked for, see `currentRevision`
 */
export async function wallChoices(base: Db, revision?: string) {
  return keptChoices(base, '', revision);
}

const keptChoices = cachedUntilWrite(readChoices, 1);

/** How much stands on which wall, out of one index. */
export function wallCounts(base: Db) {
  return base('entry')
    .where({ firings: 1 })
    .whereNotNull('wall_layers')
    .whereNotNull('first_at')
    .groupBy('ground_id', 'cone', 'atmosphere')
    .select('ground_id', 'cone', 'atmosphere', base.raw('cast(sum(proofs) as signed) as proofs'));
}

async function readChoices(base: Db) {
  const rows = await base(wallCounts(base).as('e'))
    .join('ground as g', 'g.id', 'e.ground_id')
    .join('body as b', 'b.id', 'g.body_id')
    .orderBy('e.proofs', 'desc')
    .select<
      (JoinedRow<
        { e: 'entry'; g: 'ground'; b: 'body' },
        'g.id' | 'g.name' | 'g.slips' | 'b.colour_oxidation as colour' | 'e.cone' | 'e.atmosphere'
      > & { proofs: number | string })[]
    >('g.id', 'g.name', 'g.slips', 'b.colour_oxidation as colour', 'e.cone', 'e.atmosphere', 'e.proofs');
  return rows.map((row) => ({
    groundId: row.id,
    ground: row.name,
    slips: fromJson<string[]>(row.slips),
    colour: row.colour,
    cone: row.cone,
    atmosphere: row.atmosphere,
    proofs: Number(row.proofs),
  }));
}

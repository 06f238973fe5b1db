import { type JoinedRow, rowsOf } from '@/records/platform/joins';
import { TEXTURES, type Atmosphere, type Heat, type Texture } from '@/core/vocabulary';
import { colourIndex, labOf, nearestGroups, type ColourIndex, type Lab } from '@/core/colour';
import { fromJson, type Db } from '@/records/platform/db';
import { apartFor } from './entries';
import { overTextures, type OverTexture } from './textures';
import { versionsInUse } from '@/records/materials/glazes';
import { cachedUntilWrite } from '@/records/platform/cache';
import { shadesOf } from '@/records/platform/shades';

/** An entry as it is looked up by its colour. */
export interface ColouredEntry {
  readonly id: string;
  readonly headwordId: string;
  readonly headword: string;
  readonly ground: string;
  readonly bodyId: string;
  readonly cone: string;
  readonly atmosphere: Atmosphere;
  readonly glazeIds: readonly string[];
  readonly times: number;
  readonly colour: string | null;
  readonly swatchHash: string | null;
  readonly surface: string | null;
  readonly movement: string | null;
  readonly worstDefect: string | null;
  readonly worstSeverity: number;
  readonly runs: boolean;
  /** What it shows on treated clay. */
  readonly textured: readonly OverTexture[];
  readonly proofs: number;
  readonly agreeing: number;
}

/** What an entry has to be. */
export interface ColourSearch {
  readonly cone?: string | undefined;
  readonly atmosphere?: Atmosphere | undefined;
  readonly bodyId?: string | undefined;
  readonly surface?: string | undefined;
  /** Does not run. */
  readonly stays?: boolean | undefined;
  /** Without plain defects. */
  readonly sound?: boolean | undefined;
  /** No glaze in it is for decorative ware only. */
  readonly notDecorative?: boolean | undefined;
  /** Every glaze in it is mixed. */
  readonly inStudio?: boolean | undefined;
  /** With a piece on this texture; 'breaks' for one that breaks over the edges of any. */
  readonly texture?: Texture | 'breaks' | undefined;
  /** Not this headword. */
  readonly butHeadword?: string | undefined;
}

/** An entry that was found, and how far its nearest proof is from the colour asked for. */
export type Found = ColouredEntry & {
  readonly difference: number | null;
  /** Whether it is not the chief colour of the proof that is so near, but a lesser one. */
  readonly isLesser: boolean;
};

/** How much further back than a chief colour a lesser one stands, CIEDE2000 (judgement). */
const FURTHER_BACK = 4;
/** A lesser colour is sought from this share on. */
const LEAST_SHARE = 0.1;

interface Field {
  readonly entries: readonly ColouredEntry[];
  /** By the chief colour of each proof, and by its lesser ones. */
  readonly index: ColourIndex;
  readonly lesser: ColourIndex;
  readonly decorative: ReadonlySet<string>;
  readonly mixed: ReadonlySet<string>;
}

/** Zones from which a field is large: laid out again beside the questions, which the last one answers meanwhile. */
const LARGE = 50_000;

/** Every counting proof's colour with its entry. */
const colourField = cachedUntilWrite(layOut, 1, ({ index }) => index.count > LARGE);

async function layOut(base: Db): Promise<Field> {
  const [rows, zones, glazes, mixed, inUse, textured] = await Promise.all([
    rowsOf<{ e: 'entry'; g: 'ground'; h: 'headword' }>()(
      base('entry as e')
        .join('headword as h', 'h.id', 'e.headword_id')
        .join('ground as g', 'g.id', 'e.ground_id')
        .where('e.proofs', '>', 0)
        .where('h.depth', '>', 0)
        .orderBy('e.id'),
      'e.*',
      'h.text',
      'h.layers',
      'g.name as ground',
      'g.body_id',
    ),
    rowsOf<{ e: 'entry'; z: 'zone'; f: 'firing'; r: 'reading' }, { readonly cone: Heat }>()(
      base('zone as z')
        .join('entry as e', 'e.id', 'z.entry_id')
        .join(
          'reading as r',
          (join) => void join.on('r.zone_id', 'z.id').andOnNull('r.ended_at').andOnVal('r.stage', 'after'),
        )
        .join('firing as f', 'f.id', 'z.filed_by')
        .whereNull('z.ended_at')
        .select(base.raw('coalesce(f.filed_cone, f.cone) as cone')),
      'e.id as entry_id',
      'z.colour as measured',
      'z.palette',
      'r.colour',
      'z.versions',
      'f.achieved_cone',
      'f.atmosphere_reached',
    ),
    base('glaze').where({ decorative: 1 }).select('id'),
    base('batch as b')
      .join('glaze_version as v', 'v.id', 'b.glaze_version_id')
      .whereNull('b.ended_at')
      .distinct('v.glaze_id as id') as Promise<{ id: string }[]>,
    versionsInUse(base),
    overTextures(base, null),
  ]);
  const entries = rows.map((row) => entryOf(row, textured.get(row.id) ?? []));
  const placeOf = new Map(entries.map(({ id }, i) => [id, i]));
  const current = new Set(inUse.values());
  const labs = new Map<string, Lab>();
  const lab = (hex: string) => labs.get(hex) ?? labs.set(hex, labOf(hex)).get(hex)!;
  // Many zones, few kinds of them: each kind is judged once.
  const counting = new Map<string, boolean>();
  const counts = (zone: (typeof zones)[number]) => {
    const kind = `${zone.versions} ${zone.cone} ${zone.achieved_cone} ${zone.atmosphere_reached}`;
    const known = counting.get(kind) ?? apartFor(zone, current) === null;
    counting.set(kind, known);
    return known;
  };
  const colours = zones.flatMap((zone) => {
    const hex = zone.colour ?? zone.measured;
    const group = placeOf.get(zone.entry_id);
    return hex && group !== undefined && counts(zone) ? [{ ...lab(hex), group }] : [];
  });
  const lesser = zones.flatMap((zone) => {
    const group = placeOf.get(zone.entry_id);
    const isPicked = zone.colour !== null && zone.colour !== zone.measured;
    if (isPicked || group === undefined || !counts(zone)) return [];
    return shadesOf(zone.palette)
      .slice(1)
      .flatMap(({ hex, share }) => (share >= LEAST_SHARE ? [{ ...lab(hex), group }] : []));
  });
  const idsOf = (list: readonly { id: string }[]) => new Set(list.map(({ id }) => id));
  return {
    entries,
    index: colourIndex(colours),
    lesser: colourIndex(lesser),
    decorative: idsOf(glazes),
    mixed: idsOf(mixed),
  };
}

type EntryOfField = JoinedRow<
  { e: 'entry'; g: 'ground'; h: 'headword' },
  'e.*' | 'h.text' | 'h.layers' | 'g.name as ground' | 'g.body_id'
>;

function entryOf(row: EntryOfField, textured: readonly OverTexture[]): ColouredEntry {
  const summary = fromJson<{
    surface: string | null;
    movement: string | null;
    defects: { defect: string }[];
  } | null>(row.summary);
  return {
    id: row.id,
    headwordId: row.headword_id,
    headword: row.text,
    ground: row.ground,
    bodyId: row.body_id,
    cone: row.cone,
    atmosphere: row.atmosphere,
    glazeIds: fromJson<{ glaze: string }[]>(row.layers).map(({ glaze }) => glaze),
    times: fromJson<{ times: number }[]>(row.stack).reduce((sum, { times }) => sum + times, 0),
    colour: row.colour,
    swatchHash: row.swatch_hash,
    surface: summary?.surface ?? null,
    movement: summary?.movement ?? null,
    worstDefect: row.worst_defect,
    worstSeverity: row.worst_severity ?? 0,
    runs:
      summary?.movement === 'runs' || Boolean(summary?.defects.some(({ defect }) => defect === 'running')),
    textured,
    proofs: row.proofs,
    agreeing: row.agreeing,
  };
}

/** Textures that some entry was tried over, with 'breaks' where one breaks over the edges. */
export async function texturesTried(base: Db): Promise<(Texture | 'breaks')[]> {
  const { entries } = await colourField(base, '');
  const over = entries.flatMap(({ textured }) => textured);
  const tried = TEXTURES.filter((word) => over.some(({ texture }) => texture === word));
  return over.some(({ breaks }) => breaks > 0) ? [...tried, 'breaks'] : tried;
}

/**
 * Entries that are as searched for. With a colour: those that have a proof near it, the nearest first, and what has it
 * as a lesser colour further back; without: those with most proofs that agree first.
 *
 * @param within CIEDE2000 up to this
 * @param isChief whether lesser colours are left out
 */
export async function entriesLike(
  base: Db,
  search: ColourSearch,
  colour: Lab | null,
  { most = 24, within = 12, isChief = false } = {},
): Promise<Found[]> {
  const field = await colourField(base, '');
  const allows = Uint8Array.from(field.entries, (entry) => Number(isAsked(entry, search, field)));
  if (colour) {
    const chief = nearestGroups(field.index, colour, { most, within, allows });
    const lesser = isChief
      ? []
      : nearestGroups(field.lesser, colour, { most, within: within - FURTHER_BACK, allows });
    const ranked = [
      ...chief.map((near) => ({ ...near, rank: near.difference, isLesser: false })),
      ...lesser.map((near) => ({ ...near, rank: near.difference + FURTHER_BACK, isLesser: true })),
    ].sort((one, two) => one.rank - two.rank || one.group - two.group);
    const first = new Map(ranked.toReversed().map((near) => [near.group, near]));
    return ranked
      .filter((near) => first.get(near.group) === near)
      .slice(0, most)
      .map(({ group, difference, isLesser }) => ({ ...field.entries[group]!, difference, isLesser }));
  }
  return field.entries
    .filter((_, i) => allows[i])
    .sort((one, two) => two.agreeing - one.agreeing || one.headword.localeCompare(two.headword))
    .slice(0, most)
    .map((entry) => ({ ...entry, difference: null, isLesser: false }));
}

function isAsked(entry: ColouredEntry, search: ColourSearch, { decorative, mixed }: Field): boolean {
  return (
    (!search.cone || entry.cone === search.cone) &&
    (!search.atmosphere || entry.atmosphere === search.atmosphere) &&
    (!search.bodyId || entry.bodyId === search.bodyId) &&
    (!search.surface || entry.surface === search.surface) &&
    (!search.stays || !entry.runs) &&
    (!search.sound || entry.worstSeverity < 2) &&
    (!search.notDecorative || !entry.glazeIds.some((id) => decorative.has(id))) &&
    (!search.texture || isOver(entry, search.texture)) &&
    (!search.inStudio || entry.glazeIds.every((id) => mixed.has(id))) &&
    entry.headwordId !== search.butHeadword
  );
}

/** Whether an entry was tried over a texture, or breaks over one. */
function isOver({ textured }: ColouredEntry, texture: Texture | 'breaks'): boolean {
  return textured.some((one) => (texture === 'breaks' ? one.breaks > 0 : one.texture === texture));
}

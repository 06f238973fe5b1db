import { type JoinedRow, type Maybe, rowsOf } from '@/records/platform/joins';
import type { EntryRow } from '@/records/platform/tables';
import { speaksOfGlazes, type Atmosphere, type Heat, type Side } from '@/core/vocabulary';
import type { FiredAt, Stack } from '@/core/coats';
import type { Agreement } from '@/core/evidence';
import { fromJson, type Db } from '@/records/platform/db';
import { overTextures, type OverTexture } from './textures';
import { apartFor, countedDefectsOf, latestLooks, proofRows, type Apart, type ProofRow } from './entries';
import { NotFound } from '@/records/platform/errors';
import { versionsInUse } from '@/records/materials/glazes';
import { versionSenses, type VersionSense } from './versionSenses';
import { SHOWN_PHOTO, shownPhoto, type ShownPhoto } from '@/records/pieces/photos';

/** One piece's zone that proves a sense. */
export interface Proof {
  readonly zoneId: string;
  readonly pieceId: string;
  readonly label: string;
  /** The area it is of; null for a stretch of a side. */
  readonly area: string | null;
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  readonly firingId: string;
  readonly firing: string;
  readonly achievedCone: number | null;
  readonly photo: ShownPhoto | null;
  readonly swatchHash: string | null;
  readonly colour: string | null;
  readonly surface: string | null;
  readonly movement: string | null;
  readonly note: string;
  readonly defects: readonly { readonly defect: string; readonly severity: number; readonly place: string }[];
  readonly counts: boolean;
  /** Why it is shown and not counted; null for one that counts. */
  readonly apart: Apart | null;
  /** Recipe versions and batches in words, "Limewash 2, batch B-07"; what was not noted is left out. */
  readonly made: string;
  readonly at: Date;
  readonly agrees: boolean;
  /** Whether its piece disagrees with itself: shown, counted neither way. */
  readonly isDivided: boolean;
}

/** One numbered sense of a headword: an entry. */
export interface Sense {
  readonly id: string;
  readonly groundId: string;
  readonly ground: string;
  readonly cone: string;
  readonly atmosphere: Atmosphere;
  /** The firings that made it what it is, in order; more than one is a sense of its own. */
  readonly history: readonly FiredAt[];
  readonly stack: Stack;
  readonly summary: Agreement | null;
  readonly colour: string | null;
  readonly firstAt: Date | null;
  readonly teacherNote: string;
  /** Of the teacher's note, for who changes it. */
  readonly noteVersion: number;
  /** What it shows on treated clay; empty where all its pieces are untreated. */
  readonly textured: readonly OverTexture[];
  /** What it shows by recipe version; empty when all proofs are of the versions in use. */
  readonly versions: readonly VersionSense[];
  readonly proofs: readonly Proof[];
}

export interface Headword {
  readonly id: string;
  readonly text: string;
  readonly glazeIds: readonly string[];
  /** Its layers, bottom first. */
  readonly layerIds: readonly string[];
  readonly senses: readonly Sense[];
  /** The same two glazes the other way round, when that was tried. */
  readonly reverse: { readonly id: string; readonly text: string } | null;
}

/** The page of one headword with its senses and their proofs, most proved sense first. @throws NotFound */
export async function headwordPage(base: Db, id: string): Promise<Headword> {
  const row = await base('headword').where({ id }).first();
  if (!row) throw new NotFound('This headword');
  const entries: (EntryRow & { readonly ground: string })[] = await rowsOf<{ e: 'entry'; g: 'ground' }>()(
    base('entry as e')
      .join('ground as g', 'g.id', 'e.ground_id')
      .where('e.headword_id', id)
      .orderBy([{ column: 'e.proofs', order: 'desc' }, 'g.name', 'e.cone', 'e.firings', 'e.top_times']),
    'e.*',
    'g.name as ground',
  );
  const { proofs, versions } = await proofsOf(
    base,
    entries.map((entry) => entry.id),
  );
  const textured = await overTextures(
    base,
    entries.map((entry) => entry.id),
  );
  const layers = fromJson<{ glaze: string }[]>(row.layers);
  return {
    id,
    text: row.text,
    glazeIds: [...new Set(layers.map((layer) => layer.glaze))],
    layerIds: layers.map((layer) => layer.glaze),
    reverse:
      row.depth === 2 && row.base_glaze_id && row.top_glaze_id
        ? await reverseOf(base, row.base_glaze_id, row.top_glaze_id)
        : null,
    senses: entries
      .filter((entry) => proofs.has(entry.id))
      .map((entry) => {
        const summary = entry.summary ? fromJson<Agreement>(entry.summary) : null;
        return {
          id: entry.id,
          groundId: entry.ground_id,
          ground: entry.ground,
          cone: entry.cone,
          atmosphere: entry.atmosphere,
          history: fromJson<FiredAt[]>(entry.history),
          stack: fromJson<Stack>(entry.stack),
          summary,
          colour: entry.colour,
          firstAt: entry.first_at,
          teacherNote: entry.teacher_note,
          noteVersion: entry.note_version,
          textured: textured.get(entry.id) ?? [],
          versions: versions.get(entry.id) ?? [],
          proofs: proofs.get(entry.id)!.map((proof) => standingOf(proof, summary)),
        };
      }),
  };
}

function standingOf(proof: Omit<Proof, 'agrees' | 'isDivided'>, summary: Agreement | null): Proof {
  const isDivided = summary?.divided.includes(proof.zoneId) ?? false;
  return { ...proof, agrees: !isDivided && !summary?.differing.includes(proof.zoneId), isDivided };
}

async function reverseOf(base: Db, baseId: string, topId: string) {
  const row = await base('headword')
    .where({ base_glaze_id: topId, top_glaze_id: baseId, depth: 2 })
    .whereExists(base('entry').whereRaw('entry.headword_id = headword.id').where('proofs', '>', 0))
    .first('id', 'text');
  return row ?? null;
}

/** How many proofs of a sense are shown with their pictures; counts are of all. */
const SHOWN = 60;

/** A proof with its piece, its firing and the photo that shows it. */
type ProofPlace = ProofRow &
  JoinedRow<
    { p: 'piece'; f: 'firing'; k: 'kiln'; r: 'reading'; ph: Maybe<'photo'> },
    'p.label' | 'f.number' | 'k.name as kiln' | 'r.note' | (typeof SHOWN_PHOTO)[number]
  >;

/** The proofs of entries, and what they show by recipe version, by entry. */
async function proofsOf(
  base: Db,
  entryIds: readonly string[],
): Promise<{
  proofs: Map<string, Omit<Proof, 'agrees' | 'isDivided'>[]>;
  versions: Map<string, VersionSense[]>;
}> {
  const looks = await proofRows(base, entryIds)
    .join('piece as p', 'p.id', 'z.piece_id')
    .join('kiln as k', 'k.id', 'f.kiln_id')
    .leftJoin('photo as ph', 'ph.id', 'z.photo_id')
    .select<ProofPlace[]>('p.label', ...SHOWN_PHOTO, 'k.name as kiln', 'f.number', 'r.note');
  const rows = latestLooks(looks);
  const [inUseOf, madeOf] = await Promise.all([versionsInUse(base), madeWords(base, rows)]);
  const inUse = new Set(inUseOf.values());
  const found = new Map<string, Omit<Proof, 'agrees' | 'isDivided'>[]>();
  const defects = await countedDefectsOf(
    base,
    rows.map((row) => row.reading_id),
  );
  for (const row of rows) {
    const list = found.get(row.entry_id) ?? [];
    found.set(row.entry_id, list);
    if (list.length >= SHOWN) continue;
    const apart = apartFor(row, inUse);
    list.push({
      zoneId: row.zone_id,
      pieceId: row.piece_id,
      label: row.label,
      area: row.area,
      side: row.side,
      from: row.from,
      to: row.to,
      firingId: row.firing_id,
      firing: `${row.kiln} ${row.number}`,
      achievedCone: row.achieved_cone,
      photo: shownPhoto(row),
      swatchHash: row.swatch_hash,
      colour: row.colour ?? row.zone_colour,
      surface: row.surface,
      movement: row.movement,
      note: row.note,
      defects: (defects.get(row.reading_id) ?? []).filter(speaksOfGlazes),
      counts: apart === null,
      apart,
      made: madeOf(row),
      at: row.at,
    });
  }
  const versions = await versionSenses(base, rows, (id) => defects.get(id) ?? [], inUse);
  return { proofs: found, versions };
}

interface MadeRow {
  readonly piece_id: string;
  readonly versions: unknown;
}

/** Says which recipe versions and batches are on the pieces of proofs. */
async function madeWords(base: Db, rows: readonly MadeRow[]): Promise<(row: MadeRow) => string> {
  const pieces = [...new Set(rows.map((row) => row.piece_id))];
  const coats: { piece_id: string; id: string; name: string; number: number; code: string | null }[] =
    await rowsOf<{ c: 'coat'; b: Maybe<'batch'>; g: 'glaze'; v: 'glaze_version' }>()(
      base('coat as c')
        .join('glaze_version as v', 'v.id', 'c.glaze_version_id')
        .join('glaze as g', 'g.id', 'v.glaze_id')
        .leftJoin('batch as b', 'b.id', 'c.batch_id')
        .whereIn('c.piece_id', pieces)
        .whereNull('c.ended_at')
        .orderBy('c.position'),
      'c.piece_id',
      'v.id',
      'g.name',
      'v.number',
      'b.code',
    );
  const byPiece = new Map<string, typeof coats>();
  for (const coat of coats) byPiece.set(coat.piece_id, [...(byPiece.get(coat.piece_id) ?? []), coat]);
  return (row) => {
    const inIt = new Set(fromJson<string[]>(row.versions));
    const words = (byPiece.get(row.piece_id) ?? [])
      .filter(({ id }) => inIt.has(id))
      .map(({ name, number, code }) => `${name} version ${number}${code ? `, batch ${code}` : ''}`);
    return [...new Set(words)].join('; ');
  };
}

/** A headword that a glaze stands in. */
export interface HeadwordOfGlaze {
  readonly id: string;
  readonly text: string;
  /** Pieces that prove it, over all of its senses. */
  readonly proofs: number;
  /** How its most proved sense looks. */
  readonly swatchHash: string | null;
  readonly colour: string | null;
}

/**
 * The headwords that a glaze stands in and a piece proves, by name.
 *
 * @param fire the fire whose sense shows how it looks, where there is one
 */
export async function headwordsOf(
  base: Db,
  glazeId: string,
  fire: { readonly cone: Heat | null; readonly atmosphere: Atmosphere | null } | null = null,
): Promise<HeadwordOfGlaze[]> {
  const rows = await rowsOf<{ h: 'headword'; e: 'entry' }>()(
    base('headword as h')
      .join('entry as e', 'e.headword_id', 'h.id')
      .where((where) => void where.where('h.base_glaze_id', glazeId).orWhere('h.top_glaze_id', glazeId))
      .whereNotNull('e.first_at')
      .orderBy([{ column: 'h.text' }, { column: 'e.proofs', order: 'desc' }]),
    ...(['h.id', 'h.text', 'e.proofs', 'e.colour', 'e.swatch_hash', 'e.cone', 'e.atmosphere'] as const),
  );
  const byHeadword = new Map<string, typeof rows>();
  for (const row of rows) byHeadword.set(row.id, [...(byHeadword.get(row.id) ?? []), row]);
  return [...byHeadword.values()].map((senses) => {
    const own = senses.find(({ cone, atmosphere }) => cone === fire?.cone && atmosphere === fire?.atmosphere);
    const { id, text, colour, swatch_hash } = own ?? senses[0]!;
    const proofs = senses.reduce((sum, sense) => sum + sense.proofs, 0);
    return { id, text, proofs, colour, swatchHash: swatch_hash };
  });
}

/** The text of a headword, or null. */
export async function headwordText(base: Db, id: string): Promise<string | null> {
  return (await base('headword').where({ id }).first('text'))?.text ?? null;
}

/**
 * A photo of a piece that proves each entry, by entry id: where it takes most of the piece, and of those the newest.
 * Entries without one are left out.
 */
export async function tilesOf(base: Db, entryIds: readonly string[]): Promise<Map<string, string>> {
  const rows: { entry_id: string; hash: string }[] = await rowsOf<{ e: 'entry'; ph: 'photo' }>()(
    base('zone as z')
      .join('entry as e', 'e.id', 'z.entry_id')
      .join('photo as ph', 'ph.id', 'z.photo_id')
      .whereIn('z.entry_id', entryIds)
      .whereNull('z.ended_at')
      .orderByRaw('z.`to` - z.`from`, ph.at'),
    'e.id as entry_id',
    'ph.hash',
  );
  // The last of each stays.
  return new Map(rows.map(({ entry_id, hash }) => [entry_id, hash]));
}

/** Every headword with a proof, in the order of a dictionary. */
export async function provedHeadwords(base: Db): Promise<{ id: string; text: string }[]> {
  return rowsOf<{ h: 'headword' }>()(
    base('headword as h')
      .whereExists(base('entry').whereRaw('entry.headword_id = h.id').where('proofs', '>', 0))
      .orderBy(['h.text', 'h.id']),
    'h.id',
    'h.text',
  );
}

/** The headwords that some pieces prove, in the order of a dictionary. */
export async function headwordsOnPieces(base: Db, pieceIds: readonly string[]): Promise<string[]> {
  const rows: { id: string }[] = await base('zone as z')
    .join('entry as e', 'e.id', 'z.entry_id')
    .join('headword as h', 'h.id', 'e.headword_id')
    .whereIn('z.piece_id', pieceIds)
    .whereNull('z.ended_at')
    .whereNotNull('e.first_at')
    .groupBy('h.id', 'h.text')
    .orderBy('h.text')
    .select('h.id');
  return rows.map(({ id }) => id);
}

/** What the entries that a piece proves show, by headword; bare clay left out. */
export async function sensesOf(
  base: Db,
  pieceId: string,
): Promise<{ headword: string; summary: Agreement | null }[]> {
  const rows: { id: string; text: string; summary: string | null }[] = await base('zone as z')
    .join('entry as e', 'e.id', 'z.entry_id')
    .join('headword as h', 'h.id', 'e.headword_id')
    .where('z.piece_id', pieceId)
    .where('h.depth', '>', 0)
    .whereNull('z.ended_at')
    .distinct('e.id', 'h.text', 'e.summary');
  return rows.map(({ text, summary }) => ({
    headword: text,
    summary: summary ? fromJson<Agreement>(summary) : null,
  }));
}

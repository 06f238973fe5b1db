import { ofGroup } from '@/records/people/ofGroup';
import { AGAIN_FATES, type AgainOutcome, PLAIN_SEVERITY } from '@/core/vocabulary';
import {
  shareOverFirings,
  surprisesOf,
  type Agreement,
  type Proportion,
  type Surprise,
  type Usual,
} from '@/core/evidence';
import { fromJson, type Db } from '@/records/platform/db';
import { defectsOf, proofRows, seenOf, type ProofRow } from '@/records/dictionary/entries';
import { versionsInUse } from '@/records/materials/glazes';
import { openingOf, type Opening, type OpeningPiece } from './openings';

/** A surprise with where to look. */
export interface FoundSurprise extends Surprise {
  readonly pieces: readonly string[];
  readonly headword: string;
  readonly ground: string;
  /** A proof from before, and what came out now. */
  readonly swatches: readonly (string | null)[];
}

/** What a firing gave, as it is read out to the class. */
/** A piece that goes into a kiln again. */
export interface AgainPiece extends Pick<OpeningPiece, 'id' | 'label' | 'fate' | 'stage' | 'body'> {
  /** Defects that it plainly shows, by their ids, and the words that were said. */
  readonly why: readonly string[];
}

/** What became of one reason, in pieces. */
export interface ReasonOutcomes {
  /** A defect by its id, or words. */
  readonly reason: string;
  readonly pieces: number;
  readonly counts: Readonly<Partial<Record<AgainOutcome, number>>>;
}

export interface FiringSummary {
  readonly firing: Opening['firing'];
  readonly repairs: Opening['repairs'];
  readonly pieces: number;
  readonly unread: number;
  readonly lost: readonly { readonly label: string; readonly state: 'missing' | 'broken' }[];
  readonly fates: readonly { readonly fate: string; readonly count: number }[];
  /** Of the pieces that were read, those with the defect at least plainly, commonest first. */
  readonly defects: readonly { readonly defect: string; readonly pieces: Proportion }[];
  /** Pieces without a plain defect. */
  readonly sound: Proportion;
  readonly surprises: readonly FoundSurprise[];
  /** Headwords proved for the first time. */
  readonly fresh: readonly { readonly id: string; readonly text: string; readonly pieces: number }[];
  /** Pieces that go into a kiln again. */
  readonly again: readonly AgainPiece[];
  /** What the firing did about the reasons for which pieces had come back, by reason. */
  readonly outcomes: readonly ReasonOutcomes[];
}

/** A studio that has no figures of its own yet is taken for this one. */
const NO_FIGURES: Usual = { spread: 2.5, disagree: 0.1 };

/** Entries that the usual figures are taken from. */
const MOST_ENTRIES = 2000;

/** What the studio's twins usually do: how far their colours lie apart, and how often they differ. */
async function usualOf(base: Db): Promise<Usual> {
  const rows: { summary: string; proofs: number; agreeing: number }[] = await base('entry')
    .where('proofs', '>=', 2)
    .orderBy('proofs', 'desc')
    .limit(MOST_ENTRIES)
    .select('summary', 'proofs', 'agreeing');
  const spreads = rows.flatMap((row) => fromJson<Agreement>(row.summary).spread ?? []).sort((a, b) => a - b);
  const proofs = rows.reduce((sum, row) => sum + row.proofs, 0);
  if (proofs < 20) return NO_FIGURES;
  const agreeing = rows.reduce((sum, row) => sum + row.agreeing, 0);
  return {
    spread: spreads[Math.floor(spreads.length / 2)] ?? NO_FIGURES.spread,
    disagree: 1 - agreeing / proofs,
  };
}

/**
 * Sums a firing up from its readings.
 *
 * @param groupId of which group's pieces; all when left out
 * @throws NotFound
 */
export async function summaryOf(base: Db, firingId: string, groupId?: string): Promise<FiringSummary> {
  const { firing, repairs, pieces: all } = await openingOf(base, firingId);
  const pieces = groupId ? await thoseOfGroup(base, all, groupId) : all;
  const read = pieces.filter((piece) => piece.state === 'read');
  const { surprises, fresh } = await dictionaryNews(base, firingId, read);
  const withDefect = new Map<string, number>();
  for (const piece of read)
    for (const defect of plainDefects(piece)) withDefect.set(defect, (withDefect.get(defect) ?? 0) + 1);
  const fates = new Map<string, number>();
  for (const { fate } of read) fates.set(fate ?? 'none yet', (fates.get(fate ?? 'none yet') ?? 0) + 1);
  return {
    firing,
    repairs,
    pieces: pieces.length,
    unread: pieces.filter((piece) => piece.state === 'loaded').length,
    lost: pieces.flatMap(({ label, state }) =>
      state === 'missing' || state === 'broken' ? [{ label, state }] : [],
    ),
    fates: byCount(fates).map(([fate, count]) => ({ fate, count })),
    defects: byCount(withDefect).map(([defect, count]) => ({
      defect,
      pieces: shareOverFirings(count, read.length, 1),
    })),
    sound: shareOverFirings(read.filter((piece) => plainDefects(piece).size === 0).length, read.length, 1),
    surprises,
    fresh,
    again: await withReasons(
      base,
      firingId,
      read.filter(({ fate }) => fate && AGAIN_FATES.includes(fate)),
    ),
    outcomes: outcomesOf(read),
  };
}

/** Pieces that go into a kiln again, each with why. */
async function withReasons(
  base: Db,
  firingId: string,
  pieces: readonly OpeningPiece[],
): Promise<AgainPiece[]> {
  const ids = pieces.map(({ id }) => id);
  const rows = await base('fate')
    .where({ firing_id: firingId })
    .whereIn('piece_id', ids)
    .orderBy('at')
    .select('piece_id', 'reasons');
  const said = new Map(rows.map(({ piece_id, reasons }) => [piece_id, fromJson<string[]>(reasons)]));
  return pieces.map((piece) => {
    const { id, label, fate, stage } = piece;
    const body = piece.isDescribed ? piece.body : 'not described yet';
    return { id, label, fate, stage, body, why: [...plainDefects(piece), ...(said.get(id) ?? [])] };
  });
}

function outcomesOf(read: readonly OpeningPiece[]): ReasonOutcomes[] {
  const found = new Map<string, Partial<Record<AgainOutcome, number>>>();
  for (const { reasons = [] } of read)
    for (const { reason, outcome } of reasons)
      if (outcome) {
        const counts = found.get(reason) ?? {};
        found.set(reason, { ...counts, [outcome]: (counts[outcome] ?? 0) + 1 });
      }
  return [...found].map(([reason, counts]) => ({
    ...{ reason, counts },
    pieces: Object.values(counts).reduce((sum, n) => sum + n, 0),
  }));
}

async function thoseOfGroup(
  base: Db,
  pieces: readonly OpeningPiece[],
  groupId: string,
): Promise<readonly OpeningPiece[]> {
  const ids = pieces.map(({ id }) => id);
  const own = await base('piece as p')
    .whereIn('p.id', ids)
    .andWhere(ofGroup(base, groupId))
    .pluck<string[]>('p.id');
  return pieces.filter(({ id }) => own.includes(id));
}

function byCount(counts: ReadonlyMap<string, number>): [string, number][] {
  return [...counts].sort(([a, n], [b, m]) => m - n || a.localeCompare(b));
}

function plainDefects({ zones }: OpeningPiece): Set<string> {
  return new Set(
    zones.flatMap((zone) =>
      zone.readings.flatMap((reading) =>
        reading.defects.filter(({ severity }) => severity >= PLAIN_SEVERITY).map(({ defect }) => defect),
      ),
    ),
  );
}

/** What the dictionary did not expect of a firing, and what it did not know before. */
async function dictionaryNews(
  base: Db,
  firingId: string,
  read: readonly OpeningPiece[],
): Promise<Pick<FiringSummary, 'surprises' | 'fresh'>> {
  const zones = new Map(
    read.flatMap((piece) => piece.zones.map((zone) => [zone.id, { zone, piece }] as const)),
  );
  const entries: { entry_id: string | null }[] = await base('zone')
    .where({ firing_id: firingId, ended_at: null })
    .distinct('entry_id');
  const rows = await proofRows(
    base,
    entries.flatMap((row) => row.entry_id ?? []),
  );
  const defects = await defectsOf(
    base,
    rows.map((row) => row.reading_id),
  );
  const inUse = new Set((await versionsInUse(base)).values());
  const seen = (row: ProofRow) => seenOf(row, defects.get(row.reading_id) ?? [], inUse);
  const own = rows.filter(
    (row) => row.firing_id === firingId && (zones.get(row.zone_id)?.zone.stack.length ?? 0) > 0,
  );
  const opened = Math.min(...own.map((row) => row.at.getTime()));
  const earlier = new Map<string, ProofRow[]>();
  for (const row of rows)
    if (row.firing_id !== firingId && row.at.getTime() < opened)
      earlier.set(row.entry_id, [...(earlier.get(row.entry_id) ?? []), row]);
  const cameOut = own.map((row) => ({
    zoneId: row.zone_id,
    pieceId: row.piece_id,
    entryId: row.entry_id,
    twinKey: zones.get(row.zone_id)!.piece.twinKey,
    seen: seen(row),
    before: (earlier.get(row.entry_id) ?? []).map(seen),
  }));
  const surprises = surprisesOf(cameOut, await usualOf(base)).map((surprise) => {
    const found = surprise.zoneIds.map((id) => zones.get(id)!);
    const { headword, ground, swatchHash } = found[0]!.zone;
    const entryId = cameOut.find((one) => one.zoneId === surprise.zoneIds[0])!.entryId;
    const before = earlier.get(entryId)?.find((row) => row.swatch_hash)?.swatch_hash ?? null;
    return {
      ...surprise,
      headword,
      ground,
      pieces: [...new Set(found.map(({ piece }) => piece.label))],
      swatches:
        surprise.kind === 'twins disagree' ? found.map(({ zone }) => zone.swatchHash) : [before, swatchHash],
    };
  });
  return { surprises, fresh: await freshHeadwords(base, firingId, own, opened) };
}

/** Headwords that no firing opened before had proved. */
async function freshHeadwords(
  base: Db,
  firingId: string,
  own: readonly ProofRow[],
  opened: number,
): Promise<FiringSummary['fresh']> {
  if (own.length === 0) return [];
  const rows: { id: string; text: string; pieces: number }[] = await base('zone as z')
    .join('entry as e', 'e.id', 'z.entry_id')
    .join('headword as h', 'h.id', 'e.headword_id')
    .where({ 'z.firing_id': firingId, 'z.ended_at': null })
    .whereIn(
      'z.piece_id',
      own.map((row) => row.piece_id),
    )
    .where('h.depth', '>', 0)
    .whereNotExists(
      base('zone as z2')
        .join('entry as e2', 'e2.id', 'z2.entry_id')
        .join('reading as r2', 'r2.zone_id', 'z2.id')
        .whereRaw('e2.headword_id = h.id')
        .whereNot('z2.firing_id', firingId)
        .where('r2.at', '<', new Date(opened)),
    )
    .groupBy('h.id', 'h.text')
    .orderBy('h.text')
    .select('h.id', 'h.text', base.raw('count(distinct z.piece_id) as pieces'));
  return rows.map((row) => ({ ...row, pieces: Number(row.pieces) }));
}

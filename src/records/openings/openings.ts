import { rowsOf } from '@/records/platform/joins';
import type { Side } from '@/core/vocabulary';
import type { Agreement } from '@/core/evidence';
import { fromJson, type Db } from '@/records/platform/db';
import { defectsOf } from '@/records/dictionary/entries';
import { firingById, type Firing } from '@/records/firings/firings';
import { photosOf, type StoredPhoto } from '@/records/pieces/photos';
import { piecesById, zonesWith, type FiredZone, type ListedPiece } from '@/records/pieces/piecePages';
import { cameBackTo, type CameBack } from './cameBack';
import { expectationsAt } from '@/records/pieces/expectations';
import { orderStands, type OrderStand } from '@/records/pieces/orders';
import { readingsOf } from './readings';
import { repairsOf, type ShelfRepair } from './shelfRepairs';

/** A zone at an opening, with what the dictionary expects of it. */
export interface OpeningZone extends FiredZone {
  readonly expected: Agreement | null;
  readonly expectedSwatch: string | null;
  readonly expectedColour: string | null;
}

/** What was read on a zone of a twin. */
export interface TwinZone {
  readonly area: string | null;
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  readonly surface: string | null;
  readonly movement: string | null;
  readonly defects: readonly { readonly defect: string; readonly severity: number; readonly place: string }[];
}

export interface OpeningPiece extends ListedPiece {
  readonly shelf: number;
  readonly place: number;
  readonly state: 'loaded' | 'read' | 'missing' | 'broken';
  readonly zones: readonly OpeningZone[];
  readonly photos: readonly StoredPhoto[];
  readonly twinKey: string;
  /** The newest twin that was read at the same cone and atmosphere. */
  readonly twin: { readonly label: string; readonly zones: readonly TwinZone[] } | null;
  /** Why it is in the kiln again; none in what a device kept from an earlier release, as the two below. */
  readonly reasons?: readonly CameBack[];
  /** What its maker expects of this firing; null when nobody said. */
  readonly expectation?: string | null;
  /** How the order stands that it belongs to; null for none. */
  readonly order?: OrderStand | null;
}

/** Everything an opening needs, so that it can be walked through without a network. */
export interface Opening {
  readonly firing: Firing;
  readonly pieces: readonly OpeningPiece[];
  readonly repairs: readonly ShelfRepair[];
}

/** A firing with its pieces in the order they come out: top shelf first, then by place. */
export async function openingOf(base: Db, firingId: string): Promise<Opening> {
  const firing = await firingById(base, firingId);
  return { firing, pieces: await openingPieces(base, firing), repairs: await repairsOf(base, firingId) };
}

/** The pieces of an opening, or one of them. */
export async function openingPieces(
  base: Db,
  firing: Pick<Firing, 'id' | 'cone' | 'atmosphere'>,
  only?: string,
): Promise<OpeningPiece[]> {
  const load: { piece_id: string; shelf: number; place: number; state: OpeningPiece['state'] }[] = await base(
    'firing_piece',
  )
    .where({ firing_id: firing.id, ...(only && { piece_id: only }) })
    .orderBy([{ column: 'shelf', order: 'desc' }, { column: 'place' }])
    .select('piece_id', 'shelf', 'place', 'state');
  const ids = load.map((row) => row.piece_id);
  const pieces = new Map((await piecesById(base, ids)).map((piece) => [piece.id, piece]));
  const readings = await readingsOf(base, ids);
  const zones = await zonesWith(base, { 'z.firing_id': firing.id, ...(only && { 'z.piece_id': only }) });
  const photos = (await photosOf(base, ids)).filter((photo) => photo.firingId === firing.id);
  const [twins, reasons, expectations, orders] = await Promise.all([
    twinsOf(base, firing, ids),
    cameBackTo(base, firing.id, [...pieces.values()], readings),
    expectationsAt(base, firing.id, ids),
    orderStands(
      base,
      [...pieces.values()].flatMap(({ orderId }) => orderId ?? []),
    ),
  ]);
  return load.map(({ piece_id, shelf, place, state }) => {
    const own = photos.filter((photo) => photo.pieceId === piece_id);
    const ownZones = zones.filter((zone) => zone.pieceId === piece_id);
    return {
      ...pieces.get(piece_id)!,
      shelf,
      place,
      state,
      photos: own,
      ...twins.get(piece_id)!,
      reasons: reasons.get(piece_id)!,
      expectation: expectations.get(piece_id) ?? null,
      order: orders.find(({ id }) => id === pieces.get(piece_id)!.orderId) ?? null,
      zones: ownZones.map(({ summary, entrySwatch, entryColour, ...zone }) => ({
        ...zone,
        readings: readings.filter((reading) => reading.zoneId === zone.id && !reading.ended),
        expected: summary ? fromJson<Agreement>(summary) : null,
        expectedSwatch: entrySwatch,
        expectedColour: entryColour,
      })),
    };
  });
}

/** The newest read twin of each piece at the same cone and atmosphere. */
async function twinsOf(
  base: Db,
  firing: Pick<Firing, 'cone' | 'atmosphere'>,
  ids: readonly string[],
): Promise<Map<string, Pick<OpeningPiece, 'twin' | 'twinKey'>>> {
  const keys: { id: string; twin_key: string }[] = await base('piece')
    .whereIn('id', ids)
    .select('id', 'twin_key');
  const rows = await rowsOf<{ p: 'piece'; r: 'reading'; z: 'zone' }>()(
    base('piece as p')
      .join('zone as z', 'z.piece_id', 'p.id')
      .join('firing as f', 'f.id', 'z.firing_id')
      .join('reading as r', 'r.zone_id', 'z.id')
      .whereIn('p.twin_key', [...new Set(keys.map((key) => key.twin_key))])
      .where({ 'f.cone': firing.cone, 'f.atmosphere': firing.atmosphere, 'r.stage': 'after' })
      .whereNull('z.ended_at')
      .whereNull('r.ended_at')
      .orderBy([{ column: 'r.at', order: 'desc' }, { column: 'p.id' }, { column: 'z.from' }])
      .limit(2000),
    'p.id',
    'p.label',
    'p.twin_key',
    'z.area',
    'z.side',
    'z.from',
    'z.to',
    'r.id as reading_id',
    'r.surface',
    'r.movement',
  );
  const defects = await defectsOf(
    base,
    rows.map((row) => row.reading_id),
  );
  return new Map(
    keys.map(({ id, twin_key }) => {
      const label = rows.find((row) => row.twin_key === twin_key && row.id !== id)?.label;
      const zones = rows
        .filter((row) => row.label === label)
        .map((row) => ({
          area: row.area,
          side: row.side,
          from: row.from,
          to: row.to,
          surface: row.surface,
          movement: row.movement,
          defects: defects.get(row.reading_id) ?? [],
        }));
      return [id, { twinKey: twin_key, twin: label ? { label, zones } : null }];
    }),
  );
}

/** Phrases to begin with, until the studio has its own. */
const PHRASES = ['breaks over texture', 'better than usual', 'not what I wanted', 'thin at the rim', 'milky'];

/** The words the studio writes about what it sees, at most 12, those of the most pieces first. */
export async function phrasesOf(base: Db): Promise<string[]> {
  const rows: { note: string }[] = await base('reading')
    .whereNot({ note: '' })
    .whereRaw('char_length(note) <= 40')
    .groupBy('note')
    .havingRaw('count(distinct piece_id) >= 2')
    .orderByRaw('count(distinct piece_id) desc, note')
    .limit(9)
    .select('note');
  return [...new Set([...rows.map((row) => row.note), ...PHRASES])].slice(0, 12);
}

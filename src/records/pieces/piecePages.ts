import { type Maybe, rowsOf } from '@/records/platform/joins';
import type { PieceRow, FiringRow } from '@/records/platform/tables';
import { coreCoats, zonesOf, type Stack, type WrittenArea } from '@/core/coats';
import type { HexShare } from '@/core/colour';
import { studioTime } from '@/core/time';
import type {
  AgainOutcome,
  DefectId,
  Form,
  Side,
  Fate,
  Profile,
  TextureBySide,
  Texture,
} from '@/core/vocabulary';
import { fromJson, type Db } from '@/records/platform/db';
import { shadesOf } from '@/records/platform/shades';
import { coatsOf, type StoredCoat } from './coats';
import { ofGroup } from '@/records/people/ofGroup';
import { NotFound } from '@/records/platform/errors';
import { photosOf, type StoredPhoto } from './photos';
import { expectationsNow } from './expectations';
import { orderStands, type OrderStand } from './orders';
import { readWare, setOf, type SetPiece, type Ware } from './ware';
import { inOrderOfColour } from './byColour';
import { countsOf, type ZoneCount } from './zoneCounts';
import { readingsOf, type StoredReading } from '@/records/openings/readings';

export type Stage = 'made' | 'glazed' | 'loaded' | 'fired' | 'read';

/** A piece as lists show it. */
export interface ListedPiece {
  readonly id: string;
  readonly label: string;
  readonly number: number;
  readonly form: Form;
  /** The form of the studio that it is like; null for one of the library. */
  readonly formId: string | null;
  readonly formName: string | null;
  readonly profile: Profile | null;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly bodyId: string;
  readonly body: string;
  readonly bodyColour: string;
  readonly split: boolean;
  /** What was done to the clay, by side. */
  readonly texture: TextureBySide;
  /** Named parts beside its bands. */
  readonly areas: readonly WrittenArea[];
  /** Defects that are wanted on it, and so are none. */
  readonly wanted: readonly DefectId[];
  /** False for one that was photographed, or found at an opening, and not described since. */
  readonly isDescribed: boolean;
  /** Whether its bands were measured in another way than now, and nobody has looked since. */
  readonly hasOldLengths: boolean;
  readonly stage: Stage;
  readonly fate: Fate | null;
  /** The order it belongs to. */
  readonly orderId: string | null;
  /** The group it is for, besides those that its maker is in. */
  readonly groupId: string | null;
  /** The set it belongs to. */
  readonly setId: string | null;
  /** What its maker numbered it; empty for none. */
  readonly ownNumber: string;
  readonly note: string;
  readonly maker: string;
  readonly memberId: string;
  readonly madeAt: Date;
  readonly photoHash: string | null;
  readonly version: number;
  readonly coats: readonly StoredCoat[];
}

export interface PieceFilter {
  readonly text?: string;
  readonly stage?: Stage;
  readonly fate?: Fate;
  readonly bodyId?: string;
  readonly glazeId?: string;
  /** Made by somebody of a group. */
  readonly groupId?: string;
  /** Of an order. */
  readonly orderId?: string;
  /** Of a round's cells. */
  readonly roundId?: string;
  /** Loaded into a firing. */
  readonly firingId?: string;
  /** Done to the clay on some side. */
  readonly texture?: Texture;
  /** Made on this day or later, "YYYY-MM-DD" in the studio's time. */
  readonly madeFrom?: string;
  /** Made on this day or before. */
  readonly madeTo?: string;
  readonly ids?: readonly string[];
  /** Whether somebody has said what it is. */
  readonly isDescribed?: boolean;
  readonly sort?: 'number' | 'form' | 'body' | 'stage' | 'madeAt' | 'colour';
  readonly order?: 'asc' | 'desc';
  readonly offset?: number;
  readonly limit?: number;
}

const SORTS = {
  number: 'p.number',
  form: 'p.form',
  body: 'b.name',
  stage: 'p.stage',
  madeAt: 'p.made_at',
} as const;

function pieceRows(base: Db) {
  return base('piece as p')
    .join('body as b', 'b.id', 'p.body_id')
    .join('member as m', 'm.id', 'p.member_id')
    .leftJoin('photo as ph', 'ph.id', 'p.photo_id')
    .leftJoin('form as fm', 'fm.id', 'p.form_id');
}

function filtered(base: Db, filter: PieceFilter) {
  const query = base('piece as p').join('body as b', 'b.id', 'p.body_id');
  if (filter.ids) void query.whereIn('p.id', filter.ids);
  if (filter.stage) void query.where('p.stage', filter.stage);
  if (filter.isDescribed !== undefined) void query.where('p.described', filter.isDescribed);
  if (filter.fate) void query.where('p.fate', filter.fate);
  if (filter.orderId) void query.where('p.order_id', filter.orderId);
  if (filter.bodyId) void query.where('p.body_id', filter.bodyId);
  if (filter.groupId) void query.where(ofGroup(base, filter.groupId));
  if (filter.glazeId)
    void query.whereIn(
      'p.id',
      base('coat').where({ glaze_id: filter.glazeId, ended_at: null }).select('piece_id'),
    );
  if (filter.roundId)
    void query.whereIn(
      'p.round_cell_id',
      base('round_cell').where({ round_id: filter.roundId }).select('id'),
    );
  if (filter.firingId)
    void query.whereIn('p.id', base('firing_piece').where({ firing_id: filter.firingId }).select('piece_id'));
  if (filter.texture) void query.whereRaw("json_search(p.texture, 'one', ?) is not null", [filter.texture]);
  if (filter.madeFrom) void query.where('p.made_at', '>=', studioTime(filter.madeFrom).toJSDate());
  if (filter.madeTo)
    void query.where('p.made_at', '<', studioTime(filter.madeTo).plus({ days: 1 }).toJSDate());
  const digits = filter.text?.match(/\d+/)?.[0];
  if (digits) void query.where('p.number', Number(digits));
  else if (filter.text) void query.whereILike('b.name', `%${filter.text.replace(/[\\%_]/g, '\\$&')}%`);
  return query;
}

/** Pieces by filter, newest number first unless sorted otherwise, with how many there are in all. */
export async function listPieces(
  base: Db,
  filter: PieceFilter,
): Promise<{ rows: ListedPiece[]; total: number }> {
  const { sort = 'number', order = 'desc', offset = 0, limit = 50 } = filter;
  const some = filtered(base, filter);
  const ids =
    sort === 'colour'
      ? (await inOrderOfColour(base, await some.orderBy('p.number', 'desc').pluck<string[]>('p.id'))).slice(
          offset,
          offset + limit,
        )
      : await some
          .orderBy([
            { column: SORTS[sort], order },
            { column: 'p.number', order },
          ])
          .offset(offset)
          .limit(limit)
          .pluck<string[]>('p.id');
  const total = Number((await filtered(base, filter).count('* as n').first())?.n ?? 0);
  return { rows: await piecesById(base, ids), total };
}

type JoinedPiece = PieceRow & {
  readonly body: string;
  readonly colour_oxidation: string;
  readonly maker: string;
  readonly photo_hash: string | null;
  readonly form_name: string | null;
};

/** Pieces of these numbers, in their order; unknown ones are left out. */
export async function piecesByLabel(base: Db, labels: readonly string[]): Promise<ListedPiece[]> {
  const rows = await base('piece').whereIn('label', labels).select('id', 'label');
  const ids = new Map(rows.map(({ id, label }) => [label, id]));
  return piecesById(
    base,
    labels.flatMap((label) => ids.get(label) ?? []),
  );
}

/** Pieces of these ids, in their order; unknown ids are left out. */
export async function piecesById(base: Db, ids: readonly string[]): Promise<ListedPiece[]> {
  if (ids.length === 0) return [];
  const rows: JoinedPiece[] = await pieceRows(base)
    .whereIn('p.id', ids)
    .select(
      'p.*',
      'b.name as body',
      'b.colour_oxidation',
      'm.name as maker',
      'ph.hash as photo_hash',
      'fm.name as form_name',
    );
  const coats = await coatsOf(base, ids);
  const found = new Map(rows.map((row) => [row.id, row]));
  return ids.flatMap((id) => {
    const row = found.get(id);
    if (!row) return [];
    return {
      id,
      label: row.label,
      number: row.number,
      form: row.form,
      formId: row.form_id,
      formName: row.form_name,
      profile: row.profile === null ? null : fromJson<Profile>(row.profile),
      heightMm: row.height_mm,
      widthMm: row.width_mm,
      bodyId: row.body_id,
      body: row.body,
      bodyColour: row.colour_oxidation,
      split: Boolean(row.split),
      texture: fromJson<TextureBySide>(row.texture),
      areas: fromJson<readonly WrittenArea[]>(row.areas),
      wanted: fromJson<readonly DefectId[]>(row.wanted),
      isDescribed: Boolean(row.described),
      hasOldLengths: Boolean(row.check_lengths),
      stage: row.stage,
      fate: row.fate,
      orderId: row.order_id,
      groupId: row.group_id,
      setId: row.set_id,
      ownNumber: row.own_number,
      note: row.note,
      maker: row.maker,
      memberId: row.member_id,
      madeAt: row.made_at,
      photoHash: row.photo_hash,
      version: row.version,
      coats: coats.get(id)!,
    };
  });
}

/** A zone of a piece in one of its firings, with its live readings and those before them. */
export interface FiredZone {
  readonly id: string;
  /** The area it is of; null for one of a side. */
  readonly area: string | null;
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  readonly stack: Stack;
  /** Null on a piece that is not described yet. */
  readonly headwordId: string | null;
  readonly headword: string;
  readonly ground: string;
  readonly swatchHash: string | null;
  readonly colour: string | null;
  /** All colours that were measured of it, the largest share first; empty where none were. */
  readonly shades: readonly HexShare[];
  readonly proofs: number;
  readonly agreeing: number;
  /** What was counted on it in a photo. */
  readonly counts: readonly ZoneCount[];
  readonly readings: readonly StoredReading[];
}

export interface PieceFiring {
  readonly firingId: string;
  readonly kiln: string;
  readonly number: number;
  readonly kind: string;
  readonly cone: string;
  readonly atmosphere: string;
  readonly state: string;
  readonly day: string;
  readonly shelf: number;
  readonly achievedCone: number | null;
  readonly zones: readonly FiredZone[];
  /** What was expected of it; null when nobody said. */
  readonly expected: string | null;
  /** What it did about each reason for which the piece came back. */
  readonly outcomes: readonly { readonly reason: string; readonly outcome: AgainOutcome }[];
}

export interface PiecePage extends ListedPiece {
  /** How the order stands that it belongs to. */
  readonly order: OrderStand | null;
  /** The name of the group it is for. */
  readonly group: string | null;
  /** What is expected of its next firing; null when nobody said. */
  readonly expectation: string | null;
  readonly ware: Ware;
  readonly isLiked: boolean;
  /** The pieces that it belongs together with. */
  readonly set: readonly SetPiece[];
  readonly firings: readonly PieceFiring[];
  readonly photos: readonly StoredPhoto[];
  readonly twins: readonly { readonly id: string; readonly label: string; readonly stage: Stage }[];
  /** The piece that it was made after. */
  readonly modelId: string | null;
  /** Pieces made after it. */
  readonly followers: readonly { readonly id: string; readonly label: string }[];
  /** Zones with the coats that are not fired yet. */
  readonly planned: ReturnType<typeof zonesOf>;
}

/** Everything known about one piece; `key` is its id or its label. @throws NotFound */
export async function piecePage(base: Db, key: string): Promise<PiecePage> {
  const row = await base('piece')
    .where({ id: key })
    .orWhere({ label: key.toUpperCase() })
    .first('id', 'twin_key', 'model_id', 'ware', 'is_liked', 'set_id');
  if (!row) throw new NotFound(`Piece ${key}`);
  const [piece] = await piecesById(base, [row.id]);
  const twins = await base('piece')
    .where({ twin_key: row.twin_key })
    .whereNot({ id: row.id })
    .orderBy('number')
    .limit(40)
    .select('id', 'label', 'stage');
  return {
    ...piece!,
    order: (await orderStands(base, piece!.orderId ? [piece!.orderId] : []))[0] ?? null,
    group:
      (
        await base('member_group')
          .where('id', piece!.groupId ?? '')
          .first('name')
      )?.name ?? null,
    expectation: (await expectationsNow(base, [row.id])).get(row.id) ?? null,
    firings: await firingsWithZones(base, row.id),
    photos: await photosOf(base, [row.id]),
    twins,
    ware: readWare(row.ware),
    isLiked: Boolean(row.is_liked),
    set: await setOf(base, { id: row.id, setId: row.set_id }),
    modelId: row.model_id,
    followers: await base('piece')
      .where({ model_id: row.id })
      .orderBy('number')
      .limit(40)
      .select('id', 'label'),
    planned: zonesOf(
      piece!.coats.flatMap((coat) => coreCoats(coat)),
      piece!.areas,
    ),
  };
}

async function firingsWithZones(base: Db, pieceId: string): Promise<PieceFiring[]> {
  type Joined = FiringRow & { readonly kiln: string; readonly shelf: number; readonly day: string };
  const firings: Joined[] = await base('firing_piece as fp')
    .join('firing as f', 'f.id', 'fp.firing_id')
    .join('kiln as k', 'k.id', 'f.kiln_id')
    .where('fp.piece_id', pieceId)
    .orderBy(['fp.at', 'f.planned_on'])
    .select('f.*', 'k.name as kiln', 'fp.shelf', base.raw("date_format(f.planned_on, '%Y-%m-%d') as day"));
  const readings = await readingsOf(base, [pieceId]);
  const zones = await zonesWith(base, { 'z.piece_id': pieceId });
  const [expected, outcomes] = await Promise.all([
    base('expectation').where({ piece_id: pieceId }).whereNotNull('firing_id').select('firing_id', 'words'),
    base('again_outcome').where({ piece_id: pieceId }).orderBy('reason').select('*'),
  ]);
  return firings.map((f) => ({
    firingId: f.id,
    kiln: f.kiln,
    number: f.number,
    kind: f.kind,
    cone: f.cone,
    atmosphere: f.atmosphere,
    state: f.state,
    day: f.day,
    shelf: f.shelf,
    achievedCone: f.achieved_cone,
    zones: zones
      .filter((zone) => zone.firingId === f.id)
      .map((zone) => ({ ...zone, readings: readings.filter((reading) => reading.zoneId === zone.id) })),
    expected: expected.find((one) => one.firing_id === f.id)?.words ?? null,
    outcomes: outcomes
      .filter((one) => one.firing_id === f.id)
      .map(({ reason, outcome }) => ({ reason, outcome })),
  }));
}

/** Live zones with their entries, by side and from foot to rim; those of a piece not described yet are in none. */
export async function zonesWith(base: Db, where: Readonly<Record<string, string>>) {
  const rows = await rowsOf<{ z: 'zone'; g: Maybe<'ground'>; h: Maybe<'headword'>; e: Maybe<'entry'> }>()(
    base('zone as z')
      .leftJoin('entry as e', 'e.id', 'z.entry_id')
      .leftJoin('headword as h', 'h.id', 'e.headword_id')
      .leftJoin('ground as g', 'g.id', 'e.ground_id')
      .where(where)
      .whereNull('z.ended_at')
      .orderBy(['z.piece_id', 'z.area', 'z.side', 'z.from']),
    'z.*',
    'e.stack',
    'e.proofs',
    'e.agreeing',
    'e.headword_id',
    'e.summary',
    'e.swatch_hash as entry_swatch',
    'e.colour as entry_colour',
    'h.text',
    'g.name as ground',
  );
  const counts = await countsOf(
    base,
    rows.map((row) => row.id),
  );
  return rows.map((row) => ({
    id: row.id,
    counts: counts.filter((count) => count.zoneId === row.id),
    pieceId: row.piece_id,
    area: row.area,
    firingId: row.firing_id,
    side: row.side,
    from: row.from,
    to: row.to,
    stack: row.stack === null ? [] : fromJson<Stack>(row.stack),
    headwordId: row.headword_id,
    headword: row.text ?? 'Not described yet',
    ground: row.ground ?? '',
    swatchHash: row.swatch_hash,
    colour: row.colour,
    shades: shadesOf(row.palette),
    proofs: row.proofs ?? 0,
    agreeing: row.agreeing ?? 0,
    summary: row.summary,
    entrySwatch: row.entry_swatch,
    entryColour: row.entry_colour,
  }));
}

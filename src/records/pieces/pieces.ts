import { firstOf } from '@/records/platform/joins';
import type { CoatRow, PieceRow } from '@/records/platform/tables';
import { toRow, type Mapping, flag, json, readRow } from '@/records/platform/mapping';
import type { DefectId, Form, PieceStage, Profile, TextureBySide } from '@/core/vocabulary';
import { PLAIN_AREA, type WrittenArea } from '@/core/coats';
import { recordChange } from '@/records/platform/changes';
import { type CoatDraft, COAT } from './coats';
import { fromJson, inTransaction, newId, type Db } from '@/records/platform/db';
import { Conflict, found, NotFound, Refusal } from '@/records/platform/errors';
import { updateRow } from '@/records/platform/write';
import { labelOf, lockSeries, type SeriesWanted } from '@/records/platform/numbers';
import { rebuildZones, twinKeyOf, ZONE_RULES } from './zones';

export interface PieceDraft {
  readonly form: Form;
  /** The form of the studio that it is like, and the silhouette it had of it; null for one of the library. */
  readonly formId: string | null;
  readonly profile: Profile | null;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly bodyId: string;
  readonly split: boolean;
  /** What was done to the clay, by side. */
  readonly texture: TextureBySide;
  /** Named parts beside its bands. */
  readonly areas: readonly WrittenArea[];
  /** Defects that are wanted on it, and so are none. */
  readonly wanted: readonly DefectId[];
  /** What its maker numbered it; empty for none. */
  readonly ownNumber: string;
  readonly note: string;
  readonly coats: readonly CoatDraft[];
}

/** Where new pieces come from. */
export interface PieceOrigin {
  readonly madeAt?: Date;
  /** Who made them, when it is not who writes them down. */
  readonly makerId?: string | null;
  /** The piece that they are made after. */
  readonly modelId?: string | null;
  /** The cell of a round that they test. */
  readonly roundCellId?: string | null;
  /** The order that they are made for. */
  readonly orderId?: string | null;
  /** The series that their numbers come from; the usual one without. */
  readonly series?: SeriesWanted;
}

/**
 * Saves a piece and its twins: one row an id, each with the next number of a series. An id that
 * is already there is the same submit again and gives back what it got the first time.
 *
 * @returns ids with their labels, in the order given
 * @throws Refusal of `series` when there is none of its letters
 */
export async function savePieces(
  base: Db,
  memberId: string,
  draft: PieceDraft,
  ids: readonly string[],
  {
    madeAt = new Date(),
    makerId = null,
    modelId = null,
    roundCellId = null,
    orderId = null,
    series = null,
  }: PieceOrigin = {},
): Promise<{ id: string; label: string }[]> {
  return inTransaction(base, async (trx) => {
    const { prefix, next: first } = await lockSeries(trx, series);
    let next = first;
    const known = await trx('piece')
      .whereIn('id', ids)
      .select<{ id: string; label: string }[]>('id', 'label');
    const labels = new Map(known.map((row) => [row.id, row.label]));
    const fresh = ids.filter((id) => !labels.has(id));
    const { coats: drafted, ...fields } = draft;
    const stage = drafted.length ? 'glazed' : 'made';
    const coats = await coatRows(trx, drafted);
    const row = {
      ...toRow(PIECE, { ...fields, stage }),
      twin_key: twinKeyOf({ ...draft, roundCellId, coats: coats.map(({ twin }) => twin) }),
      member_id: makerId ?? memberId,
      made_at: madeAt,
      zone_rules: ZONE_RULES,
      model_id: modelId,
      round_cell_id: roundCellId,
      order_id: orderId,
    };
    for (const id of fresh) {
      const label = labelOf(prefix, next);
      await trx('piece').insert({ id, label, number: next++, ...row });
      await insertCoats(
        trx,
        id,
        coats.map((coat) => coat.row),
      );
      await recordChange(trx, memberId, 'piece', id, null, { label, ...draft });
      labels.set(id, label);
    }
    await trx('series').where({ prefix }).update({ next });
    return ids.map((id) => ({ id, label: labels.get(id)! }));
  });
}

/** Gives a piece to who made it. @throws NotFound of the piece or the maker */
export async function setMaker(
  base: Db,
  memberId: string,
  { pieceId, makerId }: { readonly pieceId: string; readonly makerId: string },
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const piece = found(
      await trx('piece').where({ id: pieceId }).forUpdate().first('member_id'),
      'This piece',
    );
    found(await trx('member').where({ id: makerId, ended_at: null }).first('id'), 'This maker');
    await trx('piece').where({ id: pieceId }).update({ member_id: makerId });
    await recordChange(trx, memberId, 'piece', pieceId, { maker: piece.member_id }, { maker: makerId });
  });
}

/** A piece as a correction finds it when somebody else corrected it first. */
export type CorrectedPiece = PieceDraft & { readonly version: number };

/** What is kept in the row of a piece; its coats have rows of their own. */
type PieceFields = Omit<PieceDraft, 'coats'> & {
  readonly id: string;
  readonly stage: PieceStage;
  readonly version: number;
};

const PIECE: Mapping<PieceFields, PieceRow> = {
  id: 'id',
  form: 'form',
  formId: 'form_id',
  profile: json<Profile | null>()('profile'),
  heightMm: 'height_mm',
  widthMm: 'width_mm',
  bodyId: 'body_id',
  split: flag('split'),
  texture: json<TextureBySide>()('texture'),
  areas: {
    column: 'areas',
    // A change that was kept by the release before knows less of an area.
    read: (text: string) => fromJson<WrittenArea[]>(text).map((area) => ({ ...PLAIN_AREA, ...area })),
    write: (areas) => JSON.stringify(areas),
  },
  wanted: json<readonly DefectId[]>()('wanted'),
  ownNumber: 'own_number',
  note: 'note',
  stage: 'stage',
  version: 'version',
};

/**
 * The rows of coats, and what twins are told by. A coat is of the version its batch was mixed from; without a batch of
 * the version that was said, and of the one in use when none was.
 *
 * @throws Refusal of `coats.N.glazeId` for a glaze that is not there, of `coats.N.versionId` for a version of another
 */
async function coatRows(trx: Db, coats: readonly CoatDraft[]) {
  const glazes = await trx('glaze')
    .whereIn(
      'id',
      coats.map(({ glazeId }) => glazeId),
    )
    .select('id', 'kind', 'in_use_id');
  const versions = await trx('glaze_version')
    .whereIn(
      'id',
      coats.flatMap(({ versionId }) => versionId ?? []),
    )
    .select('id', 'glaze_id');
  const mixed = await trx('batch')
    .whereIn(
      'id',
      coats.flatMap(({ batchId }) => batchId ?? []),
    )
    .select('id', 'glaze_version_id');
  return coats.map((coat, position) => {
    const glaze = glazes.find(({ id }) => id === coat.glazeId);
    if (!glaze?.in_use_id)
      throw new Refusal(`coats.${position}.glazeId`, 'This glaze is not in the studio any more.');
    const said = versions.find(({ id }) => id === coat.versionId);
    if (coat.versionId && said?.glaze_id !== coat.glazeId)
      throw new Refusal(`coats.${position}.versionId`, 'This version is of another glaze.');
    const batch = mixed.find(({ id }) => id === coat.batchId);
    const versionId = batch?.glaze_version_id ?? said?.id ?? glaze.in_use_id;
    return {
      row: { ...toRow(COAT, { ...coat, versionId }), position },
      twin: { ...coat, versionId, glazeKind: glaze.kind },
    };
  });
}

type NewCoatRow = Awaited<ReturnType<typeof coatRows>>[number]['row'];

async function insertCoats(trx: Db, pieceId: string, rows: readonly NewCoatRow[]): Promise<void> {
  if (rows.length) await trx('coat').insert(rows.map((row) => ({ id: newId(), piece_id: pieceId, ...row })));
}

/**
 * Corrects what was written about a piece. Old coats are ended, not overwritten; when the piece has been
 * fired its zones are laid again and each reading moves to the zone that now covers its middle.
 *
 * @throws Conflict when somebody else changed the piece first
 */
export async function correctPiece(
  base: Db,
  memberId: string,
  id: string,
  version: number,
  draft: PieceDraft,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const before = await trx('piece').where({ id }).forUpdate().first();
    if (!before) throw new NotFound('This piece');
    const rows = await liveCoats(trx, id);
    const stored = rows.map((row) => readRow(COAT, row));
    if (before.version !== version)
      throw new Conflict<CorrectedPiece>({ ...readRow(PIECE, before), coats: stored }, before.version);
    // The first coats told of a piece that nobody had logged are those it was fired with.
    const firedIn = rows.length === 0 ? await lastFiringOf(trx, id) : null;
    const { coats: drafted, ...fields } = draft;
    const coats = drafted.map((coat) => ({ ...coat, firingId: coat.firingId ?? firedIn }));
    const stage = stageAfter(before.stage, coats);
    const fresh = await coatRows(trx, coats);
    const facts = { ...draft, roundCellId: before.round_cell_id, coats: fresh.map(({ twin }) => twin) };
    const more: Partial<PieceRow> = { twin_key: twinKeyOf(facts), described: 1, check_lengths: 0 };
    await updateRow(trx, memberId, 'piece', PIECE, { id, version, ...fields, stage }, more);
    const freshRows = fresh.map(({ row }) => row);
    const isSame = sameCoats(stored, freshRows);
    if (!isSame) {
      await trx('coat').where({ piece_id: id, ended_at: null }).update({ ended_at: new Date() });
      await insertCoats(trx, id, freshRows);
      await recordChange(trx, memberId, 'coats', id, rows, freshRows);
    }
    const { areas, wanted } = readRow(PIECE, before);
    const stays =
      isSame &&
      before.described &&
      before.body_id === draft.bodyId &&
      JSON.stringify([areas, wanted]) === JSON.stringify([draft.areas, draft.wanted]);
    if (!stays) await rebuildZones(trx, id);
  });
}

/** Columns of a piece, or of one of its coats, as a change kept them. */
export type PieceColumns = Readonly<Record<string, unknown>>;

/**
 * Corrects a piece to what it was before a change.
 *
 * @param earlier what was said of it, or its coats; what is left out stays as it is now
 * @throws NotFound; Refusal when bands and areas would not go together, of `coats.N.glazeId` when a glaze of then is gone
 */
export async function putPieceBack(
  trx: Db,
  memberId: string,
  id: string,
  { facts = {}, coats }: { readonly facts?: PieceColumns; readonly coats?: readonly PieceColumns[] },
): Promise<void> {
  const row = found(await trx('piece').where({ id }).forUpdate().first(), 'This piece');
  const rows = coats ?? (await liveCoats(trx, id));
  const draft = {
    ...readRow(PIECE, { ...row, ...facts }),
    coats: rows.map((one) => readRow(COAT, one as unknown as CoatRow)),
  };
  const names = draft.coats.flatMap(({ area, not }) => [...(area === null ? [] : [area]), ...not]);
  const missing = names.find((name) => !draft.areas.some((area) => area.name === name));
  if (missing)
    throw new Refusal(
      '',
      coats
        ? `These bands name the area ${missing}, which the piece does not have now. Put its areas back first.`
        : `A band of now names the area ${missing}. Put the bands back first.`,
    );
  await correctPiece(trx, memberId, id, row.version, draft);
}

/** Whether the live coats of a piece are still those that a change left. */
export async function coatsStand(base: Db, id: string, after: readonly PieceColumns[]): Promise<boolean> {
  const rows = await liveCoats(base, id);
  return sameCoats(
    rows.map((row) => readRow(COAT, row)),
    after,
  );
}

const liveCoats = (base: Db, pieceId: string): Promise<CoatRow[]> =>
  base('coat').where({ piece_id: pieceId, ended_at: null }).orderBy('position').select('*');

/** The firing a piece came out of last; null when it was never fired. */
async function lastFiringOf(trx: Db, pieceId: string): Promise<string | null> {
  const row = await firstOf<{ f: 'firing' }>()(
    trx('firing_piece as fp')
      .join('firing as f', 'f.id', 'fp.firing_id')
      .where({ 'fp.piece_id': pieceId })
      .whereIn('f.state', ['open', 'closed'])
      .orderBy('fp.at', 'desc'),
    'f.id',
  );
  return row?.id ?? null;
}

/** How far a corrected piece is: what lies on it unfired decides, unless it stands in a kiln. */
function stageAfter(before: PieceStage, coats: readonly CoatDraft[]): PieceStage {
  if (before === 'loaded') return 'loaded';
  if (coats.some((coat) => coat.firingId === null)) return 'glazed';
  return before === 'glazed' ? 'made' : before;
}

/** Whether coats are the same in every field that is kept of them. */
function sameCoats(one: readonly CoatDraft[], other: readonly PieceColumns[]): boolean {
  const rows = one.map((coat) => toRow(COAT, coat));
  const columns = Object.keys(rows[0] ?? {}) as (keyof CoatRow)[];
  return (
    rows.length === other.length &&
    rows.every((row, i) => columns.every((column) => row[column] === other[i]![column]))
  );
}

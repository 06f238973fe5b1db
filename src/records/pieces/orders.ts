import { orderStand, type OrderedPiece, type Stand } from '@/core/orders';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { found, NotFound } from '@/records/platform/errors';
import { type Maybe, rowsOf } from '@/records/platform/joins';
import { dayOrNull, readRow, type Mapping } from '@/records/platform/mapping';
import type { PieceOrderRow } from '@/records/platform/tables';
import { insertRow, refuseTakenName, setEnded, updateRow } from '@/records/platform/write';

/** What somebody wants made. */
export interface OrderDraft {
  readonly id: string;
  readonly name: string;
  /** What is wanted, in words. */
  readonly wanted: string;
  /** How many. */
  readonly count: number;
  /** Until when, "YYYY-MM-DD", or null. */
  readonly dueOn: string | null;
  /** As it is written on the bill, with its currency; empty for none. */
  readonly price: string;
  readonly note: string;
}

/** An order with how it stands. */
export interface Order extends OrderDraft {
  readonly version: number;
  readonly endedAt: Date | null;
  readonly stand: Stand;
}

/** An order as it is said beside one of its pieces. */
export type OrderStand = Pick<Order, 'id' | 'name' | 'count' | 'stand' | 'dueOn'>;

const ORDER: Mapping<OrderDraft & { version: number; endedAt: Date | null }, PieceOrderRow> = {
  id: 'id',
  name: 'name',
  wanted: 'wanted',
  count: 'count',
  dueOn: dayOrNull('due_on'),
  price: 'price',
  note: 'note',
  version: 'version',
  endedAt: 'ended_at',
};

/** The pieces of orders, each with how it came out of its last firing. */
async function orderedPieces(base: Db, orderIds: readonly string[]) {
  return rowsOf<{ p: 'piece'; fp: Maybe<'firing_piece'> }>()(
    base('piece as p')
      .leftJoin(
        'firing_piece as fp',
        (join) =>
          void join
            .on('fp.piece_id', 'p.id')
            .andOn('fp.at', base.raw('(select max(l.at) from firing_piece l where l.piece_id = p.id)')),
      )
      .whereIn('p.order_id', orderIds),
    'p.order_id',
    'p.stage',
    'p.fate',
    'fp.state',
  );
}

async function withStands(base: Db, rows: readonly PieceOrderRow[]): Promise<Order[]> {
  const pieces = await orderedPieces(
    base,
    rows.map(({ id }) => id),
  );
  return rows.map((row) => {
    const own: OrderedPiece[] = pieces.filter(({ order_id }) => order_id === row.id);
    return { ...readRow(ORDER, row), stand: orderStand(row.count, own) };
  });
}

/** Orders, those that are due first before those without a day, ended ones last. */
export async function listOrders(base: Db, filter: { readonly isOpen?: boolean } = {}): Promise<Order[]> {
  const query = base('piece_order').orderByRaw('ended_at is not null, due_on is null, due_on, name');
  if (filter.isOpen) void query.whereNull('ended_at');
  return withStands(base, await query.select('*'));
}

/** An order. @throws NotFound */
export async function orderById(base: Db, id: string): Promise<Order> {
  const row = found(await base('piece_order').where({ id }).first(), 'This order');
  return (await withStands(base, [row]))[0]!;
}

/** How some orders stand, as it is said beside their pieces. */
export async function orderStands(base: Db, ids: readonly string[]): Promise<OrderStand[]> {
  if (ids.length === 0) return [];
  const orders = await withStands(
    base,
    await base('piece_order')
      .whereIn('id', [...new Set(ids)])
      .select('*'),
  );
  return orders.map(({ id, name, count, stand, dueOn }) => ({ id, name, count, stand, dueOn }));
}

/** Adds an order, or changes one under its optimistic lock. @throws NotFound; Conflict; Refusal of a name that is taken */
export async function saveOrder(
  base: Db,
  memberId: string,
  draft: OrderDraft,
  version: number | null,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (version === null && (await trx('piece_order').where({ id: draft.id }).first('id'))) return;
    await refuseTakenName(trx, 'piece_order', draft);
    if (version === null) await insertRow(trx, memberId, 'piece_order', ORDER, draft);
    else await updateRow(trx, memberId, 'piece_order', ORDER, { ...draft, version });
  });
}

/** Ends an order, delivered or not, or takes it up again. @throws NotFound */
export async function setOrderEnded(base: Db, memberId: string, id: string, isEnded: boolean): Promise<void> {
  await inTransaction(base, (trx) => setEnded(trx, memberId, 'piece_order', id, isEnded));
}

/** Puts a piece into an order, or into none. @throws NotFound of the piece or the order */
export async function setOrderOf(
  trx: Db,
  memberId: string,
  pieceId: string,
  orderId: string | null,
): Promise<void> {
  const piece = found(await trx('piece').where({ id: pieceId }).forUpdate().first('order_id'), 'This piece');
  if (piece.order_id === orderId) return;
  if (orderId && !(await trx('piece_order').where({ id: orderId }).first('id')))
    throw new NotFound('This order');
  await trx('piece').where({ id: pieceId }).update({ order_id: orderId });
  await recordChange(trx, memberId, 'piece', pieceId, { order: piece.order_id }, { order: orderId });
}

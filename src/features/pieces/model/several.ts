import type { ListedPiece, PieceChange } from '@/records/pieces';

type Noted = Pick<ListedPiece, 'id' | 'note'>;

/** A line put under the notes of several pieces. */
export function noteChanges(pieces: readonly Noted[], line: string): PieceChange[] {
  const text = line.trim();
  return pieces.map(({ id, note }) => ({ id, note: { from: note, to: note ? `${note}\n${text}` : text } }));
}

/** Several pieces given to who made them; those that are theirs already are left out. */
export function makerChanges(
  pieces: readonly Pick<ListedPiece, 'id' | 'memberId'>[],
  makerId: string,
): PieceChange[] {
  return pieces
    .filter(({ memberId }) => memberId !== makerId)
    .map(({ id, memberId }) => ({ id, maker: { from: memberId, to: makerId } }));
}

/** Several pieces put into an order, or into none; those that belong there already are left out. */
export function orderChanges(
  pieces: readonly Pick<ListedPiece, 'id' | 'orderId'>[],
  to: string | null,
): PieceChange[] {
  return pieces
    .filter(({ orderId }) => orderId !== to)
    .map(({ id, orderId }) => ({ id, order: { from: orderId, to } }));
}

/** What puts changes back. */
export function reversed(changes: readonly PieceChange[]): PieceChange[] {
  const back = <T>(one: { readonly from: T; readonly to: T } | undefined) =>
    one && { from: one.to, to: one.from };
  return changes.map(({ id, note, maker, order }) => ({
    ...{ id, note: back(note), maker: back(maker), order: back(order) },
  }));
}

import { ulid } from 'ulid';
import type { PieceDraft } from '@/records/pieces';
import type { ShownRow } from './readRow';
import type { Row } from './rows';

/** A row that is on its way to the server: what it makes, and the row itself should it come back. */
export interface WaitingRow {
  readonly row: Row;
  /** Ids of its pieces: sent again after a lost answer they are the same pieces. */
  readonly ids: readonly string[];
  readonly draft: PieceDraft;
  readonly makerId: string | null;
  /** The letters of its numbers; null for the usual ones. */
  readonly series: string | null;
  /** The order that they are made for; absent in what an earlier release kept. */
  readonly orderId?: string | null;
}

/** What holds for all rows of a sheet. */
export interface SheetOrigin {
  readonly series: string | null;
  readonly orderId: string | null;
}

/** A row whose pieces have their numbers. */
export interface SavedRow {
  readonly rowId: string;
  readonly ownNumber: string;
  readonly pieces: readonly { readonly id: string; readonly label: string }[];
}

/** The rows to be sent, in their order; each keeps the ids that it is sent under. */
export function waitingRows(all: readonly ShownRow[], { series, orderId }: SheetOrigin): WaitingRow[] {
  return all.flatMap(({ row, read: { piece, count, makerId } }) =>
    piece
      ? [
          {
            ...{ row, draft: piece, makerId, series, orderId },
            ids: [row.id, ...Array.from({ length: count - 1 }, () => ulid())],
          },
        ]
      : [],
  );
}

/** Pieces that go in one request. */
const AT_ONCE = 60;

/** The first of what waits that go together, in one series and for one order: all or none of them are saved. */
export function firstChunk(waiting: readonly WaitingRow[]): readonly WaitingRow[] {
  let pieces = 0;
  const first = waiting[0];
  const end = waiting.findIndex(({ ids, series, orderId }, i) =>
    (pieces += ids.length) > AT_ONCE ? i > 0 : series !== first?.series || orderId !== first.orderId,
  );
  return end < 0 ? waiting : waiting.slice(0, end);
}

import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { renameForVersion2 } from './versions';
import type { PhotoSettings } from '@/records/pieces';
import type { NumberBlock } from '@/records/platform';
import type { Opening, OpeningWrite } from '@/records/openings';
import type { FieldError } from '@/auth';
import type { PieceDraft, OtherReading } from '../draft';

/** A photo on its way to the server. */
export interface PhotoWrite {
  readonly kind: 'photo';
  readonly pieceId: string;
  readonly blob: Blob;
  readonly settings: PhotoSettings;
}

/** Why a write was not taken: what was wrong, or what somebody else had said first. */
export interface Rejection {
  readonly errors: readonly FieldError[];
  readonly theirs: OtherReading | null;
}

/** One write that the server does not have yet, in the order it was made. */
export interface OutboxItem {
  readonly seq?: number;
  readonly id: string;
  readonly memberId: string;
  readonly firingId: string;
  readonly pieceId: string | null;
  readonly write: OpeningWrite | PhotoWrite;
  readonly rejection: Rejection | null;
}

interface Schema extends DBSchema {
  /** Taps of one piece that are not finished: key `firing/piece`. */
  draft: { key: string; value: PieceDraft };
  outbox: { key: number; value: OutboxItem; indexes: { firing: string } };
  /** The newest known state of an opening. */
  opening: { key: string; value: { at: number; opening: Opening } };
  block: { key: string; value: NumberBlock & { readonly used: number } };
}

let opened: Promise<IDBPDatabase<Schema>> | null = null;

/** The store of this device. It outlives closed tabs, dead networks and new releases. */
export function deviceStore(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>('jiten-opening', 2, {
    upgrade(base, from, _to, change) {
      if (from < 1) {
        base.createObjectStore('draft');
        base
          .createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true })
          .createIndex('firing', 'firingId');
        base.createObjectStore('opening');
        base.createObjectStore('block', { keyPath: 'id' });
      } else if (from < 2) void renameForVersion2(change);
    },
  });
  return opened;
}

/** All drafts of a firing, by piece. */
export async function draftsOf(firingId: string): Promise<Record<string, PieceDraft>> {
  const base = await deviceStore();
  const range = IDBKeyRange.bound(`${firingId}/`, `${firingId}/\uffff`);
  const [keys, values] = await Promise.all([base.getAllKeys('draft', range), base.getAll('draft', range)]);
  return Object.fromEntries(keys.map((key, i) => [key.slice(firingId.length + 1), values[i]!]));
}

/** Takes the next number of this device's blocks; null when none is left. */
export async function nextNumber(): Promise<{ blockId: string; number: number; label: string } | null> {
  const base = await deviceStore();
  const change = base.transaction('block', 'readwrite');
  for (const block of await change.store.getAll()) {
    const number = block.first + block.used;
    if (number > block.last) continue;
    await change.store.put({ ...block, used: block.used + 1 });
    await change.done;
    return { blockId: block.id, number, label: `${block.prefix}-${String(number).padStart(4, '0')}` };
  }
  return null;
}

/** How many numbers this device still holds. */
export async function numbersLeft(): Promise<number> {
  const blocks = await (await deviceStore()).getAll('block');
  return blocks.reduce((sum, { first, last, used }) => sum + last - first + 1 - used, 0);
}

import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { PhotoSettings } from '@/records/pieces';
import type { NumberBlock } from '@/records/platform';
import type { Opening, OpeningWrite } from '@/records/openings';
import type { Fault } from '@/auth';
import type { Draft, Theirs } from '../draft';

/** A photo on its way to the server. */
export interface PhotoWrite {
  readonly kind: 'photo';
  readonly pieceId: string;
  readonly blob: Blob;
  readonly settings: PhotoSettings;
}

/** Why a write was not taken: what was wrong, or what somebody else had said first. */
export interface Trouble {
  readonly faults: readonly Fault[];
  readonly theirs: Theirs | null;
}

/** One write that the server does not have yet, in the order it was made. */
export interface Waiting {
  readonly seq?: number;
  readonly id: string;
  readonly memberId: string;
  readonly firingId: string;
  readonly pieceId: string | null;
  readonly write: OpeningWrite | PhotoWrite;
  readonly trouble: Trouble | null;
}

interface Schema extends DBSchema {
  /** Taps of one piece that are not finished: key `firing/piece`. */
  draft: { key: string; value: Draft };
  outbox: { key: number; value: Waiting; indexes: { firing: string } };
  /** The newest known state of an opening. */
  opening: { key: string; value: { at: number; opening: Opening } };
  block: { key: string; value: NumberBlock & { readonly used: number } };
}

let held: Promise<IDBPDatabase<Schema>> | null = null;

/** The store of this device. It outlives closed tabs and dead networks. */
export function kept(): Promise<IDBPDatabase<Schema>> {
  held ??= openDB<Schema>('jiten-opening', 1, {
    upgrade(base) {
      base.createObjectStore('draft');
      base
        .createObjectStore('outbox', { keyPath: 'seq', autoIncrement: true })
        .createIndex('firing', 'firingId');
      base.createObjectStore('opening');
      base.createObjectStore('block', { keyPath: 'id' });
    },
  });
  return held;
}

/** All drafts of a firing, by piece. */
export async function draftsOf(firingId: string): Promise<Record<string, Draft>> {
  const base = await kept();
  const range = IDBKeyRange.bound(`${firingId}/`, `${firingId}/\uffff`);
  const [keys, values] = await Promise.all([base.getAllKeys('draft', range), base.getAll('draft', range)]);
  return Object.fromEntries(keys.map((key, i) => [key.slice(firingId.length + 1), values[i]!]));
}

/** Takes the next number of this device's blocks; null when none is left. */
export async function nextNumber(): Promise<{ blockId: string; number: number; label: string } | null> {
  const base = await kept();
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
  const blocks = await (await kept()).getAll('block');
  return blocks.reduce((sum, { first, last, used }) => sum + last - first + 1 - used, 0);
}

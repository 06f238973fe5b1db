import { insertRow } from '@/records/platform/write';
import type { ShelfRepairRow } from '@/records/platform/tables';
import type { Mapping } from '@/records/platform/mapping';
import type { SHELF_FAULTS } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import type { Db } from '@/records/platform/db';

/** A shelf that needs work before it is used again. */
export interface ShelfRepair {
  readonly id: string;
  readonly firingId: string;
  readonly shelf: number;
  readonly what: (typeof SHELF_FAULTS)[number];
  readonly note: string;
  readonly done: boolean;
}

type RepairDraft = Omit<ShelfRepair, 'done'>;

const REPAIR: Mapping<RepairDraft, ShelfRepairRow> = {
  id: 'id',
  firingId: 'firing_id',
  shelf: 'shelf',
  what: 'what',
  note: 'note',
};

/** Notes a shelf to be ground or replaced. */
export async function addRepair(trx: Db, memberId: string, repair: RepairDraft): Promise<void> {
  await insertRow(trx, memberId, 'shelf_repair', REPAIR, repair, { member_id: memberId, at: new Date() });
}

/** Marks a shelf as corrected, or not after all. */
export async function endRepair(trx: Db, memberId: string, id: string, done: boolean): Promise<void> {
  await trx('shelf_repair')
    .where({ id })
    .update({ done_at: done ? new Date() : null });
  await recordChange(trx, memberId, 'shelf_repair', id, { done: !done }, { done });
}

/** The repairs noted at an opening, by shelf from the top. */
export async function repairsOf(base: Db, firingId: string): Promise<ShelfRepair[]> {
  const rows = await base('shelf_repair')
    .where({ firing_id: firingId })
    .orderBy([{ column: 'shelf', order: 'desc' }, { column: 'at' }]);
  return rows.map((row) => ({
    id: row.id,
    firingId: row.firing_id,
    shelf: row.shelf,
    what: row.what,
    note: row.note,
    done: row.done_at !== null,
  }));
}

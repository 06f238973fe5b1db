import type { DefectId, Fate, MOVEMENTS, Place, SURFACES } from '@/core/evidence';
import { noteChange } from './changes';
import { inTransaction, newId, type Db } from './db';
import { defectsOf, refreshEntries } from './entries';
import { Conflict, NotThere } from './faults';

/** What was seen on one zone. Severity: 1 only when looked for, 2 plain, 3 spoils the piece. */
export interface ReadingDraft {
  readonly id: string;
  readonly zoneId: string;
  /** The live reading the person had before them; null for none. */
  readonly follows: string | null;
  readonly stage: 'before' | 'after';
  readonly surface: (typeof SURFACES)[number] | null;
  readonly movement: (typeof MOVEMENTS)[number] | null;
  /** "#rrggbb", or null to use the colour measured from the photo. */
  readonly colour: string | null;
  readonly note: string;
  /** Boiled and frozen to bring crazing out early; null when not done. */
  readonly boilTest: 'passed' | 'failed' | null;
  readonly defects: readonly {
    readonly defect: DefectId;
    readonly severity: 1 | 2 | 3;
    readonly place: Place;
  }[];
}

/** All that was said about one piece at an opening. */
export interface PieceReading {
  readonly pieceId: string;
  readonly firingId: string;
  readonly state: 'read' | 'missing' | 'broken';
  readonly fate: Fate | null;
  readonly readings: readonly ReadingDraft[];
}

/**
 * Records what an opening gave for one piece, as one transaction: its readings, each following the one
 * before, its fate, and the summing-up of every entry it proves. A reading id that is there already is the
 * same submit again and is passed over.
 *
 * @throws Conflict with the other reading when somebody read the same zone in between
 */
export async function recordPiece(
  base: Db,
  memberId: string,
  said: PieceReading,
  at = new Date(),
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const loaded = await trx('firing_piece')
      .where({ firing_id: said.firingId, piece_id: said.pieceId })
      .forUpdate()
      .first();
    if (!loaded) throw new NotThere('This piece in this firing');
    for (const reading of said.readings) await addReading(trx, memberId, said, reading, at);
    await trx('firing_piece')
      .where({ firing_id: said.firingId, piece_id: said.pieceId })
      .update({ state: said.state });
    await trx('piece').where({ id: said.pieceId }).update({ stage: 'read' });
    if (said.fate) await setFate(trx, memberId, said.pieceId, said.firingId, said.fate, at);
    const zones = await trx('zone')
      .where({ piece_id: said.pieceId, firing_id: said.firingId, ended_at: null })
      .distinct('entry_id');
    await refreshEntries(
      trx,
      zones.map((zone) => zone.entry_id),
    );
  });
}

async function addReading(
  trx: Db,
  memberId: string,
  said: PieceReading,
  reading: ReadingDraft,
  at: Date,
): Promise<void> {
  if (await trx('reading').where({ id: reading.id }).first('id')) return;
  const zone = await trx('zone')
    .where({ id: reading.zoneId, piece_id: said.pieceId, ended_at: null })
    .first('id');
  if (!zone) throw new NotThere('This zone');
  const live = await trx('reading')
    .where({ zone_id: reading.zoneId, stage: reading.stage, ended_at: null })
    .first();
  if (live && live.id !== reading.follows) {
    const defects = (await defectsOf(trx, [live.id])).get(live.id) ?? [];
    throw new Conflict({ ...live, defects }, 0);
  }
  if (live) await trx('reading').where({ id: live.id }).update({ ended_at: at });
  await trx('reading').insert({
    id: reading.id,
    zone_id: reading.zoneId,
    firing_id: said.firingId,
    piece_id: said.pieceId,
    stage: reading.stage,
    surface: reading.surface,
    movement: reading.movement,
    colour: reading.colour,
    note: reading.note,
    boil_test: reading.boilTest,
    member_id: memberId,
    at,
  });
  const defects = reading.defects.map((row) => ({ reading_id: reading.id, ...row }));
  if (defects.length) await trx('reading_defect').insert(defects);
}

async function setFate(
  trx: Db,
  memberId: string,
  pieceId: string,
  firingId: string | null,
  fate: Fate,
  at: Date,
): Promise<void> {
  const before = await trx('piece').where({ id: pieceId }).first('fate');
  if (before.fate === fate) return;
  await trx('fate').insert({
    id: newId(),
    piece_id: pieceId,
    firing_id: firingId,
    fate,
    member_id: memberId,
    at,
  });
  await trx('piece').where({ id: pieceId }).update({ fate });
  await noteChange(trx, memberId, 'fate', pieceId, before, { fate });
}

export interface StoredReading {
  readonly id: string;
  readonly zoneId: string;
  readonly stage: 'before' | 'after';
  readonly surface: string | null;
  readonly movement: string | null;
  readonly colour: string | null;
  readonly note: string;
  readonly boilTest: ReadingDraft['boilTest'];
  readonly at: Date;
  readonly by: string;
  readonly ended: boolean;
  readonly defects: readonly { readonly defect: string; readonly severity: number; readonly place: string }[];
}

/** The readings of pieces, newest first; corrected ones are marked ended and stay to be seen. */
export async function readingsOf(base: Db, pieceIds: readonly string[]): Promise<StoredReading[]> {
  const rows = await base('reading as r')
    .join('member as m', 'm.id', 'r.member_id')
    .whereIn('r.piece_id', pieceIds)
    .orderBy('r.at', 'desc')
    .select('r.*', 'm.name as by');
  const defects = await defectsOf(
    base,
    rows.map((row) => row.id),
  );
  return rows.map((row) => ({
    id: row.id,
    zoneId: row.zone_id,
    stage: row.stage,
    surface: row.surface,
    movement: row.movement,
    colour: row.colour,
    note: row.note,
    boilTest: row.boil_test,
    at: row.at,
    by: row.by,
    ended: row.ended_at !== null,
    defects: defects.get(row.id) ?? [],
  }));
}

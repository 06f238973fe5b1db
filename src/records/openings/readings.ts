import { rowsOf } from '@/records/platform/joins';
import type { AgainOutcome, DefectId, Fate, MOVEMENTS, Place, SURFACES } from '@/core/vocabulary';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { defectsOf, refreshEntries } from '@/records/dictionary/entries';
import { keepExpectation, takeExpectationBack } from '@/records/pieces/expectations';
import { Conflict, NotFound, found } from '@/records/platform/errors';
import { setFate, takeFateBack } from './fates';

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
  /** Whether the glaze breaks over the edges of a texture; null where there is none, or nobody said. */
  readonly breaks?: boolean | null;
  /** Boiled and frozen to bring crazing out early; null when not done. */
  readonly boilTest: 'passed' | 'failed' | null;
  /** Days between the opening and this look, when it was seen later; absent or null at the opening. */
  readonly ageDays?: number | null;
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
  /** The fate the person had before them; absent when it was not looked at. */
  readonly fateBefore?: Fate | null;
  /** Why it goes into a kiln again, beside the defects that were read; absent when nothing was said. */
  readonly reasons?: readonly string[];
  /** What the firing did about each reason for which it came back: a defect by its id, or words. */
  readonly outcomes?: Readonly<Record<string, AgainOutcome>>;
  readonly readings: readonly ReadingDraft[];
}

/**
 * Records what an opening gave for one piece, as one transaction: its readings, each following the one
 * before, its fate, and the summing-up of every entry it proves. A reading id that is there already is the
 * same submit again and is passed over.
 *
 * @throws Conflict with the other readings, or fate, when somebody read the piece in between
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
    if (!loaded) throw new NotFound('This piece in this firing');
    await refuseUnseen(trx, said);
    for (const reading of said.readings) await addReading(trx, memberId, said, reading, at);
    await trx('firing_piece')
      .where({ firing_id: said.firingId, piece_id: said.pieceId })
      .update({ state: said.state });
    // A piece that went into another kiln since stays there.
    await trx('piece').where({ id: said.pieceId, stage: 'fired' }).update({ stage: 'read' });
    if (said.fate) await setFate(trx, memberId, { reasons: [], ...said, fate: said.fate }, at);
    await saveOutcomes(trx, memberId, said, at);
    await keepExpectation(trx, said.pieceId, said.firingId);
    const { firingId, state } = said;
    await recordChange(trx, memberId, 'reading', said.pieceId, null, {
      firingId,
      state,
      readings: said.readings.map(({ id }) => id),
    });
    await refreshPiece(trx, said.pieceId, said.firingId);
  });
}

/** What is taken back: readings that were written by mistake, and how the piece stood before them. */
export interface UndoneReading {
  readonly pieceId: string;
  readonly firingId: string;
  readonly readingIds: readonly string[];
  readonly state: 'loaded' | 'read' | 'missing' | 'broken';
  readonly fate: Fate | null;
  /** The write that brought them: on a slow network it may come after this. Absent from devices of earlier releases. */
  readonly writeId?: string | undefined;
}

/**
 * Takes back what was just recorded for a piece: its readings are ended, those they followed live again,
 * state and fate are as before. A reading that somebody has followed since stays.
 */
export async function undoReading(
  base: Db,
  memberId: string,
  taken: UndoneReading,
  at = new Date(),
): Promise<void> {
  const { pieceId, firingId, readingIds, state, fate } = taken;
  await inTransaction(base, async (trx) => {
    const where = { firing_id: firingId, piece_id: pieceId };
    if (!(await trx('firing_piece').where(where).forUpdate().first()))
      throw new NotFound('This piece in this firing');
    const live = await trx('reading').whereIn('id', readingIds).where(where).whereNull('ended_at');
    for (const reading of live) {
      await trx('reading').where({ id: reading.id }).update({ ended_at: at });
      if (reading.follows) await trx('reading').where({ id: reading.follows }).update({ ended_at: null });
    }
    await trx('firing_piece').where(where).update({ state });
    await takeFateBack(trx, pieceId, firingId, fate);
    if (state === 'loaded') {
      await trx('again_outcome').where(where).delete();
      await takeExpectationBack(trx, pieceId, firingId);
    }
    await trx('piece')
      .where({ id: pieceId })
      .update({ fate, ...(state === 'loaded' && { stage: 'fired' }) });
    await recordChange(trx, memberId, 'taken back', pieceId, { readings: readingIds }, { state, fate });
    await refreshPiece(trx, pieceId, firingId);
  });
}

/** Sums up every entry that the piece proves in a firing. */
async function refreshPiece(trx: Db, pieceId: string, firingId: string): Promise<void> {
  const zones: { entry_id: string | null }[] = await trx('zone')
    .where({ piece_id: pieceId, firing_id: firingId, ended_at: null })
    .distinct('entry_id');
  await refreshEntries(
    trx,
    zones.flatMap((zone) => zone.entry_id ?? []),
  );
}

/** Refuses to lay readings or a fate over those of somebody else that the person had not before them. */
async function refuseUnseen(trx: Db, said: PieceReading): Promise<void> {
  const ids = said.readings.map((reading) => reading.id);
  const live = await trx('reading')
    .whereIn(
      'zone_id',
      said.readings.map((reading) => reading.zoneId),
    )
    .whereNull('ended_at')
    .whereNotIn('id', ids);
  const unseen = live.filter((row) =>
    said.readings.some(
      (reading) =>
        reading.zoneId === row.zone_id && reading.stage === row.stage && reading.follows !== row.id,
    ),
  );
  const sent = await trx('reading').whereIn('id', ids).first('id');
  const { fate } = found(await trx('piece').where({ id: said.pieceId }).first('fate'), 'This piece');
  const otherFate =
    said.fate !== null && said.fateBefore !== undefined && fate !== said.fateBefore && fate !== said.fate;
  if (sent || (unseen.length === 0 && !otherFate)) return;
  const defects = await defectsOf(
    trx,
    unseen.map((row) => row.id),
  );
  const readings = unseen.map(({ id, zone_id, surface, movement, note }) => ({
    id,
    zoneId: zone_id,
    surface,
    movement,
    note,
    defects: defects.get(id) ?? [],
  }));
  throw new Conflict({ readings, ...(otherFate && { fate }) }, 0);
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
  if (!zone) throw new NotFound('This zone');
  const live = await trx('reading')
    .where({ zone_id: reading.zoneId, stage: reading.stage, ended_at: null })
    .first();
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
    breaks: reading.breaks ?? null,
    boil_test: reading.boilTest,
    follows: live?.id ?? null,
    age_days: reading.ageDays ?? null,
    member_id: memberId,
    at,
  });
  const defects = reading.defects.map((row) => ({ reading_id: reading.id, ...row }));
  if (defects.length) await trx('reading_defect').insert(defects);
}

/** Keeps what a firing did about the reasons for it; what is said again takes the place of what was. */
async function saveOutcomes(
  trx: Db,
  memberId: string,
  { pieceId, firingId, outcomes }: PieceReading,
  at: Date,
): Promise<void> {
  if (!outcomes) return;
  const of = { piece_id: pieceId, firing_id: firingId };
  await trx('again_outcome').where(of).delete();
  const rows = Object.entries(outcomes).map(([reason, outcome]) => ({
    ...{ ...of, reason, outcome, member_id: memberId, at },
  }));
  if (rows.length) await trx('again_outcome').insert(rows);
}

export interface StoredReading {
  readonly id: string;
  readonly pieceId: string;
  readonly firingId: string;
  readonly zoneId: string;
  readonly stage: 'before' | 'after';
  readonly surface: string | null;
  readonly movement: string | null;
  readonly colour: string | null;
  readonly note: string;
  readonly breaks: boolean | null;
  readonly boilTest: ReadingDraft['boilTest'];
  readonly ageDays: number | null;
  readonly at: Date;
  readonly by: string;
  readonly ended: boolean;
  readonly defects: readonly { readonly defect: string; readonly severity: number; readonly place: string }[];
}

/** The readings of pieces, newest first; corrected ones are marked ended and stay to be seen. */
export async function readingsOf(base: Db, pieceIds: readonly string[]): Promise<StoredReading[]> {
  const rows = await rowsOf<{ r: 'reading'; m: 'member' }>()(
    base('reading as r')
      .join('member as m', 'm.id', 'r.member_id')
      .whereIn('r.piece_id', pieceIds)
      .orderBy('r.at', 'desc'),
    'r.*',
    'm.name as by',
  );
  const defects = await defectsOf(
    base,
    rows.map((row) => row.id),
  );
  return rows.map((row) => ({
    id: row.id,
    pieceId: row.piece_id,
    firingId: row.firing_id,
    zoneId: row.zone_id,
    stage: row.stage,
    surface: row.surface,
    movement: row.movement,
    colour: row.colour,
    note: row.note,
    breaks: row.breaks === null ? null : Boolean(row.breaks),
    boilTest: row.boil_test,
    ageDays: row.age_days,
    at: row.at,
    by: row.by,
    ended: row.ended_at !== null,
    defects: defects.get(row.id) ?? [],
  }));
}

import { rowsOf } from '@/records/platform/joins';
import { insertRow } from '@/records/platform/write';
import type { BatchMeasureRow } from '@/records/platform/tables';
import { studioTime } from '@/core/time';
import { dayText, type Mapping } from '@/records/platform/mapping';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { NotFound } from '@/records/platform/errors';
import { versionsInUse } from './glazes';

/** One mixing of a version of a glaze. */
export interface BatchDraft {
  readonly id: string;
  readonly glazeId: string;
  /** The version that was mixed; null for the one in use. */
  readonly versionId: string | null;
  /** What is written on the bucket. */
  readonly code: string;
  /** Day it was mixed, "YYYY-MM-DD". */
  readonly mixedOn: string;
  /** Grams a millilitre; null when not measured. */
  readonly specificGravity: number | null;
}

/** Notes a new batch of a glaze; pieces logged from now on are offered it first. The same id twice is one batch. */
export async function addBatch(base: Db, memberId: string, draft: BatchDraft): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('batch').where({ id: draft.id }).first('id')) return;
    const version =
      draft.versionId === null
        ? (await versionsInUse(trx)).get(draft.glazeId)
        : (await trx('glaze_version').where({ id: draft.versionId, glaze_id: draft.glazeId }).first('id'))
            ?.id;
    if (!version) throw new NotFound('This glaze');
    const row = {
      glaze_version_id: version,
      code: draft.code,
      mixed_on: draft.mixedOn,
      specific_gravity: draft.specificGravity,
      note: '',
    };
    await trx('batch').insert({ id: draft.id, ...row });
    await recordChange(trx, memberId, 'batch', draft.id, null, row);
  });
}

/** A bucket's slop as it was measured, and what was done about it. */
export interface MeasureDraft {
  readonly id: string;
  readonly batchId: string;
  /** g/ml. */
  readonly specificGravity: number;
  /** In the bucket then; null when not looked at. */
  readonly ml: number | null;
  /** "added 350 ml water", or empty. */
  readonly done: string;
}

const MEASURE: Mapping<MeasureDraft & { readonly at: Date }, BatchMeasureRow> = {
  id: 'id',
  batchId: 'batch_id',
  specificGravity: 'specific_gravity',
  ml: 'ml',
  done: 'done',
  at: 'at',
};

/** Notes a measurement of a batch. The same id twice is one measurement. @throws NotFound */
export async function addMeasure(
  base: Db,
  memberId: string,
  draft: MeasureDraft,
  at = new Date(),
): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (!(await trx('batch').where({ id: draft.batchId }).forUpdate().first('id')))
      throw new NotFound('This batch');
    if (await trx('batch_measure').where({ id: draft.id }).first('id')) return;
    await insertRow(trx, memberId, 'batch_measure', MEASURE, { ...draft, at }, { member_id: memberId });
  });
}

/** One batch with its measurements, newest first; the value noted when it was mixed is the oldest. */
export interface BatchHistory {
  readonly id: string;
  readonly code: string;
  readonly versionNumber: number;
  /** "YYYY-MM-DD" */
  readonly mixedOn: string;
  readonly measures: readonly {
    readonly id: string;
    readonly at: Date;
    readonly specificGravity: number;
    readonly ml: number | null;
    readonly done: string;
    readonly by: string | null;
  }[];
}

/** The batches of a glaze, newest first. */
export async function batchesOf(base: Db, glazeId: string): Promise<BatchHistory[]> {
  const batches = await rowsOf<{ b: 'batch'; v: 'glaze_version' }>()(
    base('batch as b')
      .join('glaze_version as v', 'v.id', 'b.glaze_version_id')
      .where('v.glaze_id', glazeId)
      .whereNull('b.ended_at')
      .orderBy([{ column: 'b.mixed_on', order: 'desc' }, 'b.id']),
    'b.id',
    'b.code',
    'b.mixed_on',
    'b.specific_gravity',
    'v.number',
  );
  const measures = await rowsOf<{ m: 'batch_measure'; w: 'member' }>()(
    base('batch_measure as m')
      .join('member as w', 'w.id', 'm.member_id')
      .whereIn(
        'm.batch_id',
        batches.map((batch) => batch.id),
      )
      .orderBy('m.at', 'desc'),
    'm.*',
    'w.name as by',
  );
  return batches.map((batch) => {
    const own = measures
      .filter((row) => row.batch_id === batch.id)
      .map(({ id, at, specific_gravity, ml, done, by }) => ({
        id,
        at,
        specificGravity: specific_gravity,
        ml,
        done,
        by,
      }));
    const first = batch.specific_gravity;
    const mixedOn = dayText(batch.mixed_on);
    const mixed =
      first === null
        ? []
        : [
            {
              id: batch.id,
              at: studioTime(mixedOn).toJSDate(),
              specificGravity: first,
              ml: null,
              done: 'mixed',
              by: null,
            },
          ];
    return {
      id: batch.id,
      code: batch.code,
      versionNumber: batch.number,
      mixedOn,
      measures: [...own, ...mixed],
    };
  });
}

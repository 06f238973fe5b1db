import type { Point } from '@/core/photo';
import { inTransaction, type Db } from '@/records/platform/db';
import { NotFound } from '@/records/platform/errors';
import { json, readRow, type Mapping } from '@/records/platform/mapping';
import type { ZoneCountRow } from '@/records/platform/tables';
import { insertRow } from '@/records/platform/write';

/** Holes or cracks counted on the zone of a photo, looked over by a person. */
export interface ZoneCount {
  readonly id: string;
  readonly zoneId: string;
  readonly photoId: string;
  readonly kind: 'pits' | 'cracks';
  /** Pits by cm², or mm of crack by cm². */
  readonly perCm2: number;
  readonly areaCm2: number;
  /** Where each was, fractions of the upright piece. */
  readonly marks: readonly Point[];
}

const COUNT: Mapping<ZoneCount, ZoneCountRow> = {
  id: 'id',
  zoneId: 'zone_id',
  photoId: 'photo_id',
  kind: 'kind',
  perCm2: 'per_cm2',
  areaCm2: 'area_cm2',
  marks: json<readonly Point[]>()('marks'),
};

/** Saves a count in place of the one before it on the same zone. */
export async function saveCount(base: Db, memberId: string, count: ZoneCount): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('zone_count').where({ id: count.id }).first('id')) return;
    const zone = await trx('zone').where({ id: count.zoneId }).forUpdate().first('id');
    const photo = await trx('photo').where({ id: count.photoId }).first('id');
    if (!zone || !photo) throw new NotFound(zone ? 'This photo' : 'This zone');
    await trx('zone_count')
      .where({ zone_id: count.zoneId, kind: count.kind, ended_at: null })
      .update({ ended_at: new Date() });
    await insertRow(trx, memberId, 'zone_count', COUNT, count, { member_id: memberId, at: new Date() });
  });
}

/** The live counts of zones. */
export async function countsOf(base: Db, zoneIds: readonly string[]): Promise<ZoneCount[]> {
  const rows = await base('zone_count').whereIn('zone_id', zoneIds).whereNull('ended_at').select('*');
  return rows.map((row) => readRow(COUNT, row));
}

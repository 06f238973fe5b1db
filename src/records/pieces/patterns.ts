import type { OwnPattern, PatternCoat, WrittenArea } from '@/core/coats';
import { inTransaction, type Db } from '@/records/platform/db';
import { json, readRow, type Mapping } from '@/records/platform/mapping';
import type { GlazingPatternRow } from '@/records/platform/tables';
import { insertRow, refuseTakenName, setEnded } from '@/records/platform/write';

/** A way of glazing that the studio named. */
export interface StudioPattern extends OwnPattern {
  readonly id: string;
}

const PATTERN: Mapping<StudioPattern, GlazingPatternRow> = {
  id: 'id',
  name: 'name',
  areas: json<readonly WrittenArea[]>()('areas'),
  coats: json<readonly PatternCoat[]>()('coats'),
};

/** The studio's own ways of glazing in use, by name. */
export async function listPatterns(base: Db): Promise<StudioPattern[]> {
  const rows = await base('glazing_pattern').whereNull('ended_at').orderBy('name').select('*');
  return rows.map((row) => readRow(PATTERN, row));
}

/** Adds a way of glazing; an id that is there already is the same submit again. @throws Refusal of a name that is taken */
export async function savePattern(base: Db, memberId: string, pattern: StudioPattern): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (await trx('glazing_pattern').where({ id: pattern.id }).first('id')) return;
    await refuseTakenName(trx, 'glazing_pattern', pattern);
    await insertRow(trx, memberId, 'glazing_pattern', PATTERN, pattern);
  });
}

/** Takes a way of glazing out of the list, or puts it back. @throws NotFound */
export async function setPatternEnded(
  base: Db,
  memberId: string,
  id: string,
  isEnded: boolean,
): Promise<void> {
  await inTransaction(base, (trx) => setEnded(trx, memberId, 'glazing_pattern', id, isEnded));
}

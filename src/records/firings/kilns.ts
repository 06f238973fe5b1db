import { rowsOf } from '@/records/platform/joins';
import type { KilnRow, KilnPartRow } from '@/records/platform/tables';
import { type Mapping, flag, readRow, day } from '@/records/platform/mapping';
import type { KilnPart, KilnHeat } from '@/core/vocabulary';
import { inTransaction, type Db } from '@/records/platform/db';
import { NotFound } from '@/records/platform/errors';
import { firingById, type Firing } from './firings';
import { updateRow, refuseTakenName, insertRow, setEnded } from '@/records/platform/write';

export interface KilnDraft {
  readonly id: string;
  readonly name: string;
  readonly heat: KilnHeat;
  readonly litres: number;
  readonly shelves: number;
  /** Address of its controller, "http://host:port/path"; empty for a kiln that is read by hand. */
  readonly controller: string;
  /** °C below which the studio opens it. */
  readonly openBelow: number;
  /** °C it must never go over. */
  readonly mostCelsius: number;
  readonly shelfWidthMm: number;
  readonly shelfDepthMm: number;
  readonly roundShelves: boolean;
}

export interface Kiln extends KilnDraft {
  readonly version: number;
}

const KILN: Mapping<Kiln, KilnRow> = {
  id: 'id',
  name: 'name',
  heat: 'heat',
  litres: 'litres',
  shelves: 'shelves',
  controller: 'controller',
  openBelow: 'open_below',
  mostCelsius: 'most_celsius',
  shelfWidthMm: 'shelf_width_mm',
  shelfDepthMm: 'shelf_depth_mm',
  roundShelves: flag('round_shelves'),
  version: 'version',
};

/** All kilns in the studio's own order. */
export async function listKilns(base: Db): Promise<Kiln[]> {
  const rows = await base('kiln').orderBy(['sort', 'name']).select('*');
  return rows.map((row) => readRow(KILN, row));
}

/** One kiln. @throws NotFound */
export async function kilnById(base: Db, id: string): Promise<Kiln> {
  const row = await base('kiln').where({ id }).first();
  if (!row) throw new NotFound('This kiln');
  return readRow(KILN, row);
}

/** Adds a kiln (version null; the same id twice is the same kiln) or changes one. */
export async function saveKiln(
  base: Db,
  memberId: string,
  draft: KilnDraft,
  version: number | null,
): Promise<void> {
  await inTransaction(base, async (trx) => {
    const rows: { id: string; sort: number }[] = await trx('kiln').forUpdate().select('id', 'sort');
    if (version === null && rows.some(({ id }) => id === draft.id)) return;
    await refuseTakenName(trx, 'kiln', draft);
    if (version !== null) return updateRow(trx, memberId, 'kiln', KILN, { ...draft, version });
    const sort = Math.max(0, ...rows.map((one) => one.sort)) + 1;
    await insertRow(trx, memberId, 'kiln', KILN, draft, { sort });
  });
}

/** A line in the history of a kiln. */
export interface PartDraft {
  readonly id: string;
  readonly kilnId: string;
  readonly part: KilnPart;
  /** "YYYY-MM-DD". */
  readonly changedOn: string;
  readonly note: string;
}

const PART: Mapping<PartDraft, KilnPartRow> = {
  id: 'id',
  kilnId: 'kiln_id',
  part: 'part',
  changedOn: day('changed_on'),
  note: 'note',
};

export interface StoredPart extends PartDraft {
  readonly by: string;
  /** Firings of the kiln since. */
  readonly firings: number;
}

/** What was changed in a kiln, newest first, with the firings it has done since. */
export async function partsOf(base: Db, kilnId: string): Promise<StoredPart[]> {
  const query = base('kiln_part as p')
    .join('member as m', 'm.id', 'p.member_id')
    .where({ 'p.kiln_id': kilnId, 'p.ended_at': null })
    .orderBy([
      { column: 'p.changed_on', order: 'desc' },
      { column: 'p.id', order: 'desc' },
    ])
    .select(
      base.raw("date_format(p.changed_on, '%Y-%m-%d') as day"),
      base('firing as f')
        .count('*')
        .whereRaw("f.kiln_id = p.kiln_id and f.planned_on >= p.changed_on and f.state <> 'loading'")
        .as('firings'),
    );
  const rows = await rowsOf<
    { p: 'kiln_part'; m: 'member' },
    { readonly day: string; readonly firings: number | string }
  >()(query, 'p.id', 'p.part', 'p.note', 'm.name as by');
  return rows.map(({ id, part, note, by, day, firings }) => ({
    id,
    kilnId,
    part,
    note,
    by,
    changedOn: day,
    firings: Number(firings),
  }));
}

/** Notes that a part was changed; the same id twice is the same line. */
export async function addPart(base: Db, memberId: string, draft: PartDraft): Promise<void> {
  await inTransaction(base, async (trx) => {
    if (!(await trx('kiln').where({ id: draft.kilnId }).forUpdate().first('id')))
      throw new NotFound('This kiln');
    if (await trx('kiln_part').where({ id: draft.id }).first('id')) return;
    await insertRow(trx, memberId, 'kiln_part', PART, draft, { member_id: memberId });
  });
}

/** Takes a line out of a kiln's history, or puts it back; it stays in the records. */
export async function endPart(base: Db, memberId: string, id: string, ended: boolean): Promise<void> {
  await inTransaction(base, (trx) => setEnded(trx, memberId, 'kiln_part', id, ended));
}

/** A firing with the kiln it is in. @throws NotFound */
export async function firingWithKiln(base: Db, firingId: string): Promise<{ firing: Firing; kiln: Kiln }> {
  const firing = await firingById(base, firingId);
  return { firing, kiln: await kilnById(base, firing.kilnId) };
}

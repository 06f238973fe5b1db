import type { KilnPart } from '@/core/firing';
import { recordChange } from '@/records/platform/changes';
import { inTransaction, type Db } from '@/records/platform/db';
import { NotFound } from '@/records/platform/errors';
import { firingById, type Firing } from './firings';
import { updateRow, refuseTakenName } from '@/records/materials/glazes';

export interface KilnDraft {
  readonly id: string;
  readonly name: string;
  readonly heat: 'electric' | 'gas' | 'wood';
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

function kilnOf(row: Record<string, unknown>): Kiln {
  return {
    id: row.id as string,
    name: row.name as string,
    heat: row.heat as Kiln['heat'],
    litres: row.litres as number,
    shelves: row.shelves as number,
    controller: row.controller as string,
    openBelow: row.open_below as number,
    mostCelsius: row.most_celsius as number,
    shelfWidthMm: row.shelf_width_mm as number,
    shelfDepthMm: row.shelf_depth_mm as number,
    roundShelves: Boolean(row.round_shelves),
    version: row.version as number,
  };
}

/** All kilns in the studio's own order. */
export async function listKilns(base: Db): Promise<Kiln[]> {
  return (await base('kiln').orderBy(['sort', 'name'])).map(kilnOf);
}

/** One kiln. @throws NotThere */
export async function kilnById(base: Db, id: string): Promise<Kiln> {
  const row = await base('kiln').where({ id }).first();
  if (!row) throw new NotFound('This kiln');
  return kilnOf(row);
}

/** Adds a kiln (version null; the same id twice is the same kiln) or changes one. */
export async function saveKiln(
  base: Db,
  memberId: string,
  draft: KilnDraft,
  version: number | null,
): Promise<void> {
  const row = {
    name: draft.name,
    heat: draft.heat,
    litres: draft.litres,
    shelves: draft.shelves,
    controller: draft.controller,
    open_below: draft.openBelow,
    most_celsius: draft.mostCelsius,
    shelf_width_mm: draft.shelfWidthMm,
    shelf_depth_mm: draft.shelfDepthMm,
    round_shelves: draft.roundShelves,
  };
  await inTransaction(base, async (trx) => {
    const rows: { id: string; sort: number }[] = await trx('kiln').forUpdate().select('id', 'sort');
    if (version === null && rows.some(({ id }) => id === draft.id)) return;
    await refuseTakenName(trx, 'kiln', draft);
    if (version !== null) return updateRow(trx, memberId, 'kiln', draft.id, version, row);
    const sort = Math.max(0, ...rows.map((one) => one.sort)) + 1;
    await trx('kiln').insert({ id: draft.id, ...row, sort });
    await recordChange(trx, memberId, 'kiln', draft.id, null, row);
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

export interface StoredPart extends PartDraft {
  readonly by: string;
  /** Firings of the kiln since. */
  readonly firings: number;
}

/** What was changed in a kiln, newest first, with the firings it has done since. */
export async function partsOf(base: Db, kilnId: string): Promise<StoredPart[]> {
  const rows = await base('kiln_part as p')
    .join('member as m', 'm.id', 'p.member_id')
    .where({ 'p.kiln_id': kilnId, 'p.ended_at': null })
    .orderBy([
      { column: 'p.changed_on', order: 'desc' },
      { column: 'p.id', order: 'desc' },
    ])
    .select(
      'p.id',
      'p.part',
      'p.note',
      'm.name as by',
      base.raw("date_format(p.changed_on, '%Y-%m-%d') as day"),
      base('firing as f')
        .count('*')
        .whereRaw("f.kiln_id = p.kiln_id and f.planned_on >= p.changed_on and f.state <> 'loading'")
        .as('firings'),
    );
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
    const row = {
      kiln_id: draft.kilnId,
      part: draft.part,
      changed_on: draft.changedOn,
      note: draft.note,
      member_id: memberId,
    };
    await trx('kiln_part').insert({ id: draft.id, ...row });
    await recordChange(trx, memberId, 'kiln_part', draft.id, null, row);
  });
}

/** Takes a line out of a kiln's history, or puts it back; it stays in the records. */
export async function endPart(base: Db, memberId: string, id: string, ended: boolean): Promise<void> {
  await inTransaction(base, async (trx) => {
    await trx('kiln_part')
      .where({ id })
      .update({ ended_at: ended ? new Date() : null });
    await recordChange(trx, memberId, 'kiln_part', id, { ended: !ended }, { ended });
  });
}

/** A firing with the kiln it is in. @throws NotThere */
export async function firingWithKiln(base: Db, firingId: string): Promise<{ firing: Firing; kiln: Kiln }> {
  const firing = await firingById(base, firingId);
  return { firing, kiln: await kilnById(base, firing.kilnId) };
}

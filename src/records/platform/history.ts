import type { Tables } from 'knex/types/tables';
import { recordChange, type Change } from './changes';
import { type Db, fromJson, inTransaction } from './db';
import { found, Refusal } from './errors';
import { type Maybe, rowsOf } from './joins';
import { refuseTakenName } from './write';

/** A change with what was changed. */
export interface StudioChange extends Change {
  /** The kind of record: "glaze", "firing", "coats". */
  readonly what: string;
  readonly rowId: string;
  readonly memberId: string | null;
  /** What the record is called now; null where it has no name. */
  readonly name: string | null;
  /** Whether it can be taken back: nothing was written over it since. */
  readonly isUndoable: boolean;
}

/** What is looked for among the changes; nothing for all. */
export interface ChangeFilter {
  readonly what?: string | undefined;
  readonly rowId?: string | undefined;
  readonly memberId?: string | undefined;
  /** Only changes before this one. */
  readonly before?: string | undefined;
  /** Whose changes of people are among them, beside those of everything else; those of all when left out. */
  readonly peopleBy?: string | undefined;
}

type Columns = Readonly<Record<string, unknown>>;

/** Records of people and of how they get in: for technicians, and for who changed them. */
const OF_PEOPLE = [
  ...['member', 'member_group', 'group_member', 'invitation', 'password_link', 'studio_device', 'setting'],
];

/** Records whose columns alone say all, so that an earlier state can be put back. */
const PUT_BACK = ['body', 'glaze', 'kiln', 'programme', 'member_group'] as const;
type PutBack = (typeof PUT_BACK)[number];
const isPutBack = (what: string): what is PutBack => (PUT_BACK as readonly string[]).includes(what);

const asColumns = (value: unknown): Columns | null =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Columns) : null;

/** Whether a row still has the values that a change gave it: dates and flags as JSON has them. */
function stands(row: Columns | undefined, after: Columns): boolean {
  const said = (value: unknown) => JSON.stringify(value);
  const same = (now: unknown, then: unknown) =>
    said(now) === said(then) ||
    (typeof then === 'boolean' && Number(then) === now) ||
    (now instanceof Date && typeof then === 'string' && said(now).slice(1, 11) === then.slice(0, 10)) ||
    (typeof now === 'string' && typeof then === 'object' && now === said(then));
  return row !== undefined && Object.entries(after).every(([key, value]) => same(row[key], value));
}

/** The rows behind some changes, by kind and id. */
async function rowsBehind(base: Db, changes: readonly { what: string; row_id: string }[]) {
  const ids = (what: string) => changes.filter((one) => one.what === what).map((one) => one.row_id);
  const all = await Promise.all(
    PUT_BACK.map(async (what) => {
      const rows: Columns[] = ids(what).length
        ? await base<Record<string, unknown>>(what).whereIn('id', ids(what))
        : [];
      return rows.map((row) => [`${what} ${row.id as string}`, row] as const);
    }),
  );
  return new Map<string, Columns>(all.flat());
}

/** Kinds of records that have a name, with the column it is in. */
const NAMES: Readonly<Record<string, readonly [table: keyof Tables, column: string]>> = {
  body: ['body', 'name'],
  glaze: ['glaze', 'name'],
  kiln: ['kiln', 'name'],
  programme: ['programme', 'name'],
  member: ['member', 'name'],
  member_group: ['member_group', 'name'],
  group_member: ['member_group', 'name'],
  round: ['round', 'name'],
  named_wall: ['named_wall', 'name'],
  piece: ['piece', 'label'],
  coats: ['piece', 'label'],
  reading: ['piece', 'label'],
  fate: ['piece', 'label'],
  'taken back': ['piece', 'label'],
};

async function namesOf(base: Db, changes: readonly { what: string; row_id: string }[]) {
  const kinds = [...new Set(changes.map(({ what }) => what))].filter((what) => what in NAMES);
  const all = await Promise.all(
    kinds.map(async (what) => {
      const [table, column] = NAMES[what]!;
      const ids = changes.filter((one) => one.what === what).map((one) => one.row_id);
      const rows = await base<Record<string, string>>(table).whereIn('id', ids).select('id', column);
      return rows.map((row) => [`${what} ${row.id}`, row[column]!] as const);
    }),
  );
  return new Map<string, string>(all.flat());
}

/** The latest changes in the studio, newest first. */
export async function latestChanges(base: Db, filter: ChangeFilter, limit: number): Promise<StudioChange[]> {
  const { what, rowId, memberId, before, peopleBy } = filter;
  const query = base('change as c')
    .leftJoin('member as m', 'm.id', 'c.member_id')
    .whereNot('c.what', 'zone rules')
    .orderBy('c.id', 'desc')
    .limit(limit);
  if (what) void query.where('c.what', what);
  if (rowId) void query.where('c.row_id', rowId);
  if (memberId) void query.where('c.member_id', memberId);
  if (before) void query.where('c.id', '<', before);
  if (peopleBy)
    void query.where((one) => void one.whereNotIn('c.what', OF_PEOPLE).orWhere('c.member_id', peopleBy));
  const rows = await rowsOf<{ c: 'change'; m: Maybe<'member'> }>()(
    query,
    ...([
      'c.id',
      'c.at',
      'c.what',
      'c.row_id',
      'c.member_id',
      'c.before_json',
      'c.after_json',
      'm.name',
    ] as const),
  );
  const [names, standing] = await Promise.all([namesOf(base, rows), rowsBehind(base, rows)]);
  return rows.map((row) => {
    const key = `${row.what} ${row.row_id}`;
    const [old, after] = [row.before_json, row.after_json].map((json) => fromJson<unknown>(json));
    const [oldColumns, columns] = [asColumns(old), asColumns(after)];
    return {
      ...{ id: row.id, at: row.at, by: row.name, what: row.what, rowId: row.row_id, memberId: row.member_id },
      before: old,
      after,
      name: names.get(key) ?? null,
      isUndoable:
        isPutBack(row.what) &&
        oldColumns !== null &&
        columns !== null &&
        !('ended' in columns) &&
        !('in_use_id' in columns) &&
        stands(standing.get(key), columns),
    };
  });
}

/**
 * Puts back what a record was before a change, as a change of its own.
 *
 * @returns the change that was taken back
 * @throws NotFound; Refusal when it was written over since, or its old name is taken
 */
export async function undoChange(base: Db, memberId: string, id: string): Promise<void> {
  await inTransaction(base, async (trx) => {
    const change = found(await trx('change').where({ id }).first(), 'This change');
    const [before, after] = [change.before_json, change.after_json].map((json) => asColumns(fromJson(json)));
    if (!isPutBack(change.what) || !before || !after)
      throw new Refusal('', 'This cannot be taken back here.');
    const rows = trx<Record<string, unknown>>(change.what).where({ id: change.row_id });
    const row = found(await rows.clone().forUpdate().first(), 'What was changed');
    if (!stands(row, after)) throw new Refusal('', 'It was changed again since. Change it on its own page.');
    if (typeof before.name === 'string' && change.what !== 'member_group')
      await refuseTakenName(trx, change.what, { id: change.row_id, name: before.name });
    await rows.clone().update({ ...asStored(before), version: (row.version as number) + 1 });
    await recordChange(trx, memberId, change.what, change.row_id, after, before);
  });
}

/** Values as columns take them: dates as days or moments, lists as JSON. */
function asStored(columns: Columns): Record<string, unknown> {
  const stored = (value: unknown) => {
    if (typeof value === 'string' && /^\d{4}-\d\d-\d\dT.*Z$/.test(value)) return new Date(value);
    return typeof value === 'object' && value !== null ? JSON.stringify(value) : value;
  };
  return Object.fromEntries(Object.entries(columns).map(([key, value]) => [key, stored(value)]));
}

/** Who made a change. @throws NotFound */
export async function changedBy(base: Db, id: string): Promise<string | null> {
  return found(await base('change').where({ id }).first('member_id'), 'This change').member_id;
}

/** The kinds of records that were ever changed, by name. */
export async function changedKinds(base: Db): Promise<string[]> {
  return base('change').whereNot({ what: 'zone rules' }).distinct('what').orderBy('what').pluck('what');
}

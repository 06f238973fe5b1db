import { relayFiring } from '@/records/firings';
import { putRecipeBack, setVersionInUse } from '@/records/materials';
import { coatsStand, putPieceBack, type PieceColumns } from '@/records/pieces';
import { recordChange } from '@/records/platform/changes';
import { type Db, fromJson, inTransaction } from '@/records/platform/db';
import { found, Refusal } from '@/records/platform/errors';
import type { Tables } from 'knex/types/tables';
import { type Named, refuseTakenName } from '@/records/platform/write';

type Columns = Readonly<Record<string, unknown>>;

/** A change as it is kept. */
interface ChangeJson {
  readonly what: string;
  readonly row_id: string;
  readonly before_json: string | null;
  readonly after_json: string | null;
}

/** A change of a record that was there before, read. */
interface Read<Value> {
  readonly id: string;
  readonly before: Value;
  readonly after: Value;
}

/** How changes of one kind are put back. */
interface Way {
  /** Whether the record is still as the change left it. */
  stands(base: Db, change: Read<unknown>): Promise<boolean>;
  putBack(trx: Db, memberId: string, change: Read<unknown>): Promise<void>;
}

const isColumns = (value: unknown): value is Columns =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether a row still has the values that a change gave it: dates and flags as JSON has them. */
function hasStill(row: Columns | undefined, after: Columns): boolean {
  const said = (value: unknown) => JSON.stringify(value);
  const same = (now: unknown, then: unknown) =>
    said(now) === said(then) ||
    (typeof then === 'boolean' && Number(then) === now) ||
    (now instanceof Date && typeof then === 'string' && said(now).slice(1, 11) === then.slice(0, 10)) ||
    // JSON is a text on its way in, and what it says on its way out.
    now === said(then) ||
    said(now) === then;
  return row !== undefined && Object.entries(after).every(([key, value]) => same(row[key], value));
}

/** Values as columns take them: dates as days or moments, lists as JSON. */
function asStored(columns: Columns): Record<string, unknown> {
  const stored = (value: unknown) => {
    if (typeof value === 'string' && /^\d{4}-\d\d-\d\dT.*Z$/.test(value)) return new Date(value);
    return typeof value === 'object' && value !== null ? JSON.stringify(value) : value;
  };
  return Object.fromEntries(Object.entries(columns).map(([key, value]) => [key, stored(value)]));
}

/** A way for changes whose two sides are columns of a row. */
function columnsWay(
  stands: (base: Db, change: Read<Columns>) => Promise<boolean>,
  putBack: (trx: Db, memberId: string, change: Read<Columns>) => Promise<void>,
): Way {
  const isOf = (change: Read<unknown>): change is Read<Columns> =>
    isColumns(change.before) && isColumns(change.after);
  return {
    stands: async (base, change) => isOf(change) && stands(base, change),
    putBack: async (trx, memberId, change) => {
      if (isOf(change)) await putBack(trx, memberId, change);
    },
  };
}

const rowOf = (base: Db, table: keyof Tables, id: string): Promise<Columns | undefined> =>
  base<Record<string, unknown>>(table).where({ id }).first();

/**
 * For records whose columns alone say all.
 *
 * @param onlyOnce a table in which no two may have one name
 * @param after what follows from the columns
 */
function rowWay(
  table: 'body' | 'glaze' | 'kiln' | 'programme' | 'member_group' | 'firing',
  onlyOnce: Named | null,
  after: (trx: Db, id: string) => Promise<void> = () => Promise.resolve(),
): Way {
  return columnsWay(
    async (base, { id, after: columns }) => hasStill(await rowOf(base, table, id), columns),
    async (trx, memberId, { id, before, after: columns }) => {
      const rows = trx<Record<string, unknown>>(table).where({ id });
      const row = found(await rows.clone().forUpdate().first(), 'What was changed');
      if (onlyOnce && typeof before.name === 'string')
        await refuseTakenName(trx, onlyOnce, { id, name: before.name });
      await rows.clone().update({ ...asStored(before), version: (row.version as number) + 1 });
      await recordChange(trx, memberId, table, id, columns, before);
      await after(trx, id);
    },
  );
}

/** The version of a glaze that is in use was chosen. */
const VERSION = columnsWay(
  async (base, { id, after }) => hasStill(await rowOf(base, 'glaze', id), after),
  (trx, memberId, { id, before }) =>
    setVersionInUse(trx, memberId, { glazeId: id, versionId: String(before.in_use_id) }),
);

const GLAZE = rowWay('glaze', 'glaze');

/** What a person says of a piece; what follows from it is worked out again. */
const FACTS = [
  ...['form', 'form_id', 'profile', 'height_mm', 'width_mm', 'body_id', 'split'],
  ...['texture', 'areas', 'wanted', 'own_number', 'note'],
];
const facts = (columns: Columns): PieceColumns =>
  Object.fromEntries(Object.entries(columns).filter(([key]) => FACTS.includes(key)));

const PIECE = columnsWay(
  async (base, { id, before, after }) => {
    const [was, is] = [facts(before), facts(after)];
    return Object.keys(is).length > 0 && !hasStill(was, is) && hasStill(await rowOf(base, 'piece', id), is);
  },
  (trx, memberId, { id, before }) => putPieceBack(trx, memberId, id, { facts: facts(before) }),
);

const COATS: Way = {
  stands: async (base, { id, before, after }) =>
    Array.isArray(before) && Array.isArray(after) && coatsStand(base, id, after as Columns[]),
  putBack: (trx, memberId, { id, before }) => putPieceBack(trx, memberId, id, { coats: before as Columns[] }),
};

const RECIPE = columnsWay(
  async (base, { id, before, after }) => {
    const version = await base('glaze_version').where({ id }).first('glaze_id', 'number', 'recipe');
    const text = (recipe: unknown) => JSON.stringify(fromJson(recipe ?? null));
    if (!version || !before.recipe || text(version.recipe) !== text(after.recipe)) return false;
    const newer = base('glaze_version').where({ glaze_id: version.glaze_id });
    return (await newer.andWhere('number', '>', version.number).first('id')) === undefined;
  },
  (trx, memberId, { id, before }) => putRecipeBack(trx, memberId, id, before.recipe),
);

const FIRING = rowWay('firing', null, relayFiring);

const ROWS: Readonly<Record<string, Way>> = {
  body: rowWay('body', 'body'),
  kiln: rowWay('kiln', 'kiln'),
  programme: rowWay('programme', 'programme'),
  member_group: rowWay('member_group', null),
  piece: PIECE,
  coats: COATS,
  glaze_version: RECIPE,
};

/** The way a change is put back; null where there is none, as for what went out of use, which its own page brings back. */
function wayOf(what: string, after: unknown): Way | null {
  if (isColumns(after) && 'ended' in after) return null;
  if (what === 'glaze') return isColumns(after) && 'in_use_id' in after ? VERSION : GLAZE;
  // A plan is put back; what a kiln did is not.
  if (what === 'firing') return isColumns(after) && 'planned_on' in after ? FIRING : null;
  return ROWS[what] ?? null;
}

const read = ({ row_id: id, before_json, after_json }: ChangeJson): Read<unknown> => ({
  id,
  before: fromJson<unknown>(before_json),
  after: fromJson<unknown>(after_json),
});

/** Whether a change can be taken back: there is a way, and nothing was written over it since. */
export async function stillStands(base: Db, change: ChangeJson): Promise<boolean> {
  const facts = read(change);
  return (await wayOf(change.what, facts.after)?.stands(base, facts)) ?? false;
}

/**
 * Puts back what a record was before a change, as a change of its own.
 *
 * @throws NotFound; Refusal when it was written over since, or its old name is taken
 */
export async function undoChange(base: Db, memberId: string, id: string): Promise<void> {
  await inTransaction(base, async (trx) => {
    const change = found(await trx('change').where({ id }).first(), 'This change');
    const facts = read(change);
    const way = wayOf(change.what, facts.after);
    if (!way || facts.before === null) throw new Refusal('', 'This cannot be taken back here.');
    if (!(await way.stands(trx, facts)))
      throw new Refusal('', 'It was changed again since. Change it on its own page.');
    await way.putBack(trx, memberId, facts);
  });
}

import type { Tables } from 'knex/types/tables';
import type { Change } from '@/records/platform/changes';
import { type Db, fromJson } from '@/records/platform/db';
import { found } from '@/records/platform/errors';
import { type Maybe, rowsOf } from '@/records/platform/joins';
import { stillStands } from './putBack';
import { spokenBy } from './spoken';

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

/** Records of people and of how they get in: for technicians, and for who changed them. */
const OF_PEOPLE = [
  ...['member', 'member_group', 'group_member', 'invitation', 'password_link', 'studio_device', 'setting'],
];

/** Kinds of records that have a name, with the column it is in. */
const NAMES: Readonly<Record<string, readonly [table: keyof Tables, column: string]>> = {
  body: ['body', 'name'],
  glaze: ['glaze', 'name'],
  judgement: ['glaze', 'name'],
  kiln: ['kiln', 'name'],
  programme: ['programme', 'name'],
  member: ['member', 'name'],
  member_group: ['member_group', 'name'],
  group_member: ['member_group', 'name'],
  form: ['form', 'name'],
  glazing_pattern: ['glazing_pattern', 'name'],
  piece_order: ['piece_order', 'name'],
  reminder: ['reminder', 'words'],
  round: ['round', 'name'],
  named_wall: ['named_wall', 'name'],
  piece: ['piece', 'label'],
  coats: ['piece', 'label'],
  reading: ['piece', 'label'],
  fate: ['piece', 'label'],
  'taken back': ['piece', 'label'],
};

/** Kinds of records whose row is the firing that they are of. */
const OF_FIRINGS = ['firing', 'load', 'load_shelf', 'witness_cone'];

async function namesOf(base: Db, changes: readonly { what: string; row_id: string }[]) {
  const idsOf = (what: string) => changes.filter((one) => one.what === what).map((one) => one.row_id);
  const kinds = [...new Set(changes.map(({ what }) => what))].filter((what) => what in NAMES);
  const named = kinds.map(async (what) => {
    const [table, column] = NAMES[what]!;
    const rows = await base<Record<string, string>>(table).whereIn('id', idsOf(what)).select('id', column);
    return rows.map((row) => [`${what} ${row.id}`, row[column]!] as const);
  });
  const photos = rowsOf<{ ph: 'photo'; p: 'piece' }>()(
    base('photo as ph').join('piece as p', 'p.id', 'ph.piece_id').whereIn('ph.id', idsOf('photo')),
    'ph.id',
    'p.label',
  ).then((rows) => rows.map(({ id, label }) => [`photo ${id}`, label] as const));
  const firings = rowsOf<{ f: 'firing'; k: 'kiln' }>()(
    base('firing as f').join('kiln as k', 'k.id', 'f.kiln_id').whereIn('f.id', OF_FIRINGS.flatMap(idsOf)),
    'f.id',
    'f.number',
    'k.name',
  ).then((rows) =>
    rows.flatMap(({ id, number, name }) =>
      OF_FIRINGS.map((what) => [`${what} ${id}`, `${name} ${number}`] as const),
    ),
  );
  const recipes = rowsOf<{ v: 'glaze_version'; g: 'glaze' }>()(
    base('glaze_version as v')
      .join('glaze as g', 'g.id', 'v.glaze_id')
      .whereIn('v.id', idsOf('glaze_version')),
    'v.id',
    'v.number',
    'g.name',
  ).then((rows) =>
    rows.map(({ id, number, name }) => [`glaze_version ${id}`, `${name}, version ${number}`] as const),
  );
  return new Map<string, string>((await Promise.all([...named, photos, firings, recipes])).flat());
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
  const [names, spoken] = await Promise.all([namesOf(base, rows), spokenBy(base, rows)]);
  return Promise.all(
    rows.map(async (row) => ({
      ...{ id: row.id, at: row.at, by: row.name, what: row.what, rowId: row.row_id, memberId: row.member_id },
      before: spoken(row.what, fromJson(row.before_json)),
      after: spoken(row.what, fromJson(row.after_json)),
      name: names.get(`${row.what} ${row.row_id}`) ?? null,
      isUndoable: await stillStands(base, row),
    })),
  );
}

/** Who made a change, and of what. @throws NotFound */
export async function changeById(
  base: Db,
  id: string,
): Promise<{ readonly memberId: string | null; readonly what: string; readonly rowId: string }> {
  const row = found(await base('change').where({ id }).first('member_id', 'what', 'row_id'), 'This change');
  return { memberId: row.member_id, what: row.what, rowId: row.row_id };
}

/** The kinds of records that were ever changed, by name. */
export async function changedKinds(base: Db): Promise<string[]> {
  return base('change').whereNot({ what: 'zone rules' }).distinct('what').orderBy('what').pluck('what');
}

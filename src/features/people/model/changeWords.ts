import { shortDay } from '@/core/time';
import { saySegments, type Segment } from '@/core/firing';
import {
  celsius,
  lengthOf,
  millimetres,
  sayMessage,
  sayQuantity,
  shortFigures,
  type Quantity,
  type Units,
} from '@/core/units';
import type { StudioChange } from '@/records/changes';

/** What the kinds of records are called, where their table says it otherwise. */
const KINDS: Readonly<Record<string, string>> = {
  body: 'clay',
  glaze_version: 'recipe',
  coats: 'bands',
  member_group: 'group',
  group_member: 'members of the group',
  setting: 'settings',
  series: 'piece numbers',
  named_wall: 'wall',
  studio_device: 'shared tablet',
  firing_event: 'log of a firing',
  log_source: 'log of a firing',
  load_shelf: 'shelf',
  witness_cone: 'witness cones',
  clinic_case: 'case',
  case_try: 'case',
  entry: 'note on an entry',
  fate: 'fate',
  'taken back': 'reading',
  zone_count: 'count',
  share_link: 'link',
};

/** The kind of record a change is of, as people say it. */
export function kindWords(what: string): string {
  return KINDS[what] ?? what.replaceAll('_', ' ');
}

/** Keys that say nothing to people, or what the sentence says already. */
const HIDDEN =
  /(^|_)(id|hash|version|sort|key|by|at|name|label|number)$|Id$|Ids$|^members?$|^helpers$|^group$|^ended$/;
/** An id of another record. */
const ID = /^[0-7][0-9A-HJKMNP-TV-Z]{25}$/;
const LONGEST = 80;

/** Columns and fields with a unit: those of a kiln are in degrees and millimetres, ware in centimetres. */
function quantityOf(key: string, value: number): Quantity | null {
  if (/^(height|width)(_mm|Mm)$/.test(key)) return lengthOf(value);
  if (/(_mm|Mm)$/.test(key)) return millimetres(value);
  return /celsius$|^open_below$/i.test(key) ? celsius(value) : null;
}

/** JSON is a text on its way into the records, and what it says on its way out. */
const segmentsOf = (value: unknown) =>
  (typeof value === 'string' ? JSON.parse(value) : value) as readonly Segment[];

/** Null for what says nothing. */
function valueWords(key: string, value: unknown, units: Units): string | null {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    const quantity = quantityOf(key, value);
    return quantity ? sayQuantity(quantity, units) : shortFigures(value, 2);
  }
  if (key === 'segments') return sayMessage(saySegments(segmentsOf(value)), units);
  if (Array.isArray(value)) return value.length === 1 ? '1 line' : `${value.length} lines`;
  if (typeof value !== 'string' || ID.test(value)) return null;
  const day = /^(\d{4}-\d\d-\d\d)(T|$)/.exec(value)?.[1];
  const text = day ? shortDay(day) : value;
  return text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text;
}

const fieldWords = (key: string) =>
  key
    .replace(/(_(mm|ml|on)|Mm|Ml|On)$/, '')
    .replace(/([A-Z])/g, ' $1')
    .replaceAll('_', ' ')
    .toLowerCase();

/** One field that was changed; nothing before in what is new. */
export interface ChangedField {
  readonly field: string;
  readonly from: string | null;
  readonly to: string;
}

const columnsOf = (value: unknown): Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? { ...value } : {};

/** Of what is new, what is not so is not said. */
const UNSAID = ['nothing', 'no', '0', '0 lines'];

/** What a change changed, field by field; only what differs. A new name is among it, the name of what is new is not. */
export function changedFields(
  { before, after }: Pick<StudioChange, 'before' | 'after'>,
  units: Units,
): ChangedField[] {
  const [old, now] = [columnsOf(before), columnsOf(after)];
  const isNew = before === null;
  return Object.keys(now).flatMap((key) => {
    if (HIDDEN.test(key) && (isNew || key !== 'name')) return [];
    // Flags of a row are 0 and 1, those of a form yes and no.
    const was = typeof now[key] === 'boolean' ? Boolean(old[key]) : old[key];
    if (JSON.stringify(was) === JSON.stringify(now[key])) return [];
    const [from, to] = [valueWords(key, was, units), valueWords(key, now[key], units)];
    if (to === null || from === null || (isNew && UNSAID.includes(to))) return [];
    return [{ field: fieldWords(key), from: isNew ? null : from, to }];
  });
}

/** What was done: "added clay", "changed glaze", "ended group", "joined"; the name of the record follows. */
export function deedWords({
  what,
  before,
  after,
  ...of
}: Pick<StudioChange, 'what' | 'before' | 'after' | 'memberId' | 'rowId'>): string {
  if (what === 'member' && before === null && of.memberId === of.rowId && 'role' in columnsOf(after))
    return 'joined';
  return `${verbOf(before, after)} ${kindWords(what)}`;
}

function verbOf(before: unknown, after: unknown): string {
  const now = columnsOf(after);
  if ('ended' in now) return now.ended ? 'ended' : 'put back';
  if (after === null) return 'took out';
  return before === null ? 'added' : 'changed';
}

import type { StudioChange } from '@/records/platform';

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

/** Keys that say nothing to people. */
const HIDDEN = /(^|_)(id|hash|version|sort|key|by)$|Id$|Ids$|^members?$|^helpers$|^group$/;
const LONGEST = 80;

function valueWords(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return String(value);
  if (typeof value === 'string') {
    const day = /^(\d{4}-\d\d-\d\d)T/.exec(value)?.[1];
    const text = day ?? value;
    return text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text;
  }
  if (Array.isArray(value)) return value.length === 1 ? '1 line' : `${value.length} lines`;
  return 'details';
}

const fieldWords = (key: string) =>
  key
    .replace(/_(mm|ml|on|at)$/, '')
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

/** What a change changed, field by field; only what differs. */
export function changedFields({ before, after }: Pick<StudioChange, 'before' | 'after'>): ChangedField[] {
  const [old, now] = [columnsOf(before), columnsOf(after)];
  return Object.keys(now)
    .filter((key) => !HIDDEN.test(key) && key !== 'ended')
    .filter((key) => JSON.stringify(old[key]) !== JSON.stringify(now[key]))
    .filter((key) => before !== null || valueWords(now[key]) !== 'nothing')
    .map((key) => ({
      field: fieldWords(key),
      from: before === null ? null : valueWords(old[key]),
      to: valueWords(now[key]),
    }));
}

/** What was done, as a verb: "added", "changed", "ended", "put back". */
export function deedWords({ before, after }: Pick<StudioChange, 'before' | 'after'>): string {
  const now = columnsOf(after);
  if ('ended' in now) return now.ended ? 'ended' : 'put back';
  if (after === null) return 'took out';
  return before === null ? 'added' : 'changed';
}

import type { Units } from '@/core/units';
import type { StudioChange } from '@/records/changes';
import { changedFields, deedWords, type ChangedField } from './changeWords';

/** Changes that are said in one line: one, or several alike after each other of which there is no more to say. */
export interface ChangeRun {
  /** The newest of them. */
  readonly change: StudioChange;
  readonly count: number;
  /** "added photo", "added 12 photos" */
  readonly deed: string;
  /** What was changed, each once, newest first. */
  readonly of: readonly Pick<StudioChange, 'what' | 'rowId' | 'name'>[];
  readonly fields: readonly ChangedField[];
}

const plural = (words: string) => (words.endsWith('s') ? words : `${words.replace(/y$/, 'ie')}s`);

/** Changes, newest first, with runs of the same deed by the same person joined. */
export function changeRuns(changes: readonly StudioChange[], units: Units): ChangeRun[] {
  const runs: ChangeRun[] = [];
  for (const change of changes) {
    const { memberId, what, rowId, name, isUndoable } = change;
    const deed = deedWords(change);
    const fields = changedFields(change, units);
    const last = runs.at(-1);
    const isMore =
      last &&
      last.change.memberId === memberId &&
      deedWords(last.change) === deed &&
      ![last.change.isUndoable, isUndoable].includes(true) &&
      last.fields.length + fields.length === 0;
    if (!isMore) {
      runs.push({ change, count: 1, deed, of: [{ what, rowId, name }], fields });
      continue;
    }
    const isNamed = last.of.some((one) => one.name === name);
    const [verb, ...kind] = deed.split(' ');
    runs[runs.length - 1] = {
      ...last,
      count: last.count + 1,
      deed: `${verb} ${last.count + 1} ${plural(kind.join(' '))}`,
      of: isNamed ? last.of : [...last.of, { what, rowId, name }],
    };
  }
  return runs;
}

/** Where the page of what was changed is; null where it has none, or is not found by its id. */
export function pageOf({ what, rowId, name }: Pick<StudioChange, 'what' | 'rowId' | 'name'>): string | null {
  if (['piece', 'coats', 'reading', 'fate', 'taken back', 'photo'].includes(what))
    return name && `/pieces/${name}`;
  if (what === 'body') return `/clays/${rowId}`;
  if (['load', 'load_shelf', 'witness_cone'].includes(what)) return `/firings/${rowId}`;
  return ['glaze', 'kiln', 'firing', 'round'].includes(what) ? `/${what}s/${rowId}` : null;
}

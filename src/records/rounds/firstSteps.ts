import type { Db } from '@/records/platform/db';
import { saveSetting, setting } from '@/records/platform/settings';

/** What a new studio does first, in this order. */
export const FIRST_STEPS = ['studio', 'kilns', 'clays', 'glazes', 'people', 'first thing'] as const;
export type FirstStep = (typeof FIRST_STEPS)[number];

/** How far a studio has come with its first steps. */
export interface FirstSteps {
  readonly done: readonly FirstStep[];
  readonly skipped: readonly FirstStep[];
}

const NAME = 'first steps';
/** A studio with more pieces has found its way. */
const SETTLED = 12;

interface Kept {
  readonly skipped: readonly FirstStep[];
  readonly isDismissed: boolean;
}
const NONE: Kept = { skipped: [], isDismissed: false };

/** The first steps of a studio; null once all are done or skipped, it has put them away, or it has settled. */
export async function firstStepsOf(base: Db): Promise<FirstSteps | null> {
  const [{ value: kept }, [rows]] = await Promise.all([
    setting(base, NAME, NONE),
    base.raw(`select
      coalesce((select json_value(value, '$.name') from setting where name = 'studio'), '') <> '' as studio,
      exists(select 1 from kiln) as kilns, exists(select 1 from body) as clays, exists(select 1 from glaze) as glazes,
      exists(select 1 from invitation) or (select count(*) from member) > 1 as people,
      exists(select 1 from piece) or exists(select 1 from round) as 'first thing',
      (select count(*) from piece) as pieces`) as unknown as Promise<
      [[Record<FirstStep | 'pieces', number>]]
    >,
  ]);
  const [{ pieces, ...isDone }] = rows;
  if (kept.isDismissed || pieces > SETTLED) return null;
  const done = FIRST_STEPS.filter((step) => isDone[step]);
  const isOver = FIRST_STEPS.every((step) => isDone[step] || kept.skipped.includes(step));
  return isOver ? null : { done, skipped: kept.skipped };
}

/** Skips a step, or all that are left. The same again is no change. */
export async function skipFirstStep(base: Db, memberId: string, step: FirstStep | 'all'): Promise<void> {
  const { value, version } = await setting(base, NAME, NONE);
  const skipped = step === 'all' ? value.skipped : [...new Set([...value.skipped, step])];
  const next = { skipped, isDismissed: value.isDismissed || step === 'all' };
  await saveSetting(base, memberId, NAME, next, version);
}

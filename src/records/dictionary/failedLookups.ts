import type { Db } from '@/records/platform/db';

/** One pair that members looked up and did not find. */
export interface FailedLookup {
  readonly baseId: string;
  readonly topId: string;
  readonly times: number;
}

/**
 * Notes a look-up that found nothing when it names two glazes in full, "Limewash over Sleeper"; anything else is only
 * half typed.
 */
export async function recordFailedLookup(base: Db, text: string): Promise<void> {
  const [top, below] = text
    .trim()
    .toLowerCase()
    .split(/\s+over\s+/);
  if (!top || !below) return;
  const found: { id: string; name: string }[] = await base('glaze')
    .whereIn('name', [top, below])
    .whereNull('ended_at')
    .select('id', 'name');
  const idOf = (name: string) => found.find((glaze) => glaze.name.toLowerCase() === name)?.id;
  const [topId, baseId] = [idOf(top), idOf(below)];
  if (!topId || !baseId) return;
  await base('failed_lookup')
    .insert({ base_glaze_id: baseId, top_glaze_id: topId, times: 1, at: new Date() })
    .onConflict(['base_glaze_id', 'top_glaze_id'])
    .merge({ times: base.raw('failed_lookup.times + 1'), at: new Date() });
}

/** What was looked up and not found, most often first. */
export async function listFailedLookups(base: Db): Promise<FailedLookup[]> {
  return base('failed_lookup')
    .orderBy('times', 'desc')
    .limit(500)
    .select('base_glaze_id as baseId', 'top_glaze_id as topId', 'times');
}

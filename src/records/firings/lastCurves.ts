import type { CurvePoint } from '@/core/firing';
import { cachedUntilWrite } from '@/records/platform/cache';
import { curveOf } from './logs';

/** Kilns whose last curves are kept at a time. */
export const KILNS_KEPT = 16;

/** Logs that a kiln's habits are read from: they change with its elements. */
const RECENT = 5;

/**
 * The curves of a kiln's last logged firings, newest first, by the kiln's id; one that still grows is read again
 * after the next write.
 */
export const lastCurves = cachedUntilWrite(async (base, kilnId) => {
  const rows: { id: string }[] = await base('firing')
    .where({ kiln_id: kilnId })
    .whereNotNull('logged_cone')
    .orderBy([
      { column: 'planned_on', order: 'desc' },
      { column: 'number', order: 'desc' },
    ])
    .limit(RECENT)
    .select('id');
  return Promise.all(
    rows.map(async ({ id }): Promise<{ firingId: string; curve: readonly CurvePoint[] }> => {
      return { firingId: id, curve: await curveOf(base, id) };
    }),
  );
}, KILNS_KEPT);

import { rowsOf } from '@/records/platform/joins';
import { coneNear, hitTarget, suggestAtmosphere, type AtmosphereSuggestion } from '@/core/firing';
import { PLAIN_SEVERITY, staysInKiln, type Cone } from '@/core/vocabulary';
import type { Db } from '@/records/platform/db';
import type { Firing } from './firings';
import { eventsOf, probeOf } from './logs';

/** What a firing came to, as far as somebody has to decide what follows from it. */
export interface FiringOutcome {
  /** The cone it came to when that is not the one it was planned for, with the pieces that it made what they are. */
  readonly otherCone: { readonly cone: Cone; readonly pieces: number } | null;
  /** What speaks about its atmosphere. */
  readonly suggestion: AtmosphereSuggestion | null;
}

/**
 * What a firing came to: whether it reached another cone, and what its atmosphere probably was. What bins and ash did is
 * in no log.
 */
export async function outcomeOf(base: Db, firing: Firing): Promise<FiringOutcome> {
  const reached = firing.achievedCone;
  const missed = reached !== null && !hitTarget(firing.cone, reached);
  const [filed, events, probe, glazes] = await Promise.all([
    base('zone')
      .where({ filed_by: firing.id, ended_at: null })
      .countDistinct({ pieces: 'piece_id' })
      .first<{ pieces: number | string }>(),
    eventsOf(base, firing.id),
    firing.atmosphere === 'reduction' ? probeOf(base, firing.id) : [],
    coloursOf(base, firing.id),
  ]);
  const { startedAt, endedAt } = firing;
  return {
    otherCone: missed ? { cone: coneNear(reached), pieces: Number(filed.pieces) } : null,
    suggestion: !staysInKiln(firing.cone)
      ? null
      : suggestAtmosphere({
          meant: firing.atmosphere,
          events,
          minutes: startedAt && endedAt ? (endedAt.getTime() - startedAt.getTime()) / 60_000 : null,
          fullness: firing.fullness,
          probe,
          glazes,
        }),
  };
}

/** By the glaze on top: the read pieces of a firing, and those that came out of another colour than they should. */
async function coloursOf(base: Db, firingId: string) {
  const rows = await rowsOf<{ h: 'headword'; z: 'zone'; d: { maybe: 'reading_defect' } }>()(
    base('zone as z')
      .join(
        'reading as r',
        (join) => void join.on('r.zone_id', 'z.id').andOnNull('r.ended_at').andOnVal('r.stage', 'after'),
      )
      .join('entry as e', 'e.id', 'z.entry_id')
      .join('headword as h', 'h.id', 'e.headword_id')
      .leftJoin(
        'reading_defect as d',
        (join) =>
          void join
            .on('d.reading_id', 'r.id')
            .andOnVal('d.defect', 'colour-shift')
            .andOnVal('d.severity', '>=', PLAIN_SEVERITY),
      )
      .where({ 'z.firing_id': firingId })
      .whereNull('z.ended_at')
      .whereNotNull('h.top_glaze_id'),
    'h.top_glaze_id as glaze',
    'z.piece_id as piece',
    'd.reading_id as bad',
  );
  const pieces = (own: readonly { readonly piece: string }[]) => new Set(own.map(({ piece }) => piece)).size;
  return [...new Set(rows.map(({ glaze }) => glaze))].map((glaze) => {
    const own = rows.filter((row) => row.glaze === glaze);
    return { pieces: pieces(own), shifted: pieces(own.filter(({ bad }) => bad !== null)) };
  });
}

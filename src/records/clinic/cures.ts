import type { FiredAgain } from '@/core/clinic';
import { PLAIN_SEVERITY, type AgainOutcome, type Side } from '@/core/vocabulary';
import { NOT_WANTED } from '@/records/dictionary/wanted';
import type { Db } from '@/records/platform/db';

/** One zone as it was read after a firing. */
interface ReadZone {
  readonly piece_id: string;
  readonly firing_id: string;
  readonly side: Side;
  readonly area: string | null;
  readonly from: number;
  readonly to: number;
  /** Null for none. */
  readonly severity: number | null;
  /** Coats that went on before that firing. */
  readonly coats: number;
  /** What was said of the defect after that firing. */
  readonly said: AgainOutcome | null;
}

/**
 * Every time a piece that plainly showed a defect went into another firing and was read again where it had been, in the
 * order it was fired. What a maker wanted is no defect; a bisque is no second firing of a glaze.
 */
export async function firedAgain(base: Db, defect: string): Promise<FiredAgain[]> {
  const withIt = base('reading as r')
    .join('reading_defect as d', 'd.reading_id', 'r.id')
    .join('piece as p', 'p.id', 'r.piece_id')
    .where({ 'd.defect': defect, 'r.stage': 'after' })
    .where('d.severity', '>=', PLAIN_SEVERITY)
    .whereNull('r.ended_at')
    .whereRaw(NOT_WANTED)
    // Most pieces are fired once.
    .whereExists(
      base('firing_piece as other').whereRaw(
        'other.piece_id = r.piece_id and other.firing_id <> r.firing_id',
      ),
    )
    .distinct('r.piece_id');
  const rows: ReadZone[] = await base('reading as r')
    .join('zone as z', 'z.id', 'r.zone_id')
    .join('firing as f', 'f.id', 'r.firing_id')
    .join(
      'firing_piece as fp',
      (join) => void join.on('fp.piece_id', 'r.piece_id').andOn('fp.firing_id', 'r.firing_id'),
    )
    .leftJoin(
      'reading_defect as d',
      (join) => void join.on('d.reading_id', 'r.id').andOnVal('d.defect', '=', defect),
    )
    .leftJoin(
      'again_outcome as o',
      (join) =>
        void join
          .on('o.piece_id', 'r.piece_id')
          .andOn('o.firing_id', 'r.firing_id')
          .andOnVal('o.reason', '=', defect),
    )
    .whereIn('r.piece_id', withIt)
    .where({ 'r.stage': 'after' })
    .whereNull('r.ended_at')
    .whereNot('f.kind', 'bisque')
    .orderBy(['r.piece_id', 'fp.at', 'r.firing_id'])
    .select(
      'r.piece_id',
      'r.firing_id',
      ...['z.side', 'z.area', 'z.from', 'z.to', 'd.severity', 'o.outcome as said'],
      base.raw(
        `(select count(*) from coat k where k.piece_id = r.piece_id and k.firing_id = r.firing_id
          and k.ended_at is null) as coats`,
      ),
    );
  const firings: ReadZone[][] = [];
  for (const row of rows) {
    const last = firings.at(-1);
    if (last?.[0]?.piece_id === row.piece_id && last[0].firing_id === row.firing_id) last.push(row);
    else firings.push([row]);
  }
  return firings.flatMap((after, i) => {
    const before = firings[i - 1];
    return before?.[0]?.piece_id === after[0]!.piece_id ? (compared(before, after) ?? []) : [];
  });
}

/** What a piece showed again where it had plainly shown a defect; null where that was not read. */
function compared(before: readonly ReadZone[], after: readonly ReadZone[]): FiredAgain | null {
  const shown = before.filter(({ severity }) => (severity ?? 0) >= PLAIN_SEVERITY);
  const again = after.filter((zone) => shown.some((one) => isOver(one, zone)));
  if (shown.length === 0 || again.length === 0) return null;
  const worst = (zones: readonly ReadZone[]) => Math.max(...zones.map(({ severity }) => severity ?? 0));
  const { piece_id: pieceId, firing_id: firingId, coats, said } = after[0]!;
  return { pieceId, firingId, isGlazed: Number(coats) > 0, before: worst(shown), after: worst(again), said };
}

/** Whether two zones share a stretch of one side or area. */
function isOver(one: ReadZone, other: ReadZone): boolean {
  return one.side === other.side && one.area === other.area && one.from < other.to && other.from < one.to;
}

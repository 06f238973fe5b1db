import {
  AGAIN_FATES,
  PLAIN_SEVERITY,
  type AgainOutcome,
  type Place,
  type Severity,
  type Side,
} from '@/core/vocabulary';
import { fromJson, type Db } from '@/records/platform/db';
import { rowsOf } from '@/records/platform/joins';
import type { StoredReading } from './readings';

/** A defect as it was read before a piece went into the kiln again. */
export interface FaultBefore {
  readonly area: string | null;
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  readonly severity: Severity;
  readonly place: Place;
}

/** One reason for which a piece is in the kiln again. */
export interface CameBack {
  /** A defect by its id, or words: "thin". */
  readonly reason: string;
  /** What was said of it after this firing; null for nothing yet. */
  readonly outcome: AgainOutcome | null;
  /** Where it was and how bad; none for words. */
  readonly was: readonly FaultBefore[];
}

/**
 * Why pieces are in a firing again: what each plainly showed after the last firing that was read before, and the words
 * that were said when it was sent back.
 *
 * @param readings of the pieces, the newest first
 */
export async function cameBackTo(
  base: Db,
  firingId: string,
  pieces: readonly { readonly id: string; readonly wanted: readonly string[] }[],
  readings: readonly StoredReading[],
): Promise<Map<string, CameBack[]>> {
  const ids = pieces.map(({ id }) => id);
  const lastOf = new Map(
    pieces.map(({ id }) => [
      id,
      lastBefore(
        readings.filter(({ pieceId }) => pieceId === id),
        firingId,
      ),
    ]),
  );
  const zoneIds = [...lastOf.values()].flatMap((last) => last.map(({ zoneId }) => zoneId));
  const [zones, reasons, outcomes] = await Promise.all([
    base('zone').whereIn('id', zoneIds).select('id', 'area', 'side', 'from', 'to'),
    saidReasons(base, firingId, ids),
    base('again_outcome').where({ firing_id: firingId }).whereIn('piece_id', ids).select('*'),
  ]);
  const zoneOf = new Map(zones.map(({ id, ...zone }) => [id, zone]));
  return new Map(
    pieces.map(({ id, wanted }) => {
      const was = new Map<string, FaultBefore[]>();
      for (const { zoneId, defects } of lastOf.get(id)!)
        for (const { defect, severity, place } of defects)
          if (severity >= PLAIN_SEVERITY && !wanted.includes(defect)) {
            const fault = { ...zoneOf.get(zoneId)!, severity, place } as FaultBefore;
            was.set(defect, [...(was.get(defect) ?? []), fault]);
          }
      const words = [...new Set([...was.keys(), ...(reasons.get(id) ?? [])])];
      const outcomeOf = (reason: string) =>
        outcomes.find((one) => one.piece_id === id && one.reason === reason)?.outcome ?? null;
      return [
        id,
        words.map((reason) => ({ reason, outcome: outcomeOf(reason), was: was.get(reason) ?? [] })),
      ];
    }),
  );
}

/** The readings of the last firing of a piece that was read before this one. */
function lastBefore(readings: readonly StoredReading[], firingId: string): StoredReading[] {
  const standing = readings.filter(({ stage, ended }) => stage === 'after' && !ended);
  const read = standing.find((one) => one.firingId === firingId);
  const before = standing.filter((one) => one.firingId !== firingId && (!read || one.at < read.at));
  return before.filter((one) => one.firingId === before[0]!.firingId);
}

/** The words said when each piece was last sent back before it went into this firing. */
async function saidReasons(
  base: Db,
  firingId: string,
  ids: readonly string[],
): Promise<Map<string, readonly string[]>> {
  const rows = await rowsOf<{ t: 'fate'; fp: 'firing_piece' }>()(
    base('fate as t')
      .join(
        'firing_piece as fp',
        (join) => void join.on('fp.piece_id', 't.piece_id').andOnVal('fp.firing_id', '=', firingId),
      )
      .whereIn('t.piece_id', ids)
      .whereRaw('t.at <= fp.at')
      .orderBy('t.at'),
    't.piece_id',
    't.fate',
    't.reasons',
  );
  return new Map(
    rows.map(({ piece_id, fate, reasons }) => [
      piece_id,
      AGAIN_FATES.includes(fate) ? fromJson<string[]>(reasons) : [],
    ]),
  );
}

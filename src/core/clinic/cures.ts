import { shareOverFirings, type Proportion } from '../evidence';
import type { AgainOutcome } from '../vocabulary';

/** A piece that showed a defect and went into the kiln again. */
export interface FiredAgain {
  readonly pieceId: string;
  /** The second firing. */
  readonly firingId: string;
  /** Whether coats were put on between the two. */
  readonly isGlazed: boolean;
  /** Severity at worst, 2 or 3 before; 0 for none after. */
  readonly before: number;
  readonly after: number;
  /** What somebody said of it beside the readings; null for nothing. */
  readonly said: AgainOutcome | null;
}

/** What firing again did to a defect, in pieces. */
export interface Cure {
  readonly isGlazed: boolean;
  /** Those on which it was gone; without an interval where all went into one firing. */
  readonly gone: Proportion;
  readonly better: number;
  readonly same: number;
  readonly worse: number;
}

/** What firing again did: as it was said, and where nobody said it by the severities that were read. */
function outcomeOf({ before, after, said }: FiredAgain): AgainOutcome {
  if (said !== null) return said;
  if (after === 0) return 'gone';
  return after < before ? 'better' : after > before ? 'worse' : 'same';
}

/**
 * What firing again did to a defect: as it was, and with glaze put on first, told apart. A piece that went in more than
 * once counts each time.
 *
 * @returns what was tried, unchanged ones first
 */
export function curesOf(again: readonly FiredAgain[]): Cure[] {
  return [false, true].flatMap((isGlazed): Cure[] => {
    const own = again.filter((one) => one.isGlazed === isGlazed);
    if (own.length === 0) return [];
    const count = (outcome: AgainOutcome) => own.filter((one) => outcomeOf(one) === outcome).length;
    const firings = new Set(own.map(({ firingId }) => firingId)).size;
    return [
      {
        isGlazed,
        gone: shareOverFirings(count('gone'), own.length, firings),
        better: count('better'),
        same: count('same'),
        worse: count('worse'),
      },
    ];
  });
}

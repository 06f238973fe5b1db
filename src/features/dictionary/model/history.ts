import { deltaE00, labOf } from '@/core/colour';
import type { Proof } from '@/records/dictionary';

/** Proofs that were made with the same recipe versions and batches. */
export interface Chapter {
  readonly made: string;
  /** Pieces. */
  readonly pieces: number;
  /** False when none of them counts. */
  readonly counts: boolean;
  readonly last: Date;
  readonly colour: string | null;
  /** CIEDE2000 from what counts now; null when either has no colour, and for what counts now itself. */
  readonly away: number | null;
}

/**
 * The proofs of a sense by recipe version and batch, the newest first.
 *
 * @param colour of what counts now, "#rrggbb"
 */
export function historyOf(proofs: readonly Proof[], colour: string | null): Chapter[] {
  const made = new Map<string, Proof[]>();
  for (const proof of proofs) made.set(proof.made, [...(made.get(proof.made) ?? []), proof]);
  return [...made]
    .map(([words, own]): Chapter => {
      const counts = own.some((proof) => proof.counts);
      const shown = own.find((proof) => proof.colour)?.colour ?? null;
      return {
        made: words,
        pieces: new Set(own.map(({ pieceId }) => pieceId)).size,
        counts,
        last: new Date(Math.max(...own.map(({ at }) => at.getTime()))),
        colour: shown,
        away: shown && colour ? deltaE00(labOf(shown), labOf(colour)) : null,
      };
    })
    .sort((one, two) => two.last.getTime() - one.last.getTime());
}

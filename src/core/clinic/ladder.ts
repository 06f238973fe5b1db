/** What came of one rung of a crazing ladder. */
export interface RungOutcome {
  readonly words: string;
  /** Pieces that were read. */
  readonly read: number;
  /** Of these, pieces with plain crazing. */
  readonly crazed: number;
}

/** What a fired ladder says: crazing ends from a rung on, no rung ends it, or the glaze as it is does not craze. */
export type LadderVerdict =
  | { readonly kind: 'stops'; readonly from: string }
  | { readonly kind: 'never stops' }
  | { readonly kind: 'sound as it is' };

/**
 * The verdict of a fired ladder. A rung crazes when more than half of its pieces do.
 *
 * @param rungs in order, the glaze as it is first
 * @returns null while the first rung, or every other one, is not read, or when crazing comes and goes along the rungs
 */
export function ladderVerdict(rungs: readonly RungOutcome[]): LadderVerdict | null {
  const read = rungs.filter((rung) => rung.read > 0);
  if (read.length < 2 || read[0] !== rungs[0]) return null;
  const crazes = read.map((rung) => rung.crazed * 2 > rung.read);
  const ends = crazes.indexOf(false);
  if (ends === -1) return { kind: 'never stops' };
  if (crazes.slice(ends).some(Boolean)) return null;
  return ends === 0 ? { kind: 'sound as it is' } : { kind: 'stops', from: read[ends]!.words };
}

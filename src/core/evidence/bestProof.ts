/** What of a proof decides whether it may stand for its sense. */
export interface ProofStanding {
  readonly counts: boolean;
  readonly agrees: boolean;
  readonly photo: unknown;
  /** The stretch of the piece it takes, 0 = foot, 1 = rim. */
  readonly from: number;
  readonly to: number;
}

/**
 * The proof that stands for a sense: one that counts and agrees, then with a photo, then largest on its piece, and of
 * those the first given. Undefined when there is none.
 */
export function bestProof<P extends ProofStanding>(proofs: readonly P[]): P | undefined {
  const worth = ({ photo, counts, agrees, from, to }: P) =>
    (counts && agrees ? 4 : 0) + (photo ? 2 : 0) + (to - from);
  return [...proofs].sort((one, two) => worth(two) - worth(one))[0];
}

'use client';
import type { Outcome } from '@/auth';
import type { PlanForMany } from '@/records/openings';
import type { Correction, ListedPiece, PieceChange } from '@/records/pieces';
import { useState } from 'react';
import { useUndo } from '@/ui/Undo';
import { useMutation } from '@/ui/useMutation';
import { decidePlan, saveCorrections, saveMany } from '../../actions';
import { correctionsBack, planBack, reversed } from '../../model/several';

type Done = Outcome<{ readonly left: readonly string[]; readonly pieces: readonly ListedPiece[] }>;

/**
 * Acts on several pieces, each of which can be taken back as a whole.
 *
 * @param onFresh hands on the pieces as they are after an act
 */
export function useSeveral(
  pieces: readonly ListedPiece[],
  onFresh: (pieces: readonly ListedPiece[]) => void,
) {
  const [left, setLeft] = useState<readonly string[]>([]);
  const { run, isBusy, errors } = useMutation();
  const { offer, bar } = useUndo();
  const send = async (write: () => Promise<Done>) => {
    const done = await run(write);
    if (!done) return null;
    setLeft(done.left);
    onFresh(done.pieces);
    return done.left;
  };
  /** The parts of an act that were done: all but those of pieces that were left. */
  const without = <T extends { readonly id: string }>(list: readonly T[], labels: readonly string[]) =>
    list.filter(({ id }) => !pieces.some((piece) => piece.id === id && labels.includes(piece.label)));
  const act = async (
    write: () => Promise<Done>,
    words: string,
    back: (others: readonly string[]) => Promise<Done>,
  ) => {
    const others = await send(write);
    if (!others) return false;
    offer(words, () => void send(() => back(others)));
    return true;
  };
  return {
    ...{ left, isBusy, errors, bar },
    change: (changes: readonly PieceChange[], words: string) =>
      act(
        () => saveMany({ changes: [...changes] }),
        words,
        (others) => saveMany({ changes: reversed(without(changes, others)) }),
      ),
    correct: (all: readonly Correction[], words: string) =>
      act(
        () => saveCorrections({ corrections: [...all] }),
        words,
        (others) => saveCorrections({ corrections: correctionsBack(pieces, without(all, others)) }),
      ),
    decide: (plan: PlanForMany, words: string) =>
      act(
        () => decidePlan(plan),
        words,
        (others) => decidePlan(planBack({ ...plan, pieces: without(plan.pieces, others) })),
      ),
  };
}

export type Several = ReturnType<typeof useSeveral>;

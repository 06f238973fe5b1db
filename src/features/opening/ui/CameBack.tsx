'use client';
import { AGAIN_OUTCOMES, reasonName } from '@/core/vocabulary';
import type { OpeningPiece } from '@/records/openings';
import { orderWords } from '@/ui/orderWords';
import { sayOutcome, type Answers } from '../model/draft';
import css from './opening.module.css';
import { WordRow } from './WordRow';

interface Props {
  readonly piece: OpeningPiece;
  readonly said: Answers;
  readonly onSay: (change: (said: Answers) => Answers) => void;
}

/** What was known of a piece before the kiln was opened: what its maker expects, its order, and why it is back. */
export function CameBack({ piece, said, onSay }: Props) {
  const { reasons = [], expectation, order } = piece;
  return (
    <>
      {(expectation || order) && (
        <p className={css.before}>
          {expectation && (
            <span>
              Expected: <b>{expectation}</b>
            </span>
          )}
          {order && (
            <span>
              For <b>{order.name}</b>: {orderWords(order)}
            </span>
          )}
        </p>
      )}
      {reasons.map((one) => (
        <div key={one.reason} className={css.back}>
          <p>
            Came back: <b>{reasonName(one.reason)}</b>
          </p>
          <WordRow
            label={`What became of ${reasonName(one.reason)}`}
            options={AGAIN_OUTCOMES}
            value={said.outcomes?.[one.reason] ?? null}
            onPick={(outcome) => onSay((before) => sayOutcome(before, piece, one, outcome))}
          />
        </div>
      ))}
    </>
  );
}

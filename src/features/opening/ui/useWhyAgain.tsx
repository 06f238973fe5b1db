'use client';
import { useState } from 'react';
import { AGAIN_FATES, type Fate } from '@/core/vocabulary';
import type { OpeningPiece } from '@/records/openings';
import { WhyAgain } from '@/ui/WhyAgain';
import { isPlain, type Answers } from '../model/draft';
import css from './opening.module.css';

/** A fate as it is tapped: why a piece goes into a kiln again is asked first, where no defect says it. */
export function useWhyAgain({
  said,
  piece,
  onFinish,
}: {
  readonly said: Answers;
  readonly piece: OpeningPiece;
  readonly onFinish: (change: (said: Answers) => Answers) => void;
}) {
  const [asked, setAsked] = useState<Fate | null>(null);
  const onFate = (fate: Fate) => {
    if (AGAIN_FATES.includes(fate) && !isPlain(said, piece)) return setAsked(fate);
    onFinish((before) => ({ ...before, state: 'read', fate, reasons: [] }));
  };
  const question = asked && (
    <WhyAgain
      className={css.foot}
      fate={asked}
      onCancel={() => setAsked(null)}
      onReason={(reason) => {
        setAsked(null);
        onFinish((before) => ({ ...before, state: 'read', fate: asked, reasons: reason ? [reason] : [] }));
      }}
    />
  );
  return { onFate, question };
}

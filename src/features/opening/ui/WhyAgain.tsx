'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { AGAIN_FATES, AGAIN_REASONS, type Fate } from '@/core/vocabulary';
import type { OpeningPiece } from '@/records/openings';
import { WordField } from '@/ui/kit';
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

interface Props {
  readonly fate: Fate;
  /** Finishes the piece with the reason; null for none. */
  readonly onReason: (reason: string | null) => void;
  readonly onCancel: () => void;
}

/** Asks why a piece goes into a kiln again on which no defect was read. */
function WhyAgain({ fate, onReason, onCancel }: Props) {
  const [own, setOwn] = useState('');
  return (
    <div className={css.foot} role="group" aria-label={`Why ${fate}`}>
      <p>Why {fate}? The next opening will ask what became of it.</p>
      <div className={css.reasons}>
        {AGAIN_REASONS.map((reason) => (
          <button key={reason} type="button" onClick={() => onReason(reason)}>
            {reason}
          </button>
        ))}
        <button type="button" onClick={() => onReason(null)}>
          no reason
        </button>
      </div>
      <div className={css.ownReason}>
        <WordField
          label="Another reason"
          value={own}
          onChange={setOwn}
          slotProps={{ htmlInput: { maxLength: 60 } }}
          onKeyDown={(event) => event.key === 'Enter' && own.trim() && onReason(own.trim())}
        />
        <Button variant="contained" disabled={!own.trim()} onClick={() => onReason(own.trim())}>
          {fate}
        </Button>
        <Button variant="text" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </div>
  );
}

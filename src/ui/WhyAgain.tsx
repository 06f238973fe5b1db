'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { AGAIN_REASONS, type Fate } from '@/core/vocabulary';
import { WordField } from '@/ui/kit';
import css from './whyAgain.module.css';

interface Props {
  readonly fate: Fate;
  /** Finishes the piece with the reason; null for none. */
  readonly onReason: (reason: string | null) => void;
  readonly onCancel: () => void;
  readonly className?: string | undefined;
}

/** Asks why a piece goes into a kiln again; a reason finishes the question. */
export function WhyAgain({ fate, onReason, onCancel, className }: Props) {
  const [own, setOwn] = useState('');
  return (
    <div className={className} role="group" aria-label={`Why ${fate}`}>
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

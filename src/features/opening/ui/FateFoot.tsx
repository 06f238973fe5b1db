'use client';
import Undo from '@mui/icons-material/Undo';
import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';
import { FATES, type Fate } from '@/core/vocabulary';
import css from './opening.module.css';
import type { Answers } from '../model/draft';
import { PhotoPicker } from '@/ui/PhotoPicker';

interface Props {
  readonly said: Answers;
  readonly twin: string | null;
  readonly knows: boolean;
  /** The area that is being read, of which a picture is taken now; null for the piece. */
  readonly area: string | null;
  readonly undone: ReactNode;
  readonly mayUndo: boolean;
  readonly onPhoto: (files: readonly File[]) => unknown;
  readonly onExpected: () => void;
  readonly onTwin: () => void;
  readonly onUndo: () => void;
  readonly onFate: (fate: Fate) => void;
  readonly onFinish: (change: (said: Answers) => Answers) => void;
}

/** Fates in reach of the thumb; the rest are one tap further. */
const NEAR = 4;

/** Under the thumb: what saves the reading, and the fate that finishes the piece and goes on. */
export function FateFoot({
  said,
  twin,
  knows,
  area,
  undone,
  mayUndo,
  onPhoto,
  onExpected,
  onTwin,
  onUndo,
  onFate,
  onFinish,
}: Props) {
  const [more, setMore] = useState(false);
  const fate = (one: Fate, i: number) => (
    <button
      key={one}
      type="button"
      aria-pressed={said.fate === one}
      aria-keyshortcuts={`Shift+${i + 1}`}
      title={`Shift+${i + 1}: ${one}, and on to the next piece`}
      onClick={() => onFate(one)}
    >
      {one}
    </button>
  );
  return (
    <div className={css.foot}>
      {undone}
      <div className={css.short}>
        <PhotoPicker label={area === null ? 'Photo' : `Photo of the ${area}`} camera onPick={onPhoto} />
        {knows && (
          <Button onClick={onExpected} title="e">
            As expected
          </Button>
        )}
        {twin && (
          <Button onClick={onTwin} title="i">
            As {twin}
          </Button>
        )}
        <Button onClick={onUndo} disabled={!mayUndo} title="u" aria-label="Undo">
          <Undo />
        </Button>
      </div>
      <div className={css.fates} role="group" aria-label="Fate, and on to the next piece">
        {FATES.slice(0, NEAR).map(fate)}
        <button type="button" aria-label="More fates" aria-expanded={more} onClick={() => setMore(!more)}>
          {more ? 'fewer' : 'more'}
        </button>
        {more && (
          <>
            {FATES.slice(NEAR).map((one, i) => fate(one, i + NEAR))}
            <button
              type="button"
              title="Ctrl Enter"
              onClick={() => onFinish((before) => ({ ...before, state: 'read' }))}
            >
              none yet
            </button>
            {(['missing', 'broken'] as const).map((state) => (
              <button
                key={state}
                type="button"
                aria-pressed={said.state === state}
                title={state[0] === 'm' ? 'm' : 'x'}
                onClick={() => onFinish((before) => ({ ...before, state }))}
              >
                {state}
              </button>
            ))}
          </>
        )}
      </div>
    </div>
  );
}

'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { StudioPattern } from '@/records/pieces';
import { FormErrors } from '@/ui/kit';
import { useUndo } from '@/ui/Undo';
import { useMutation } from '@/ui/useMutation';
import { endPattern } from '../../actions';
import css from './sheet.module.css';

/** The ways of glazing that the studio named, to be taken out of the list; pieces glazed so stay as they are. */
export function OwnPatterns({ patterns }: { readonly patterns: readonly StudioPattern[] }) {
  const { run, isBusy, errors } = useMutation();
  const { offer, bar } = useUndo();
  // Stays open where the last one is removed and put back.
  const [isOpen, setIsOpen] = useState(false);
  const remove = async ({ id, name }: StudioPattern) => {
    if ((await run(() => endPattern({ id, isEnded: true }))) === undefined) return;
    offer(`“${name}” removed.`, () => void run(() => endPattern({ id, isEnded: false })));
  };
  return (
    <>
      {patterns.length > 0 && (
        <details className={css.own} open={isOpen} onToggle={(event) => setIsOpen(event.currentTarget.open)}>
          <summary>The studio’s own patterns ({patterns.length})</summary>
          <ul>
            {patterns.map((pattern) => (
              <li key={pattern.id}>
                {pattern.name}
                <Button
                  size="small"
                  disabled={isBusy}
                  onClick={() => void remove(pattern)}
                  aria-label={`Remove ${pattern.name}`}
                >
                  Remove
                </Button>
              </li>
            ))}
          </ul>
        </details>
      )}
      <FormErrors errors={errors} />
      {bar}
    </>
  );
}

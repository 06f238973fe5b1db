'use client';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useCallback, useEffect, useState } from 'react';

interface Done {
  readonly text: string;
  readonly undo: () => void;
}

/** How long a thing is offered back, ms. */
const OFFERED = 10_000;

/**
 * Says what was just done and offers it back for ten seconds, instead of asking before.
 *
 * @returns a function that offers, the bar that says so over the page, and the same as a line to stand in the
 *   page where a bar would lie over what is needed next
 */
export function useUndo() {
  const [done, setDone] = useState<Done | null>(null);
  const offer = useCallback((text: string, undo: () => void) => setDone({ text, undo }), []);
  useEffect(() => {
    if (!done) return;
    const timer = setTimeout(() => setDone(null), OFFERED);
    return () => clearTimeout(timer);
  }, [done]);
  const takeBack = () => {
    done?.undo();
    setDone(null);
  };
  const line = done && (
    <p role="status" style={{ display: 'flex', alignItems: 'center', gap: 12, margin: 0 }}>
      {done.text}
      <Button sx={{ minHeight: 48, ml: 'auto' }} onClick={takeBack}>
        Undo
      </Button>
    </p>
  );
  const bar = (
    <Snackbar
      key={done?.text}
      open={done !== null}
      message={done?.text}
      sx={{ bottom: { xs: 130, md: 64 } }}
      action={
        <Button size="small" sx={{ color: 'inherit', borderColor: 'currentColor' }} onClick={takeBack}>
          Undo
        </Button>
      }
    />
  );
  return { offer, bar, line };
}

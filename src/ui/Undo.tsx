'use client';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useCallback, useState } from 'react';

interface Done {
  readonly text: string;
  readonly undo: () => void;
}

/** Says what was just taken away and offers it back for ten seconds, instead of asking before. */
export function useUndo() {
  const [done, setDone] = useState<Done | null>(null);
  const offer = useCallback((text: string, undo: () => void) => setDone({ text, undo }), []);
  const bar = (
    <Snackbar
      key={done?.text}
      open={done !== null}
      autoHideDuration={10_000}
      onClose={(_, why) => why === 'timeout' && setDone(null)}
      message={done?.text}
      sx={{ bottom: { xs: 130, md: 64 } }}
      action={
        <Button
          size="small"
          sx={{ color: 'inherit', borderColor: 'currentColor' }}
          onClick={() => {
            done?.undo();
            setDone(null);
          }}
        >
          Undo
        </Button>
      }
    />
  );
  return { offer, bar };
}

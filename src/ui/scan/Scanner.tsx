'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { WordField } from '../kit';
import css from './scan.module.css';
import { useScan } from './useScan';

interface Props {
  readonly onNumber: (number: string) => Promise<string | null> | string | null;
  readonly label: string;
  readonly onClose: () => void;
}

/** The camera's picture, what was read in it, and the field for a number that is typed. */
export function Scanner({ onNumber, label, onClose }: Props) {
  const [typed, setTyped] = useState('');
  const [answer, setAnswer] = useState<string | null>(null);
  const take = async (number: string) => {
    const said = await onNumber(number);
    if (said === null) return onClose();
    setAnswer(said);
  };
  const { video, trouble } = useScan((number, text) =>
    number ? void take(number) : setAnswer(`No label of a piece: ${text}`),
  );
  return (
    <Dialog open onClose={onClose} fullWidth aria-labelledby="scan-title">
      <DialogTitle id="scan-title">{label}</DialogTitle>
      <DialogContent className={css.scan}>
        {trouble === null ? (
          <video ref={video} muted playsInline aria-label="What the camera sees" />
        ) : (
          <p role="alert">{trouble}</p>
        )}
        <p role="status">{answer}</p>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            if (!typed.trim()) return;
            void take(typed.trim());
            setTyped('');
          }}
        >
          <WordField label="Or type its number" value={typed} onChange={setTyped} />
          <Button type="submit">Go</Button>
        </form>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

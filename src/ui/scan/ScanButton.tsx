'use client';
import QrCodeScanner from '@mui/icons-material/QrCodeScanner';
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
  /**
   * Called with the number of a piece: "SW-0012" from a label, or what was typed. What it answers is shown, and the
   * next label may follow; null closes.
   */
  readonly onNumber: (number: string) => Promise<string | null> | string | null;
  readonly className?: string | undefined;
  /** What it is for, where that is more than to go to the piece. */
  readonly label?: string;
}

/** Reads the QR on a piece's label with the camera; typing its number is the other way. */
export function ScanButton({ onNumber, className, label = 'Scan a label' }: Props) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className={className ?? css.button}
        aria-label={label}
        title={label}
        onClick={() => setOpen(true)}
      >
        <QrCodeScanner fontSize="small" />
      </button>
      {isOpen && <Scanner {...{ onNumber, label }} onClose={() => setOpen(false)} />}
    </>
  );
}

function Scanner({
  onNumber,
  label,
  onClose,
}: Pick<Props, 'onNumber' | 'label'> & { readonly onClose: () => void }) {
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

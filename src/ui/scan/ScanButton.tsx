'use client';
import QrCodeScanner from '@mui/icons-material/QrCodeScanner';
import { useState } from 'react';
import { lazily } from '../lazily';
import css from './scan.module.css';

const Scanner = lazily(async () => (await import('./Scanner')).Scanner);

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

'use client';
import Button from '@mui/material/Button';
import QRCode from 'qrcode';
import { useEffect, useState, type ReactNode } from 'react';
import css from './newLink.module.css';

/** A link that was just made: shown this once, for only its hash is kept. */
export function NewLink({ address, children }: { address: string; children?: ReactNode }) {
  const [code, setCode] = useState('');
  const [isCopied, setIsCopied] = useState(false);
  useEffect(() => {
    void QRCode.toDataURL(address, { margin: 2, width: 220 }).then(setCode);
  }, [address]);
  return (
    <section className={css.made} aria-label="The new link" aria-live="polite">
      {code && <img src={code} width={220} height={220} alt="The link as a QR code" />}
      <div>
        <p>
          <b>Copy it now: it is not kept here and cannot be shown again.</b>
        </p>
        <p className={css.address}>
          <a href={address}>{address}</a>
        </p>
        <Button
          onClick={() =>
            void navigator.clipboard.writeText(address).then(
              () => setIsCopied(true),
              () => setIsCopied(false),
            )
          }
        >
          {isCopied ? 'Copied' : 'Copy'}
        </Button>{' '}
        {children}
      </div>
    </section>
  );
}

'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Outcome } from '@/auth';
import { Photo } from '@/ui/Photo';
import css from './load.module.css';

interface Props {
  readonly firingId: string;
  readonly shelf: number;
  readonly hash: string | null;
  readonly mayAdd: boolean;
}

/** The photo of a shelf as it was loaded. */
export function ShelfPhoto({ firingId, shelf, hash, mayAdd }: Props) {
  const router = useRouter();
  const [said, setSaid] = useState<string | null>(null);
  const send = async (file: File | undefined) => {
    if (!file) return;
    setSaid('Sending the photo');
    const form = new FormData();
    form.set('shelf', String(shelf));
    form.set('file', file);
    try {
      const answer = await fetch(`/api/v1/firings/${firingId}/shelf-photo`, { method: 'POST', body: form });
      const outcome = (await answer.json()) as Outcome<unknown>;
      setSaid(outcome.ok ? null : (outcome.errors[0]?.message ?? 'The photo was not accepted.'));
      if (outcome.ok) router.refresh();
    } catch {
      setSaid('The server did not answer; the photo is not stored yet. Try again.');
    }
  };
  return (
    <div className={css.photo}>
      {hash && <Photo hash={hash} alt={`Shelf ${shelf} as loaded`} width={96} height={72} />}
      {mayAdd && (
        <Button component="label" size="small">
          {hash ? 'Another photo' : 'Photo of this shelf'}
          <input
            type="file"
            accept="image/*"
            capture="environment"
            hidden
            aria-label={`Photo of shelf ${shelf}`}
            onChange={(event) => void send(event.target.files?.[0])}
          />
        </Button>
      )}
      {said && (
        <span role="status" className="small">
          {said}
        </span>
      )}
    </div>
  );
}

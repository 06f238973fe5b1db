'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { sendPhoto } from '@/ui/sendPhoto';

/** Takes a photo, or chooses one, for a piece. */
export function AddPhoto({ pieceId, firingId }: { pieceId: string; firingId: string | null }) {
  const router = useRouter();
  const field = useRef<HTMLInputElement>(null);
  const [state, setState] = useState<'idle' | 'busy' | string>('idle');
  const take = async (file: File | undefined) => {
    if (!file) return;
    setState('busy');
    const error = await sendPhoto(file, pieceId, firingId);
    setState(error ?? 'idle');
    if (!error) router.refresh();
  };
  return (
    <div style={{ marginTop: 10 }}>
      <input
        ref={field}
        type="file"
        accept="image/*"
        hidden
        aria-label="Photo file"
        onChange={(event) => void take(event.target.files?.[0])}
      />
      <Button onClick={() => field.current?.click()} disabled={state === 'busy'}>
        {state === 'busy' ? 'Storing the photo' : 'Add a photo'}
      </Button>
      {state !== 'idle' && state !== 'busy' && (
        <p role="alert" className="heat" style={{ marginTop: 6 }}>
          {state}
        </p>
      )}
    </div>
  );
}

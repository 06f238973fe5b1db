'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { sendPhoto } from '@/ui/sendPhoto';

/** Takes a photo, or chooses one, for a piece. */
export function AddPhoto({ pieceId, firingId }: { pieceId: string; firingId: string | null }) {
  const router = useRouter();
  const field = useRef<HTMLInputElement>(null);
  const [isBusy, setIsBusy] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const take = async (file: File | undefined) => {
    if (!file) return;
    setIsBusy(true);
    const failed = (await sendPhoto(file, pieceId, firingId)) ?? null;
    setIsBusy(false);
    setError(failed);
    if (!failed) router.refresh();
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
      <Button onClick={() => field.current?.click()} disabled={isBusy}>
        {isBusy ? 'Storing the photo' : 'Add a photo'}
      </Button>
      {error && (
        <p role="alert" className="heat" style={{ marginTop: 6 }}>
          {error}
        </p>
      )}
    </div>
  );
}

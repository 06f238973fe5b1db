'use client';
import { useState } from 'react';
import { lazily } from './lazily';
import { Strokes, type DrawnStrokes } from './Strokes';

const PhotoLarge = lazily(async () => (await import('./PhotoLarge')).PhotoLarge);

/** A photo on neutral grey, with what was drawn on it; a click opens it to be zoomed to its pixels. */
export function Photo({
  hash,
  alt,
  width,
  height,
  drawn,
}: {
  hash: string;
  alt: string;
  width: number | string;
  height: number | string;
  drawn?: DrawnStrokes;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen(true)}
        title="Zoom"
        style={{
          border: 0,
          padding: 0,
          width,
          height,
          background: 'var(--n8)',
          cursor: 'zoom-in',
          display: 'block',
          position: 'relative',
        }}
      >
        <img
          src={`/api/v1/photos/${hash}?width=720`}
          alt={alt}
          style={{ width: '100%', height: '100%', objectFit: 'contain', display: 'block' }}
        />
        {drawn && <Strokes {...drawn} />}
      </button>
      {open && <PhotoLarge {...{ hash, alt, drawn }} onClose={() => setOpen(false)} />}
    </>
  );
}

'use client';
import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import { TransformComponent, TransformWrapper } from 'react-zoom-pan-pinch';
import { Strokes, type DrawnStrokes } from './Strokes';

// The zoom package would put these in a style element, which the content security policy refuses.
const WRAPPER = { position: 'relative', overflow: 'hidden', width: '100vw', height: '100dvh' } as const;
const CONTENT = {
  display: 'flex',
  width: 'fit-content',
  height: 'fit-content',
  transformOrigin: '0% 0%',
} as const;

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
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        fullScreen
        sx={{ '& .MuiDialog-paper': { background: 'var(--n8)', border: 0 } }}
      >
        <button
          type="button"
          onClick={() => setOpen(false)}
          style={{
            position: 'fixed',
            right: 16,
            top: 16,
            zIndex: 2,
            minWidth: 48,
            minHeight: 48,
            font: '650 15px var(--sans)',
            border: '1px solid var(--ink)',
            background: 'var(--paper)',
            color: 'var(--ink)',
          }}
        >
          Close
        </button>
        <TransformWrapper maxScale={12} centerOnInit>
          <TransformComponent wrapperStyle={WRAPPER} contentStyle={CONTENT}>
            <span style={{ position: 'relative' }}>
              <img
                src={`/api/v1/photos/${hash}`}
                alt={alt}
                style={{ maxWidth: '100vw', maxHeight: '100dvh', display: 'block' }}
              />
              {drawn && <Strokes {...drawn} />}
            </span>
          </TransformComponent>
        </TransformWrapper>
      </Dialog>
    </>
  );
}

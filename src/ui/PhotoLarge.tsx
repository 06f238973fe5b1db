'use client';
import Dialog from '@mui/material/Dialog';
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

interface Props {
  readonly hash: string;
  readonly alt: string;
  readonly drawn: DrawnStrokes | undefined;
  readonly onClose: () => void;
}

/** A photo over the whole page, to be zoomed to its pixels. */
export function PhotoLarge({ hash, alt, drawn, onClose }: Props) {
  return (
    <Dialog
      open
      onClose={onClose}
      fullScreen
      sx={{ '& .MuiDialog-paper': { background: 'var(--n8)', border: 0 } }}
    >
      <button
        type="button"
        onClick={onClose}
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
  );
}

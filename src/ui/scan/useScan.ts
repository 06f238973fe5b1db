import { useEffect, useEffectEvent, useRef, useState, type RefObject } from 'react';
import { pieceOfLabel } from './pieceOfLabel';

/** Milliseconds between two looks at the picture. */
const EACH = 150;
/** A picture is looked at no larger than this many pixels wide: labels are held close. */
const WIDEST = 720;

interface Scan {
  readonly video: RefObject<HTMLVideoElement | null>;
  /** Why there is no picture; null while there is one, or it is being asked for. */
  readonly trouble: string | null;
}

/**
 * Looks through the camera for labels, until the component goes.
 *
 * @param onCode called with the number of the piece, or null, and what the code says: once for each code, and again
 *   when another was read between
 */
export function useScan(onCode: (number: string | null, text: string) => void): Scan {
  const video = useRef<HTMLVideoElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const last = useRef<string | null>(null);
  const read = useEffectEvent((text: string) => {
    if (text === last.current) return;
    last.current = text;
    onCode(pieceOfLabel(text), text.slice(0, 60));
  });
  useEffect(() => {
    const over = new AbortController();
    lookThrough(video, read, over.signal).catch((error: unknown) => {
      if (!over.signal.aborted) setTrouble(troubleOf(error));
    });
    return () => over.abort();
  }, []);
  return { video, trouble };
}

async function lookThrough(
  video: RefObject<HTMLVideoElement | null>,
  read: (text: string) => void,
  over: AbortSignal,
): Promise<void> {
  if (!('mediaDevices' in navigator)) throw new DOMException('', 'SecurityError');
  const [stream, { default: jsQR }] = await Promise.all([
    navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } }),
    import('jsqr'),
  ]);
  const stop = () => stream.getTracks().forEach((track) => track.stop());
  if (over.aborted || !video.current) return stop();
  const screen = video.current;
  screen.srcObject = stream;
  await screen.play();
  const canvas = document.createElement('canvas');
  const pen = canvas.getContext('2d', { willReadFrequently: true })!;
  const look = setInterval(() => {
    if (screen.videoWidth === 0) return;
    const scale = Math.min(1, WIDEST / screen.videoWidth);
    canvas.width = Math.round(screen.videoWidth * scale);
    canvas.height = Math.round(screen.videoHeight * scale);
    pen.drawImage(screen, 0, 0, canvas.width, canvas.height);
    const { data, width, height } = pen.getImageData(0, 0, canvas.width, canvas.height);
    const found = jsQR(data, width, height, { inversionAttempts: 'dontInvert' });
    if (found?.data) read(found.data);
  }, EACH);
  over.addEventListener('abort', () => {
    clearInterval(look);
    stop();
  });
}

/** What is said where the camera gives no picture. */
function troubleOf(error: unknown): string {
  const name = error instanceof DOMException ? error.name : '';
  if (name === 'NotAllowedError') return 'The browser was told not to use the camera here. Type the number.';
  if (name === 'NotFoundError' || name === 'OverconstrainedError')
    return 'This device has no camera. Type the number.';
  if (name === 'NotReadableError') return 'Another program holds the camera. Type the number.';
  if (name === 'SecurityError')
    return 'Browsers open the camera to pages under https only. Type the number, or scan with the camera of the phone itself.';
  return 'The camera does not start. Type the number.';
}

import { useState } from 'react';
import { ulid } from 'ulid';
import type { OpeningPiece } from '@/records/openings';
import type { useOpening } from './useOpening';
import { photoWorker } from '@/ui/photoWorker';

const UNREADABLE =
  'This picture cannot be read here (some phones save HEIC: set the camera to JPEG). The reading is kept.';

/**
 * Takes pictures of a piece: made ready in the worker, kept on the device, on their way to the server.
 *
 * @param area the one that is being read, and so is what a picture shows; null for the piece
 */
export function useCamera(api: ReturnType<typeof useOpening>, piece: OpeningPiece, area: string | null) {
  const [said, setSaid] = useState('');
  const [error, setFault] = useState('');
  const keep = async (file: Blob) => {
    const { blob, frame } = await photoWorker().take(file);
    // What is taken at an opening was fired.
    const view = area === null ? null : ('area' as const);
    const settings = { frame, gains: null, strokes: [], labels: [], view, area, stage: 'after' as const };
    await api.enqueue({ kind: 'photo', pieceId: piece.id, blob, settings }, piece.id, ulid());
  };
  const take = async (files: readonly Blob[]) => {
    setFault('');
    setSaid('Preparing the picture');
    try {
      for (const file of files) await keep(file);
    } catch {
      setFault(UNREADABLE);
    }
    setSaid('');
  };
  const takeSample = async () => {
    const response = await fetch(`/api/v1/samples/${piece.label}`).catch(() => null);
    if (response?.ok) await take([await response.blob()]);
    else setFault('The sample camera needs the network.');
  };
  return { said, error, take, takeSample, fail: setFault };
}

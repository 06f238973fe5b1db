'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { OpeningPiece } from '@/records/openings';
import { photosNow, type PhotoNow } from '../model/outbox/photosNow';
import type { useOpening } from './useOpening';
import css from './opening.module.css';
import { PhotoDesk, type DeskPhoto } from './PhotoDesk';
import { PhotoPicker } from '@/ui/PhotoPicker';
import type { useCamera } from './useCamera';
import { useObjectUrl } from '@/ui/useObjectUrl';

interface Props {
  readonly api: ReturnType<typeof useOpening>;
  readonly camera: ReturnType<typeof useCamera>;
  readonly piece: OpeningPiece;
  readonly sample: boolean;
  /** The area that is being read, of which a picture is taken now; null for the piece. */
  readonly area: string | null;
}

/** The photos of a piece at this opening, on the server or still on this device; each can be set up. */
export function PhotoStrip({ api, camera, piece, sample, area }: Props) {
  const [desk, setDesk] = useState<DeskPhoto | null>(null);
  const photos = photosNow(piece, api.waiting);
  const setUp = async (photo: PhotoNow) => {
    const blob = photo.blob ?? (await storedPhoto(photo.hash!));
    if (blob) setDesk({ ...photo, blob });
    else camera.fail('This photo is not on this device, and there is no network.');
  };
  return (
    <div className={css.photos}>
      <ul>
        {photos.map((photo, i) => (
          <li key={photo.id}>
            <button type="button" onClick={() => void setUp(photo)} aria-label={`Set up photo ${i + 1}`}>
              <Picture photo={photo} />
              {photo.blob && <small>kept here</small>}
            </button>
          </li>
        ))}
        <li>
          <PhotoPicker
            label={area === null ? 'From files' : `From files, of the ${area}`}
            onPick={camera.take}
          />
        </li>
        {sample && (
          <li>
            <Button onClick={() => void camera.takeSample()}>Sample camera</Button>
          </li>
        )}
      </ul>
      <p role="status" className="small">
        {camera.said || (photos.length > 0 && 'Tap a picture to set rim and foot, colours, pits.')}
      </p>
      {camera.error && (
        <p role="alert" className="heat small">
          {camera.error}
        </p>
      )}
      {desk && (
        <PhotoDesk
          photo={desk}
          piece={piece}
          onClose={() => setDesk(null)}
          onSet={(settings) => {
            setDesk(null);
            void api.enqueue({ kind: 'frame', photo: { id: desk.id, ...settings } }, piece.id);
          }}
          onCount={(count) =>
            void api.enqueue({ kind: 'count', count: { ...count, id: ulid(), photoId: desk.id } }, piece.id)
          }
        />
      )}
    </div>
  );
}

async function storedPhoto(hash: string): Promise<Blob | null> {
  const response = await fetch(`/api/v1/photos/${hash}`).catch(() => null);
  return response?.ok ? response.blob() : null;
}

function Picture({ photo }: { photo: PhotoNow }) {
  const url = useObjectUrl(photo.blob);
  const address = photo.blob ? url : `/api/v1/photos/${photo.hash}?width=320`;
  return address ? <img src={address} alt="" /> : null;
}

'use client';
import { areaOf, figures } from '@/core/units';
import { QuantityText } from '@/ui/units';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useEffect, useRef, useState } from 'react';
import type { Frame } from '@/core/photo';
import type { OpeningZone } from '@/records/openings';
import type { ZoneCount } from '@/records/pieces';
import type { Counted } from '@/workers/photo.worker';
import { photoWorker } from '@/ui/photoWorker';
import css from './photoDesk.module.css';
import page from '@/ui/page.module.css';

interface Props {
  readonly photo: Blob;
  readonly frame: Frame;
  readonly zone: OpeningZone;
  readonly heightMm: number;
  readonly onClose: () => void;
  readonly onSave: (count: Omit<ZoneCount, 'id' | 'photoId'>) => void;
}

interface Mark {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
}

/** Radius of a mark that a person adds, px of the patch. */
const ADDED = 6;

/** Pits and cracks found on one zone, outlined, to be corrected and saved as a count. */
export function CountPits({ photo, frame, zone, heightMm, onClose, onSave }: Props) {
  const [counted, setCounted] = useState<Counted | string>('Counting');
  const [pits, setPits] = useState<readonly Mark[]>([]);
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    let gone = false;
    const { id, side, from, to } = zone;
    photoWorker()
      .count(photo, frame, { id, side, from, to }, heightMm)
      .then((found) => {
        if (gone) return;
        setCounted(found);
        setPits(found.pits);
      })
      .catch(() => !gone && setCounted('This photo could not be analysed.'));
    return () => {
      gone = true;
    };
  }, [photo, frame, zone, heightMm]);
  useEffect(() => {
    if (typeof counted === 'string') return;
    const context = canvas.current!.getContext('2d')!;
    context.putImageData(new ImageData(counted.rgba, counted.width, counted.height), 0, 0);
    context.fillStyle = '#f2d028';
    for (const i of counted.crackPixels)
      context.fillRect(i % counted.width, Math.floor(i / counted.width), 1.4, 1.4);
    for (const [style, width] of [
      ['#17191d', 4],
      ['#ffffff', 2],
    ] as const) {
      context.strokeStyle = style;
      context.lineWidth = width;
      for (const { x, y, radius } of pits) {
        context.beginPath();
        context.arc(x, y, radius + 4, 0, Math.PI * 2);
        context.stroke();
      }
    }
  }, [counted, pits]);
  const ready = typeof counted !== 'string';
  const save = (kind: 'pits' | 'cracks') => {
    if (!ready) return;
    const marks =
      kind === 'pits' ? pits.map(({ x, y }) => ({ x: x / counted.width, y: y / counted.height })) : [];
    const perCm2 = kind === 'pits' ? pits.length / counted.areaCm2 : counted.crackDensity;
    onSave({ zoneId: zone.id, kind, perCm2, areaCm2: counted.areaCm2, marks });
  };
  return (
    <Dialog open onClose={onClose} fullScreen aria-label="Count pits">
      <div className={page.screen}>
        <h2>{zone.headword}</h2>
        {ready ? (
          <p role="status">
            <b className="figures">{pits.length}</b> pits on <QuantityText of={areaOf(counted.areaCm2, 1)} />:{' '}
            <b className="figures">{figures(pits.length / counted.areaCm2, 2)}</b> per cm². Cracks{' '}
            <span className="figures">{figures(counted.crackDensity, 1)}</span> mm per cm². Tap a ring to take
            it away, the glaze to add one.
          </p>
        ) : (
          <p role="status">{counted}</p>
        )}
        <div className={css.picture}>
          {ready && (
            <canvas
              ref={canvas}
              width={counted.width}
              height={counted.height}
              aria-label={`${zone.headword} with its pits outlined`}
              onClick={(event) => {
                const box = event.currentTarget.getBoundingClientRect();
                const x = ((event.clientX - box.left) / box.width) * counted.width;
                const y = ((event.clientY - box.top) / box.height) * counted.height;
                const near = pits.find((pit) => Math.hypot(pit.x - x, pit.y - y) < pit.radius + 10);
                setPits(near ? pits.filter((pit) => pit !== near) : [...pits, { x, y, radius: ADDED }]);
              }}
            />
          )}
        </div>
        <div className={css.foot}>
          <Button onClick={onClose}>Cancel</Button>
          {ready && counted.crackDensity > 1 && (
            <Button onClick={() => save('cracks')}>Save the cracks</Button>
          )}
          <Button variant="contained" disabled={!ready} onClick={() => save('pits')}>
            Save {ready ? pits.length : ''} pits
          </Button>
        </div>
      </div>
    </Dialog>
  );
}

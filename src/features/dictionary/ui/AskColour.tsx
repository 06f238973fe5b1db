'use client';
import { keepOnDevice, dropFromDevice, readFromDevice } from '@/ui/deviceStorage';
import { useMemberId } from '@/ui/MemberContext';
import { useEffect, useState } from 'react';
import type { Point } from '@/core/photo';
import { PhotoPicker } from '@/ui/PhotoPicker';
import { photoWorker } from '@/ui/photoWorker';
import { useObjectUrl } from '@/ui/useObjectUrl';
import { useFind } from './FindProvider';
import css from './find.module.css';
import type { FindQuery } from '../model/findQuery';

/** Cone and clay that were asked for last on this device. */
const KEPT = 'jiten.find';
const MIDDLE: Point = { x: 0.5, y: 0.5 };

/** Where the colour comes from: a point of a photo, the wheel, or one of the studio's glazes. */
export function AskColour({
  asked,
  chips,
}: {
  asked: FindQuery;
  chips: readonly { readonly name: string; readonly colour: string }[];
}) {
  const [photo, setPhoto] = useState<File | null>(null);
  const [at, setAt] = useState<Point>(MIDDLE);
  const [said, setSaid] = useState('');
  const { ask, underWay } = useFind();
  const owner = useMemberId();
  const url = useObjectUrl(photo);
  const { cone, clay } = asked;

  // Who comes with nothing asked is given the own cone and clay again.
  useEffect(() => {
    const slot = { owner, key: KEPT, version: 1 };
    if (cone || clay) return void keepOnDevice(slot, { cone, clay });
    if (window.location.search) return dropFromDevice(slot);
    const kept = readFromDevice<Pick<FindQuery, 'cone' | 'clay'>>(slot);
    if (kept) ask(kept);
  }, [cone, clay, ask, owner]);

  const take = async (file: File, point: Point) => {
    setPhoto(file);
    setAt(point);
    setSaid('Measuring');
    try {
      const { colour } = await photoWorker().spot(file, point);
      setSaid('Tap another place of the photo to measure it there.');
      ask({ colour });
    } catch {
      setSaid('This picture cannot be read here. Choose a JPEG, PNG or WebP.');
    }
  };
  return (
    <section
      className={css.ask}
      aria-label="The colour"
      aria-busy={underWay}
      data-chosen={asked.colour ? true : undefined}
    >
      {url ? (
        <button
          type="button"
          className={css.photo}
          aria-label="Tap where the colour is"
          onClick={({ currentTarget, clientX, clientY, detail }) => {
            const box = currentTarget.getBoundingClientRect();
            const point = { x: (clientX - box.left) / box.width, y: (clientY - box.top) / box.height };
            void take(photo!, detail === 0 ? MIDDLE : point);
          }}
        >
          <img src={url} alt="The photo that was taken" draggable={false} />
          <i style={{ left: `${at.x * 100}%`, top: `${at.y * 100}%` }} aria-hidden />
        </button>
      ) : (
        <span className={css.asked} style={{ background: asked.colour ?? 'var(--n8)' }}>
          {!asked.colour && 'no colour chosen'}
        </span>
      )}
      <p className="small" role="status">
        {said || 'From a photo in even daylight, from the wheel, or from one of your glazes.'}
      </p>
      <p className={css.row}>
        <PhotoPicker label="Take a photo" camera onPick={([file]) => void take(file!, MIDDLE)} />
        <PhotoPicker label="Choose" onPick={([file]) => void take(file!, MIDDLE)} />
        <label className={css.wheel}>
          <input
            type="color"
            value={asked.colour ?? '#8a8f7d'}
            onChange={(event) => {
              setPhoto(null);
              setSaid('');
              ask({ colour: event.target.value });
            }}
          />
          Wheel
        </label>
      </p>
      <p className={css.chips}>
        {chips.map(({ name, colour }) => (
          <button
            key={name}
            type="button"
            style={{ background: colour }}
            aria-label={`The colour of ${name}`}
            title={name}
            aria-pressed={asked.colour === colour}
            onClick={() => {
              setPhoto(null);
              setSaid('');
              ask({ colour });
            }}
          />
        ))}
      </p>
      {asked.colour && (
        <button
          type="button"
          className={css.plain}
          onClick={() => {
            setPhoto(null);
            ask({ colour: undefined });
          }}
        >
          Any colour
        </button>
      )}
    </section>
  );
}

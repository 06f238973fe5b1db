'use client';
import Button from '@mui/material/Button';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { halfWidthOf, type Profile } from '@/core/vocabulary';
import { PhotoPicker } from '@/ui/PhotoPicker';
import { useObjectUrl } from '@/ui/useObjectUrl';
import { bandPath } from '@/ui/silhouette';
import { movedPoint, withPoint, withoutPoint } from '../model/profile';
import css from './forms.module.css';

interface Props {
  readonly profile: Profile;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly onChange: (profile: Profile) => void;
}

/** How far an arrow key moves a point, as a fraction. */
const NUDGE = 0.01;
/** The longest side of the drawing, px. */
const LARGEST = 420;

/** How high a form is drawn, px. */
export function sheetHeight(heightMm: number, widthMm: number): number {
  return LARGEST / Math.max(1, widthMm / heightMm);
}

/**
 * The silhouette of a form: its right half is drawn by dragging points, or with the arrow keys; a photo of the piece
 * may stand behind it to be traced. The photo stays on this device.
 */
export function ProfileEditor({ profile, heightMm, widthMm, onChange }: Props) {
  const [selected, setSelected] = useState(0);
  const [photo, setPhoto] = useState<File | null>(null);
  const [wide, setWide] = useState(1);
  const url = useObjectUrl(photo);
  const frame = useRef<SVGSVGElement>(null);
  const width = (100 * widthMm) / heightMm;
  const scale = sheetHeight(heightMm, widthMm) / 100;
  const shape = { halfWidth: halfWidthOf(profile), plan: false, profile };
  const at = (event: PointerEvent): readonly [number, number] => {
    const box = frame.current!.getBoundingClientRect();
    const x = ((event.clientX - box.left) / box.width) * 2 - 1;
    return [1 - (event.clientY - box.top) / box.height, x];
  };
  const move = (index: number, [height, half]: readonly [number, number]) =>
    onChange(movedPoint(profile, index, [height, half]));
  const onKey = (index: number) => (event: KeyboardEvent) => {
    const [height, half] = profile[index]!;
    const step = event.shiftKey ? NUDGE * 5 : NUDGE;
    const next = {
      ArrowUp: [height + step, half],
      ArrowDown: [height - step, half],
      ArrowLeft: [height, half - step],
      ArrowRight: [height, half + step],
    }[event.key] as readonly [number, number] | undefined;
    if (event.key === 'Delete') onChange(withoutPoint(profile, index));
    if (!next) return;
    event.preventDefault();
    move(index, next);
  };
  return (
    <div className={css.profile}>
      <div className={css.sheet} style={{ width: width * scale, height: 100 * scale }}>
        {url && <img src={url} alt="" className={css.traced} style={{ width: `${wide * 100}%` }} />}
        <svg
          ref={frame}
          width={width * scale}
          height={100 * scale}
          viewBox={`0 0 ${width} 100`}
          role="img"
          aria-label="Silhouette"
          onDoubleClick={(event) => {
            const box = frame.current!.getBoundingClientRect();
            onChange(withPoint(profile, 1 - (event.clientY - box.top) / box.height));
          }}
        >
          <path
            d={bandPath(shape, width, 'whole', 0, 1)}
            className={css.outline}
            data-traced={url !== null || undefined}
          />
        </svg>
        {profile.map(([height, half], i) => (
          <button
            key={i}
            type="button"
            className={css.point}
            data-chosen={i === selected || undefined}
            aria-label={`Point ${i + 1} of ${profile.length}: ${Math.round(height * 100)} % up, ${Math.round(half * 100)} % of the widest`}
            style={{ left: `${50 + half * 50}%`, top: `${(1 - height) * 100}%` }}
            onFocus={() => setSelected(i)}
            onKeyDown={onKey(i)}
            onPointerDown={(event) => {
              setSelected(i);
              event.currentTarget.setPointerCapture(event.pointerId);
            }}
            onPointerMove={(event) => {
              if (event.currentTarget.hasPointerCapture(event.pointerId)) move(i, at(event));
            }}
          />
        ))}
      </div>
      <div className={css.tools}>
        <Button
          size="small"
          onClick={() => {
            const next = profile[selected + 1] ?? profile[selected - 1]!;
            onChange(withPoint(profile, (profile[selected]![0] + next[0]) / 2));
          }}
        >
          Add a point
        </Button>
        <Button size="small" onClick={() => onChange(withoutPoint(profile, selected))}>
          Remove point {selected + 1}
        </Button>
        <PhotoPicker
          label={url ? 'Another photo' : 'Trace a photo'}
          onPick={([file]) => setPhoto(file ?? null)}
        />
        {url && (
          <label className={css.zoom}>
            Size of the photo
            <input
              type="range"
              min={0.3}
              max={3}
              step={0.01}
              value={wide}
              onChange={(event) => setWide(Number(event.target.value))}
            />
          </label>
        )}
      </div>
      <p className="small quiet">
        Drag the points, or move them with the arrow keys. A double click adds one. Foot and rim stay at the
        ends.
      </p>
    </div>
  );
}

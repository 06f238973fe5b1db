'use client';
import { useEffect, useRef, useState, type PointerEvent } from 'react';
import { brushed, type Outline } from '@/core/coats';
import type { StoredPhoto } from '@/records/pieces';
import { TickField, ToggleRow } from '@/ui/kit';
import css from './pieces.module.css';

interface Props {
  readonly name: string;
  /** Where the side lies in the drawing, px. */
  readonly field: {
    readonly left: number;
    readonly top: number;
    readonly width: number;
    readonly height: number;
  };
  /** A photo of that side, to draw on; null for none. */
  readonly photo: Pick<StoredPhoto, 'hash' | 'frame'> | null;
  readonly onDrawn: (outline: Outline) => void;
  readonly onCancel: () => void;
}

/** Points nearer than this to the one before are left out, as a share of the width. */
const STEP = 0.012;
/** Width of the brush, as a share of the width. */
const BRUSH = 0.07;
/** The fewest points that make an outline. */
const FEWEST = 4;

/** A sheet over the drawing on which an area is drawn: around it, or with a brush. */
export function OutlinePad({ name, field, photo, onDrawn, onCancel }: Props) {
  const [tool, setTool] = useState<'outline' | 'brush'>('outline');
  const [line, setLine] = useState<Outline>([]);
  const [isOnPhoto, setIsOnPhoto] = useState(photo !== null);
  const pad = useRef<HTMLDivElement>(null);
  // On a phone the drawing stands far from the button that asked for it.
  useEffect(() => {
    pad.current?.scrollIntoView({ block: 'center' });
  }, []);
  const at = (event: PointerEvent): readonly [number, number] => {
    const box = event.currentTarget.getBoundingClientRect();
    const [x, y] = [(event.clientX - box.left) / box.width, 1 - (event.clientY - box.top) / box.height];
    return [Math.min(1, Math.max(0, x)), Math.min(1, Math.max(0, y))];
  };
  const end = () => {
    if (line.length >= FEWEST) onDrawn(tool === 'brush' ? brushed(line, BRUSH) : line);
    setLine([]);
  };
  const path = line.map(([x, y]) => `${x * field.width},${(1 - y) * field.height}`).join(' ');
  return (
    <>
      <div
        ref={pad}
        className={css.pad}
        style={field}
        aria-label={`Draw ${name}`}
        role="application"
        tabIndex={0}
        onKeyDown={(event) => event.key === 'Escape' && onCancel()}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setLine([at(event)]);
        }}
        onPointerMove={(event) => {
          if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
          const point = at(event);
          const before = line.at(-1);
          if (before && Math.hypot(point[0] - before[0], point[1] - before[1]) < STEP) return;
          setLine([...line, point]);
        }}
        onPointerUp={end}
        onPointerCancel={() => setLine([])}
      >
        {photo && isOnPhoto && <PhotoBelow photo={photo} {...field} />}
        <svg width={field.width} height={field.height}>
          {tool === 'outline' ? (
            <polygon points={path} className={css.drawn} />
          ) : (
            <polyline points={path} className={css.brush} strokeWidth={BRUSH * field.width} />
          )}
        </svg>
      </div>
      <div className={css.padTools}>
        <ToggleRow
          label="Draw with"
          size="small"
          value={tool}
          onChange={setTool}
          options={[
            ['outline', 'Outline'],
            ['brush', 'Brush'],
          ]}
        />
        {photo && <TickField label="On the photo" checked={isOnPhoto} onChange={setIsOnPhoto} />}
        <button type="button" className={css.link} onClick={onCancel}>
          Done
        </button>
      </div>
    </>
  );
}

/** The piece in its photo, laid under the sheet so that rim, foot and sides meet those of the drawing. */
function PhotoBelow({
  photo: { hash, frame },
  width,
  height,
}: {
  readonly photo: Pick<StoredPhoto, 'hash' | 'frame'>;
  readonly width: number;
  readonly height: number;
}) {
  const { left, right, rim, foot, tilt = 0 } = frame;
  const [wide, tall] = [width / (right - left), height / (foot - rim)];
  const middle = `${((left + right) / 2) * 100}% ${((rim + foot) / 2) * 100}%`;
  return (
    <span className={css.below}>
      <img
        src={`/api/v1/photos/${hash}?width=720`}
        alt=""
        draggable={false}
        style={{
          ...{ left: -left * wide, top: -rim * tall, width: wide, height: tall },
          ...{ transform: `rotate(${-tilt}deg)`, transformOrigin: middle },
        }}
      />
    </span>
  );
}

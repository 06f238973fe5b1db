'use client';
import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import type { Frame } from '@/core/photo';
import { sayMessage, type Message } from '@/core/units';
import { useUnits } from '@/ui/units';
import { useAddress } from '@/ui/useAddress';
import css from './compare.module.css';

/** One picture that is compared. */
export interface Pane {
  /** Its place in the address. */
  readonly place: number;
  readonly label: string;
  readonly hash: string | null;
  /** Where the piece stands in its photo, and how large the photo is, px. */
  readonly frame: Frame;
  readonly width: number;
  readonly height: number;
  readonly heightMm: number;
  readonly colour: string | null;
  readonly zoneId: string | null;
  /** Where the zone lies, 0 = foot, 1 = rim. */
  readonly middle: number;
  readonly zones: readonly { readonly id: string; readonly words: Message }[];
}

interface View {
  /** Times the size at which the tallest piece just fits. */
  readonly scale: number;
  /** How far the pictures are moved, mm. */
  readonly x: number;
  readonly y: number;
}

const HIGH = 340;
const WHOLE: View = { scale: 1, x: 0, y: 0 };
const MOST = 14;

/** Pieces side by side on neutral grey at one scale; zooming or moving one moves all of them. */
export function Panes({ panes }: { panes: readonly Pane[] }) {
  const { change } = useAddress();
  const units = useUnits();
  const [view, setView] = useState<View>(WHOLE);
  const row = useRef<HTMLDivElement>(null);
  const tallest = Math.max(1, ...panes.map(({ heightMm }) => heightMm));
  const perMm = (HIGH * 0.92) / tallest;
  const zoom = (by: number) =>
    setView((before) => {
      const scale = Math.min(MOST, Math.max(1, before.scale * by));
      return scale === 1 ? WHOLE : { ...before, scale };
    });
  useEffect(() => {
    const element = row.current!;
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      zoom(event.deltaY < 0 ? 1.25 : 0.8);
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    return () => element.removeEventListener('wheel', onWheel);
  }, []);
  const drag = (event: React.PointerEvent) => {
    if (event.buttons !== 1 || view.scale === 1) return;
    const { movementX, movementY } = event;
    setView(({ scale, x, y }) => ({
      scale,
      x: x + movementX / (perMm * scale),
      y: y + movementY / (perMm * scale),
    }));
  };
  const choose = (pane: Pane, id: string) =>
    change((next) => {
      const zones = (next.get('zones') ?? '').split(',');
      zones[pane.place] = id;
      next.set('zones', Array.from(zones, (one) => one ?? '').join(','));
    });
  return (
    <>
      <p className={css.zoom}>
        <button type="button" onClick={() => zoom(1 / 1.5)} aria-label="Smaller">
          −
        </button>
        <button type="button" onClick={() => setView(WHOLE)}>
          Whole
        </button>
        <button
          type="button"
          onClick={() => setView({ scale: Math.min(MOST, 4), x: 0, y: 0 })}
          title="Each zone in the middle"
        >
          Zones
        </button>
        <button type="button" onClick={() => zoom(1.5)} aria-label="Larger">
          +
        </button>
        <span className="quiet small">One scale; wheel and drag move all of them.</span>
      </p>
      <div className={css.panes} ref={row}>
        {panes.map((pane) => (
          <figure key={pane.place}>
            <div
              className={css.stand}
              onPointerMove={drag}
              style={{ cursor: view.scale > 1 ? 'grab' : undefined }}
            >
              {pane.hash ? (
                <img
                  src={`/api/v1/photos/${pane.hash}${view.scale < 2.5 ? '?width=720' : ''}`}
                  alt={`Photo of ${pane.label}`}
                  draggable={false}
                  style={styleOf(pane, view, perMm)}
                />
              ) : (
                <span style={{ background: pane.colour ?? 'var(--bare)', width: 90, height: 90 }} />
              )}
            </div>
            <figcaption>
              <Link href={`/pieces/${pane.label}`} className="figures">
                {pane.label}
              </Link>
              {pane.zones.length > 1 && (
                <select
                  aria-label={`Zone of ${pane.label}`}
                  value={pane.zoneId ?? ''}
                  onChange={(event) => choose(pane, event.target.value)}
                >
                  {pane.zones.map((zone) => (
                    <option key={zone.id} value={zone.id}>
                      {sayMessage(zone.words, units)}
                    </option>
                  ))}
                </select>
              )}
            </figcaption>
          </figure>
        ))}
      </div>
    </>
  );
}

/** Places a photo so that a millimetre is the same in all; the larger, the more its zone comes to the middle. */
function styleOf(
  { frame, width, height, heightMm, middle }: Pane,
  { scale, x, y }: View,
  perMm: number,
): React.CSSProperties {
  const tall = (frame.foot - frame.rim) * height;
  const px = (heightMm * perMm * scale) / tall;
  const centre = { x: (frame.left + frame.right) / 2, y: (frame.rim + frame.foot) / 2 };
  const zone = frame.foot - (frame.foot - frame.rim) * middle;
  const towards = Math.min(1, (scale - 1) / 2);
  const focus = centre.y + (zone - centre.y) * towards;
  return {
    width: width * px,
    height: height * px,
    left: `calc(50% - ${centre.x * width * px}px + ${x * perMm * scale}px)`,
    top: `calc(50% - ${focus * height * px}px + ${y * perMm * scale}px)`,
  };
}

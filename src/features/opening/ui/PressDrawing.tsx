'use client';
import { useEffect, useRef, useState, type PointerEvent } from 'react';
import { defectOf, formShape, type DefectId } from '@/core/vocabulary';
import type { OpeningPiece, OpeningZone } from '@/records/openings';
import { drawnPiece } from '@/ui/drawn';
import { drawnSides, halfOf, hitAt, Silhouette } from '@/ui/silhouette';
import { PRESS_MS, pressedFor } from '../model/draft';
import css from './opening.module.css';

interface Props {
  readonly piece: OpeningPiece;
  readonly lit: OpeningZone | null;
  /** The defect that a press marks. */
  readonly armed: DefectId | null;
  readonly size: number;
  readonly onZone: (zone: OpeningZone) => void;
  readonly onPress: (zone: OpeningZone, height: number, severity: 1 | 2 | 3) => void;
}

const GRADES = ['slight', 'plain', 'spoils it'] as const;

/** The drawing of a piece: a tap chooses a zone; with a defect in hand, a press puts it there, longer for worse. */
export function PressDrawing({ piece, lit, armed, size, onZone, onPress }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const down = useRef(0);
  const [spot, setSpot] = useState<{ x: number; y: number; grade: number } | null>(null);
  const held = spot !== null;
  useEffect(() => {
    if (!held) return;
    const rise = (grade: number) => setSpot((now) => now && { ...now, grade });
    const timers = [setTimeout(() => rise(1), PRESS_MS.plain), setTimeout(() => rise(2), PRESS_MS.spoils)];
    return () => timers.forEach(clearTimeout);
  }, [held]);
  const drawing = drawnPiece(piece);
  const zoneAt = (event: PointerEvent) => {
    const box = frame.current!.querySelector('svg')!.getBoundingClientRect();
    const sides = drawnSides(drawing.coats, formShape(piece.form));
    const point = { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height };
    const hit = hitAt(drawing, sides, piece.areas, point);
    const zone = piece.zones.find((one) => {
      // A whole area has one zone; where coats cut it the first stands for it, the others are in the list.
      if (hit.area !== null) return one.area === hit.area;
      const half = halfOf(one.side, sides);
      return (
        (half === 'whole' || half === hit.half) && !one.area && one.from <= hit.height && one.to >= hit.height
      );
    });
    return { zone, height: hit.area === null ? hit.height : 0.5 };
  };
  return (
    <div
      ref={frame}
      className={css.press}
      data-armed={armed !== null || undefined}
      onPointerDown={(event) => {
        if (!armed) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        down.current = event.timeStamp;
        const box = frame.current!.getBoundingClientRect();
        setSpot({ x: event.clientX - box.left, y: event.clientY - box.top, grade: 0 });
      }}
      onPointerUp={(event) => {
        const { zone, height } = zoneAt(event);
        setSpot(null);
        if (!zone) return;
        if (armed) onPress(zone, height, pressedFor(event.timeStamp - down.current));
        else onZone(zone);
      }}
      onPointerCancel={() => setSpot(null)}
      onContextMenu={(event) => event.preventDefault()}
    >
      <Silhouette {...drawing} size={size} lit={lit} />
      {spot && (
        <span className={css.ring} data-grade={spot.grade} style={{ left: spot.x, top: spot.y }}>
          {GRADES[spot.grade]}
        </span>
      )}
      {armed && (
        <p className={css.armed} role="status">
          {defectOf(armed)!.name}: press where it shows, longer is worse.
        </p>
      )}
    </div>
  );
}

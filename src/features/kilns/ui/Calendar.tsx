'use client';
import { heatName } from '@/core/vocabulary';
import type { DateTime } from 'luxon';
import Link from 'next/link';
import { useRef, useState, type CSSProperties, type KeyboardEvent, type PointerEvent } from 'react';
import { clashesOf, slotAt, type StudioHours } from '@/core/firing';
import { dayOf, studioTime, wordsOf } from '@/core/time';
import type { Kiln, Booked } from '@/records/firings';
import { aboutTime } from '../model/aboutTime';
import css from './queue.module.css';

const DAYS = 12;
const SNAP = 30;

interface Props {
  readonly kilns: readonly Kiln[];
  readonly booked: readonly Booked[];
  readonly hours: StudioHours;
  readonly now: Date;
  readonly mayMove: boolean;
  readonly onMove: (booked: Booked, start: Date) => void;
}

/** The coming days of every kiln: firing, cooling, and when it can be opened; a planned firing is dragged to another time. */
export function Calendar({ kilns, booked, hours, now, mayMove, onMove }: Props) {
  const first = studioTime(now).startOf('day').minus({ days: 1 });
  const days = Array.from({ length: DAYS }, (_, i) => first.plus({ days: i }));
  const long = first.plus({ days: DAYS }).diff(first).toMillis();
  const share = (at: Date | DateTime) =>
    Math.min(1, Math.max(0, (at.valueOf() - first.valueOf()) / long)) * 100;
  return (
    <div className={css.calendar} role="group" aria-label="Calendar">
      <div className={css.days}>
        {days.map((day) => (
          <span key={day.valueOf()} data-today={dayOf(day) === dayOf(now) || undefined}>
            {wordsOf(day, 'column')}
          </span>
        ))}
      </div>
      {kilns.map((kiln) => (
        <div key={kiln.id} className={css.lane}>
          <b className={css.laneName}>{kiln.name}</b>
          <div className={css.track}>
            {days.map((day) => {
              const open = hours.days[day.weekday % 7];
              const [left, right] = open
                ? [at(day, open.opens), at(day, open.closes)].map(share)
                : [share(day), share(day)];
              return (
                <span
                  key={day.valueOf()}
                  className={css.open}
                  style={{ left: `${left}%`, width: `${right! - left!}%` }}
                />
              );
            })}
            {days.map((day) => (
              <span
                key={`line ${day.valueOf()}`}
                className={css.midnight}
                style={{ left: `${share(day)}%` }}
              />
            ))}
            <span className={css.now} style={{ left: `${share(now)}%` }} />
            {booked
              .filter(({ firing }) => firing.kilnId === kiln.id)
              .map((one) => (
                <Bar key={one.firing.id} {...{ one, hours, share, onMove }} mayMove={mayMove} />
              ))}
          </div>
        </div>
      ))}
      <p className={`small quiet ${css.key}`}>
        <span className={css.keyFire} /> fires <span className={css.keyCool} /> cools{' '}
        <span className={css.keyOpen} /> can be opened; pale while somebody is in. Drag a firing that is not
        lit, or move it with the arrow keys.
      </p>
    </div>
  );
}

function at(day: DateTime, time: string): DateTime {
  const [hour, minute] = time.split(':').map(Number);
  return day.set({ hour: hour!, minute: minute! });
}

interface BarProps {
  readonly one: Booked;
  readonly hours: StudioHours;
  readonly share: (at: Date) => number;
  readonly mayMove: boolean;
  readonly onMove: (booked: Booked, start: Date) => void;
}

/** Days keep the time of day, also over a change of clocks. */
function later(start: Date, minutes: number): Date {
  const [days, rest] = [Math.trunc(minutes / 1440), minutes % 1440];
  return studioTime(start).plus({ days, minutes: rest }).toJSDate();
}

const KEYS: Readonly<Record<string, number>> = {
  ArrowLeft: -SNAP,
  ArrowRight: SNAP,
  PageUp: -1440,
  PageDown: 1440,
};

function Bar({ one, hours, share, mayMove, onMove }: BarProps) {
  const box = useRef<HTMLAnchorElement>(null);
  const dragged = useRef(false);
  const [held, setHeld] = useState<number | null>(null);
  const [moved, setMoved] = useState(0);
  const { firing, need } = one;
  const free = mayMove && firing.state === 'loading';
  const slot = moved ? slotAt(hours, later(one.start, moved), need) : one;
  const clashes = free ? clashesOf(hours, slot.start, need) : [];
  const late = one.dueOn !== null && dayOf(slot.opens) > one.dueOn;
  const drag = (event: PointerEvent) => {
    if (held === null) return;
    const wide = box.current!.parentElement!.getBoundingClientRect().width;
    const minutes = ((event.clientX - held) / wide) * DAYS * 1440;
    const moves = Math.round(minutes / SNAP) * SNAP;
    dragged.current ||= moves !== 0;
    setMoved(moves);
  };
  const drop = () => {
    setHeld(null);
    if (moved) onMove(one, slot.start);
    setMoved(0);
  };
  const key = (event: KeyboardEvent) => {
    const step = KEYS[event.key];
    if (!step || !free) return;
    event.preventDefault();
    onMove(one, later(one.start, step));
  };
  const words = `${firing.kilnName} ${firing.number}, ${heatName(firing.cone)}, ${firing.state}: starts ${aboutTime(slot.start)}, ends ${aboutTime(slot.end)}, opens ${aboutTime(slot.opens)}${late ? ', after a piece in it is needed' : ''}${clashes.length ? `; ${clashes.join(', ')}` : ''}`;
  const style = {
    left: `${share(slot.start)}%`,
    width: `${share(slot.opens) - share(slot.start)}%`,
  } as CSSProperties;
  const burning =
    ((slot.end.getTime() - slot.start.getTime()) / (slot.opens.getTime() - slot.start.getTime())) * 100;
  return (
    <Link
      ref={box}
      className={css.bar}
      style={style}
      href={`/firings/${firing.id}`}
      title={words}
      aria-label={words}
      draggable={false}
      data-clash={clashes.length > 0 || undefined}
      data-late={late || undefined}
      data-free={free || undefined}
      onKeyDown={key}
      onClick={(event) => {
        // What was dragged is not followed.
        if (dragged.current) event.preventDefault();
        dragged.current = false;
      }}
      onPointerDown={(event) => {
        dragged.current = false;
        if (!free) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setHeld(event.clientX);
      }}
      onPointerMove={drag}
      onPointerUp={drop}
      onPointerCancel={() => {
        setHeld(null);
        setMoved(0);
      }}
    >
      <span className={css.fire} style={{ width: `${burning}%` }} />
      <span className={css.cool} />
      <span className={css.barName}>
        {firing.number}, {heatName(firing.cone)}
      </span>
      <span className={css.barOpens}>opens {aboutTime(slot.opens)}</span>
    </Link>
  );
}

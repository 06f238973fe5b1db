'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { readBook } from '@/core/firing';
import { studioTime } from '@/core/time';
import { celsius, counted } from '@/core/units';
import type { Firing } from '@/records/firings';
import { hours } from '@/features/shared/clock';
import { Acts, FormErrors, ToggleRow } from '@/ui/kit';
import { QuantityText, useUnits } from '@/ui/units';
import { useUndo } from '@/ui/Undo';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { saveBook, setEventsEnded } from '../actions';
import css from './log.module.css';

interface Props {
  readonly firing: Pick<Firing, 'id' | 'startedAt'>;
  readonly onDone: () => void;
}

/** What is typed from the book; how its times are written is said, not guessed. */
interface Book {
  readonly text: string;
  readonly times: 'from the start' | 'of the clock' | null;
}

/** Lines that could not be read are named, so many. */
const SHOWN = 6;

/** Readings as they stand in a firing book, typed or pasted as a block of lines. */
export function FiringBookForm({ firing, onDone }: Props) {
  const [isOpen, setIsOpen] = useState(false);
  const [{ text, times }, setBook, , drop] = usePersistedState<Book>(`jiten.book.${firing.id}`, {
    ...{ text: '', times: null },
  });
  const { temperature: unit } = useUnits();
  const { run, isBusy, errors } = useMutation();
  const [idOf, kept] = useIdempotentId();
  const { offer, bar } = useUndo();
  const start = firing.startedAt === null ? null : studioTime(firing.startedAt);
  const startMinute = start && start.hour * 60 + start.minute;
  const read = readBook(text, { unit, isClock: times === 'of the clock', startMinute });
  const save = async () => {
    const lines = read.lines.map((line) => ({ ...line, id: idOf([line.line, line.minutes, line.celsius]) }));
    const sent = lines.map(({ id, minutes, celsius, note }) => ({ id, minutes, celsius, note }));
    if ((await run(() => saveBook({ firingId: firing.id, lines: sent }))) === undefined) return;
    for (const { line, minutes, celsius } of lines) kept([line, minutes, celsius]);
    offer(`${counted(lines.length, 'reading')} written down`, () => {
      void run(() => setEventsEnded({ ids: lines.map(({ id }) => id), ended: true })).then(() => {
        setBook({ text, times });
        onDone();
      });
    });
    // What could not be read stays to be put right.
    const left = text.split('\n').filter((_, i) => read.errors.some(({ line }) => line === i + 1));
    setBook({ text: left.join('\n'), times });
    if (left.length === 0) {
      drop();
      setIsOpen(false);
    }
    onDone();
  };
  return (
    <section aria-label="Firing book">
      {!isOpen && !text && <Button onClick={() => setIsOpen(true)}>Lines from a firing book</Button>}
      {(isOpen || text) && (
        <div className={css.book}>
          <ToggleRow<NonNullable<Book['times']> | ''>
            label="Times are"
            size="small"
            value={times ?? ''}
            onChange={(next) => setBook({ text, times: next || null })}
            options={[
              ['of the clock', 'Times of the clock'],
              ['from the start', 'Hours from the start'],
            ]}
          />
          <TextField
            label={`Time and ${unit}, a line each`}
            placeholder={'18:00 20\n19:30 110 lid closed'}
            multiline
            minRows={4}
            value={text}
            onChange={(event) => setBook({ text: event.target.value, times })}
          />
          {times !== null && text.trim() !== '' && (
            <div role="status">
              {read.errors.length > 0 && (
                <ul className="small">
                  {read.errors.slice(0, SHOWN).map(({ line, message }) => (
                    <li key={line}>
                      line {line}: {message}.
                    </li>
                  ))}
                  {read.errors.length > SHOWN && <li>and {read.errors.length - SHOWN} more.</li>}
                </ul>
              )}
              {read.lines.length > 0 && (
                <p className="small">
                  {counted(read.lines.length, 'reading')}, from {hours(read.lines[0]!.minutes)} h,{' '}
                  <QuantityText of={celsius(read.lines[0]!.celsius)} />, to{' '}
                  {hours(read.lines.at(-1)!.minutes)} h,{' '}
                  <QuantityText of={celsius(read.lines.at(-1)!.celsius)} />
                </p>
              )}
            </div>
          )}
          <FormErrors errors={errors} />
          <Acts>
            <Button
              variant="contained"
              disabled={isBusy || times === null || read.lines.length === 0}
              onClick={() => void save()}
            >
              Write down
              {read.lines.length > 0 && times !== null && ` ${counted(read.lines.length, 'reading')}`}
            </Button>
            <Button
              variant="text"
              onClick={() => {
                setBook({ text: '', times: null });
                drop();
                setIsOpen(false);
              }}
            >
              {text ? 'Discard' : 'Cancel'}
            </Button>
          </Acts>
        </div>
      )}
      {bar}
    </section>
  );
}

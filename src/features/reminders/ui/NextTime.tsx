'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { shortDay } from '@/core/time';
import type { ReminderAbout } from '@/core/vocabulary';
import type { About, Reminder } from '@/records/reminders';
import { FormErrors, WordField } from '@/ui/kit';
import { useUndo } from '@/ui/Undo';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { addReminder, tickReminder } from '../actions';
import css from './reminders.module.css';

interface Props {
  /** Those that are not ticked off. */
  readonly reminders: readonly Reminder[];
  /** What a new one is about; without it none is written here. */
  readonly about?: About;
  /** Whether it is told what each is about: on a page of one thing that goes without saying. */
  readonly isNamed?: boolean;
  readonly mayWrite: boolean;
}

/** Notes for the next time: they come up where what they are about is used, until they are ticked off. */
export function NextTime({ reminders, about, isNamed = false, mayWrite }: Props) {
  const { run, isBusy, errors } = useMutation();
  const { offer, bar } = useUndo();
  const tick = async ({ id, words }: Reminder) => {
    if ((await run(() => tickReminder({ id, isDone: true }))) === undefined) return;
    offer(`“${words}” ticked off.`, () => void run(() => tickReminder({ id, isDone: false })));
  };
  if (reminders.length === 0 && !(about && mayWrite)) return bar;
  return (
    <section className={css.next} aria-label="Next time" data-some={reminders.length > 0 || undefined}>
      <ul>
        {reminders.map((one) => (
          <li key={one.id}>
            <label>
              <input
                type="checkbox"
                checked={false}
                disabled={isBusy || !mayWrite}
                onChange={() => void tick(one)}
              />
              <span>
                {isNamed && <b>{one.thing}: </b>}
                {one.words}
                <span className="quiet small">
                  {' '}
                  {one.by}, {shortDay(one.at)}
                </span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      <FormErrors errors={errors} />
      {about && mayWrite && <Add about={about} />}
      {bar}
    </section>
  );
}

/** Where it is no next time that a note is for. */
const LABELS: Partial<Record<ReminderAbout, string>> = {
  batch: 'Note on this bucket',
  firing: 'Note for this firing',
};

function Add({ about }: { readonly about: About }) {
  const [words, setWords, , drop] = usePersistedState(`jiten.next.${about.about}.${about.aboutId}`, '');
  const [isOpen, setIsOpen] = useState(false);
  const [idOf, wasKept] = useIdempotentId();
  const { run, isBusy, errors } = useMutation();
  const save = async () => {
    const said = { ...about, words: words.trim() };
    if (!said.words || (await run(() => addReminder({ id: idOf(said), ...said }))) === undefined) return;
    wasKept(said);
    drop();
    setIsOpen(false);
  };
  const label = LABELS[about.about] ?? 'Note for the next time';
  if (!isOpen && words === '')
    return (
      <Button size="small" onClick={() => setIsOpen(true)}>
        {label}
      </Button>
    );
  return (
    <div className={css.add}>
      <WordField
        label={label}
        value={words}
        onChange={setWords}
        autoFocus={isOpen}
        error={errors[0]?.message}
        onKeyDown={(event) => event.key === 'Enter' && void save()}
      />
      <Button variant="contained" disabled={isBusy || !words.trim()} onClick={() => void save()}>
        Keep note
      </Button>
      <Button
        variant="text"
        onClick={() => {
          drop();
          setIsOpen(false);
        }}
      >
        Cancel
      </Button>
    </div>
  );
}

'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { StudioHours } from '@/core/firing';
import { FormErrors } from '@/ui/FormErrors';
import { useMutation } from '@/ui/useMutation';
import { saveHours } from '../actions';
import css from './queue.module.css';

const NAMES = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
const WEEK = [1, 2, 3, 4, 5, 6, 0];

/** When somebody is in the studio, and when no flame burns. */
export function HoursForm({
  hours,
  version,
  onSaved,
}: {
  hours: StudioHours;
  version: number;
  onSaved: () => void;
}) {
  const [draft, setDraft] = useState(hours);
  const { run, isBusy, errors } = useMutation();
  const setDay = (day: number, value: StudioHours['days'][number]) =>
    setDraft({ ...draft, days: draft.days.map((one, i) => (i === day ? value : one)) });
  const save = async () => {
    if ((await run(() => saveHours({ hours: draft, version }))) === null) onSaved();
  };
  return (
    <form
      aria-label="Studio hours"
      className={css.hours}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      {WEEK.map((day) => {
        const open = draft.days[day]!;
        return (
          <fieldset key={day} className={css.day}>
            <label>
              <input
                type="checkbox"
                checked={open !== null}
                onChange={(event) =>
                  setDay(day, event.target.checked ? { opens: '09:00', closes: '21:00' } : null)
                }
              />{' '}
              {NAMES[day]}
            </label>
            {open ? (
              <>
                <input
                  type="time"
                  aria-label={`${NAMES[day]} opens`}
                  value={open.opens}
                  onChange={(event) => setDay(day, { ...open, opens: event.target.value })}
                />
                <input
                  type="time"
                  aria-label={`${NAMES[day]} closes`}
                  value={open.closes}
                  onChange={(event) => setDay(day, { ...open, closes: event.target.value })}
                />
              </>
            ) : (
              <span className="quiet">closed</span>
            )}
          </fieldset>
        );
      })}
      <fieldset className={css.day}>
        <label>
          <input
            type="checkbox"
            checked={draft.quiet !== null}
            onChange={(event) =>
              setDraft({ ...draft, quiet: event.target.checked ? { from: '22:00', to: '07:00' } : null })
            }
          />{' '}
          No flame in the quiet hours
        </label>
        {draft.quiet && (
          <>
            <input
              type="time"
              aria-label="Quiet from"
              value={draft.quiet.from}
              onChange={(event) =>
                setDraft({ ...draft, quiet: { ...draft.quiet!, from: event.target.value } })
              }
            />
            <input
              type="time"
              aria-label="Quiet to"
              value={draft.quiet.to}
              onChange={(event) => setDraft({ ...draft, quiet: { ...draft.quiet!, to: event.target.value } })}
            />
          </>
        )}
      </fieldset>
      <FormErrors errors={errors} />
      <Button type="submit" variant="contained" disabled={isBusy}>
        Save the hours
      </Button>
    </form>
  );
}

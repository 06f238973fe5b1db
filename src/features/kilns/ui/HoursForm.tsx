'use client';
import { useWatch } from 'react-hook-form';
import type { StudioHours } from '@/core/firing';
import { Form, useSavedForm } from '@/ui/kit';
import { saveHours } from '../actions';
import { studioHoursSchema } from '../schema';
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
  const form = useSavedForm<StudioHours, StudioHours, null>({
    schema: studioHoursSchema,
    values: hours,
    draft: { key: `jiten.hours.${version}` },
    under: 'hours',
    version,
    save: (typed, over) => saveHours({ hours: typed, version: over ?? version }),
    onSaved,
  });
  const { control } = form;
  const { setValue, register, formState } = form.form;
  const { days, quiet } = useWatch({ control }) as StudioHours;
  return (
    <Form of={form} label="Studio hours" className={css.hours} button="Save the hours">
      {WEEK.map((day) => (
        <fieldset key={day} className={css.day}>
          <label>
            <input
              type="checkbox"
              checked={days[day] !== null}
              onChange={(event) =>
                setValue(`days.${day}`, event.target.checked ? { opens: '09:00', closes: '21:00' } : null)
              }
            />{' '}
            {NAMES[day]}
          </label>
          {days[day] ? (
            <>
              <input
                type="time"
                aria-label={`${NAMES[day]} opens`}
                aria-invalid={Boolean(formState.errors.days?.[day])}
                {...register(`days.${day}.opens`)}
              />
              <input
                type="time"
                aria-label={`${NAMES[day]} closes`}
                aria-invalid={Boolean(formState.errors.days?.[day])}
                {...register(`days.${day}.closes`)}
              />
              <span role="alert" className="heat small">
                {dayError(formState.errors.days?.[day])}
              </span>
            </>
          ) : (
            <span className="quiet">closed</span>
          )}
        </fieldset>
      ))}
      <fieldset className={css.day}>
        <label>
          <input
            type="checkbox"
            checked={quiet !== null}
            onChange={(event) =>
              setValue('quiet', event.target.checked ? { from: '22:00', to: '07:00' } : null)
            }
          />{' '}
          No flame in the quiet hours
        </label>
        {quiet && (
          <>
            <input type="time" aria-label="Quiet from" {...register('quiet.from')} />
            <input type="time" aria-label="Quiet to" {...register('quiet.to')} />
            <span role="alert" className="heat small">
              {formState.errors.quiet?.from?.message ?? formState.errors.quiet?.to?.message}
            </span>
          </>
        )}
      </fieldset>
    </Form>
  );
}

/** What is wrong with a day: with the whole, or with one of its hours. */
function dayError(
  error:
    | {
        readonly message?: string;
        readonly root?: { readonly message?: string };
        readonly opens?: { readonly message?: string };
        readonly closes?: { readonly message?: string };
      }
    | undefined,
): string | undefined {
  return error?.opens?.message ?? error?.closes?.message ?? error?.root?.message ?? error?.message;
}

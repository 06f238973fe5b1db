'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { studioTime, wordsOf } from '@/core/time';
import type { Firing } from '@/records/firings';
import { Acts, FormErrors, WordField } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { sayLit } from '../actions';
import { isLate, lastTimeOf } from '../model/lit';

interface Props {
  readonly firing: Firing;
  readonly hasController: boolean;
  /** Whether its controller can run the programme. */
  readonly mayRun: boolean;
  readonly isEmpty: boolean;
  readonly isBusy: boolean;
  /** Starts it; lit at a moment that was before now, or null for now. */
  readonly onStart: (by: 'controller' | 'hand', at: string | null) => void;
}

/** Starts a firing, also one that was lit before anybody said so. */
export function StartButtons({ firing, hasController, mayRun, isEmpty, isBusy, onStart }: Props) {
  const [isEarlier, setIsEarlier] = useState(false);
  const [now] = useState(() => new Date());
  return (
    <>
      {isEmpty && <p className="small quiet">Nothing numbered is in it yet: class work only?</p>}
      {isLate(firing, now) && (
        <p className="small heat">
          Planned for {firing.startsAt} on {wordsOf(studioTime(firing.plannedOn), 'long')}, and nobody has
          started it here.
        </p>
      )}
      {mayRun && (
        <Button variant="contained" disabled={isBusy} onClick={() => onStart('controller', null)} fullWidth>
          Start by controller
        </Button>
      )}
      <Button
        variant={mayRun ? 'outlined' : 'contained'}
        disabled={isBusy}
        onClick={() => onStart('hand', null)}
        fullWidth
      >
        {hasController ? 'Started by hand' : 'Start the firing'}
      </Button>
      {isEarlier ? (
        <TimeOfDay
          first={isLate(firing, now) ? firing.startsAt : ''}
          button="It was lit then"
          isBusy={isBusy}
          onTime={(at) => onStart('hand', at)}
          onCancel={() => setIsEarlier(false)}
        />
      ) : (
        <Button variant="text" onClick={() => setIsEarlier(true)} fullWidth>
          It was lit earlier
        </Button>
      )}
    </>
  );
}

/** When a firing was lit that nobody’s controller knows of, with the way to put it right. */
export function LitAt({ firing }: { readonly firing: Firing }) {
  const [isOpen, setIsOpen] = useState(false);
  const { run, isBusy, errors } = useMutation();
  const lit = studioTime(firing.startedAt!);
  const say = async (at: string) => {
    if ((await run(() => sayLit({ firingId: firing.id, at }))) !== undefined) setIsOpen(false);
  };
  return (
    <>
      <p className="small">
        Lit {wordsOf(lit, 'long', 'time')}.{' '}
        {!isOpen && (
          <Button size="small" variant="text" onClick={() => setIsOpen(true)}>
            Not so?
          </Button>
        )}
      </p>
      {isOpen && (
        <TimeOfDay
          first=""
          button="It was lit then"
          isBusy={isBusy}
          onTime={(at) => void say(at)}
          onCancel={() => setIsOpen(false)}
        />
      )}
      <FormErrors errors={errors} />
    </>
  );
}

interface TimeProps {
  readonly first: string;
  readonly button: string;
  readonly isBusy: boolean;
  readonly onTime: (at: string) => void;
  readonly onCancel: () => void;
}

/** A time of day that has passed: the last time the clock showed it. */
function TimeOfDay({ first, button, isBusy, onTime, onCancel }: TimeProps) {
  const [time, setTime] = useState(first);
  const at = lastTimeOf(time, new Date());
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (at) onTime(at.toISO()!);
      }}
    >
      <WordField
        label="Lit at"
        type="time"
        value={time}
        onChange={setTime}
        autoFocus
        hint={at ? wordsOf(at, 'long', 'time') : 'The time of day on the studio’s clock.'}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <Acts>
        <Button type="submit" variant="contained" disabled={isBusy || !at}>
          {button}
        </Button>
        <Button variant="text" onClick={onCancel}>
          Cancel
        </Button>
      </Acts>
    </form>
  );
}

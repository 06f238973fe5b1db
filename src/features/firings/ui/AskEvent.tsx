'use client';
import Button from '@mui/material/Button';
import { eventDetails, REDUCTIONS, RINGS, type EventKind, type FiringEvent } from '@/core/vocabulary';
import { parseHours } from '@/features/shared/clock';
import { NumberField, QuantityField, WordField } from '@/ui/kit';
import css from './log.module.css';

/** What was typed of an event and is not logged yet. */
export interface Typed {
  /** °C, or percent open. */
  readonly value: number | null;
  /** Hours from the start as typed; empty for now. */
  readonly when: string;
  readonly note: string;
}

interface Props {
  readonly asking: EventKind;
  readonly asks: NonNullable<FiringEvent['asks']>;
  readonly isBusy: boolean;
  readonly typed: Typed;
  readonly onType: (part: Partial<Typed>) => void;
  /** Logs it with what was typed, or with the word that was chosen. */
  readonly onLog: (chosen?: string) => void;
}

/** What an event of a firing asks for before it is logged, and when it was. */
export function AskEvent(props: Props) {
  const { asks, isBusy, typed, onType, onLog } = props;
  const isNoTime = Number.isNaN(parseHours(typed.when));
  const isMissing = asks === 'words' ? !typed.note.trim() : asks !== 'details' && typed.value === null;
  return (
    <form
      className={css.ask}
      onSubmit={(event) => {
        event.preventDefault();
        if (!isBusy && !isNoTime && !isMissing) onLog();
      }}
    >
      <WhatIsAsked {...props} />
      <WordField
        label="At, hours from the start"
        value={typed.when}
        onChange={(when) => onType({ when })}
        hint="Leave empty for now."
        error={isNoTime ? 'Such as 7:30 or 7.5.' : undefined}
      />
      {asks !== 'heaviness' && asks !== 'ring' && (
        <Button type="submit" variant="contained" disabled={isBusy || isNoTime || isMissing}>
          Log
        </Button>
      )}
    </form>
  );
}

function WhatIsAsked({ asking, asks, isBusy, typed: { value, note }, onType, onLog }: Props) {
  const words = (list: readonly string[]) => (
    <div className={css.keys}>
      {list.map((word) => (
        <button key={word} type="button" disabled={isBusy} onClick={() => onLog(word)}>
          {word}
        </button>
      ))}
    </div>
  );
  switch (asks) {
    case 'heaviness':
    case 'ring':
      return words(asks === 'ring' ? RINGS : REDUCTIONS);
    case 'details':
      return (
        <>
          {words(eventDetails(asking))}
          <WordField
            label={asking === 'lid propped' ? 'Or how far' : 'Or which one'}
            value={note}
            onChange={(next) => onType({ note: next })}
          />
        </>
      );
    case 'words':
      return <WordField label="Note" value={note} onChange={(next) => onType({ note: next })} autoFocus />;
    case 'degrees':
      return (
        <QuantityField
          dimension="temperature"
          label="Temperature"
          value={value}
          onChange={(next) => onType({ value: next })}
          autoFocus
        />
      );
    case 'percent':
      return (
        <NumberField
          label={`${asking}, % open`}
          value={value}
          onChange={(next) => onType({ value: next })}
          autoFocus
        />
      );
  }
}

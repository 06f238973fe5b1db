'use client';
import Button from '@mui/material/Button';
import { REDUCTIONS, RINGS, type EventKind, type FiringEvent, type Ring } from '@/core/vocabulary';
import { parseHours } from '@/features/shared/clock';
import { NumberField, QuantityField, WordField } from '@/ui/kit';
import css from './log.module.css';

interface Props {
  readonly asking: EventKind;
  readonly asks: NonNullable<FiringEvent['asks']>;
  readonly byHand: boolean;
  readonly isBusy: boolean;
  /** °C, or percent open. */
  readonly value: number | null;
  readonly setValue: (value: number | null) => void;
  /** Hours from the start as typed; empty for now. */
  readonly when: string;
  readonly setWhen: (when: string) => void;
  readonly note: string;
  readonly setNote: (note: string) => void;
  readonly onLog: (heaviness?: Ring) => void;
}

/** What an event of a firing asks for before it is logged, and when it was. */
export function AskEvent(props: Props) {
  const { asks, isBusy, value, when, note, onLog } = props;
  const isNoTime = Number.isNaN(parseHours(when));
  const isMissing = asks === 'words' ? !note.trim() : value === null;
  return (
    <form
      className={css.ask}
      onSubmit={(event) => {
        event.preventDefault();
        onLog();
      }}
    >
      <WhatIsAsked {...props} />
      <WordField
        label="At, hours from the start"
        value={when}
        onChange={props.setWhen}
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

function WhatIsAsked({ asking, asks, byHand, isBusy, value, setValue, note, setNote, onLog }: Props) {
  switch (asks) {
    case 'heaviness':
    case 'ring':
      return (
        <div className={css.keys}>
          {(asks === 'ring' ? RINGS : REDUCTIONS).map((heaviness) => (
            <button key={heaviness} type="button" disabled={isBusy} onClick={() => onLog(heaviness)}>
              {heaviness}
            </button>
          ))}
        </div>
      );
    case 'words':
      return <WordField label="Note" value={note} onChange={setNote} autoFocus />;
    case 'degrees':
      return (
        <QuantityField
          dimension="temperature"
          label="Temperature"
          value={value}
          onChange={setValue}
          autoFocus={!byHand}
        />
      );
    case 'percent':
      return (
        <NumberField label={`${asking}, % open`} value={value} onChange={setValue} autoFocus={!byHand} />
      );
  }
}

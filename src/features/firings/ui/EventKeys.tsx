'use client';
import { useState } from 'react';
import { usePageKey } from '@/ui/usePageKey';
import { type EventKind, type Ring, type FiringEvent, FIRING_EVENTS, eventAsks } from '@/core/vocabulary';
import { celsius } from '@/core/units';
import type { StoredEvent } from '@/records/firings';
import { FormErrors } from '@/ui/kit';
import { QuantityText } from '@/ui/units';
import { useUndo } from '@/ui/Undo';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { saveEvent, setEventEnded } from '../actions';
import { hours, parseHours } from '@/features/shared/clock';
import { AskEvent } from './AskEvent';
import css from './log.module.css';

interface Props {
  readonly firingId: string;
  /** Kiln minutes now, as an event would be stamped. */
  readonly now: () => number;
  readonly events: readonly StoredEvent[];
  readonly gas: boolean;
  readonly byHand: boolean;
  readonly onDone: () => void;
}

/** After so long without a hand reading, a kiln without a controller wants one. */
const EVERY = 60;

/** Everything that is written down while a kiln fires, a tap each, and what was written so far. */
export function EventKeys({ firingId, now, events, gas, byHand, onDone }: Props) {
  const { run, isBusy, errors } = useMutation();
  const [idOf, kept] = useIdempotentId();
  const { offer, bar } = useUndo();
  const [asking, setAsking] = useState<EventKind | null>(byHand ? 'hand reading' : null);
  const [value, setValue] = useState<number | null>(null);
  const [when, setWhen] = useState('');
  const [note, setNote, , dropNote] = usePersistedState(`jiten.note.${firingId}`, '');
  const offered: readonly (FiringEvent & { readonly kind: EventKind })[] = FIRING_EVENTS;
  const kinds = offered.filter(({ isGasOnly }) => gas || !isGasOnly);
  const asks = asking && eventAsks(asking);
  const lastHand = events.findLast(({ kind }) => kind === 'hand reading');
  const due = byHand && now() - (lastHand?.minutes ?? 0) >= EVERY;
  const put = async (kind: EventKind, heaviness?: Ring) => {
    const wants = eventAsks(kind);
    const said = {
      kind,
      value: wants === 'degrees' || wants === 'percent' ? value : null,
      note: heaviness ?? (wants === 'words' ? note : ''),
    };
    // The same tap ten minutes later is another event.
    const key = [said, when, Math.floor(now() / 10)];
    const event = { ...said, id: idOf(key), firingId, minutes: parseHours(when) ?? now() };
    if ((await run(() => saveEvent(event))) === undefined) return;
    kept(key);
    setValue(null);
    setWhen('');
    if (wants === 'words') {
      dropNote();
      setNote('');
    }
    if (!byHand) setAsking(null);
    onDone();
  };
  const tap = (kind: EventKind) =>
    eventAsks(kind) ? setAsking(asking === kind ? null : kind) : void put(kind);
  usePageKey(
    kinds.map(({ key }) => key),
    ({ key: pressed }) => {
      const event = kinds.find(({ key }) => key === pressed);
      if (event && !isBusy) tap(event.kind);
    },
  );
  const remove = async (event: StoredEvent) => {
    await run(() => setEventEnded({ id: event.id, ended: true }));
    offer(
      `${event.kind} deleted`,
      () => void run(() => setEventEnded({ id: event.id, ended: false })).then(onDone),
    );
    onDone();
  };
  return (
    <section aria-label="Log">
      <div className={css.keys}>
        {kinds.map(({ kind, key }) => (
          <button
            key={kind}
            type="button"
            aria-pressed={asking === kind}
            disabled={isBusy}
            onClick={() => tap(kind)}
            title={`${kind} (${key})`}
          >
            {kind}
          </button>
        ))}
      </div>
      {due && <p className={css.due}>Hourly reading due.</p>}
      {asking && asks && (
        <AskEvent
          {...{ asks, asking, byHand, isBusy, value, setValue, when, setWhen, note, setNote }}
          onLog={(heaviness) => void put(asking, heaviness)}
        />
      )}
      <FormErrors errors={errors} />
      <EventList events={events} onDelete={(event) => void remove(event)} />
      {bar}
    </section>
  );
}

/** What was logged so far, the newest first. */
function EventList({
  events,
  onDelete,
}: {
  events: readonly StoredEvent[];
  onDelete: (event: StoredEvent) => void;
}) {
  if (events.length === 0) return null;
  return (
    <ol className={css.events} reversed>
      {[...events].reverse().map((event) => (
        <li key={event.id}>
          <b className="figures">{hours(event.minutes)}</b>
          <span>
            {event.kind === 'note' ? event.note : event.kind}
            {event.kind !== 'note' && event.note && `, ${event.note}`}
            {event.value !== null && (
              <b>
                {' '}
                {event.kind === 'hand reading' ? (
                  <QuantityText of={celsius(event.value)} />
                ) : (
                  <span className="figures">{event.value} %</span>
                )}
              </b>
            )}
          </span>
          <span className="quiet">{event.by}</span>
          <button type="button" className={css.strike} onClick={() => onDelete(event)}>
            delete
          </button>
        </li>
      ))}
    </ol>
  );
}

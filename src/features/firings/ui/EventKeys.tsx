'use client';
import { useState } from 'react';
import { usePageKey } from '@/ui/usePageKey';
import { type EventKind, type FiringEvent, FIRING_EVENTS, eventAsks } from '@/core/vocabulary';
import { celsius } from '@/core/units';
import type { StoredEvent } from '@/records/firings';
import { FormErrors } from '@/ui/kit';
import { QuantityText } from '@/ui/units';
import { useUndo } from '@/ui/Undo';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { saveEvent, setEventsEnded } from '../actions';
import { hours, parseHours } from '@/features/shared/clock';
import { AskEvent, type Typed } from './AskEvent';
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

/** Nothing typed yet. */
const BLANK: Typed = { value: null, when: '', note: '' };

/** After so long without a hand reading, a kiln without a controller wants one. */
const EVERY = 60;

/** Everything that is written down while a kiln fires, a tap each, and what was written so far. */
export function EventKeys({ firingId, now, events, gas, byHand, onDone }: Props) {
  const { run, isBusy, errors } = useMutation();
  const [idOf, kept] = useIdempotentId();
  const { offer, bar } = useUndo();
  const [asking, setAsking] = useState<EventKind | null>(byHand ? 'hand reading' : null);
  const [typed, setTyped, , dropTyped] = usePersistedState<Readonly<Record<string, Typed>>>(
    `jiten.events.${firingId}`,
    {},
  );
  const offered: readonly (FiringEvent & { readonly kind: EventKind })[] = FIRING_EVENTS;
  const kinds = offered.filter(({ isGasOnly }) => gas || !isGasOnly);
  const asks = asking && eventAsks(asking);
  const lastHand = events.findLast(({ kind }) => kind === 'hand reading');
  const unlogged = kinds
    .map(({ kind }) => kind)
    .filter((kind) => kind !== asking && typed[kind] && typed[kind].value !== null);
  const due = byHand && now() - (lastHand?.minutes ?? 0) >= EVERY;
  const put = async (kind: EventKind, chosen?: string) => {
    const wants = eventAsks(kind);
    const { value, when, note } = typed[kind] ?? BLANK;
    const said = {
      kind,
      value: wants === 'degrees' || wants === 'percent' ? value : null,
      note: chosen ?? (wants === 'words' || wants === 'details' ? note : ''),
    };
    // The same tap ten minutes later is another event.
    const key = [said, when, Math.floor(now() / 10)];
    const event = { ...said, id: idOf(key), firingId, minutes: parseHours(when) ?? now() };
    if ((await run(() => saveEvent(event))) === undefined) return;
    kept(key);
    const { [kind]: _, ...others } = typed;
    setTyped(others);
    if (Object.keys(others).length === 0) dropTyped();
    // Reading follows reading; anything else is asked for when it happens.
    if (kind !== 'hand reading') setAsking(byHand ? 'hand reading' : null);
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
    await run(() => setEventsEnded({ ids: [event.id], ended: true }));
    offer(
      `${event.kind} deleted`,
      () => void run(() => setEventsEnded({ ids: [event.id], ended: false })).then(onDone),
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
          // Each kind of event has what was typed for it, and nothing of another.
          key={asking}
          {...{ asks, asking, isBusy }}
          typed={typed[asking] ?? BLANK}
          onType={(part) =>
            setTyped((before) => ({ ...before, [asking]: { ...(before[asking] ?? BLANK), ...part } }))
          }
          onLog={(chosen) => void put(asking, chosen)}
        />
      )}
      {unlogged.length > 0 && (
        <p className={css.due} role="status">
          Typed and not logged:{' '}
          {unlogged.map((kind) => (
            <button key={kind} type="button" className={css.strike} onClick={() => setAsking(kind)}>
              {kind}
            </button>
          ))}
        </p>
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

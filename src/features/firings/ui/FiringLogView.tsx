'use client';
import { celsius, figures } from '@/core/units';
import { isCone } from '@/core/vocabulary';
import { LogChart } from './LazyLogChart';
import { QuantityText, Said, useChooseUnits, useUnits } from '@/ui/units';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import { plannedAt, sayOffset } from '@/core/firing';
import type { Firing, Kiln, FiringLog, ShelfCone } from '@/records/firings';
import { hours } from '@/features/shared/clock';
import { CoolingWords } from './CoolingWords';
import { EventKeys } from './EventKeys';
import { FiringBookForm } from './FiringBookForm';
import { ImportLog } from './ImportLog';
import { WitnessPack } from './WitnessPack';
import css from './log.module.css';

interface Props {
  readonly firing: Firing;
  readonly kiln: Kiln;
  readonly log: FiringLog;
  readonly cones: readonly ShelfCone[];
  readonly rate: number;
  readonly mayWrite: boolean;
}

const EVERY = 2000;

/** What happens and happened in the kiln: where it stands, the curve, events, witness cones. */
export function FiringLogView({ firing, kiln, log: first, cones, rate, mayWrite }: Props) {
  const { log, silent, ask } = useLiveLog(firing, first);
  const { temperature } = useUnits();
  const chooseUnits = useChooseUnits();
  const other = temperature === '°C' ? '°F' : '°C';
  const live = log.sources.some((source) => source.live);
  const now = useCallback(() => {
    if (live || !firing.startedAt || firing.endedAt) return log.minutes;
    return Math.max(log.minutes, (Date.now() - new Date(firing.startedAt).getTime()) / 60_000);
  }, [live, firing, log.minutes]);
  const running = firing.state === 'firing' || firing.state === 'cooling';
  const over = firing.state !== 'firing';
  const fromMemory = isFromMemory(firing, log);
  return (
    <div className={css.log}>
      {fromMemory ? (
        <Result firing={firing} log={log} />
      ) : (
        <Standing {...{ firing, log, silent }} hasFlame={kiln.heat !== 'electric'} />
      )}
      <Button
        size="small"
        variant="text"
        onClick={() => chooseUnits({ temperature: other })}
        sx={{ justifySelf: 'end' }}
      >
        Show {other}
      </Button>
      {fromMemory ? (
        <p className="quiet">Written down afterwards: no log. A log file can be imported below.</p>
      ) : log.last || log.planned ? (
        <LogChart log={log} name={`${firing.kilnName} ${firing.number}`} />
      ) : (
        <p className="quiet">No curve yet. It starts with the first reading.</p>
      )}
      {running && mayWrite && (
        <EventKeys
          firingId={firing.id}
          now={now}
          events={log.events}
          gas={kiln.heat !== 'electric'}
          byHand={!live && log.sensors.length === 0}
          onDone={ask}
        />
      )}
      {over && isCone(firing.cone) && (
        <WitnessPack
          // A saved pack is a new start for what is turned.
          key={cones.map(({ cone, shelf, bend }) => `${shelf} ${cone} ${bend}`).join()}
          firingId={firing.id}
          target={firing.cone}
          shelves={kiln.shelves}
          reduction={firing.atmosphere === 'reduction'}
          rate={rate}
          saved={cones}
          mayWrite={mayWrite}
          onDone={ask}
        />
      )}
      {mayWrite && !live && <FiringBookForm firing={firing} onDone={ask} />}
      {over && mayWrite && !live && <ImportLog firingId={firing.id} onDone={ask} />}
    </div>
  );
}

/** Shorter than this from its start to its end, no kiln was fired: somebody wrote down what had been. */
const SHORTEST_MS = 10 * 60_000;

/** Whether a firing was written down after it had been: it has no log, and no length worth saying. */
function isFromMemory({ state, startedAt, endedAt }: Firing, log: FiringLog): boolean {
  if (log.last || state === 'loading' || state === 'firing') return false;
  if (!startedAt || !endedAt) return true;
  return new Date(endedAt).getTime() - new Date(startedAt).getTime() < SHORTEST_MS;
}

/** The log, asked for again while the kiln is hot; what is known stays when the server does not answer. */
function useLiveLog(firing: Firing, first: FiringLog) {
  const router = useRouter();
  const [fetched, setFetched] = useState<FiringLog | null>(null);
  const [silent, setSilent] = useState(false);
  const state = useRef(firing.state);
  useEffect(() => {
    state.current = firing.state;
  }, [firing.state]);
  const ask = useCallback(() => {
    void fetch(`/api/v1/firings/${firing.id}/log`)
      .then(async (answer) => {
        if (!answer.ok) throw new Error(String(answer.status));
        const heard = (await answer.json()) as { state: Firing['state']; log: FiringLog };
        setFetched(heard.log);
        setSilent(false);
        if (heard.state !== state.current) {
          state.current = heard.state;
          router.refresh();
        }
      })
      .catch(() => setSilent(true));
  }, [firing.id, router]);
  const hot = firing.state === 'firing' || firing.state === 'cooling';
  useEffect(() => {
    if (!hot) return;
    const timer = setInterval(ask, EVERY);
    return () => clearInterval(timer);
  }, [hot, ask]);
  return { log: fetched ?? first, silent, ask };
}

/** The answer first: how hot it is, how far along the cones, and what is wrong. */
interface StandingProps {
  readonly firing: Firing;
  readonly log: FiringLog;
  readonly silent: boolean;
  readonly hasFlame: boolean;
}

function Standing({ firing, log, silent, hasFlame }: StandingProps) {
  const lastLine = log.sensors[0]?.at(-1);
  const error = log.sources.find((source) => source.live && source.error)?.error;
  return (
    <div className={css.standing}>
      {firing.state === 'firing' || firing.state === 'cooling' ? (
        <p className={css.figure} role="status" aria-live="off">
          <b className="heat">{log.last ? <QuantityText of={celsius(log.last.celsius)} /> : 'no reading'}</b>
          {log.cone && (
            <span>
              cone <b>{log.cone}</b>
            </span>
          )}
          <span className="quiet">
            <span className="figures">{hours(log.minutes)}</span> h from the start
            {firing.state === 'firing' && typeof lastLine?.target === 'number' && (
              <>
                , programme asks <QuantityText of={celsius(lastLine.target)} />
              </>
            )}
            {firing.state === 'firing' && lastLine === undefined && log.planned && (
              <>
                , programme asks <QuantityText of={celsius(plannedAt(log.planned, log.minutes))} />
              </>
            )}
            {typeof lastLine?.oxygen === 'number' && (
              <>
                , probe <span className="figures">{Math.round(lastLine.oxygen)} mV</span>
              </>
            )}
          </span>
        </p>
      ) : (
        <Result firing={firing} log={log} />
      )}
      {firing.state === 'cooling' && <Result firing={firing} log={log} />}
      <CoolingWords log={log} />
      {log.alarms.map((alarm) => (
        <p key={alarm} role="alert" className={css.alarm}>
          {ALARMS[alarm][hasFlame ? 'flame' : 'electric']}
        </p>
      ))}
      {error && (
        <p role="alert" className={css.alarm}>
          {error} Readings continue when it answers; the gap is shown. Look at the kiln: it may still be
          heating.
        </p>
      )}
      {silent && (
        <p role="alert" className={css.alarm}>
          No network: this is the last that was known.
        </p>
      )}
    </div>
  );
}

/** What an alarm means, and what to do, at each kind of kiln. */
const ALARMS: Readonly<
  Record<FiringLog['alarms'][number], { readonly electric: string; readonly flame: string }>
> = {
  'sensor break': {
    electric: 'Sensor break: the thermocouple says nothing. Look at the kiln; switch it off if in doubt.',
    flame: 'Sensor break: the thermocouple says nothing. Look at the kiln; put the fire out if in doubt.',
  },
  'over target': {
    electric:
      'Over target: hotter than the programme asks. A relay may be stuck: switch off at the supply if it climbs on.',
    flame: 'Over target: hotter than the programme asks. Take the fire back; put it out if it climbs on.',
  },
  'over the kiln’s limit': {
    electric: 'Over this kiln’s limit. Switch off at the supply.',
    flame: 'Over this kiln’s limit. Put the fire out: gas off at the cock.',
  },
  'behind the programme': {
    electric: 'Behind the programme for a quarter of an hour: elements may be worn, or the climb too steep.',
    flame:
      'Behind the programme for a quarter of an hour: too little fuel or draught, or the climb too steep.',
  },
};

function Result({ firing, log }: { firing: Firing; log: FiringLog }) {
  if (!isCone(firing.cone)) {
    const { hottest } = log;
    return (
      <p className={css.result} data-testid="result">
        {hottest === null ? (
          'No temperature was read.'
        ) : (
          <>
            The hottest reading is <QuantityText of={celsius(hottest)} />.
          </>
        )}
      </p>
    );
  }
  const logged = firing.loggedCone ?? log.coneIndex;
  if (firing.achievedCone === null)
    return (
      <p className={css.result}>
        {log.cone
          ? `The log comes to cone ${log.cone}. Turn the witness cones below to what you see.`
          : 'Turn the witness cones below to what you see.'}
      </p>
    );
  return (
    <p className={css.result} data-testid="result">
      {logged === null ? (
        `The cones show ${sayReached(firing)}.`
      ) : (
        <Said of={sayOffset(logged, firing.achievedCone)} />
      )}
    </p>
  );
}

function sayReached({ achievedCone }: Firing): string {
  return `cone ${figures(achievedCone, 1)}`;
}

'use client';
import { capital } from '@/core/units';
import { heatName } from '@/core/vocabulary';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { WORTH_FIRING } from '@/core/firing';
import type { Booked, Proposal, Queue } from '@/records/firings';
import { Acts, FormErrors, PageHeader } from '@/ui/kit';
import { dayOf, shortDay, studioTime, wordsOf } from '@/core/time';
import { Flame } from '@/ui/Flame';
import { LinkButton } from '@/ui/LinkButton';
import { useMutation } from '@/ui/useMutation';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { saveFiringPlan } from '@/features/firings';
import { moveFiring, renewCalendarFeed } from '../actions';
import { Calendar } from './Calendar';
import { HoursForm } from './HoursForm';
import { aboutTime } from '../model/aboutTime';
import css from './queue.module.css';

/** The day and time of day that a firing starts at, as it is planned. */
function startOn(start: Date): { plannedOn: string; startsAt: string } {
  const time = studioTime(start);
  return { plannedOn: dayOf(time), startsAt: time.toFormat('HH:mm') };
}

interface Props extends Queue {
  readonly now: Date;
  readonly mayPlan: boolean;
  /** What of each order is still missing. */
  readonly orders: ReactNode;
}

/** Ready to load for which fire, what is planned, and what to fire next. */
export function QueueView({
  kilns,
  hours,
  hoursVersion,
  booked,
  proposals,
  bare,
  unsaid,
  now,
  mayPlan,
  orders,
}: Props) {
  const router = useRouter();
  const { run, isBusy, errors } = useMutation();
  const [idOf] = useIdempotentId();
  const [setting, setSetting] = useState(false);
  const move = ({ firing }: Booked, start: Date) => {
    void run(() =>
      moveFiring({
        firingId: firing.id,
        version: firing.version,
        ...startOn(start),
      }),
    );
  };
  const plan = async (load: Proposal) => {
    const kiln = kilns.find(({ id }) => id === load.kilnId)!;
    const firing = {
      id: idOf([load.cone, load.atmosphere]),
      kilnId: kiln.id,
      kind: 'glaze' as const,
      cone: load.cone,
      atmosphere: load.atmosphere,
      ...startOn(load.slot!.start),
      programmeId: null,
      segments: null,
      programme: '',
      remarks: '',
    };
    if ((await run(() => saveFiringPlan({ firing, version: null }))) === null)
      router.push(`/firings/${firing.id}`);
  };
  return (
    <>
      <PageHeader first="Queue">
        <h1>Queue and calendar</h1>
        <Acts>
          <LinkButton href="/kilns">Kilns</LinkButton>
          {mayPlan && <Button onClick={() => setSetting(!setting)}>Studio hours</Button>}
        </Acts>
      </PageHeader>
      {setting && <HoursForm hours={hours} version={hoursVersion} onSaved={() => setSetting(false)} />}
      <FormErrors errors={errors} />
      <Calendar {...{ kilns, booked, hours, now }} mayMove={mayPlan && !isBusy} onMove={move} />
      <section aria-label="Waiting" className={css.section}>
        <h2>Ready to load</h2>
        {proposals.length === 0 && <p className="quiet">No glazed piece is waiting for a kiln.</p>}
        <ul>
          {proposals.map((load) => (
            <Load
              key={`${load.cone} ${load.atmosphere}`}
              load={load}
              kiln={kilns.find(({ id }) => id === load.kilnId)?.name ?? null}
              isBusy={isBusy || !mayPlan}
              onPlan={() => void plan(load)}
            />
          ))}
        </ul>
        {unsaid.length > 0 && (
          <p className="quiet">
            <span className="figures">{unsaid.length}</span>{' '}
            {unsaid.length === 1 ? 'glazed piece has' : 'glazed pieces have'} no cone yet: no round, no
            earlier firing, and a glaze that was never fired here. Load {unsaid.length === 1 ? 'it' : 'them'}{' '}
            into the firing you choose.
          </p>
        )}
        {bare > 0 && (
          <p className="quiet">
            <span className="figures">{bare}</span> more are made and not glazed yet.
          </p>
        )}
      </section>
      {orders}
      <Feed mayRenew={mayPlan} />
    </>
  );
}

function Load({
  load,
  kiln,
  isBusy,
  onPlan,
}: {
  load: Proposal;
  kiln: string | null;
  isBusy: boolean;
  onPlan: () => void;
}) {
  const { pieces, cone, atmosphere, dueOn, firingId, filled, slot } = load;
  const opens = slot?.opens;
  const late = dueOn !== null && (!opens || dayOf(opens) > dueOn);
  const percent = Math.round(filled * 100);
  return (
    <li className={css.load} data-late={late || undefined}>
      <div>
        <b className={css.fireName}>
          {capital(heatName(cone))}, <Flame atmosphere={atmosphere} />
        </b>
        <p>
          <span className="figures">{pieces.length}</span> {pieces.length === 1 ? 'piece' : 'pieces'}
          {dueOn && <>, the first needed by {shortDay(dueOn)}</>}
        </p>
      </div>
      <div>
        <div className={css.fill} role="img" aria-label={`${percent} % of ${kiln ?? 'no kiln'}`}>
          <span style={{ width: `${Math.min(100, percent)}%` }} />
        </div>
        <p className="small">
          {kiln ? `${percent} % of ${kiln}` : 'No kiln here can fire this.'}
          {kiln && filled > 1 && `: ${Math.ceil(filled)} loads`}
          {kiln && !firingId && filled < WORTH_FIRING && ': wait for more, or fill it with class work'}
        </p>
      </div>
      <div>
        {slot && opens && (
          <p>
            {firingId ? 'Kiln' : 'Could be fired'}{' '}
            <b>{wordsOf(slot.start, 'shortWeekday', 'short', 'time')}</b>, opened about{' '}
            <b>{aboutTime(slot.opens)}</b>
          </p>
        )}
        {!slot && kiln && <p>No time for it in the next four weeks within the studio’s hours.</p>}
        {late && <p className="heat">Too late for {shortDay(dueOn)}.</p>}
      </div>
      <div className={css.loadAct}>
        {firingId ? (
          <LinkButton href={`/firings/${firingId}`}>Load it</LinkButton>
        ) : (
          slot && (
            <Button
              variant={filled >= WORTH_FIRING || late ? 'contained' : 'outlined'}
              disabled={isBusy}
              onClick={onPlan}
            >
              Plan it
            </Button>
          )
        )}
      </div>
    </li>
  );
}

/** The firings in the studio's own calendar: a file to take out, or an address that keeps itself up to date. */
function Feed({ mayRenew }: { mayRenew: boolean }) {
  const { run, isBusy, errors } = useMutation();
  const [address, setAddress] = useState<string | null>(null);
  const renew = async () => {
    const token = await run(() => renewCalendarFeed({}));
    if (token) setAddress(`${window.location.origin}/api/v1/calendar.ics?token=${token}`);
  };
  return (
    <section aria-label="Calendar feed" className={css.section}>
      <h2>Your own calendar</h2>
      <div className={css.feed}>
        <Button component="a" href="/api/v1/calendar.ics">
          Calendar file
        </Button>
        {mayRenew && (
          <Button disabled={isBusy} onClick={() => void renew()}>
            {address ? 'New address' : 'Make a feed address'}
          </Button>
        )}
      </div>
      {address && (
        <p>
          Subscribe to <code className={css.address}>{address}</code>. It is shown once; whoever has it sees
          the kilns’ plan. Making a new address switches this one off.
        </p>
      )}
      <FormErrors errors={errors} />
    </section>
  );
}

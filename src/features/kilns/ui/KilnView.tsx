'use client';
import { WhoChanged } from '@/ui/WhoChanged';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState, type ReactNode } from 'react';
import { sayCone } from '@/core/firing';
import type { KilnPage, Programme } from '@/records/firings';
import { Acts, PageHeader, TwoColumns } from '@/ui/kit';
import { ConeDrawing } from '@/ui/ConeDrawing';
import { shortDay } from '@/core/time';
import { LinkButton } from '@/ui/LinkButton';
import { useUndo } from '@/ui/Undo';
import { useMutation } from '@/ui/useMutation';
import { FiringForm, firstPlan, FiringTable, PastFiringForm } from '@/features/firings';
import { KilnForm } from './KilnForm';
import { setPartEnded } from '../actions';
import { PartForm } from './PartForm';
import { counted, celsius, heldText, spaceOf } from '@/core/units';
import { QuantityText, Said } from '@/ui/units';
import { driftWords } from '../model/kilnWords';
import { lazily } from '@/ui/lazily';
import css from './kiln.module.css';

const DriftChart = lazily(
  async () => (await import('./DriftChart')).DriftChart,
  <div style={{ height: 240 }} />,
);

interface Props extends KilnPage {
  readonly programmes: readonly Programme[];
  /** Notes for the next time. */
  readonly nextTime: ReactNode;
  readonly mayPlan: boolean;
  readonly mayMend: boolean;
}

const PACKS = 24;

/** A kiln: what is in it, the cones of its firings in a row, how true its thermocouple is, what was changed. */
export function KilnView({
  kiln,
  firings,
  parts,
  drift,
  ranges,
  programmes,
  nextTime,
  mayPlan,
  mayMend,
}: Props) {
  const router = useRouter();
  const [open, setOpen] = useState<'plan' | 'past' | 'kiln' | null>(null);
  const toggle = (what: typeof open) => setOpen(open === what ? null : what);
  const live = firings.filter(({ state }) => state === 'firing' || state === 'cooling' || state === 'open');
  const marks = useMemo(
    () =>
      parts
        .filter(({ part }) => part === 'elements' || part === 'thermocouple')
        .map(({ part, changedOn }) => ({ part, day: Date.parse(changedOn) / 86_400_000 })),
    [parts],
  );
  const [answer, ...more] = driftWords(drift, ranges);
  return (
    <>
      <PageHeader first={kiln.name}>
        <h1>{kiln.name}</h1>
        <p className="quiet">
          {kiln.heat}, <QuantityText of={spaceOf(kiln.litres)} />, {kiln.shelves} shelves, opened below{' '}
          <QuantityText of={celsius(kiln.openBelow)} />,{' '}
          {kiln.controller ? 'read by its controller' : 'read by hand'}
        </p>
        <Acts>
          {mayMend && <Button onClick={() => toggle('kiln')}>Edit kiln</Button>}
          {mayPlan && <Button onClick={() => toggle('past')}>A past firing</Button>}
          {mayPlan && (
            <Button variant="contained" onClick={() => toggle('plan')}>
              Plan a firing
            </Button>
          )}
        </Acts>
      </PageHeader>
      {open === 'kiln' && <KilnForm kiln={kiln} onSaved={() => setOpen(null)} />}
      {open === 'plan' && (
        <FiringForm
          kilns={[kiln]}
          programmes={programmes}
          version={null}
          values={firstPlan(kiln, firings)}
          onSaved={(id) => router.push(`/firings/${id}`)}
        />
      )}
      {open === 'past' && (
        <PastFiringForm
          kilnId={kiln.id}
          onSaved={({ id, numbers }) => router.push(`/firings/${id}${numbers ? '/opening' : ''}`)}
        />
      )}
      <TwoColumns
        at="left"
        aside={
          <>
            <h3>In this kiln now</h3>
            {live.length === 0 && <p className="quiet">At rest.</p>}
            {live.map((firing) => (
              <p key={firing.id}>
                <Link href={`/firings/${firing.id}`}>
                  Firing <span className="figures">{firing.number}</span>
                </Link>
                , <span className={firing.state === 'open' ? 'good' : 'heat'}>{firing.state}</span>,{' '}
                {counted(firing.pieces, 'piece')}
              </p>
            ))}
            <h3>Caution</h3>
            <p className="small">
              Elements, relays and wiring: supply off and locked, and licensed people where local codes ask
              for them. Ceramic fibre: respirator.{' '}
              {kiln.heat !== 'electric' &&
                'Carbon monoxide detector on whenever it burns; burner, lines and flue are for the gas fitter.'}
            </p>
          </>
        }
      >
        <div className={css.main}>
          {nextTime}
          <ConePacks firings={firings} />
          <section aria-label="Thermocouple" className={css.section}>
            <h2>Thermocouple against cones</h2>
            <p className={css.answer}>
              <Said of={answer!} />
            </p>
            {more.map((words) => (
              <p key={heldText(words)}>
                <Said of={words} />
              </p>
            ))}
            {drift.offsets.length > 0 && <DriftChart drift={drift} parts={marks} />}
          </section>
          <PartsChanged {...{ kiln, parts, mayMend }} />
          <section aria-label="Firings" className={css.section}>
            <h2>Firings</h2>
            <FiringTable firings={firings} />
            <LinkButton href={`/api/v1/firings.csv?kiln=${kiln.id}`} sx={{ mt: 1 }}>
              Download as spreadsheet
            </LinkButton>{' '}
            <WhoChanged id={kiln.id} />
          </section>
        </div>
      </TwoColumns>
    </>
  );
}

/** The witness cones of its firings in a row, the newest first. */
function ConePacks({ firings }: Pick<Props, 'firings'>) {
  const packs = firings.filter(({ cones }) => cones.length > 0).slice(0, PACKS);
  return (
    <section aria-label="Cones of its firings">
      <h2>Witness cones</h2>
      {packs.length === 0 ? (
        <p className="quiet">No witness cones yet. After a firing they are turned to the bend you see.</p>
      ) : (
        <ol className={css.packs} tabIndex={0} aria-label="Witness cones, newest first">
          {packs.map((firing) => (
            <li key={firing.id}>
              <Link
                href={`/firings/${firing.id}`}
                aria-label={`Firing ${firing.number}: ${firing.cones.map(({ cone, bend }) => `cone ${cone} ${bend >= 88 ? 'flat' : bend <= 10 ? 'upright' : `${bend}°`}`).join(', ')}`}
              >
                <span className={css.pack}>
                  {firing.cones.slice(0, 4).map(({ cone, bend }) => (
                    <span key={cone}>
                      <ConeDrawing bend={bend} size={38} />
                      <small>{cone}</small>
                    </span>
                  ))}
                </span>
                <b className="figures">{firing.number}</b>{' '}
                {firing.achievedCone !== null && <span>reached {sayCone(firing.achievedCone)}</span>}
              </Link>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

/** What was changed in a kiln and how many firings ago. */
function PartsChanged({ kiln, parts, mayMend }: Pick<Props, 'kiln' | 'parts' | 'mayMend'>) {
  const { run } = useMutation();
  const { offer, bar } = useUndo();
  const [adding, setAdding] = useState(false);
  return (
    <section aria-label="Parts" className={css.section}>
      <div className={css.rowHead}>
        <h2>Parts changed</h2>
        {mayMend && <Button onClick={() => setAdding(!adding)}>Add part change</Button>}
      </div>
      {adding && <PartForm kilnId={kiln.id} onSaved={() => setAdding(false)} />}
      {parts.length === 0 && <p className="quiet">Nothing noted yet.</p>}
      <ul>
        {parts.map((part) => (
          <li key={part.id} className={css.part}>
            <span className="figures">{shortDay(part.changedOn)}</span>
            <b>{part.part}</b>
            <span>{part.note}</span>
            <span className="quiet">
              <span className="figures">{part.firings}</span> firings since
            </span>
            {mayMend && (
              <Button
                size="small"
                variant="text"
                onClick={() => {
                  void run(() => setPartEnded({ id: part.id, ended: true }));
                  offer(
                    `${part.part} deleted`,
                    () => void run(() => setPartEnded({ id: part.id, ended: false })),
                  );
                }}
              >
                Delete
              </Button>
            )}
          </li>
        ))}
      </ul>
      {bar}
    </section>
  );
}

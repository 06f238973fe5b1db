'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { FiringState } from '@/core/vocabulary';
import type { Firing, Kiln, FiringLog, LoadShelf, ShelfPiece, Programme, ShelfCone } from '@/records/firings';
import { Acts, FormErrors, PageHeader } from '@/ui/kit';
import { shortDay } from '@/ui/dates';
import { Flame } from '@/ui/Flame';
import { LinkButton } from '@/ui/LinkButton';
import { useMutation } from '@/ui/useMutation';
import { endFiring, startFiring } from '../actions';
import { FiringLogView } from './FiringLogView';
import { LoadMap } from './LoadMap';
import { FiringForm } from './FiringForm';
import page from '@/ui/page.module.css';

interface Props {
  readonly firing: Firing;
  readonly kilns: readonly Kiln[];
  readonly loaded: readonly ShelfPiece[];
  readonly waiting: readonly ShelfPiece[];
  readonly shelves: readonly LoadShelf[];
  readonly programmes: readonly Programme[];
  readonly log: FiringLog;
  readonly cones: readonly ShelfCone[];
  readonly rate: number;
  readonly mayPlan: boolean;
}

const CAUTIONS: Readonly<Partial<Record<FiringState, string>>> = {
  loading:
    'Kiln wash dry, witness cones in, nothing touching the elements; ventilation on. Gas: carbon monoxide detector on. Lines, flues and wiring are for licensed people and local codes.',
  firing:
    'Spyholes only through a shade for infrared. Gas off at the cock, or supply switched off, at the end.',
  cooling:
    'No cracking above 200 °C, and slow through 573 and 225 °C. Supply off before the lid goes up; gloves above 50 °C.',
};

/** One firing: its plan, its load by shelf, and the next step. */
export function FiringView({
  firing,
  kilns,
  loaded,
  waiting,
  shelves,
  programmes,
  log,
  cones,
  rate,
  mayPlan,
}: Props) {
  const { run, isBusy, errors } = useMutation();
  const [editing, setEditing] = useState(false);
  // One run however often it is asked to start.
  const [sourceId] = useState(ulid);
  const kiln = kilns.find((one) => one.id === firing.kilnId)!;
  const caution = CAUTIONS[firing.state];
  const empty = loaded.length === 0;
  const start = (by: 'controller' | 'hand') =>
    void run(() => startFiring({ firingId: firing.id, sourceId, by }));
  return (
    <>
      <PageHeader first={`${firing.kilnName} ${firing.number}`}>
        <h1>
          {firing.kilnName} <span className="figures">{firing.number}</span>
        </h1>
        <p className="quiet">
          {firing.kind}, cone {firing.cone}, <Flame atmosphere={firing.atmosphere} />,{' '}
          {shortDay(firing.plannedOn)};{' '}
          <b className={firing.state === 'firing' || firing.state === 'cooling' ? 'heat' : undefined}>
            {firing.state}
          </b>
        </p>
        {mayPlan && (
          <Acts>
            <Button onClick={() => setEditing(!editing)}>{editing ? 'Cancel' : 'Edit plan'}</Button>
          </Acts>
        )}
      </PageHeader>
      {editing && (
        <FiringForm
          kilns={kilns}
          programmes={programmes}
          version={firing.version}
          onSaved={() => setEditing(false)}
          values={{
            id: firing.id,
            kilnId: firing.kilnId,
            kind: firing.kind,
            cone: firing.cone,
            atmosphere: firing.atmosphere,
            plannedOn: firing.plannedOn,
            startsAt: firing.startsAt,
            programmeId: firing.programmeId,
            segments: firing.segments ? [...firing.segments] : null,
            programme: firing.programme,
            remarks: firing.remarks,
          }}
        />
      )}
      <div className={page.columns} data-hot={firing.state !== 'loading' || undefined}>
        <aside className={page.margin}>
          {caution && (
            <>
              <h3>{firing.state === 'cooling' ? 'Cooling' : 'Next'}</h3>
              <p className="small">{caution}</p>
              {mayPlan && firing.state === 'firing' && (
                <Button
                  variant="contained"
                  disabled={isBusy}
                  onClick={() => void run(() => endFiring({ firingId: firing.id }))}
                  fullWidth
                >
                  The firing has ended
                </Button>
              )}
              {mayPlan && firing.state === 'loading' && (
                <>
                  {empty && <p className="small quiet">Nothing numbered is in it yet: class work only?</p>}
                  {kiln.controller && firing.segments && (
                    <Button
                      variant="contained"
                      disabled={isBusy}
                      onClick={() => start('controller')}
                      fullWidth
                    >
                      Start by controller
                    </Button>
                  )}
                  <Button
                    variant={kiln.controller && firing.segments ? 'outlined' : 'contained'}
                    disabled={isBusy}
                    onClick={() => start('hand')}
                    fullWidth
                  >
                    {kiln.controller ? 'Started by hand' : 'Start the firing'}
                  </Button>
                </>
              )}
            </>
          )}
          {(firing.state === 'cooling' || firing.state === 'open' || firing.state === 'closed') && (
            <LinkButton
              variant={firing.state === 'open' || log.open?.reached ? 'contained' : 'outlined'}
              href={`/firings/${firing.id}/opening`}
              fullWidth
            >
              {firing.state === 'closed'
                ? 'Look through the opening again'
                : firing.state === 'open'
                  ? 'Continue opening'
                  : 'Open the kiln'}
            </LinkButton>
          )}
          {(firing.state === 'open' || firing.state === 'closed') && loaded.length > 0 && (
            <LinkButton href={`/firings/${firing.id}/summary`} fullWidth>
              What came out
            </LinkButton>
          )}
          {firing.programme && (
            <>
              <h3>Programme</h3>
              <p>{firing.programme}</p>
            </>
          )}
          {firing.remarks && (
            <>
              <h3>Remarks</h3>
              <p>{firing.remarks}</p>
            </>
          )}
          <FormErrors errors={errors} />
        </aside>
        <div>
          {firing.state !== 'loading' && (
            <FiringLogView {...{ firing, kiln, log, cones, rate }} mayWrite={mayPlan} />
          )}
          <div style={{ marginTop: firing.state === 'loading' ? 0 : 28 }}>
            <LoadMap
              firingId={firing.id}
              kind={firing.kind}
              kiln={kiln}
              loaded={loaded}
              waiting={waiting}
              shelves={shelves}
              open={mayPlan && firing.state === 'loading'}
              mayPhotograph={mayPlan}
            />
          </div>
        </div>
      </div>
    </>
  );
}

'use client';
import { celsius } from '@/core/units';
import { heatName, isCone } from '@/core/vocabulary';
import { QuantityText } from '@/ui/units';
import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';
import type {
  Firing,
  FiringOutcome,
  Kiln,
  FiringLog,
  LoadShelf,
  ShelfPiece,
  Programme,
  ShelfCone,
} from '@/records/firings';
import type { OpeningStudent } from '@/records/people';
import { Acts, PageHeader, TwoColumns } from '@/ui/kit';
import { shortDay } from '@/core/time';
import { Flame } from '@/ui/Flame';
import { FiringLogView } from './FiringLogView';
import { FiringMargin } from './FiringMargin';
import { LoadMap } from './LoadMap';
import { FiringForm } from './FiringForm';

interface Props {
  readonly firing: Firing;
  readonly kilns: readonly Kiln[];
  readonly loaded: readonly ShelfPiece[];
  readonly waiting: readonly ShelfPiece[];
  readonly shelves: readonly LoadShelf[];
  readonly programmes: readonly Programme[];
  readonly log: FiringLog;
  /** What it came to; null while it has not ended. */
  readonly outcome: FiringOutcome | null;
  /** Other firings that its kiln is not done with. */
  readonly others: readonly Firing[];
  readonly cones: readonly ShelfCone[];
  readonly rate: number;
  /** Notes for the next time. */
  readonly nextTime: ReactNode;
  readonly mayPlan: boolean;
  /** Students, and to whom of them the opening is assigned; empty for who may not assign it. */
  readonly students: readonly OpeningStudent[];
}

/** One firing: its plan, its load by shelf, and the next step. */
export function FiringView({
  firing,
  kilns,
  loaded,
  waiting,
  shelves,
  programmes,
  log,
  nextTime,
  outcome,
  others,
  students,
  cones,
  rate,
  mayPlan,
}: Props) {
  const [editing, setEditing] = useState(false);
  const kiln = kilns.find((one) => one.id === firing.kilnId)!;
  return (
    <>
      <PageHeader first={`${firing.kilnName} ${firing.number}`}>
        <h1>
          {firing.kilnName} <span className="figures">{firing.number}</span>
        </h1>
        <p className="quiet">
          {firing.kind}, <FiredTo firing={firing} />, <Flame atmosphere={firing.atmosphere} />,{' '}
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
            toCelsius: firing.toCelsius,
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
      <TwoColumns
        at="left"
        isMarginLast={firing.state !== 'loading'}
        aside={
          <FiringMargin
            firing={firing}
            kiln={kiln}
            log={log}
            outcome={outcome}
            others={others}
            students={students}
            isEmpty={loaded.length === 0}
            mayPlan={mayPlan}
          />
        }
      >
        {nextTime}
        {firing.state !== 'loading' && (
          <FiringLogView {...{ firing, kiln, log, cones, rate }} mayWrite={mayPlan} />
        )}
        <div style={{ marginTop: firing.state === 'loading' ? 0 : 28 }}>
          <LoadMap
            firingId={firing.id}
            kind={firing.kind}
            cone={firing.cone}
            kiln={kiln}
            loaded={loaded}
            waiting={waiting}
            shelves={shelves}
            open={mayPlan && firing.state === 'loading'}
            mayPhotograph={mayPlan}
          />
        </div>
      </TwoColumns>
    </>
  );
}

/** The cone it goes to; of a firing without one the way, and the temperature or "by eye". */
function FiredTo({ firing: { cone, toCelsius } }: Pick<Props, 'firing'>) {
  if (isCone(cone)) return heatName(cone);
  if (toCelsius === null) return `${heatName(cone)}, by eye`;
  return (
    <>
      {heatName(cone)}, to <QuantityText of={celsius(toCelsius)} />
    </>
  );
}

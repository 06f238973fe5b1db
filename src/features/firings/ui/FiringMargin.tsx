'use client';
import Link from 'next/link';
import { WhoChanged } from '@/ui/WhoChanged';
import { saySegments } from '@/core/firing';
import { Said } from '@/ui/units';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { Firing, FiringLog, FiringOutcome as Outcome, Kiln } from '@/records/firings';
import type { OpeningStudent } from '@/records/people';
import { FormErrors } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { useMutation } from '@/ui/useMutation';
import { endFiring, startFiring } from '../actions';
import { cautionAt, wayOut } from '../model/cautions';
import { FiringOutcome } from './FiringOutcome';
import { FullnessRow } from './FullnessRow';
import { LitAt, StartButtons } from './StartButtons';
import { OpeningHelpers } from './OpeningHelpers';

interface Props {
  readonly firing: Firing;
  readonly kiln: Kiln;
  readonly log: Pick<FiringLog, 'open' | 'sources'>;
  /** Other firings that this kiln is not done with. */
  readonly others: readonly Pick<Firing, 'id' | 'kilnName' | 'number' | 'state'>[];
  /** Null while it has not ended. */
  readonly outcome: Outcome | null;
  /** Whether nothing numbered is in it. */
  readonly isEmpty: boolean;
  readonly mayPlan: boolean;
  readonly students: readonly OpeningStudent[];
}

/** Beside a firing: what comes next, what to mind at it, its programme and remarks. */
export function FiringMargin({ firing, kiln, log, others, outcome, isEmpty, mayPlan, students }: Props) {
  const { run, isBusy, errors } = useMutation();
  // One run however often it is asked to start.
  const [sourceId] = useState(ulid);
  const caution = cautionAt(kiln.heat, firing);
  const start = (by: 'controller' | 'hand', at: string | null) =>
    void run(() => startFiring({ firingId: firing.id, sourceId, by, at }));
  return (
    <>
      {others.map(({ id, kilnName, number, state }) => (
        <p key={id} className="small heat">
          <Link href={`/firings/${id}`}>
            {kilnName} {number}
          </Link>{' '}
          is {state} too.
        </p>
      ))}
      {caution && (
        <>
          <h3>{firing.state === 'cooling' ? 'Cooling' : 'Next'}</h3>
          <p className="small">
            <Said of={caution} />
          </p>
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
          {mayPlan && (firing.state === 'loading' || firing.state === 'firing') && (
            <FullnessRow firing={firing} />
          )}
          {mayPlan && firing.state === 'loading' && (
            <StartButtons
              hasController={Boolean(kiln.controller)}
              mayRun={Boolean(kiln.controller && firing.segments)}
              {...{ firing, isEmpty, isBusy }}
              onStart={start}
            />
          )}
        </>
      )}
      {mayPlan && firing.startedAt && firing.state !== 'closed' && log.sources.length === 0 && (
        <LitAt firing={firing} />
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
              : wayOut(firing.cone).link}
        </LinkButton>
      )}
      {(firing.state === 'open' || firing.state === 'closed') && !isEmpty && (
        <LinkButton href={`/firings/${firing.id}/summary`} fullWidth>
          What came out
        </LinkButton>
      )}
      {firing.state !== 'closed' && students.length > 0 && (
        <OpeningHelpers firingId={firing.id} students={students} />
      )}
      {outcome && <FiringOutcome {...{ firing, outcome }} mayDecide={mayPlan} />}
      {(firing.programme || firing.segments) && (
        <>
          <h3>Programme</h3>
          <p>{firing.programme}</p>
          {firing.segments && (
            <p>
              <Said of={saySegments(firing.segments)} />
            </p>
          )}
        </>
      )}
      {firing.remarks && (
        <>
          <h3>Remarks</h3>
          <p>{firing.remarks}</p>
        </>
      )}
      <FormErrors errors={errors} />
      <WhoChanged id={firing.id} />
    </>
  );
}

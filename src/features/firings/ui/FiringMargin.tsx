'use client';
import { WhoChanged } from '@/ui/WhoChanged';
import { saySegments } from '@/core/firing';
import { celsius, text, type Message } from '@/core/units';
import { Said } from '@/ui/units';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { FiringState } from '@/core/vocabulary';
import type { Firing, FiringLog, FiringOutcome as Outcome, Kiln } from '@/records/firings';
import type { OpeningStudent } from '@/records/people';
import { FormErrors } from '@/ui/kit';
import { LinkButton } from '@/ui/LinkButton';
import { useMutation } from '@/ui/useMutation';
import { endFiring, startFiring } from '../actions';
import { FiringOutcome } from './FiringOutcome';
import { FullnessRow } from './FullnessRow';
import { OpeningHelpers } from './OpeningHelpers';

const CAUTIONS: Readonly<Partial<Record<FiringState, Message>>> = {
  loading:
    'Kiln wash dry, witness cones in, nothing touching the elements; ventilation on. Gas: carbon monoxide detector on. Lines, flues and wiring are for licensed people and local codes.',
  firing:
    'Spyholes only through a shade for infrared. Gas off at the cock, or supply switched off, at the end.',
  cooling: text`No cracking above ${celsius(200)}, and slow through ${celsius(573)} and ${celsius(225)}. Supply off before the lid goes up; gloves above ${celsius(50)}.`,
};

interface Props {
  readonly firing: Firing;
  readonly kiln: Kiln;
  readonly log: Pick<FiringLog, 'open'>;
  /** Null while it has not ended. */
  readonly outcome: Outcome | null;
  /** Whether nothing numbered is in it. */
  readonly isEmpty: boolean;
  readonly mayPlan: boolean;
  readonly students: readonly OpeningStudent[];
}

/** Beside a firing: what comes next, what to mind at it, its programme and remarks. */
export function FiringMargin({ firing, kiln, log, outcome, isEmpty, mayPlan, students }: Props) {
  const { run, isBusy, errors } = useMutation();
  // One run however often it is asked to start.
  const [sourceId] = useState(ulid);
  const caution = CAUTIONS[firing.state];
  const start = (by: 'controller' | 'hand') =>
    void run(() => startFiring({ firingId: firing.id, sourceId, by }));
  return (
    <>
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
              {...{ isEmpty, isBusy }}
              onStart={start}
            />
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

interface StartProps {
  readonly hasController: boolean;
  /** Whether its controller can run the programme. */
  readonly mayRun: boolean;
  readonly isEmpty: boolean;
  readonly isBusy: boolean;
  readonly onStart: (by: 'controller' | 'hand') => void;
}

function StartButtons({ hasController, mayRun, isEmpty, isBusy, onStart }: StartProps) {
  return (
    <>
      {isEmpty && <p className="small quiet">Nothing numbered is in it yet: class work only?</p>}
      {mayRun && (
        <Button variant="contained" disabled={isBusy} onClick={() => onStart('controller')} fullWidth>
          Start by controller
        </Button>
      )}
      <Button
        variant={mayRun ? 'outlined' : 'contained'}
        disabled={isBusy}
        onClick={() => onStart('hand')}
        fullWidth
      >
        {hasController ? 'Started by hand' : 'Start the firing'}
      </Button>
    </>
  );
}

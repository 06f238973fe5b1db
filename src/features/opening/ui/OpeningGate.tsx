'use client';
import { celsius } from '@/core/units';
import { staysInKiln } from '@/core/vocabulary';
import { QuantityText, Said } from '@/ui/units';
import Button from '@mui/material/Button';
import type { Firing, FiringLog } from '@/records/firings';
import { FormErrors } from '@/ui/kit';
import { GuideWords } from '@/ui/frame';
import { useMutation } from '@/ui/useMutation';
import { openKiln, wayOut, CoolingWords } from '@/features/firings';

/** Before the lid: what to have done, then the one button. */
export function OpeningGate({ firing, log }: { firing: Firing; log: FiringLog }) {
  const { run, isBusy, errors } = useMutation();
  const { mind, act } = wayOut(firing.cone);
  return (
    <div style={{ maxWidth: 480, display: 'grid', gap: 16 }}>
      <GuideWords first={`${firing.kilnName} ${firing.number}`} />
      <h1>
        {firing.kilnName} {firing.number}
      </h1>
      {firing.state === 'cooling' ? (
        <>
          {log.last && !log.inside && staysInKiln(firing.cone) && (
            <p>
              Last read{' '}
              <b className="heat">
                <QuantityText of={celsius(log.last.celsius)} />
              </b>{' '}
              inside.
            </p>
          )}
          <CoolingWords log={log} />
          <p>
            <Said of={mind} />
          </p>
          <FormErrors errors={errors} />
          <Button
            variant={log.open && !log.open.reached ? 'outlined' : 'contained'}
            size="large"
            disabled={isBusy}
            onClick={() => void run(() => openKiln({ firingId: firing.id }))}
          >
            {act}
          </Button>
        </>
      ) : (
        <p>This firing is {firing.state}. It can be opened when it has ended and cooled.</p>
      )}
    </div>
  );
}

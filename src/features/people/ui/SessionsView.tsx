'use client';
import Button from '@mui/material/Button';
import { FormErrors } from '@/ui/kit';
import { ageWords } from '@/ui/dates';
import { GuideWords } from '@/ui/frame';
import { useMutation } from '@/ui/useMutation';
import { endOwnSession } from '../actions';

interface Session {
  readonly id: string;
  readonly agent: string;
  readonly seen_at: Date;
}

/** Where a member is signed in, each with a button that ends it. */
export function SessionsView({
  sessions,
  current,
  now,
}: {
  sessions: readonly Session[];
  current: string | null;
  now: Date;
}) {
  const { run, isBusy, errors } = useMutation();
  return (
    <>
      <GuideWords first="Signed-in devices" />
      <h1>Signed-in devices</h1>
      <FormErrors errors={errors} />
      <ul style={{ borderTop: '1px solid var(--ink)', marginTop: 16, maxWidth: 720 }}>
        {sessions.map((session) => (
          <li
            key={session.id}
            style={{
              display: 'flex',
              gap: 16,
              alignItems: 'center',
              padding: '10px 0',
              borderBottom: '1px solid var(--hairline)',
            }}
          >
            <span style={{ flex: 1 }}>
              <b>{/mobile|android|iphone/i.test(session.agent) ? 'A phone' : 'A computer'}</b>
              {session.id === current && ', this one'}
              <br />
              <span className="small quiet">last used {ageWords(session.seen_at, now)}</span>
            </span>
            <Button
              disabled={isBusy}
              onClick={() => void run(() => endOwnSession({ sessionId: session.id }))}
            >
              Sign out this device
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}

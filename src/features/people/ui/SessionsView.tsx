'use client';
import Button from '@mui/material/Button';
import { ageWords } from '@/ui/dates';
import { Faults } from '@/ui/Faults';
import { GuideWords } from '@/ui/frame';
import { useAct } from '@/ui/useAct';
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
  const { act, busy, faults } = useAct();
  return (
    <>
      <GuideWords first="Where I am signed in" />
      <h1>Where I am signed in</h1>
      <Faults faults={faults} />
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
            <Button disabled={busy} onClick={() => void act(() => endOwnSession({ sessionId: session.id }))}>
              Sign out there
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}

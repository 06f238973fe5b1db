'use client';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useEffect, useState } from 'react';
import { ulid } from 'ulid';
import type { PrintJob } from '../server/jobs';

/** How often it is asked how far the print is, ms. */
const EVERY = 500;
const KEPT = 'jiten.dictionary';

/** The whole dictionary as a book: begun, watched, stopped, opened. A print that is under way is found again. */
export function DictionaryPrint({ headwords }: { headwords: number }) {
  const [id, setId] = useState<string | null>(null);
  const [job, setJob] = useState<PrintJob | null>(null);
  const [error, setFault] = useState('');
  useEffect(() => {
    // A print that was begun before is known to this device only.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setId(sessionStorage.getItem(KEPT));
  }, []);
  const isOver = job !== null && job.state !== 'running';
  useEffect(() => {
    if (!id || isOver) return;
    const look = async () => {
      try {
        const response = await fetch(`/api/v1/dictionary/${id}`);
        if (response.ok) setJob((await response.json()) as PrintJob);
        else setId(null);
        setFault('');
      } catch {
        setFault('The server does not answer; it continues with the print.');
      }
    };
    const timer = setInterval(() => void look(), EVERY);
    return () => clearInterval(timer);
  }, [id, isOver]);

  const begin = async () => {
    const next = ulid();
    setFault('');
    try {
      const response = await fetch(`/api/v1/dictionary/${next}`, { method: 'PUT' });
      if (!response.ok) return setFault(await response.text());
      sessionStorage.setItem(KEPT, next);
      setJob({ state: 'running', done: 0, of: headwords });
      setId(next);
    } catch {
      setFault('The server did not answer. Try again when the network is back.');
    }
  };
  const runs = id !== null && !isOver;
  const of = job?.of || headwords;
  return (
    <section aria-label="Dictionary">
      <h2>The whole dictionary</h2>
      <p>
        {headwords} headwords as a book to bind: guide words, thumb tabs, an index by colour and one by
        defect.
      </p>
      {runs && (
        <>
          <LinearProgress variant="determinate" value={(100 * (job?.done ?? 0)) / Math.max(1, of)} />
          <p role="status">
            {job?.done ?? 0} of {of} headwords
          </p>
          <Button onClick={() => void fetch(`/api/v1/dictionary/${id}`, { method: 'DELETE' })}>Stop</Button>
        </>
      )}
      {!runs && (
        <>
          {job?.state === 'stopped' && <p role="status">Stopped; nothing was kept.</p>}
          {job?.state === 'failed' && (
            <p role="alert" className="heat">
              The print failed after {job.done} headwords. Nothing else is changed; try again.
            </p>
          )}
          {job?.state === 'done' && (
            <Button variant="contained" component="a" href={`/api/v1/dictionary/${id}/file`} target="_blank">
              Open the dictionary
            </Button>
          )}{' '}
          <Button variant={job?.state === 'done' ? 'outlined' : 'contained'} onClick={() => void begin()}>
            {job?.state === 'done' ? 'Make it again' : 'Make the dictionary'}
          </Button>
        </>
      )}
      {error && (
        <p role="alert" className="heat">
          {error}
        </p>
      )}
    </section>
  );
}

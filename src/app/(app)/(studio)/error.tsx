'use client';
import Button from '@mui/material/Button';

/** What is shown when a page could not be made: what happened, and that nothing was lost. */
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <div role="alert" style={{ maxWidth: 520, display: 'grid', gap: 16 }}>
      <h1>This page could not be shown</h1>
      <p>
        The server or its database did not answer. What was saved is safe, and what you typed is kept on this
        device.
      </p>
      <Button variant="contained" onClick={reset} sx={{ justifySelf: 'start' }}>
        Try again
      </Button>
    </div>
  );
}

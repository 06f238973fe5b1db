'use client';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';

/** Prints the page as its print styles have it; quiet where printing is not what the page is for. */
export function PrintButton({ children, quiet = false }: { children: ReactNode; quiet?: boolean }) {
  return (
    <Button variant={quiet ? 'outlined' : 'contained'} onClick={() => window.print()}>
      {children}
    </Button>
  );
}

'use client';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';

/** Prints the page as its print styles have it. */
export function PrintButton({ children }: { children: ReactNode }) {
  return (
    <Button variant="contained" onClick={() => window.print()}>
      {children}
    </Button>
  );
}

'use client';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useEffect, useRef, useState } from 'react';

/** How long nobody touches the device before the next person finds the names again, and from when that is told, s. */
const QUIET = 180;
const TOLD = 160;
const SIGNS = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const;

/** Leaves a device of the studio after three quiet minutes; what was typed stays on it, under who typed it. */
export function QuietReturn({ leave }: { leave: () => Promise<void> }) {
  const last = useRef(0);
  const [left, setLeft] = useState<number | null>(null);
  useEffect(() => {
    const touched = () => {
      last.current = Date.now();
      setLeft(null);
    };
    touched();
    for (const sign of SIGNS) window.addEventListener(sign, touched, { passive: true });
    let isLeaving = false;
    const tick = setInterval(() => {
      const quiet = (Date.now() - last.current) / 1000;
      setLeft(quiet < TOLD ? null : Math.max(0, Math.ceil(QUIET - quiet)));
      if (quiet < QUIET || isLeaving) return;
      isLeaving = true;
      // Without a network the session cannot be ended yet; it is tried again.
      leave()
        .catch(() => undefined)
        .finally(() => (isLeaving = false));
    }, 1000);
    return () => {
      clearInterval(tick);
      for (const sign of SIGNS) window.removeEventListener(sign, touched);
    };
  }, [leave]);
  return (
    <Snackbar
      open={left !== null}
      message={`Back to the names in ${left ?? 0} s. What you typed stays here.`}
      action={<Button color="inherit">I am still here</Button>}
    />
  );
}

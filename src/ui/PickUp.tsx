'use client';
import Button from '@mui/material/Button';
import { useHotkeys } from 'react-hotkeys-hook';
import { useBench, type Held } from './frame';

/** Picks a piece up onto the bench, or puts it back; `p` does the same for the one piece in view. */
export function PickUp({ piece, hotkey = false }: { piece: Held; hotkey?: boolean }) {
  const { held, toggle } = useBench();
  const on = held.some((one) => one.id === piece.id);
  useHotkeys('p', () => toggle(piece), { enabled: hotkey });
  return (
    <Button onClick={() => toggle(piece)} aria-pressed={on} title="Pick up (p)">
      {on ? 'Put back' : 'Pick up'}
    </Button>
  );
}

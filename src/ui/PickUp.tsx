'use client';
import Button from '@mui/material/Button';
import { usePageKey } from './usePageKey';
import { isSame, useBench, type BenchItem } from './frame';

/** Picks a piece, or a zone of it, up onto the bench, or puts it back; `p` does the same for the one in view. */
export function PickUp({
  piece,
  hotkey = false,
  small = false,
}: {
  piece: BenchItem;
  hotkey?: boolean;
  small?: boolean;
}) {
  const { held, toggle } = useBench();
  const on = held.some((one) => isSame(one, piece));
  usePageKey('p', () => toggle(piece), { enabled: hotkey });
  return (
    <Button
      size={small ? 'small' : 'medium'}
      onClick={() => toggle(piece)}
      aria-pressed={on}
      title="Pick up (p)"
    >
      {on ? 'Put back' : 'Pick up'}
    </Button>
  );
}

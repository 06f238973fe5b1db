'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Faults } from '@/ui/Faults';
import { useAct } from '@/ui/useAct';
import { useSameId } from '@/ui/useSameId';
import { askForCell } from '../actions';

/** Asks the studio for a combination that nobody has tried; Today tells when it is done. */
export function AskFor({ baseId, topId, children }: { baseId: string; topId: string; children: string }) {
  const { act, busy, faults } = useAct();
  const [idOf] = useSameId();
  const [isAsked, setAsked] = useState(false);
  const ask = async () => {
    const wish = { baseId, topId, note: '' };
    if ((await act(() => askForCell({ ...wish, id: idOf(wish) }))) !== undefined) setAsked(true);
  };
  if (isAsked)
    return (
      <p role="status" className="good">
        Asked for. Today tells you when it is done.
      </p>
    );
  return (
    <>
      <Button disabled={busy} onClick={() => void ask()}>
        {children}
      </Button>
      <Faults faults={faults} />
    </>
  );
}

'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ulid } from 'ulid';
import { Faults } from '@/ui/Faults';
import { useAct } from '@/ui/useAct';
import { beginCase } from '../actions';

/** Makes an investigation of what is on the page, to come back to. */
export function OpenCase(draft: {
  defect: string;
  pieceId: string | null;
  about: string | null;
  told: string;
}) {
  const router = useRouter();
  const [id] = useState(ulid);
  const { act, busy, faults } = useAct();
  const open = async () => {
    if ((await act(() => beginCase({ id, ...draft }))) !== undefined) router.push(`/clinic/cases/${id}`);
  };
  return (
    <>
      <Button disabled={busy} onClick={() => void open()} sx={{ ml: 1 }}>
        Open a case
      </Button>
      <Faults faults={faults} />
    </>
  );
}

'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ulid } from 'ulid';
import { FormErrors } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { openCaseAction } from '../actions';

/** Makes an investigation of what is on the page, to come back to. */
export function OpenCase(draft: {
  defect: string;
  pieceId: string | null;
  subject: string | null;
  answers: string;
}) {
  const router = useRouter();
  const [id] = useState(ulid);
  const { run, isBusy, errors } = useMutation();
  const open = async () => {
    if ((await run(() => openCaseAction({ id, ...draft }))) !== undefined) router.push(`/clinic/cases/${id}`);
  };
  return (
    <>
      <Button disabled={isBusy} onClick={() => void open()} sx={{ ml: 1 }}>
        Open a case
      </Button>
      <FormErrors errors={errors} />
    </>
  );
}

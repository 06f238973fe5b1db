'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { FormErrors } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { requestTest } from '../actions';

/** Asks the studio for a combination that nobody has tried; Today tells when it is done. */
export function RequestTest({
  baseId,
  topId,
  children,
}: {
  baseId: string;
  topId: string;
  children: string;
}) {
  const { run, isBusy, errors } = useMutation();
  const [idOf] = useIdempotentId();
  const [isAsked, setAsked] = useState(false);
  const ask = async () => {
    const request = { baseId, topId, note: '' };
    if ((await run(() => requestTest({ ...request, id: idOf(request) }))) !== undefined) setAsked(true);
  };
  if (isAsked)
    return (
      <p role="status" className="good">
        Requested. Today will tell you when it is done.
      </p>
    );
  return (
    <>
      <Button disabled={isBusy} onClick={() => void ask()}>
        {children}
      </Button>
      <FormErrors errors={errors} />
    </>
  );
}

'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Correction } from '@/records/dictionary';
import { Form, FormErrors, TextInput, useSavedForm } from '@/ui/kit';
import { shortDay } from '@/core/time';
import { useMutation } from '@/ui/useMutation';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { correct, settle } from '../actions';
import { typedCorrectionSchema } from '../schema';
import css from './entry.module.css';

/** What members say is wrong with a sense, and the line to say it on. */
export function Corrections({
  entryId,
  list,
  maySettle,
}: {
  entryId: string;
  list: readonly Correction[];
  maySettle: boolean;
}) {
  const [opened, setOpened] = useState(false);
  const { run, isBusy, errors } = useMutation();
  const [idOf, kept] = useIdempotentId();
  const form = useSavedForm({
    schema: typedCorrectionSchema,
    values: { text: '' },
    draft: { key: `jiten.correction.${entryId}`, version: 2 },
    save: async ({ text }) => {
      const correction = { entryId, text };
      const outcome = await correct({ ...correction, id: idOf(correction) });
      if (outcome.ok) kept(correction);
      return outcome;
    },
    onSaved: () => {
      form.discard();
      setOpened(false);
    },
  });
  return (
    <>
      {list.map((one) => (
        <p key={one.id} className={one.settledAt ? `${css.note} quiet small` : css.note}>
          <b>{one.settledAt ? 'Corrected.' : 'Reported as wrong.'}</b> {one.text}{' '}
          <span className="quiet">
            {one.by}, {shortDay(one.at)}
            {one.settledAt && `; settled by ${one.settledBy}, ${shortDay(one.settledAt)}`}
          </span>{' '}
          {!one.settledAt && maySettle && (
            <Button size="small" disabled={isBusy} onClick={() => void run(() => settle({ id: one.id }))}>
              Mark as settled
            </Button>
          )}
        </p>
      ))}
      <FormErrors errors={errors} />
      {opened || form.isRestored ? (
        <Form of={form} label="Report a mistake" className={css.noteForm} button="Send" isSmall>
          <TextInput control={form.control} name="text" label="What is wrong?" multiline />
        </Form>
      ) : (
        <Button size="small" variant="text" onClick={() => setOpened(true)}>
          Report a mistake
        </Button>
      )}
    </>
  );
}

'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Correction } from '@/records/dictionary';
import { shortDay } from '@/ui/dates';
import { FormErrors } from '@/ui/FormErrors';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { useIdempotentId } from '@/ui/useIdempotentId';
import { WordField } from '@/ui/WordField';
import { correct, settle } from '../actions';
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
  const [text, setText, , drop] = usePersistedState(`jiten.correction.${entryId}`, '');
  const [opened, setOpened] = useState(false);
  const { run, isBusy, errors } = useMutation();
  const [idOf, kept] = useIdempotentId();
  const send = async () => {
    const said = { entryId, text };
    if ((await run(() => correct({ ...said, id: idOf(said) }))) === undefined) return;
    kept(said);
    setText('');
    drop();
    setOpened(false);
  };
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
      {opened || text ? (
        <form
          className={css.noteForm}
          onSubmit={(event) => {
            event.preventDefault();
            void send();
          }}
        >
          <WordField label="What is wrong?" value={text} onChange={setText} multiline />
          <FormErrors errors={errors} />
          <Button type="submit" size="small" disabled={isBusy || !text.trim()}>
            Send
          </Button>
        </form>
      ) : (
        <Button size="small" variant="text" onClick={() => setOpened(true)}>
          Report a mistake
        </Button>
      )}
    </>
  );
}

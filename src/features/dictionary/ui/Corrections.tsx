'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Correction } from '@/records/dictionary';
import { shortDay } from '@/ui/dates';
import { Faults } from '@/ui/Faults';
import { useAct } from '@/ui/useAct';
import { useKept } from '@/ui/useKept';
import { useSameId } from '@/ui/useSameId';
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
  const [text, setText, , drop] = useKept(`jiten.correction.${entryId}`, '');
  const [opened, setOpened] = useState(false);
  const { act, busy, faults } = useAct();
  const [idOf, kept] = useSameId();
  const send = async () => {
    const said = { entryId, text };
    if ((await act(() => correct({ ...said, id: idOf(said) }))) === undefined) return;
    kept(said);
    setText('');
    drop();
    setOpened(false);
  };
  return (
    <>
      {list.map((one) => (
        <p key={one.id} className={one.settledAt ? `${css.note} quiet small` : css.note}>
          <b>{one.settledAt ? 'Was corrected.' : 'Said to be wrong.'}</b> {one.text}{' '}
          <span className="quiet">
            {one.by}, {shortDay(one.at)}
            {one.settledAt && `; seen to by ${one.settledBy}, ${shortDay(one.settledAt)}`}
          </span>{' '}
          {!one.settledAt && maySettle && (
            <Button size="small" disabled={busy} onClick={() => void act(() => settle({ id: one.id }))}>
              Seen to
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
          <WordField label="What is wrong here" value={text} onChange={setText} multiline />
          <Faults faults={faults} />
          <Button type="submit" size="small" disabled={busy || !text.trim()}>
            Send
          </Button>
        </form>
      ) : (
        <Button size="small" variant="text" onClick={() => setOpened(true)}>
          Something is wrong here
        </Button>
      )}
    </>
  );
}

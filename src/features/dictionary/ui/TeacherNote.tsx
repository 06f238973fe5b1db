'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Faults } from '@/ui/Faults';
import { Theirs } from '@/ui/Theirs';
import { useAct } from '@/ui/useAct';
import { useKept } from '@/ui/useKept';
import { WordField } from '@/ui/WordField';
import { keepNote } from '../actions';
import css from './entry.module.css';

/** The teacher's note of a sense; teachers write it in place. */
export function TeacherNote({
  entryId,
  text,
  version,
  mayWrite,
}: {
  entryId: string;
  text: string;
  version: number;
  mayWrite: boolean;
}) {
  const [draft, setDraft, isKept, drop] = useKept(`jiten.note.${entryId}.${version}`, text);
  const [opened, setOpened] = useState(false);
  const { act, busy, faults, theirs } = useAct();
  const writes = opened || (isKept && draft !== text);
  const save = async (over = version) => {
    if ((await act(() => keepNote({ entryId, text: draft, version: over }))) === undefined) return;
    drop();
    setOpened(false);
  };
  if (!writes)
    return (
      <>
        {text && (
          <p className={css.note}>
            <b>Teacher’s note.</b> {text}
          </p>
        )}
        {mayWrite && (
          <Button size="small" variant="text" onClick={() => setOpened(true)}>
            {text ? 'Change the note' : 'Write a note'}
          </Button>
        )}
      </>
    );
  return (
    <form
      className={css.noteForm}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      {theirs && (
        <Theirs
          rows={[{ name: 'Note', mine: draft || 'none', theirs: String(theirs.note || 'none') }]}
          onKeepMine={() => void save(Number(theirs.version))}
        />
      )}
      <WordField label="Teacher’s note" value={draft} onChange={setDraft} multiline minRows={2} />
      <Faults faults={faults} />
      <span>
        <Button type="submit" variant="contained" size="small" disabled={busy}>
          Save the note
        </Button>{' '}
        <Button
          size="small"
          variant="text"
          onClick={() => {
            setDraft(text);
            drop();
            setOpened(false);
          }}
        >
          Leave it
        </Button>
      </span>
    </form>
  );
}

'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { FormErrors } from '@/ui/FormErrors';
import { ConflictNotice } from '@/ui/ConflictNotice';
import { useMutation } from '@/ui/useMutation';
import { usePersistedState } from '@/ui/usePersistedState';
import { WordField } from '@/ui/WordField';
import { saveNote } from '../actions';
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
  const [draft, setDraft, isKept, drop] = usePersistedState(`jiten.note.${entryId}.${version}`, text);
  const [opened, setOpened] = useState(false);
  const { run, isBusy, errors, theirs } = useMutation<{ note: string; version: number }>();
  const writes = opened || (isKept && draft !== text);
  const save = async (over = version) => {
    if ((await run(() => saveNote({ entryId, text: draft, version: over }))) === undefined) return;
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
            {text ? 'Edit note' : 'Write a note'}
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
        <ConflictNotice
          rows={[{ name: 'Note', mine: draft || 'none', theirs: theirs.note || 'none' }]}
          onKeepMine={() => void save(theirs.version)}
        />
      )}
      <WordField label="Teacher’s note" value={draft} onChange={setDraft} multiline minRows={2} />
      <FormErrors errors={errors} />
      <span>
        <Button type="submit" variant="contained" size="small" disabled={isBusy}>
          Save note
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
          Cancel
        </Button>
      </span>
    </form>
  );
}

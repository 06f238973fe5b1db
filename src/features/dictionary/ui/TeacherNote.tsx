'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { ConflictNotice, Form, TextInput, useSavedForm } from '@/ui/kit';
import { saveNote } from '../actions';
import { typedNoteSchema } from '../schema';
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
  const [opened, setOpened] = useState(false);
  const form = useSavedForm<{ text: string }, { text: string }, null, { note: string; version: number }>({
    schema: typedNoteSchema,
    values: { text },
    draft: { key: `jiten.note.${entryId}.${version}`, version: 2 },
    version,
    save: (typed, over) => saveNote({ ...typed, entryId, version: over ?? version }),
    onSaved: () => setOpened(false),
  });
  const { theirs } = form;
  if (!opened && !form.isRestored)
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
  const conflict = theirs && (
    <ConflictNotice
      rows={[{ name: 'Note', mine: form.form.getValues('text') || 'none', theirs: theirs.note || 'none' }]}
      onKeepMine={() => void form.submit(theirs.version)}
    />
  );
  const cancel = () => {
    form.discard();
    setOpened(false);
  };
  return (
    <Form
      of={form}
      label="Note of this sense"
      className={css.noteForm}
      button="Save note"
      isSmall
      notice={conflict}
      beside={
        <Button size="small" variant="text" onClick={cancel}>
          Cancel
        </Button>
      }
    >
      <TextInput control={form.control} name="text" label="Teacher’s note" multiline minRows={2} />
    </Form>
  );
}

'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { guessView } from '@/core/photo';
import { VIEWS, type Form } from '@/core/vocabulary';
import type { StoredPhoto } from '@/records/pieces';
import { FormErrors, SelectField, WordField } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { movePhotoTo, savePhotoView, showPhotoFirst } from '../actions';
import css from './piece.module.css';

interface Props {
  readonly photo: StoredPhoto;
  readonly form: Form;
  readonly isShown: boolean;
  /** Removes it; null for who may neither remove nor move it. */
  readonly onRemove: (() => void) | null;
}

/** What a photo shows, and what can be done with it: shown first, moved to the piece that it is of, removed. */
export function PhotoTools({ photo, form, isShown, onRemove }: Props) {
  const { run, isBusy, errors } = useMutation();
  const [label, setLabel] = useState<string | null>(null);
  const guessed = photo.view === null ? ' (guessed)' : '';
  const move = async () => {
    if ((await run(() => movePhotoTo({ id: photo.id, label: label ?? '' }))) !== undefined) setLabel(null);
  };
  return (
    <div className={css.photoTools}>
      <SelectField
        label={`It shows${guessed}`}
        value={photo.view ?? guessView(form)}
        isDisabled={isBusy}
        onChange={(view) => void run(() => savePhotoView({ id: photo.id, view }))}
        options={VIEWS.map((view) => [view, view] as const)}
      />
      {!isShown && (
        <Button
          size="small"
          disabled={isBusy}
          onClick={() => void run(() => showPhotoFirst({ id: photo.id }))}
        >
          Show first
        </Button>
      )}
      {onRemove && label === null && (
        <>
          <Button size="small" variant="text" onClick={() => setLabel('')}>
            Move
          </Button>
          <Button size="small" variant="text" disabled={isBusy} onClick={onRemove}>
            Remove
          </Button>
        </>
      )}
      {label !== null && (
        <>
          <WordField label="To the piece" value={label} onChange={setLabel} autoFocus />
          <Button size="small" disabled={isBusy} onClick={() => void move()}>
            Move photo
          </Button>
          <Button size="small" variant="text" onClick={() => setLabel(null)}>
            Cancel
          </Button>
        </>
      )}
      <FormErrors errors={errors} />
    </div>
  );
}

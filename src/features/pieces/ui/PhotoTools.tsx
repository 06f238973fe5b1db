'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { guessView } from '@/core/photo';
import { VIEWS, type View } from '@/core/vocabulary';
import type { PiecePage, StoredPhoto } from '@/records/pieces';
import { FormErrors, SelectField, WordField } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { movePhotoTo, savePhoto, savePhotoTime, showPhotoFirst } from '../actions';
import { readTime, timeOf, timesOf } from '../model/photoTime';
import { WriteOnPhoto } from './WriteOnPhoto';
import css from './piece.module.css';

interface Props {
  readonly photo: StoredPhoto;
  readonly piece: Pick<PiecePage, 'label' | 'form' | 'areas' | 'firings'>;
  readonly isShown: boolean;
  /** Removes it; null for who may neither remove nor move it. */
  readonly onRemove: (() => void) | null;
}

/** What stands before the name of an area among the views. */
const AREA = 'area ';

/** What a choice among the views says of a photo. */
function viewOf(choice: string): { view: View; area: string | null } {
  return choice.startsWith(AREA)
    ? { view: 'area', area: choice.slice(AREA.length) }
    : { view: choice as View, area: null };
}

/** What a photo shows and when it was taken, and what can be done with it: chosen, written on, moved, removed. */
export function PhotoTools({ photo, piece, isShown, onRemove }: Props) {
  const { run, isBusy, errors } = useMutation();
  const [label, setLabel] = useState<string | null>(null);
  const [isWriting, setIsWriting] = useState(false);
  const shown = photo.area === null ? (photo.view ?? guessView(piece.form)) : `${AREA}${photo.area}`;
  const guessed = (said: unknown) => (said === null ? ' (guessed)' : '');
  const move = async () => {
    if ((await run(() => movePhotoTo({ id: photo.id, label: label ?? '' }))) !== undefined) setLabel(null);
  };
  return (
    <div className={css.tools}>
      <SelectField<string>
        label={`It shows${guessed(photo.view)}`}
        value={shown}
        isDisabled={isBusy}
        onChange={(next) => void run(() => savePhoto({ id: photo.id, ...viewOf(next) }))}
        options={[
          ...VIEWS.map((view) => [view, view === 'area' ? 'a detail' : view] as const),
          ...piece.areas.map(({ name }) => [`${AREA}${name}`, name] as const),
        ]}
      />
      <SelectField
        label={`Taken${guessed(photo.stage)}`}
        value={timeOf(photo)}
        isDisabled={isBusy}
        onChange={(time) => void run(() => savePhotoTime({ id: photo.id, ...readTime(time) }))}
        options={timesOf(piece.firings)}
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
      <Button size="small" onClick={() => setIsWriting(true)}>
        Write on it
      </Button>
      {isWriting && <WriteOnPhoto photo={photo} label={piece.label} onClose={() => setIsWriting(false)} />}
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

'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import type { StoredPhoto } from '@/records/pieces';
import { FormErrors } from '@/ui/kit';
import { LabelPad } from '@/ui/LabelPad';
import { useMutation } from '@/ui/useMutation';
import { savePhoto } from '../actions';
import css from './piece.module.css';
import page from '@/ui/page.module.css';

interface Props {
  readonly photo: StoredPhoto;
  /** Number of the piece. */
  readonly label: string;
  readonly onClose: () => void;
}

/** Words put on a photo, each with an arrow to what it speaks of. */
export function WriteOnPhoto({ photo, label, onClose }: Props) {
  const { run, isBusy, errors } = useMutation();
  const [labels, setLabels] = useState(photo.labels);
  const save = async () => {
    if ((await run(() => savePhoto({ id: photo.id, labels: [...labels] }))) !== undefined) onClose();
  };
  return (
    <Dialog open fullScreen onClose={onClose} aria-label={`Write on the photo of ${label}`}>
      <div className={page.screen}>
        <p>Tap what you want to point at.</p>
        <LabelPad
          src={`/api/v1/photos/${photo.hash}?width=full`}
          alt={`Photo of ${label}`}
          size={photo}
          strokes={photo.strokes}
          labels={labels}
          onChange={setLabels}
        />
        {labels.length > 0 && (
          <div className={css.tools}>
            {labels.map(({ words }, i) => (
              <Button key={i} size="small" onClick={() => setLabels(labels.filter((_, n) => n !== i))}>
                Remove “{words}”
              </Button>
            ))}
          </div>
        )}
        <FormErrors errors={errors} />
        <div className={css.tools}>
          <Button onClick={onClose}>Cancel</Button>
          <Button variant="contained" disabled={isBusy} onClick={() => void save()}>
            Done
          </Button>
        </div>
      </div>
    </Dialog>
  );
}

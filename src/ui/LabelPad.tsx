'use client';
import Button from '@mui/material/Button';
import { useState, type FormEvent, type PointerEvent } from 'react';
import type { Point } from '@/core/photo';
import { WordField } from './kit';
import css from './labelPad.module.css';
import { Strokes, type DrawnStrokes, type PhotoWords } from './Strokes';

interface Props extends Omit<DrawnStrokes, 'labels'> {
  readonly labels: readonly PhotoWords[];
  readonly onChange: (labels: PhotoWords[]) => void;
}

/** Lies over a photo that is shown whole: a tap on a spot asks for words, which stand there with an arrow. */
export function LabelPad({ labels, onChange, ...drawn }: Props) {
  const [at, setAt] = useState<Point | null>(null);
  const [words, setWords] = useState('');
  const point = (event: PointerEvent<HTMLButtonElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    setAt({ x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height });
  };
  const add = (event: FormEvent) => {
    event.preventDefault();
    if (words.trim()) onChange([...labels, { at: at ?? MIDDLE, words: words.trim() }]);
    setWords('');
    setAt(null);
  };
  const shown = at ? [...labels, { at, words: words || '…' }] : labels;
  return (
    <>
      <Strokes {...drawn} labels={shown} />
      <button
        type="button"
        className={css.pad}
        aria-label="Point at something; Enter points at the middle"
        onPointerUp={point}
        onClick={(event) => event.detail === 0 && setAt(MIDDLE)}
      />
      {at && (
        <form className={css.field} onSubmit={add}>
          <WordField
            label="What is there"
            value={words}
            onChange={setWords}
            autoFocus
            slotProps={{ htmlInput: { maxLength: 60 } }}
          />
          <Button type="submit" variant="contained" disabled={words.trim() === ''}>
            Write
          </Button>
          <Button onClick={() => setAt(null)}>Cancel</Button>
        </form>
      )}
    </>
  );
}

const MIDDLE: Point = { x: 0.5, y: 0.5 };

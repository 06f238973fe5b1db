'use client';
import Button from '@mui/material/Button';
import { useState, type FormEvent, type MouseEvent } from 'react';
import type { Point } from '@/core/photo';
import { WordField } from './kit';
import css from './labelPad.module.css';
import { PhotoSheet, type PictureSize } from './PhotoSheet';
import { Strokes, type PhotoWords } from './Strokes';

interface Props {
  readonly src: string;
  readonly alt: string;
  readonly size: PictureSize | null;
  readonly strokes: readonly (readonly Point[])[];
  readonly labels: readonly PhotoWords[];
  readonly onChange: (labels: PhotoWords[]) => void;
}

/** A photo shown whole: a tap on a spot asks for words, which stand there with an arrow. */
export function LabelPad({ src, alt, size, strokes, labels, onChange }: Props) {
  const [at, setAt] = useState<Point | null>(null);
  const [words, setWords] = useState('');
  // A press of Enter is a click without a place.
  const point = (event: MouseEvent<HTMLButtonElement>) => {
    if (event.detail === 0) return setAt(MIDDLE);
    const box = event.currentTarget.getBoundingClientRect();
    setAt({ x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height });
  };
  const add = (event: FormEvent) => {
    event.preventDefault();
    if (at && words.trim()) onChange([...labels, { at, words: words.trim() }]);
    setWords('');
    setAt(null);
  };
  const shown = at ? [...labels, { at, words: words || '…' }] : labels;
  const over = size && (
    <>
      <Strokes {...size} strokes={strokes} labels={shown} />
      <button
        type="button"
        className={css.pad}
        aria-label="Point at something; Enter points at the middle"
        onClick={point}
      />
    </>
  );
  return (
    <PhotoSheet src={src} alt={alt} size={size} over={over}>
      {at && (
        <form className={css.field} data-at={at.y > 0.5 ? 'top' : 'foot'} onSubmit={add}>
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
    </PhotoSheet>
  );
}

const MIDDLE: Point = { x: 0.5, y: 0.5 };

'use client';
import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { TriaxialCell } from '@/core/recipe';
import type { Scale } from '../model/shade';
import css from './blend.module.css';

interface Props {
  readonly cells: readonly TriaxialCell[];
  readonly steps: number;
  readonly names: readonly string[];
  readonly scale: Scale;
  readonly at: number;
  readonly onAt: (cell: number) => void;
}

const SIZE = 560;

/** Where a row begins in the list of cells: rows hold 1, 2, 3 … cells. */
const startOf = (row: number) => (row * (row + 1)) / 2;
const rowOf = (cell: number) => Math.floor((Math.sqrt(8 * cell + 1) - 1) / 2);

/** The triangle of a triaxial on a canvas, A at the top; walked by pointer and arrow keys. */
export function Triangle({ cells, steps, names, scale, at, onAt }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const rowHeight = SIZE / steps;
  useEffect(() => {
    const pen = canvas.current?.getContext('2d');
    if (!pen) return;
    pen.clearRect(0, 0, SIZE, SIZE);
    cells.forEach((cell, i) => {
      const [left, top] = cornerOf(i, rowHeight);
      const grey = Math.round(scale.shade(cell) * 255);
      pen.fillStyle = `rgb(${grey} ${grey} ${grey})`;
      pen.fillRect(left + 0.5, top + 0.5, rowHeight - (steps > 30 ? 0 : 1), rowHeight - (steps > 30 ? 0 : 1));
    });
  }, [cells, scale, rowHeight, steps]);
  const step = (down: number, right: number) => {
    const row = rowOf(at) + down;
    const column = at - startOf(rowOf(at)) + right;
    if (row >= 0 && row < steps && column >= 0 && column <= row) onAt(startOf(row) + column);
  };
  const key = (event: KeyboardEvent) => {
    const move = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[event.key];
    if (!move) return;
    event.preventDefault();
    step(move[0]!, move[1]!);
  };
  const point = (event: PointerEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const row = Math.floor(((event.clientY - box.top) / box.height) * steps);
    const across = ((event.clientX - box.left) / box.width) * SIZE;
    const column = Math.floor((across - (SIZE - (row + 1) * rowHeight) / 2) / rowHeight);
    if (row >= 0 && row < steps && column >= 0 && column <= row) onAt(startOf(row) + column);
  };
  const [left, top] = cornerOf(Math.min(at, Math.max(0, cells.length - 1)), rowHeight);
  const percent = (n: number) => `${(n / SIZE) * 100}%`;
  return (
    <div className={css.triangle}>
      <span className={css.top}>{names[0]}</span>
      <div
        className={css.field}
        role="application"
        aria-label="Triaxial: arrow keys walk the cells"
        tabIndex={0}
        onKeyDown={key}
        onPointerMove={point}
        onPointerDown={point}
      >
        <canvas ref={canvas} width={SIZE} height={SIZE} />
        <span
          className={css.here}
          style={{
            left: percent(left),
            top: percent(top),
            width: percent(rowHeight),
            height: percent(rowHeight),
          }}
        />
      </div>
      <span className={css.bottom}>
        <span>{names[1]}</span>
        <span>{names[2]}</span>
      </span>
    </div>
  );
}

/** Left upper corner of a cell; each row stands in the middle. */
function cornerOf(cell: number, rowHeight: number): [number, number] {
  const row = rowOf(cell);
  return [(SIZE - (row + 1) * rowHeight) / 2 + (cell - startOf(row)) * rowHeight, row * rowHeight];
}

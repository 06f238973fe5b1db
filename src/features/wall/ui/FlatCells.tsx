import { useEffect, useRef } from 'react';
import type { WallCell } from '../model/cells';
import css from './wall.module.css';

interface Props {
  readonly row: number;
  /** Columns from the first in view to the last. */
  readonly first: number;
  /** The cells of these columns; undefined where not tried. */
  readonly cells: readonly (WallCell | undefined)[];
  /** Width and height of a cell, px. */
  readonly zoom: number;
  readonly high: number;
  readonly left: number;
}

/** Cells too small for anything but their colours, drawn as one: thousands stand in view at a time. */
export function FlatCells({ row, first, cells, zoom, high, left }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => draw(canvas.current!, cells, zoom, high), [cells, zoom, high]);
  return (
    <canvas
      ref={canvas}
      aria-hidden
      className={css.flat}
      data-row={row}
      data-first={first}
      style={{ left, width: zoom * cells.length, height: high }}
    />
  );
}

/** A cell that is not tried, on light and on dark. */
const UNTRIED = 'rgba(128, 128, 128, 0.28)';
/** A quarter that is not tried of a cell that is. */
const BARE = 'rgba(128, 128, 128, 0.45)';

function draw(canvas: HTMLCanvasElement, cells: Props['cells'], zoom: number, high: number): void {
  const scale = window.devicePixelRatio;
  canvas.width = zoom * cells.length * scale;
  canvas.height = high * scale;
  const context = canvas.getContext('2d')!;
  context.scale(scale, scale);
  const [wide, tall] = [zoom - 1, high - 1];
  for (const [i, cell] of cells.entries()) {
    if (!cell) {
      context.fillStyle = UNTRIED;
      context.fillRect(i * zoom, 0, wide, tall);
      continue;
    }
    const half = wide / cell.quarters.length;
    for (const [k, { once, twice }] of cell.quarters.entries())
      for (const [level, entry] of [twice, once].entries()) {
        context.fillStyle = entry?.colour ?? BARE;
        context.fillRect(i * zoom + k * half, (level * tall) / 2, half, tall / 2);
      }
  }
}

/** The place under a point of a drawn row; null elsewhere. */
export function placeOnFlat(
  target: EventTarget,
  clientX: number,
  zoom: number,
): readonly [number, number] | null {
  if (!(target instanceof HTMLCanvasElement) || !target.dataset.row) return null;
  const column = Math.floor((clientX - target.getBoundingClientRect().left) / zoom);
  return [Number(target.dataset.row), Number(target.dataset.first) + column];
}

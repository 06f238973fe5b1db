'use client';
import type { ReactNode } from 'react';
import css from './rounds.module.css';

interface Place {
  readonly label: string;
  readonly row: number;
  readonly column: number;
}

interface Props<T extends Place> {
  readonly cells: readonly T[];
  readonly rows: number;
  readonly columns: number;
  readonly shape: 'grid' | 'triangle';
  readonly name: string;
  readonly children: (cell: T) => ReactNode;
}

/** The tray as it stands on the table: a grid, or rows that grow into a triangle. */
export function Tray<T extends Place>({ cells, rows, columns, shape, name, children }: Props<T>) {
  const width = 100 / columns;
  return (
    <div
      className={css.tray}
      role="group"
      aria-label={name}
      style={{ aspectRatio: `${columns} / ${rows * 1.15}` }}
    >
      {cells.map((cell) => {
        const start = shape === 'triangle' ? (columns - cell.row - 1) / 2 : 0;
        return (
          <div
            key={cell.label}
            className={css.place}
            style={{
              left: `${(start + cell.column) * width}%`,
              top: `${(cell.row / rows) * 100}%`,
              width: `${width}%`,
              height: `${100 / rows}%`,
            }}
          >
            {children(cell)}
          </div>
        );
      })}
    </div>
  );
}

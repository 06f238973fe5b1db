'use client';
import type { PointerEvent } from 'react';
import type { Cell } from '@/core/rounds';
import type { KnownStack } from '@/records/rounds';
import { Swatch } from '@/ui/Swatch';
import css from './rounds.module.css';

interface TrayCellProps {
  readonly cell: Cell;
  readonly words: string;
  readonly out: boolean;
  readonly proof: KnownStack | undefined;
  readonly colours: readonly { readonly colour: string; readonly part: number }[];
  readonly onTurn: () => void;
}

/** One place of the tray: tap or drag over it to leave it out or take it in. */
export function TrayCell({ cell, words, out, proof, colours, onTurn }: TrayCellProps) {
  const dragged = (event: PointerEvent) => event.buttons === 1 && onTurn();
  const title = [
    `${cell.label}: ${words}`,
    proof && `${proof.agreeing} of ${proof.proofs} proofs agree`,
    out ? 'left out' : '',
  ]
    .filter(Boolean)
    .join('; ');
  return (
    <button
      type="button"
      className={css.cell}
      aria-pressed={!out}
      aria-label={title}
      title={title}
      onPointerDown={(event) => {
        event.currentTarget.releasePointerCapture?.(event.pointerId);
        onTurn();
      }}
      onPointerEnter={dragged}
      onClick={(event) => event.detail === 0 && onTurn()}
    >
      {proof?.swatchHash ? (
        <Swatch hash={proof.swatchHash} colour={null} width={60} height={40} />
      ) : (
        <span className={css.bands}>
          {colours.map(({ colour, part }, i) => (
            <span key={i} style={{ background: colour, flexGrow: part }} />
          ))}
        </span>
      )}
      <b>{cell.label}</b>
    </button>
  );
}

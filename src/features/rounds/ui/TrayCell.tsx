'use client';
import type { PointerEvent } from 'react';
import type { Cell } from '@/core/rounds';
import type { KnownStack } from '@/records/rounds';
import { Swatch } from '@/ui/Swatch';
import css from './rounds.module.css';

/** What is not fired yet, drawn as the shares of its glazes. */
export function Bands({
  layers,
  faint = false,
}: {
  layers: readonly { readonly colour: string; readonly part: number }[];
  faint?: boolean;
}) {
  return (
    <span className={css.bands} style={faint ? { opacity: 0.35 } : undefined}>
      {layers.map(({ colour, part }, i) => (
        <span key={i} style={{ background: colour, flexGrow: part }} />
      ))}
    </span>
  );
}

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
        <Bands layers={colours} />
      )}
      <b>{cell.label}</b>
    </button>
  );
}

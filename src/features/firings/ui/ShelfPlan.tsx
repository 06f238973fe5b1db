'use client';
import { millimetres } from '@/core/units';
import { QuantityText } from '@/ui/units';
import { standingMm } from '@/core/vocabulary';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import type { CSSProperties, KeyboardEvent } from 'react';
import { labOf } from '@/core/colour';
import { footprintOf } from '@/core/firing';
import { formWord, pieceWords } from '@/features/shared/pieceWords';
import type { Kiln, ShelfPiece } from '@/records/firings';
import { QuantityField } from '@/ui/kit';
import css from './load.module.css';

interface PlanProps {
  readonly n: number;
  readonly top: number;
  readonly kiln: Kiln;
  readonly pieces: readonly ShelfPiece[];
  readonly warned: ReadonlySet<string>;
  readonly chosen: string | null;
  readonly open: boolean;
  readonly postMm: number | null;
  readonly onPosts: (postMm: number | null) => void;
  readonly onChoose: (id: string | null) => void;
  readonly onNudge: (piece: ShelfPiece, dx: number, dy: number) => void;
  readonly photo: React.ReactNode;
}

/** One shelf from above, to scale, with what stands on it. */
export function ShelfPlan(props: PlanProps) {
  const { n, top, kiln, pieces, warned, chosen, open, postMm, onPosts, onChoose, onNudge, photo } = props;
  const { setNodeRef, isOver } = useDroppable({ id: String(n), disabled: !open });
  const tallest = Math.max(0, ...pieces.map(standingMm));
  return (
    <section className={css.shelf} aria-label={`Shelf ${n}`}>
      <div className={css.shelfHead}>
        <h3>
          Shelf {n}
          {n === top ? ', top' : n === 1 ? ', bottom' : ''}
        </h3>
        <span className="small quiet">
          {pieces.length} {pieces.length === 1 ? 'piece' : 'pieces'}
          {tallest > 0 && (
            <>
              , tallest <QuantityText of={millimetres(tallest)} />
            </>
          )}
        </span>
      </div>
      <div
        ref={setNodeRef}
        className={css.board}
        data-over={isOver || undefined}
        style={{
          aspectRatio: `${kiln.shelfWidthMm} / ${kiln.shelfDepthMm}`,
          borderRadius: kiln.roundShelves ? '50%' : 0,
        }}
      >
        {pieces.map((piece) => (
          <Stood
            key={piece.id}
            piece={piece}
            kiln={kiln}
            warned={warned.has(piece.id)}
            chosen={chosen === piece.id}
            open={open}
            onChoose={() => onChoose(chosen === piece.id ? null : piece.id)}
            onNudge={(dx, dy) => onNudge(piece, dx, dy)}
          />
        ))}
        <span className={css.front}>front</span>
      </div>
      <div className={css.shelfFoot}>
        {open ? (
          <div className={css.posts}>
            <QuantityField
              dimension="thickness"
              label="Posts"
              value={postMm}
              onChange={onPosts}
              isWhole
              size="small"
            />
          </div>
        ) : (
          postMm !== null && (
            <span className="small">
              posts <QuantityText of={millimetres(postMm)} />
            </span>
          )
        )}
        {photo}
      </div>
      <ul className={css.printList}>
        {pieces.map((piece) => (
          <li key={piece.id}>
            {piece.label} {formWord(piece)}, {pieceWords(piece)}
            {piece.cookie && ', cookie'}
          </li>
        ))}
      </ul>
    </section>
  );
}

const STEP = 5;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

interface StoodProps {
  readonly piece: ShelfPiece;
  readonly kiln: Kiln;
  readonly warned: boolean;
  readonly chosen: boolean;
  readonly open: boolean;
  readonly onChoose: () => void;
  readonly onNudge: (dx: number, dy: number) => void;
}

function isDark(colour: string): boolean {
  return labOf(colour).l < 58;
}

/** One piece from above, in the colour of its last glaze. */
function Stood({ piece, kiln, warned, chosen, open, onChoose, onNudge }: StoodProps) {
  const { setNodeRef, attributes, listeners, transform } = useDraggable({ id: piece.id, disabled: !open });
  const foot = footprintOf(piece.form, piece.widthMm);
  const colour = piece.coats.at(-1)?.glazeColour ?? piece.bodyColour;
  const style: CSSProperties = {
    left: `${(piece.spot!.x / kiln.shelfWidthMm) * 100}%`,
    top: `${(piece.spot!.y / kiln.shelfDepthMm) * 100}%`,
    width: `${(foot.widthMm / kiln.shelfWidthMm) * 100}%`,
    height: `${(foot.depthMm / kiln.shelfDepthMm) * 100}%`,
    borderRadius: foot.round ? '50%' : 0,
    background: colour,
    color: isDark(colour) ? '#ffffff' : '#17191d',
    transform: `translate(-50%, -50%)${transform ? ` translate(${transform.x}px, ${transform.y}px)` : ''}`,
    zIndex: transform ? 3 : chosen ? 2 : 1,
  };
  const key = (event: KeyboardEvent) => {
    const step = ARROWS[event.key];
    if (!step || !open || transform) return;
    event.preventDefault();
    onNudge(...step);
  };
  const words = `${piece.label}, ${formWord(piece)}, ${pieceWords(piece)}${piece.cookie ? ', on a cookie' : ''}${warned ? ', check' : ''}`;
  return (
    <div
      {...attributes}
      {...listeners}
      ref={setNodeRef}
      role="button"
      tabIndex={0}
      aria-label={words}
      aria-pressed={chosen}
      title={words}
      className={css.stood}
      data-warned={warned || undefined}
      data-cookie={piece.cookie || undefined}
      style={style}
      onClick={onChoose}
      onKeyDown={(event) => {
        key(event);
        if (!event.defaultPrevented)
          (listeners?.onKeyDown as ((event: KeyboardEvent) => void) | undefined)?.(event);
        if (event.key === 'Enter' && !transform) onChoose();
      }}
    >
      <span>{piece.number}</span>
    </div>
  );
}

'use client';
import { standingMm } from '@/core/vocabulary';
import { Said } from '@/ui/units';
import { heldText } from '@/core/units';
import {
  DndContext,
  KeyboardSensor,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState } from 'react';
import { footprintOf, pastConeWarnings, warningsOf, type LoadPiece } from '@/core/firing';
import type { Heat, FiringKind } from '@/core/vocabulary';
import { formWord, pieceWords } from '@/features/shared/pieceWords';
import type { Kiln, LoadShelf, ShelfPiece } from '@/records/firings';
import { Choice, FormErrors } from '@/ui/kit';
import { PrintButton } from '@/ui/PrintButton';
import { ShelfPhoto } from './ShelfPhoto';
import { ShelfPlan } from './ShelfPlan';
import css from './load.module.css';
import { useLoad } from './useLoad';
import { WaitingPieces } from './WaitingPieces';

interface Props {
  readonly firingId: string;
  readonly kind: FiringKind;
  readonly cone: Heat;
  readonly kiln: Kiln;
  readonly loaded: readonly ShelfPiece[];
  readonly waiting: readonly ShelfPiece[];
  readonly shelves: readonly LoadShelf[];
  /** Whether it is still being loaded, and by somebody who may. */
  readonly open: boolean;
  readonly mayPhotograph: boolean;
}

/** The shelves from above, to scale, top first: pieces are dragged onto them, moved, and put on cookies. */
export function LoadMap(props: Props) {
  const { firingId, kind, cone, kiln, loaded, waiting, shelves, open, mayPhotograph } = props;
  const load = useLoad({ firingId, kiln, loaded, waiting });
  const [chosen, setChosen] = useState<string | null>(null);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 4 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
    useSensor(KeyboardSensor, { keyboardCodes: { start: ['KeyM'], cancel: ['Escape'], end: ['Enter'] } }),
  );
  const all = Array.from({ length: kiln.shelves }, (_, i) => kiln.shelves - i);
  const standing = loaded.map(toStanding).filter((piece): piece is LoadPiece => piece !== null);
  const posts = new Map(all.map((n) => [n, shelves.find(({ shelf }) => shelf === n)?.postMm ?? null]));
  const warnings = [
    ...warningsOf(standing, load.board, posts),
    ...pastConeWarnings(
      loaded.map(({ id, label, body, clayTo, fired }) => ({ id, label, clay: body, clayTo, glazes: fired })),
      cone,
    ),
  ];
  const warned = new Set(warnings.flatMap(({ pieces }) => pieces));
  const unplaced = loaded.filter(({ spot }) => spot === null);

  const picked = loaded.find(({ id }) => id === chosen);
  return (
    <DndContext sensors={sensors} collisionDetection={pointerWithin} onDragEnd={load.dropped}>
      <div className={open ? css.map : undefined}>
        <section aria-label="Shelves">
          <div className={css.head}>
            <h2>
              <span className="figures">{loaded.length}</span> {loaded.length === 1 ? 'piece' : 'pieces'} in
              this kiln
            </h2>
            <PrintButton quiet>Print the load sheet</PrintButton>
          </div>
          <FormErrors errors={load.errors} />
          <p role="status" className="small">
            {load.said}
          </p>
          {warnings.length > 0 && (
            <ul className={css.warnings} aria-label="Check these">
              {warnings.map(({ words }) => (
                <li key={heldText(words)}>
                  <Said of={words} />
                </li>
              ))}
            </ul>
          )}
          {unplaced.length > 0 && (
            <Unplaced
              pieces={unplaced}
              {...(open && { onPlace: () => void load.spread(unplaced), isBusy: load.isBusy })}
            />
          )}
          {open && picked && (
            <PieceTools
              piece={picked}
              shelves={all}
              onChange={(part) => load.change(picked, part)}
              onTakeOut={() => {
                setChosen(null);
                load.takeOut(picked);
              }}
            />
          )}
          <div className={css.shelves}>
            {all.map((n) => (
              <ShelfPlan
                key={n}
                n={n}
                top={kiln.shelves}
                kiln={kiln}
                pieces={loaded.filter(({ shelf, spot }) => shelf === n && spot)}
                warned={warned}
                chosen={chosen}
                open={open}
                postMm={posts.get(n) ?? null}
                onPosts={(postMm) => load.setPostsOf(n, postMm)}
                onChoose={setChosen}
                onNudge={(piece, dx, dy) => load.change(piece, { dx, dy })}
                photo={
                  <ShelfPhoto
                    firingId={firingId}
                    shelf={n}
                    hash={shelves.find(({ shelf }) => shelf === n)?.photoHash ?? null}
                    mayAdd={mayPhotograph}
                  />
                }
              />
            ))}
          </div>
        </section>
        {open && (
          <WaitingPieces
            pieces={waiting}
            bisque={kind === 'bisque'}
            shelves={kiln.shelves}
            isBusy={load.isBusy}
            onDue={load.setDue}
            onSpread={load.spread}
            onShelf={load.toShelf}
          />
        )}
      </div>
    </DndContext>
  );
}

interface UnplacedProps {
  readonly pieces: readonly ShelfPiece[];
  readonly isBusy?: boolean;
  /** Puts them on the shelves where there is room; absent when nothing is loaded any more. */
  readonly onPlace?: () => void;
}

/** The pieces of a firing that nobody placed on the map: they are in it all the same. */
function Unplaced({ pieces, isBusy = false, onPlace }: UnplacedProps) {
  return (
    <div className={css.unplaced}>
      <p>
        {pieces.length} {pieces.length === 1 ? 'piece is' : 'pieces are'} not placed on the map
        {onPlace ? ' yet' : ''}.{' '}
        {onPlace && (
          <Button size="small" disabled={isBusy} onClick={onPlace}>
            Place them
          </Button>
        )}
      </p>
      <ul aria-label="Not placed on the map">
        {pieces.map((piece) => (
          <li key={piece.id}>
            <Link href={`/pieces/${piece.label}`} className="figures">
              {piece.label}
            </Link>{' '}
            <span className="small quiet">
              {piece.shelf !== null && `shelf ${piece.shelf}, `}
              {formWord(piece)}, {pieceWords(piece)}
            </span>
          </li>
        ))}
      </ul>
    </div>
  );
}

interface ToolsProps {
  readonly piece: ShelfPiece;
  readonly shelves: readonly number[];
  readonly onChange: (part: { readonly shelf?: number; readonly cookie?: boolean }) => void;
  readonly onTakeOut: () => void;
}

/** What can be done with the piece that is chosen on a shelf. */
function PieceTools({ piece, shelves, onChange, onTakeOut }: ToolsProps) {
  return (
    <div className={css.tools} role="toolbar" aria-label={piece.label}>
      <Link href={`/pieces/${piece.label}`}>
        <b className="figures">{piece.label}</b>
      </Link>
      <Choice
        label="Shelf"
        options={shelves.map(String)}
        value={String(piece.shelf)}
        onChange={(shelf) => onChange({ shelf: Number(shelf) })}
      />
      <Button onClick={() => onChange({ cookie: !piece.cookie })}>
        {piece.cookie ? 'No cookie' : 'On a cookie'}
      </Button>
      <Button onClick={onTakeOut}>Take out</Button>
    </div>
  );
}

function toStanding(piece: ShelfPiece): LoadPiece | null {
  if (piece.shelf === null || piece.spot === null) return null;
  const { id, label, shelf, cookie, runsFrom, chrome, tin } = piece;
  const heightMm = standingMm(piece);
  return {
    ...{ id, label, shelf, heightMm, cookie, runsFrom, chrome, tin },
    ...footprintOf(piece.form, piece.widthMm, cookie),
    ...piece.spot,
  };
}

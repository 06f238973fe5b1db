'use client';
import { Said } from '@/ui/units';
import { sayMessage } from '@/core/units';
import {
  DndContext,
  KeyboardSensor,
  MouseSensor,
  pointerWithin,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState, type CSSProperties, type KeyboardEvent } from 'react';
import { labOf } from '@/core/colour';
import { footprintOf, warningsOf, type LoadPiece } from '@/core/firing';
import type { FiringKind } from '@/core/vocabulary';
import type { Kiln, LoadShelf, ShelfSpot, ShelfPiece } from '@/records/firings';
import { Choice, FormErrors, NumberField } from '@/ui/kit';
import { PrintButton } from '@/ui/PrintButton';
import { useMutation } from '@/ui/useMutation';
import { loadFiring, placeOnShelves, setPosts, unloadFiring, want } from '../actions';
import { fillShelf, placeOn, shelfOf, spreadOver } from '../model/loadLayout';
import { ShelfPhoto } from './ShelfPhoto';
import css from './load.module.css';
import { WaitingPieces } from './WaitingPieces';

interface Props {
  readonly firingId: string;
  readonly kind: FiringKind;
  readonly kiln: Kiln;
  readonly loaded: readonly ShelfPiece[];
  readonly waiting: readonly ShelfPiece[];
  readonly shelves: readonly LoadShelf[];
  /** Whether it is still being loaded, and by somebody who may. */
  readonly open: boolean;
  readonly mayPhotograph: boolean;
}

/** The shelves from above, to scale, top first: pieces are dragged onto them, moved, and put on cookies. */
export function LoadMap({ firingId, kind, kiln, loaded, waiting, shelves, open, mayPhotograph }: Props) {
  const { run, isBusy, errors } = useMutation();
  const [chosen, setChosen] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  const board = shelfOf(kiln);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 4 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
    useSensor(KeyboardSensor, { keyboardCodes: { start: ['KeyM'], cancel: ['Escape'], end: ['Enter'] } }),
  );
  const all = Array.from({ length: kiln.shelves }, (_, i) => kiln.shelves - i);
  const standing = loaded.map(toStanding).filter((piece): piece is LoadPiece => piece !== null);
  const posts = new Map(all.map((n) => [n, shelves.find(({ shelf }) => shelf === n)?.postMm ?? null]));
  const warnings = warningsOf(standing, board, posts);
  const warned = new Set(warnings.flatMap(({ pieces }) => pieces));
  const unplaced = loaded.filter(({ spot }) => spot === null);

  const keep = async (places: readonly ShelfSpot[], left: readonly ShelfPiece[] = []) => {
    const inside = new Set(loaded.map(({ id }) => id));
    const [moved, added] = [
      places.filter(({ pieceId }) => inside.has(pieceId)),
      places.filter(({ pieceId }) => !inside.has(pieceId)),
    ];
    if (moved.length) await run(() => placeOnShelves({ firingId, places: moved }));
    const ok = added.length === 0 || (await run(() => loadFiring({ firingId, places: added }))) === null;
    setSaid(
      left.length
        ? `No room for ${left.map(({ label }) => label).join(', ')}.`
        : added.length
          ? `${added.length} put in.`
          : '',
    );
    return ok;
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    const group = active.data.current?.ids as readonly string[] | undefined;
    if (group && over) {
      const pieces = waiting.filter(({ id }) => group.includes(id));
      const laid = fillShelf(pieces, Number(over.id), loaded, board);
      void keep(laid.places, laid.left);
      return;
    }
    const piece = [...loaded, ...waiting].find(({ id }) => id === active.id);
    const box = active.rect.current.translated;
    if (!piece || !over || !box) return;
    const wish = {
      x: ((box.left + box.width / 2 - over.rect.left) / over.rect.width) * board.widthMm,
      y: ((box.top + box.height / 2 - over.rect.top) / over.rect.height) * board.depthMm,
    };
    const found = placeOn(piece, Number(over.id), loaded, board, { wish });
    void keep(found ? [found] : [], found ? [] : [piece]);
  };
  const change = (
    piece: ShelfPiece,
    part: { shelf?: number; cookie?: boolean; dx?: number; dy?: number },
  ) => {
    const wish = { x: (piece.spot?.x ?? 0) + (part.dx ?? 0), y: (piece.spot?.y ?? 0) + (part.dy ?? 0) };
    const found = placeOn(piece, part.shelf ?? piece.shelf ?? 1, loaded, board, {
      cookie: part.cookie ?? piece.cookie,
      ...(part.shelf === undefined && { wish }),
    });
    void keep(found ? [found] : [], found ? [] : [piece]);
  };
  const spread = (pieces: readonly ShelfPiece[]) => {
    const laid = spreadOver(
      pieces,
      kiln,
      loaded.filter(({ spot }) => spot !== null),
      seeded(firingId),
    );
    return keep(laid.places, laid.left);
  };
  const picked = loaded.find(({ id }) => id === chosen);
  return (
    <DndContext sensors={sensors} collisionDetection={pointerWithin} onDragEnd={dropped}>
      <div className={open ? css.map : undefined}>
        <section aria-label="Shelves">
          <div className={css.head}>
            <h2>
              <span className="figures">{loaded.length}</span> {loaded.length === 1 ? 'piece' : 'pieces'} in
              this kiln
            </h2>
            <PrintButton quiet>Print the load sheet</PrintButton>
          </div>
          <FormErrors errors={errors} />
          <p role="status" className="small">
            {said}
          </p>
          {warnings.length > 0 && (
            <ul className={css.warnings} aria-label="Check these">
              {warnings.map(({ words }) => (
                <li key={sayMessage(words)}>
                  <Said of={words} />
                </li>
              ))}
            </ul>
          )}
          {open && unplaced.length > 0 && (
            <p>
              {unplaced.length} {unplaced.length === 1 ? 'piece has' : 'pieces have'} no place on a shelf yet.{' '}
              <Button size="small" disabled={isBusy} onClick={() => void spread(unplaced)}>
                Place them
              </Button>
            </p>
          )}
          {open && picked && (
            <div className={css.tools} role="toolbar" aria-label={picked.label}>
              <Link href={`/pieces/${picked.label}`}>
                <b className="figures">{picked.label}</b>
              </Link>
              <Choice
                label="Shelf"
                options={all.map(String)}
                value={String(picked.shelf)}
                onChange={(shelf) => change(picked, { shelf: Number(shelf) })}
              />
              <Button onClick={() => change(picked, { cookie: !picked.cookie })}>
                {picked.cookie ? 'No cookie' : 'On a cookie'}
              </Button>
              <Button
                onClick={() => {
                  setChosen(null);
                  void run(() => unloadFiring({ firingId, pieceId: picked.id }));
                }}
              >
                Take out
              </Button>
            </div>
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
                onPosts={(postMm) => void run(() => setPosts({ firingId, shelf: n, postMm }))}
                onChoose={setChosen}
                onNudge={(piece, dx, dy) => change(piece, { dx, dy })}
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
            isBusy={isBusy}
            onDue={async (pieces, dueOn) =>
              (await run(() => want({ pieceIds: pieces.map(({ id }) => id), dueOn }))) === null
            }
            onSpread={spread}
            onShelf={(pieces, shelf) => {
              const laid = fillShelf(pieces, shelf, loaded, board);
              return keep(laid.places, laid.left);
            }}
          />
        )}
      </div>
    </DndContext>
  );
}

function toStanding(piece: ShelfPiece): LoadPiece | null {
  if (piece.shelf === null || piece.spot === null) return null;
  const { id, label, shelf, heightMm, cookie, runsFrom, chrome, tin } = piece;
  return {
    ...{ id, label, shelf, heightMm, cookie, runsFrom, chrome, tin },
    ...footprintOf(piece.form, piece.widthMm, cookie),
    ...piece.spot,
  };
}

/** Numbers from 0 to 1 that follow from a word, so that a load is spread the same way again. */
function seeded(word: string): () => number {
  let state = [...word].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) >>> 0, 7);
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}

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

function ShelfPlan(props: PlanProps) {
  const { n, top, kiln, pieces, warned, chosen, open, postMm, onPosts, onChoose, onNudge, photo } = props;
  const { setNodeRef, isOver } = useDroppable({ id: String(n), disabled: !open });
  const tallest = Math.max(0, ...pieces.map(({ heightMm }) => heightMm));
  return (
    <section className={css.shelf} aria-label={`Shelf ${n}`}>
      <div className={css.shelfHead}>
        <h3>
          Shelf {n}
          {n === top ? ', top' : n === 1 ? ', bottom' : ''}
        </h3>
        <span className="small quiet">
          {pieces.length} {pieces.length === 1 ? 'piece' : 'pieces'}
          {tallest > 0 && `, tallest ${tallest} mm`}
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
            <NumberField label="Posts, mm" value={postMm} onChange={onPosts} size="small" />
          </div>
        ) : (
          postMm !== null && <span className="small">posts {postMm} mm</span>
        )}
        {photo}
      </div>
      <ul className={css.printList}>
        {pieces.map((piece) => (
          <li key={piece.id}>
            {piece.label} {piece.form}, {piece.coats.map(({ glazeName }) => glazeName).join(' under ')}
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
  const words = `${piece.label}, ${piece.form}, ${piece.coats.map(({ glazeName }) => glazeName).join(' under ') || 'bare'}${piece.cookie ? ', on a cookie' : ''}${warned ? ', check' : ''}`;
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

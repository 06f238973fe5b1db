'use client';
import { ScanButton } from '@/ui/scan';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { memo, useCallback, useState } from 'react';
import { ulid } from 'ulid';
import { SHELF_FAULTS } from '@/core/vocabulary';
import type { OpeningPiece } from '@/records/openings';
import { drawnPiece } from '@/ui/drawn';
import { Silhouette } from '@/ui/silhouette';
import type { useOpening } from './useOpening';
import css from './opening.module.css';

interface Props {
  readonly api: ReturnType<typeof useOpening>;
  readonly at: string | null;
  readonly shelves: number;
  readonly stateOf: (piece: OpeningPiece) => OpeningPiece['state'];
  readonly onGo: (pieceId: string) => void;
}

/** What the strip asks for: a number to find, a piece that is not on the list, work on the shelf. */
type Ask = 'find' | 'unlogged' | 'shelf';

/** The load by shelf: where the walk stands, any piece out of its order, pieces that are not on the list, and what the shelf needs. */
export function ShelfStrip({ api, at, shelves, stateOf, onGo }: Props) {
  const { pieces, repairs, firing } = api.opening;
  const here = pieces.find((piece) => piece.id === at)?.shelf ?? shelves;
  const [chosen, setChosen] = useState<number | null>(null);
  const [open, setOpen] = useState<'shelves' | Ask | null>(null);
  const [note, setNote] = useState('');
  const [said, setSaid] = useState('');
  const shelf = chosen ?? here;
  const own = pieces.filter((piece) => piece.shelf === shelf);
  const waiting = api.waiting.flatMap(({ write }) => (write.kind === 'repair' ? [write.repair] : []));
  const asked = api.waiting.flatMap(({ write, rejection }) =>
    write.kind === 'join' && !rejection ? write.join.number : [],
  );
  const errors = [...repairs, ...waiting].filter((one) => one.shelf === shelf);
  const left = own.filter((piece) => stateOf(piece) === 'loaded').length;
  const toggle = (which: NonNullable<typeof open>) => setOpen(open === which ? null : which);
  const close = () => {
    setOpen(null);
    setNote('');
  };
  const addUnlogged = async () => {
    const label = await api.addUnlogged(shelf, note);
    setSaid(
      label
        ? `This piece is now ${label}: write it under the foot.`
        : 'This device has no piece numbers left. It reserves more when the network is back.',
    );
    close();
  };
  const addRepair = async (what: (typeof SHELF_FAULTS)[number]) => {
    const repair = { id: ulid(), firingId: firing.id, shelf, what, note };
    await api.enqueue({ kind: 'repair', repair }, null);
    setSaid(`Shelf ${shelf}: ${what} noted.`);
    close();
  };
  const goTo = useCallback(
    (pieceId: string) => {
      onGo(pieceId);
      setChosen(null);
    },
    [onGo],
  );
  const goAndClose = (pieceId: string) => {
    goTo(pieceId);
    setSaid('');
    close();
  };
  const find = (text: string) => {
    setNote(text);
    const { sure } = numbered(text, pieces);
    if (sure) goAndClose(sure.id);
  };
  const join = async () => {
    setSaid('');
    await api.join(shelf, note);
    close();
  };
  return (
    <section aria-label="Shelves" className={css.strip}>
      {open === 'shelves' && (
        <ShelfButtons
          {...{ pieces, shelves, shelf, stateOf }}
          onShelf={(n) => {
            setChosen(n);
            setOpen(null);
          }}
        />
      )}
      <ul className={css.row}>
        <li>
          <button
            type="button"
            className={css.more}
            aria-expanded={open === 'shelves'}
            onClick={() => toggle('shelves')}
          >
            <b>shelf {shelf}</b>
            <small>{left ? `${left} to read` : own.length ? 'read' : 'empty'}</small>
          </button>
        </li>
        {own.map((piece) => (
          <Chip key={piece.id} piece={piece} state={stateOf(piece)} here={piece.id === at} onGo={goTo} />
        ))}
        {(
          [
            ['find', 'find by number'],
            ['unlogged', 'not on the list'],
            [
              'shelf',
              errors.length ? `shelf: ${errors.map(({ what }) => what).join(', ')}` : 'shelf needs work',
            ],
          ] as const
        ).map(([which, words]) => (
          <li key={which}>
            <button
              type="button"
              className={css.more}
              onClick={() => toggle(which)}
              aria-expanded={open === which}
            >
              {words}
            </button>
          </li>
        ))}
      </ul>
      {open && open !== 'shelves' && (
        <StripForm
          {...{ open, shelf, note, setNote, pieces, find, goAndClose, join, addUnlogged, addRepair }}
        />
      )}
      {(said || asked.length > 0) && (
        <p role="status" className="small">
          {said}
          {asked.length > 0 && ` ${asked.join(', ')}: asked for, to come as soon as the server has answered.`}
        </p>
      )}
    </section>
  );
}

interface ShelfButtonsProps {
  readonly pieces: readonly OpeningPiece[];
  readonly shelves: number;
  readonly shelf: number;
  readonly stateOf: Props['stateOf'];
  readonly onShelf: (shelf: number) => void;
}

function ShelfButtons({ pieces, shelves, shelf, stateOf, onShelf }: ShelfButtonsProps) {
  return (
    <div className={css.shelves} role="group" aria-label="Shelf">
      {Array.from({ length: shelves }, (_, i) => shelves - i).map((n) => {
        const there = pieces.filter((piece) => piece.shelf === n);
        const left = there.filter((piece) => stateOf(piece) === 'loaded').length;
        return (
          <button key={n} type="button" aria-pressed={n === shelf} onClick={() => onShelf(n)}>
            shelf {n}
            <small>{there.length === 0 ? 'empty' : left ? `${left} to read` : 'read'}</small>
          </button>
        );
      })}
    </div>
  );
}

/** So many numbers that begin alike are offered. */
const SHOWN = 6;

/** Pieces by what was typed of their number: those that have it, those that go on with it, and the one that is meant for sure. */
function numbered(text: string, pieces: readonly OpeningPiece[]) {
  const typed = text.trim().toUpperCase();
  const digits = /(\d+)$/.exec(typed)?.[1];
  if (!digits) return { exact: [], more: [], sure: null };
  const isNumber = typed === digits;
  const exact = pieces.filter(
    ({ label, number, ownNumber }) =>
      label === typed || ownNumber.toUpperCase() === typed || (isNumber && number === Number(digits)),
  );
  const more = pieces.filter(
    (piece) =>
      !exact.includes(piece) &&
      (piece.label.startsWith(typed) ||
        (isNumber && String(piece.number).startsWith(String(Number(digits))))),
  );
  return { exact, more, sure: exact.length === 1 && more.length === 0 ? exact[0]! : null };
}

interface StripFormProps {
  readonly open: Ask;
  readonly shelf: number;
  readonly note: string;
  readonly setNote: (note: string) => void;
  readonly pieces: readonly OpeningPiece[];
  readonly find: (text: string) => void;
  readonly goAndClose: (pieceId: string) => void;
  /** Takes the piece of that number into the load. */
  readonly join: () => Promise<void>;
  readonly addUnlogged: () => Promise<void>;
  readonly addRepair: (what: (typeof SHELF_FAULTS)[number]) => Promise<void>;
}

function StripForm({
  open,
  shelf,
  note,
  setNote,
  pieces,
  find,
  goAndClose,
  join,
  addUnlogged,
  addRepair,
}: StripFormProps) {
  const { exact, more } = numbered(note, pieces);
  return (
    <div className={css.form}>
      <TextField
        label={
          open === 'find'
            ? 'Number under the foot'
            : open === 'unlogged'
              ? 'What is it? (optional)'
              : 'Note (optional)'
        }
        value={note}
        autoFocus
        slotProps={{ htmlInput: open === 'find' ? { inputMode: 'numeric', enterKeyHint: 'go' } : {} }}
        onKeyDown={(event) => {
          if (open === 'find' && event.key === 'Enter' && exact.length === 1) goAndClose(exact[0]!.id);
        }}
        onChange={(event) => (open === 'find' ? find(event.target.value) : setNote(event.target.value))}
      />
      {open === 'find' && (
        <ScanButton
          onNumber={(number) => {
            find(number);
            return null;
          }}
        />
      )}
      {open === 'find' &&
        [...exact, ...more].slice(0, SHOWN).map((piece) => (
          <Button key={piece.id} onClick={() => goAndClose(piece.id)}>
            {piece.label}
            {piece.ownNumber && ` (${piece.ownNumber})`}
          </Button>
        ))}
      {open === 'find' && note.trim() !== '' && exact.length === 0 && (
        <>
          <Button variant="contained" onClick={() => void join()}>
            {note.trim()} came out of this kiln, shelf {shelf}
          </Button>
          <p className="small quiet">
            It is not in this load by the records. It joins the load, with the coats that it had not been
            fired with.
          </p>
        </>
      )}
      {open === 'unlogged' && <Button onClick={() => void addUnlogged()}>Number it, shelf {shelf}</Button>}
      {open === 'shelf' && (
        <>
          {SHELF_FAULTS.map((what) => (
            <Button key={what} onClick={() => void addRepair(what)}>
              {what}
            </Button>
          ))}
          <p className="small quiet">Grinding a shelf: eye protection and a respirator, out of doors.</p>
        </>
      )}
    </div>
  );
}

interface ChipProps {
  readonly piece: OpeningPiece;
  readonly state: OpeningPiece['state'];
  readonly here: boolean;
  readonly onGo: (pieceId: string) => void;
}

/** One piece of the shelf. A full shelf holds many: each is drawn again only when it changed. */
const Chip = memo(function Chip({ piece, state, here, onGo }: ChipProps) {
  return (
    <li>
      <button
        type="button"
        aria-label={`${piece.label}, ${state}`}
        aria-current={here || undefined}
        data-state={state}
        onClick={() => onGo(piece.id)}
      >
        <Silhouette
          {...drawnPiece(piece)}
          size={Math.round(Math.min(32, (36 * piece.heightMm) / piece.widthMm))}
          title=""
        />
        <span className="figures">{piece.number}</span>
      </button>
    </li>
  );
});

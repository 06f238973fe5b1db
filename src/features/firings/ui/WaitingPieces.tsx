'use client';
import { ScanButton } from '@/ui/scan';
import { useDraggable } from '@dnd-kit/core';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useState, type MouseEvent } from 'react';
import type { ShelfPiece } from '@/records/firings';
import { Choice, WordField } from '@/ui/kit';
import { shortDay } from '@/core/time';
import { drawnPiece } from '@/ui/drawn';
import { Silhouette } from '@/ui/silhouette';
import { useChosen } from '@/ui/useChosen';
import { chosenBy } from '../model/byNumber';
import { formWord } from '@/features/shared/pieceWords';
import css from './load.module.css';

interface Props {
  readonly pieces: readonly ShelfPiece[];
  /** A bisque takes what is not glazed; any other firing has it last. */
  readonly bisque: boolean;
  readonly shelves: number;
  readonly isBusy: boolean;
  readonly onDue: (pieces: readonly ShelfPiece[], dueOn: string | null) => Promise<boolean>;
  readonly onSpread: (pieces: readonly ShelfPiece[]) => Promise<boolean>;
  readonly onShelf: (pieces: readonly ShelfPiece[], shelf: number) => Promise<boolean>;
}

interface Group {
  readonly name: string;
  readonly href: string | null;
  readonly pieces: readonly ShelfPiece[];
}

/** What waits, in the groups it is loaded by: rounds, refires, glazed, and what has no glaze yet. */
function groupsOf(pieces: readonly ShelfPiece[], bisque: boolean): Group[] {
  const groups = new Map<string, Group>();
  for (const piece of pieces) {
    const bare = piece.stage === 'made' && !bisque;
    const [name, href] =
      piece.round && !bare
        ? [`Round ${piece.round.number}: ${piece.round.name}`, `/rounds/${piece.round.id}`]
        : [piece.stage === 'read' ? 'Refires' : piece.stage === 'made' ? 'Made, not glazed' : 'Glazed', null];
    groups.set(name, { name, href, pieces: [...(groups.get(name)?.pieces ?? []), piece] });
  }
  const rank = ({ href, name }: Group) => (href ? 0 : name === 'Made, not glazed' ? 2 : 1);
  return [...groups.values()].sort((a, b) => rank(a) - rank(b));
}

/** Pieces that wait for a kiln: dragged one by one, or chosen and put in together. */
export function WaitingPieces({ pieces, bisque, shelves, isBusy, onDue, onSpread, onShelf }: Props) {
  const [shelf, setShelf] = useState(String(shelves));
  const groups = groupsOf(pieces, bisque);
  const order = groups.flatMap((group) => group.pieces.map(({ id }) => id));
  const { chosen, turn, turnTo, clear } = useChosen(order);
  const there = pieces.filter(({ id }) => chosen.has(id));
  const put = async (work: Promise<boolean>) => {
    if (await work) clear();
  };
  return (
    <section aria-label="Waiting" className={css.waiting}>
      <h2>Waiting</h2>
      {pieces.length === 0 && (
        <p className="quiet">
          No piece is waiting. <Link href="/pieces/new">Log a new piece.</Link>
        </p>
      )}
      {pieces.length > 0 && <ByNumber pieces={pieces} onChoose={(ids) => turn(ids, true)} />}
      {groups.map(({ name, href, pieces: own }) => {
        const all = own.every(({ id }) => chosen.has(id));
        const due = own
          .map(({ dueOn }) => dueOn)
          .filter((day) => day !== null)
          .sort()[0];
        return (
          <div key={name} className={css.group}>
            <GroupHead name={name} href={href} ids={own.map(({ id }) => id)} />
            {due && <p className="small quiet">needed by {shortDay(due)}</p>}
            <Button
              size="small"
              onClick={() =>
                turn(
                  own.map(({ id }) => id),
                  !all,
                )
              }
            >
              {all ? 'None of them' : `All ${own.length}`}
            </Button>
            <ul className={css.row}>
              {own.map((piece) => (
                <Waits
                  key={piece.id}
                  piece={piece}
                  on={chosen.has(piece.id)}
                  onTurn={(on, isRange) => turnTo(piece.id, on, isRange)}
                />
              ))}
            </ul>
          </div>
        );
      })}
      {pieces.length > 0 && (
        <div className={css.put}>
          <Button
            variant="contained"
            disabled={isBusy || there.length === 0}
            onClick={() => void put(onSpread(there))}
            title="Twins on different shelves, front and back; runny ones low and on cookies"
          >
            {there.length ? `Spread ${there.length} over the shelves` : 'Choose pieces'}
          </Button>
          {there.length > 0 && (
            <TextField
              label="Needed by"
              type="date"
              value={there.every(({ dueOn }) => dueOn === there[0]!.dueOn) ? (there[0]!.dueOn ?? '') : ''}
              onChange={(event) => void onDue(there, event.target.value || null)}
              slotProps={{ inputLabel: { shrink: true } }}
            />
          )}
          <div className={css.putShelf}>
            <Choice
              label="Shelf"
              options={Array.from({ length: shelves }, (_, i) => String(shelves - i))}
              value={shelf}
              onChange={(to) => setShelf(to ?? '1')}
            />
            <Button
              disabled={isBusy || there.length === 0}
              onClick={() => void put(onShelf(there, Number(shelf)))}
            >
              Put {there.length || 'them'} on shelf {shelf}
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}

/** Chooses pieces by their numbers: "12-40, 55". */
function ByNumber({
  pieces,
  onChoose,
}: {
  readonly pieces: readonly ShelfPiece[];
  readonly onChoose: (ids: readonly string[]) => void;
}) {
  const [typed, setTyped] = useState('');
  const [answer, setAnswer] = useState('');
  const choose = (numbers: string) => {
    const { ids, missing, wrong } = chosenBy(numbers, pieces);
    onChoose(ids);
    setTyped([...missing, ...wrong].join(', '));
    return [
      `${ids.length} chosen`,
      ...(missing.length ? [`not waiting: ${missing.join(', ')}`] : []),
      ...(wrong.length ? [`no number: ${wrong.join(', ')}`] : []),
    ].join('; ');
  };
  return (
    <form
      className={css.byNumber}
      onSubmit={(event) => {
        event.preventDefault();
        setAnswer(choose(typed));
      }}
    >
      <WordField label="Choose by number" value={typed} onChange={setTyped} placeholder="12-40, 55" />
      <Button type="submit" disabled={!typed.trim()}>
        Choose
      </Button>
      <ScanButton label="Choose by label" onNumber={(number) => `${number}: ${choose(number)}`} />
      <p role="status" className="small">
        {answer}
      </p>
    </form>
  );
}

/** The name of a group; dragged onto a shelf it brings all its pieces. */
function GroupHead({ name, href, ids }: { name: string; href: string | null; ids: readonly string[] }) {
  const { setNodeRef, listeners, transform } = useDraggable({ id: `group ${name}`, data: { ids } });
  return (
    <h3
      ref={setNodeRef}
      {...listeners}
      className={css.groupHead}
      title="Drag the whole group onto a shelf"
      style={
        transform ? { transform: `translate(${transform.x}px, ${transform.y}px)`, zIndex: 5 } : undefined
      }
    >
      {href ? <Link href={href}>{name}</Link> : name}
    </h3>
  );
}

interface WaitsProps {
  readonly piece: ShelfPiece;
  readonly on: boolean;
  readonly onTurn: (on: boolean, isRange: boolean) => void;
}

function Waits({ piece, on, onTurn }: WaitsProps) {
  const { setNodeRef, listeners, transform } = useDraggable({ id: piece.id });
  return (
    <li>
      <label
        ref={setNodeRef}
        {...listeners}
        className={css.waits}
        data-on={on || undefined}
        style={
          transform ? { transform: `translate(${transform.x}px, ${transform.y}px)`, zIndex: 5 } : undefined
        }
      >
        <input
          type="checkbox"
          checked={on}
          onChange={(event) =>
            onTurn(event.target.checked, (event.nativeEvent as unknown as MouseEvent).shiftKey)
          }
          aria-label={piece.label}
        />
        <span className={css.drawn}>
          <Silhouette
            {...drawnPiece(piece)}
            size={Math.round(Math.min(44, (44 * piece.heightMm) / piece.widthMm))}
            title={`${formWord(piece)} ${piece.label}`}
          />
        </span>
        <span className="figures small">{piece.label}</span>
      </label>
    </li>
  );
}

'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';
import { Acts } from '@/ui/kit';
import { useUnits } from '@/ui/units';
import type { GlazeChoice } from '../../model/draft';
import { matching, namesFor, type SheetBook } from '../../model/sheet/book';
import { takes } from '../../model/sheet/moves';
import type { ShownRow } from '../../model/sheet/readRow';
import type { Column } from '../../model/sheet/rows';
import { RowDrawing, TITLES, unsaid } from './SheetGrid';
import css from './sheet.module.css';
import type { SheetState } from './useSheet';

interface Props {
  readonly of: SheetState;
  readonly book: SheetBook;
  readonly glazes: ReadonlyMap<string, GlazeChoice>;
}

/** The rows of a sheet as cards, one of them open: what differs is a tap on what was used last. */
export function RowCards({ of, book, glazes }: Props) {
  const { shown, at, go, remove, add } = of;
  const card = useRef<HTMLLIElement>(null);
  // The card that was open when the page came stays where it is.
  const seen = useRef(at.row);
  useEffect(() => {
    if (seen.current !== at.row) card.current?.scrollIntoView({ block: 'start' });
    seen.current = at.row;
  }, [at.row]);
  return (
    <ol className={css.cards} aria-label="Sheet">
      {shown.map((one, i) =>
        i === at.row ? (
          <li key={one.row.id} ref={card} className={css.open}>
            <OpenCard {...{ of, book, glazes, shown: one, index: i }} />
            <Acts>
              {!one.row.isOffered && (
                <Button variant="contained" onClick={add}>
                  Next piece
                </Button>
              )}
              <Button variant="text" onClick={() => remove(i)}>
                Remove
              </Button>
            </Acts>
          </li>
        ) : (
          <li key={one.row.id}>
            <button
              type="button"
              className={css.card}
              data-offered={one.row.isOffered || undefined}
              data-wrong={(!one.row.isOffered && Object.keys(one.read.problems).length > 0) || undefined}
              onClick={() => go({ row: i, column: 'glaze1' })}
            >
              <span className="figures">{one.row.cells.number || i + 1}</span>
              <RowDrawing read={one.read} book={book} glazes={glazes} size={44} />
              <span>{cardWords(one)}</span>
            </button>
          </li>
        ),
      )}
    </ol>
  );
}

/** A row in a line: its glazes, its form and clay. */
function cardWords({ row: { cells }, read: { count } }: ShownRow): string {
  const glazes = [cells.glaze1, cells.glaze2, cells.glaze3, cells.glaze4].filter(Boolean).join(', ');
  const many = count > 1 ? `${count} times` : '';
  return [glazes || 'bare', cells.form, cells.clay, many].filter(Boolean).join('; ');
}

/** Columns that are asked only under a button; from the second piece on also what stays the same as a rule. */
const LESS_ASKED: readonly Column[] = ['size', 'times', 'maker', 'note'];
const MOSTLY_SAME: readonly Column[] = ['form', 'clay', 'pattern'];

interface OpenProps extends Props {
  readonly shown: ShownRow;
  readonly index: number;
}

function OpenCard({ of, book, glazes, shown: { row, read }, index }: OpenProps) {
  const [isMore, setIsMore] = useState(false);
  const useful = of.visible.filter((column) => takes(row.cells, column, book));
  const isHidden = (column: Column) =>
    LESS_ASKED.includes(column) ||
    (index > 0 && row.cells[column] !== '' && (MOSTLY_SAME.includes(column) || column === 'number'));
  return (
    <>
      <div className={css.cardHead}>
        <h2>Piece {row.cells.number || index + 1}</h2>
        <RowDrawing read={read} book={book} glazes={glazes} size={72} />
      </div>
      {useful
        .filter((column) => isMore || !isHidden(column))
        .map((column) => (
          <CardField
            key={column}
            {...{ of, book, column, index }}
            value={row.cells[column]}
            problem={of.isAsked ? read.problems[column] : undefined}
            read={read}
          />
        ))}
      {!isMore && (
        <Button size="small" variant="text" onClick={() => setIsMore(true)}>
          {index > 0 ? 'Form, clay, pattern, size, note …' : 'Size, times, note …'}
        </Button>
      )}
    </>
  );
}

/** What a piece is never without: pressed again it stays. */
const ALWAYS: readonly Column[] = ['form', 'clay'];

/** So many names stand as buttons; the rest are found by typing. */
const BUTTONS = 6;

interface FieldProps {
  readonly of: SheetState;
  readonly book: SheetBook;
  readonly column: Column;
  readonly index: number;
  readonly value: string;
  readonly problem: string | undefined;
  readonly read: ShownRow['read'];
}

function CardField({ of, book, column, index, value, problem, read }: FieldProps) {
  const units = useUnits();
  const names = namesFor(column, book);
  const recent = of.rows.flatMap(({ cells }, i) => (i < index ? [cells[column]] : [])).reverse();
  const [text, setText] = useState<string | null>(null);
  const offered = names ? matching(text ?? '', names, [value, ...recent]).slice(0, BUTTONS) : [];
  const write = (words: string) => {
    setText(null);
    of.write(index, column, words);
  };
  const leave = () => {
    if (text === null) return;
    if (names && text.trim() === '') setText(null);
    else write(text);
  };
  return (
    <div className={css.cardField} role="group" aria-label={TITLES[column]}>
      <TextField
        label={TITLES[column]}
        placeholder={value || unsaid(column, read, units)}
        value={text ?? value}
        error={Boolean(problem)}
        helperText={problem}
        multiline={column === 'note'}
        // Letters find a name; until one is found, what stands there stays.
        onFocus={() => names && setText('')}
        onChange={(event) => setText(event.target.value)}
        onBlur={leave}
        onKeyDown={(event) => event.key === 'Enter' && column !== 'note' && leave()}
        slotProps={{
          inputLabel: { shrink: true },
          htmlInput: { inputMode: column === 'pieces' ? 'numeric' : 'text' },
        }}
      />
      {names && (
        <div className={css.names}>
          {offered.map((name) => (
            <button
              key={name}
              type="button"
              aria-pressed={name === value}
              // Before the field is left with what was half typed.
              onPointerDown={(event) => event.preventDefault()}
              onClick={() => write(name === value && !ALWAYS.includes(column) ? '' : name)}
            >
              {name}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

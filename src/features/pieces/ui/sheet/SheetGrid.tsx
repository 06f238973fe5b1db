'use client';
import ContentCopy from '@mui/icons-material/ContentCopyOutlined';
import DeleteOutline from '@mui/icons-material/DeleteOutlined';
import IconButton from '@mui/material/IconButton';
import { memo, useCallback, useEffect, useRef, type CSSProperties } from 'react';
import { shortFigures, shownValue, type Units } from '@/core/units';
import { Silhouette } from '@/ui/silhouette';
import { useUnits } from '@/ui/units';
import { drawnAreas, drawnCoats, type GlazeChoice } from '../../model/draft';
import { namesFor, type SheetBook } from '../../model/sheet/book';
import { takes, type At } from '../../model/sheet/moves';
import type { ReadRow, ShownRow } from '../../model/sheet/readRow';
import { GLAZE_COLUMNS, type Column } from '../../model/sheet/rows';
import { SheetCell } from './SheetCell';
import css from './sheet.module.css';
import type { SheetState } from './useSheet';

/** What the columns are called. */
export const TITLES: Readonly<Record<Column, string>> = {
  ...{ number: 'Own no.', form: 'Form', size: 'Size', clay: 'Clay', pattern: 'Pattern', glaze1: 'Glaze 1' },
  ...{ glaze2: 'Glaze 2', glaze3: 'Glaze 3', glaze4: 'Glaze 4', times: 'Times', pieces: 'Pieces' },
  ...{ maker: 'Maker', note: 'Note' },
};

interface Props {
  readonly of: SheetState;
  readonly book: SheetBook;
  readonly glazes: ReadonlyMap<string, GlazeChoice>;
}

/** The rows of a sheet, one of whose cells is written in. */
export function SheetGrid({ of, book, glazes }: Props) {
  const { shown, visible, at, isAsked, go, remove, copy } = of;
  // Rows that nothing happens to are not drawn again: what they call stays the same.
  const acts = useRef({ go, remove, copy });
  useEffect(() => {
    acts.current = { go, remove, copy };
  });
  const onGo = useCallback((next: At) => acts.current.go(next), []);
  const onRemove = useCallback((row: number) => acts.current.remove(row), []);
  const onCopy = useCallback((row: number) => acts.current.copy(row), []);
  return (
    <div
      className={css.grid}
      role="grid"
      aria-label="Sheet"
      aria-rowcount={shown.length + 1}
      style={{ '--columns': columnsOf(visible) } as CSSProperties}
    >
      <div role="row" className={css.head}>
        <span role="columnheader" aria-label="Row" />
        {visible.map((column) => (
          <span key={column} role="columnheader">
            {TITLES[column]}
          </span>
        ))}
        <span role="columnheader">Looks</span>
        <span role="columnheader" aria-label="Copy or remove" />
      </div>
      {shown.map((one, i) => (
        <SheetRow
          key={one.row.id}
          {...{ index: i, shown: one, visible, book, glazes, onGo, onRemove, onCopy }}
          isAsked={isAsked}
          active={i === at.row ? at.column : null}
          cell={i === at.row ? of : null}
        />
      ))}
    </div>
  );
}

/** How wide columns are, beside those that share what is left. */
const WIDTHS: Readonly<Partial<Record<Column, string>>> = {
  ...{ number: '66px', form: '86px', size: '74px', times: '58px', pieces: '58px', maker: '86px' },
  ...{ note: '86px', pattern: 'minmax(0, 1.8fr)' },
};

/** The row's number, its cells, its drawing, what can be done with it. */
function columnsOf(visible: readonly Column[]): string {
  const cells = visible.map((column) => WIDTHS[column] ?? 'minmax(0, 1fr)');
  return ['34px', ...cells, '54px', '76px'].join(' ');
}

interface RowProps {
  readonly index: number;
  readonly shown: ShownRow;
  readonly visible: readonly Column[];
  readonly book: SheetBook;
  readonly glazes: ReadonlyMap<string, GlazeChoice>;
  /** Whether somebody wanted to save: what is missing is shown everywhere. */
  readonly isAsked: boolean;
  readonly active: Column | null;
  /** What the active cell works with; null for a row that has none. */
  readonly cell: SheetState | null;
  readonly onGo: (at: At) => void;
  readonly onRemove: (row: number) => void;
  readonly onCopy: (row: number) => void;
}

const SheetRow = memo(function SheetRow(props: RowProps) {
  const { index, shown, visible, book, glazes, isAsked, active, cell, onGo, onRemove, onCopy } = props;
  const { row, read } = shown;
  const units = useUnits();
  const isChecked = !row.isOffered && (isAsked || active === null);
  return (
    <div
      role="row"
      className={css.line}
      aria-label={`Row ${index + 1}`}
      data-offered={row.isOffered || undefined}
    >
      <span role="rowheader" className="figures">
        {index + 1}
      </span>
      {visible.map((column) => {
        const problem = isChecked ? read.problems[column] : undefined;
        const isUseless = !takes(row.cells, column, book) && row.cells[column] === '';
        return (
          <div
            key={column}
            role="gridcell"
            data-wrong={problem ? true : undefined}
            data-doubt={(column === 'size' && read.isTooLarge && !row.isOffered) || undefined}
            data-useless={isUseless || undefined}
            title={problem}
            onMouseDown={(event) => {
              if (active === column) return;
              event.preventDefault();
              onGo({ row: index, column });
            }}
          >
            {cell && active === column ? (
              <SheetCell
                label={`${TITLES[column]}, row ${index + 1}`}
                value={row.cells[column]}
                typed={cell.typed}
                onType={cell.setTyped}
                isPointed={cell.isPointed}
                names={namesFor(column, book)}
                recent={cell.recent}
                onMove={cell.move}
                onSettle={cell.settle}
                onPaste={cell.paste}
                onAbove={cell.above}
                problem={problem}
              />
            ) : (
              row.cells[column] || <span className={css.unsaid}>{unsaid(column, read, units)}</span>
            )}
          </div>
        );
      })}
      <div role="gridcell" className={css.looks}>
        {read.piece && <RowDrawing read={read} book={book} glazes={glazes} />}
      </div>
      <div role="gridcell" className={css.tools}>
        <IconButton
          size="small"
          aria-label={`Copy row ${index + 1}`}
          title="Copy row"
          onClick={() => onCopy(index)}
        >
          <ContentCopy fontSize="small" />
        </IconButton>
        <IconButton
          size="small"
          aria-label={`Remove row ${index + 1}`}
          title="Remove row"
          onClick={() => onRemove(index)}
        >
          <DeleteOutline fontSize="small" />
        </IconButton>
      </div>
    </div>
  );
});

/** What a row comes to where nothing is written, in grey: the usual size, what a glaze is for. */
export function unsaid(column: Column, { piece, roles, count }: ReadRow, units: Units): string {
  const slot = roles[GLAZE_COLUMNS.findIndex((one) => one === column)];
  if (slot) return slot.isOptional ? `(${slot.role})` : slot.role;
  if (column === 'pattern') return 'how it is glazed';
  if (!piece) return '';
  const of = (mm: number) => shortFigures(shownValue('length', mm, units), 1);
  if (column === 'size') return `${of(piece.heightMm)} x ${of(piece.widthMm)}`;
  if (column === 'times') return piece.coats.map(({ times }) => times).join(' ');
  return column === 'pieces' ? String(count) : '';
}

/** A row's piece as it will look before the firing. */
export function RowDrawing({
  read: { piece },
  book,
  glazes,
  size = 34,
}: {
  readonly read: ReadRow;
  readonly book: SheetBook;
  readonly glazes: ReadonlyMap<string, GlazeChoice>;
  readonly size?: number;
}) {
  if (!piece) return null;
  const body = book.bodies.find(({ id }) => id === piece.bodyId);
  const { form, profile, heightMm, widthMm } = piece;
  return (
    <Silhouette
      {...{ form, profile, heightMm, widthMm, size, title: '' }}
      bodyColour={body?.colour ?? ''}
      coats={drawnCoats(piece, glazes)}
      areas={drawnAreas(piece)}
    />
  );
}

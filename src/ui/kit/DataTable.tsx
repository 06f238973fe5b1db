'use client';
import Button from '@mui/material/Button';
import TablePagination from '@mui/material/TablePagination';
import TableSortLabel from '@mui/material/TableSortLabel';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState, type KeyboardEvent, type MouseEvent, type ReactNode } from 'react';
import css from './dataTable.module.css';
import { inOrderOf, rowsWith, type TableOrder, type TableValue } from './tableRows';

export interface TableColumn {
  /** Its heading; empty for one of pictures or buttons. */
  readonly name: string;
  /** Stands small below the heading. */
  readonly note?: ReactNode;
  /** Whether its cells say what their rows are. */
  readonly isHead?: boolean;
  readonly align?: 'right';
  /** Whether its heading puts the rows in its order. */
  readonly isSortable?: boolean;
}

export interface TableRowData {
  readonly key: string;
  readonly cells: readonly ReactNode[];
  /** What the cells say, for order, filter and download. */
  readonly values?: readonly TableValue[];
  /** The page of what the row is about. */
  readonly href?: string;
  /** A box before the row that is ticked when it is done. */
  readonly tick?: Tick;
}

/** A box that says that a line is done, or chosen. */
export interface Tick {
  readonly label: string;
  readonly isDone: boolean;
  /** @param isRange whether Shift was held */
  readonly onTick: (isRange: boolean) => void;
}

interface Props {
  /** What the rows are, for those who hear the page. */
  readonly label: string;
  readonly columns: readonly TableColumn[];
  readonly rows: readonly TableRowData[];
  /** What stands there when there is no row: what will be here, and the act that begins it. */
  readonly empty?: ReactNode;
  readonly caption?: ReactNode;
  /** What a tick says of its row: what is done is struck out. */
  readonly ticks?: 'done' | 'chosen';
  /** Headings may be left out where the cells speak for themselves. */
  readonly hasHeadings?: boolean;
  /** Offers a field that narrows the rows, with this label. */
  readonly filter?: string;
  /** Offers the rows in view as a spreadsheet of this name. */
  readonly download?: string;
  /** The order, where the server keeps it; otherwise the table does. */
  readonly order?: TableOrder & { readonly onOrder: (order: TableOrder) => void };
  readonly paging?: {
    readonly page: number;
    readonly size: number;
    readonly total: number;
    readonly onPage: (page: number) => void;
  };
}

/** Rows and columns: ordered by a heading, narrowed by a word, walked with the arrow keys, taken as a spreadsheet. */
export function DataTable(props: Props) {
  const { label, columns, rows, empty, caption, hasHeadings = true, filter, download, order, paging } = props;
  const { ticks = 'done' } = props;
  const [own, setOwn] = useState<TableOrder | null>(null);
  const [text, setText] = useState('');
  const router = useRouter();
  const now = order ?? own;
  const found = filter ? rowsWith(rows, text) : rows;
  const hasTicks = rows.some((row) => row.tick);
  const shown = own && !order ? inOrderOf(found, own) : found;
  const turn = (column: number) => {
    const isAgain = now?.column === column && now.direction === 'asc';
    (order?.onOrder ?? setOwn)({ column, direction: isAgain ? 'desc' : 'asc' });
  };
  const open = (event: MouseEvent, href: string | undefined) => {
    // A link or button within the row does what it says.
    if (href && !(event.target as HTMLElement).closest('a, button, input, label')) router.push(href);
  };
  return (
    <>
      {(filter || download) && (
        <div className={css.tools}>
          {filter && (
            <TextField
              label={filter}
              value={text}
              onChange={(event) => setText(event.target.value)}
              sx={{ maxWidth: 260 }}
            />
          )}
          {download && shown.length > 0 && (
            <Button onClick={() => void save(download, columns, shown)}>Download as spreadsheet</Button>
          )}
        </div>
      )}
      <div className={css.scroll}>
        <table aria-label={label} className={css.table}>
          {caption && <caption>{caption}</caption>}
          {hasHeadings && (
            <thead>
              <tr>
                {hasTicks && <th scope="col">{ticks === 'done' ? 'Done' : 'Choose'}</th>}
                {columns.map(({ name, note, align, isSortable }, column) => (
                  <th
                    key={column}
                    scope="col"
                    className={align && css[align]}
                    aria-sort={now?.column === column ? SORTED[now.direction] : undefined}
                  >
                    {isSortable ? (
                      <TableSortLabel
                        active={now?.column === column}
                        direction={now?.column === column ? now.direction : 'asc'}
                        onClick={() => turn(column)}
                      >
                        {name}
                      </TableSortLabel>
                    ) : (
                      name
                    )}
                    {note && <small>{note}</small>}
                  </th>
                ))}
              </tr>
            </thead>
          )}
          <tbody onKeyDown={walk}>
            {shown.map((row) => (
              <tr
                key={row.key}
                data-opens={row.href !== undefined || undefined}
                data-ticked={(row.tick?.isDone && ticks) || undefined}
                onClick={(event) => open(event, row.href)}
              >
                {hasTicks && <TickCell tick={row.tick} />}
                {columns.map((column, i) => (
                  <Cell key={i} column={column}>
                    {row.cells[i]}
                  </Cell>
                ))}
              </tr>
            ))}
            {shown.length === 0 && empty && (
              <tr>
                <td colSpan={columns.length + Number(hasTicks)}>{rows.length ? 'No row matches.' : empty}</td>
              </tr>
            )}
          </tbody>
        </table>
      </div>
      {paging && paging.total > paging.size && (
        <TablePagination
          component="div"
          count={paging.total}
          page={paging.page}
          rowsPerPage={paging.size}
          rowsPerPageOptions={[paging.size]}
          onPageChange={(_, page) => paging.onPage(page)}
        />
      )}
    </>
  );
}

const SORTED = { asc: 'ascending', desc: 'descending' } as const;

/** A cell; plain elements, since a page of pieces has five hundred. */
function Cell({ column: { align, isHead }, children }: { column: TableColumn; children: ReactNode }) {
  const className = align && `figures ${css[align]}`;
  return isHead ? (
    <th scope="row" className={className}>
      {children}
    </th>
  ) : (
    <td className={className}>{children}</td>
  );
}

function TickCell({ tick }: { tick: Tick | undefined }) {
  return (
    <td className={css.tick}>
      {tick && (
        <label>
          <input
            type="checkbox"
            checked={tick.isDone}
            onChange={(event) => tick.onTick((event.nativeEvent as unknown as MouseEvent).shiftKey)}
            aria-label={tick.label}
          />
        </label>
      )}
    </td>
  );
}

/** Arrow keys, Home and End go from row to row by the first thing in each that can be pressed. */
function walk(event: KeyboardEvent<HTMLTableSectionElement>): void {
  const STEPS: Readonly<Record<string, number>> = {
    ArrowDown: 1,
    ArrowUp: -1,
    Home: -Infinity,
    End: Infinity,
  };
  const step = STEPS[event.key];
  if (step === undefined || (event.target as HTMLElement).closest('input, [role="slider"]')) return;
  const rows = [...event.currentTarget.rows];
  const at = rows.findIndex((row) => row.contains(event.target as Node));
  const goal = rows[Math.max(0, Math.min(rows.length - 1, at + step))];
  const target = goal?.querySelector<HTMLElement>('a, button');
  if (!target) return;
  event.preventDefault();
  target.focus();
}

async function save(
  name: string,
  columns: readonly TableColumn[],
  rows: readonly TableRowData[],
): Promise<void> {
  const { unparse } = await import('papaparse');
  const named = columns.flatMap((column, i) => (column.name ? [i] : []));
  const lines = rows.map(({ values = [] }) => named.map((i) => values[i] ?? ''));
  const text = unparse([named.map((i) => columns[i]!.name), ...lines], { escapeFormulae: true });
  const url = URL.createObjectURL(new Blob([`\ufeff${text}`], { type: 'text/csv' }));
  Object.assign(document.createElement('a'), { href: url, download: name }).click();
  URL.revokeObjectURL(url);
}

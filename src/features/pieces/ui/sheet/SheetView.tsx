'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useMemo } from 'react';
import { OpensOffline } from '@/ui/OpensOffline';
import { Acts, FormErrors, PageHeader, SelectField } from '@/ui/kit';
import { useSaveKey } from '@/ui/useSaveKey';
import { NextTime } from '@/features/reminders';
import type { StudioPattern } from '@/records/pieces';
import type { Reminder } from '@/records/reminders';
import { remindersFor } from '../../model/remindersFor';
import { patternsOf, type SheetBook } from '../../model/sheet/book';
import type { Cells, Column } from '../../model/sheet/rows';
import { EverywhereCoats } from './EverywhereCoats';
import { OwnPatterns } from './OwnPatterns';
import { RowCards } from './RowCards';
import { RowDetail } from './RowDetail';
import { SavedNumbers } from './SavedNumbers';
import { SheetGrid, TITLES } from './SheetGrid';
import css from './sheet.module.css';
import { useSheet, type SheetState } from './useSheet';

interface Props extends Omit<SheetBook, 'patterns'> {
  /** The studio's own ways of glazing. */
  readonly patterns: readonly StudioPattern[];
  readonly start: Partial<Cells>;
  /** The letters that numbers may have; empty where there is one series. */
  readonly series: readonly string[];
  readonly lastSeries: string | null;
  readonly mayTeach: boolean;
  readonly reminders: readonly Reminder[];
  readonly orders: readonly { readonly id: string; readonly name: string }[];
  /** The order that the sheet was opened for. */
  readonly orderId: string | null;
}

/** Many pieces written down at a time: a grid for the keyboard, cards on a phone. */
export function SheetView({
  start,
  series,
  lastSeries,
  mayTeach,
  orders,
  orderId,
  reminders,
  ...known
}: Props) {
  const { bodies, glazes: listed, forms, makers, patterns, rooms } = known;
  const book = useMemo(
    (): SheetBook => ({ bodies, glazes: listed, forms, makers, rooms, patterns: patternsOf(patterns) }),
    [bodies, listed, forms, makers, patterns, rooms],
  );
  const of = useSheet({ book, start, series: lastSeries, orderId });
  const isPhone = useMediaQuery((theme) => theme.breakpoints.down('md'));
  const glazes = useMemo(() => new Map(book.glazes.map((glaze) => [glaze.id, glaze])), [book]);
  useSaveKey(of.save);
  return (
    <>
      <PageHeader first="Sheet">
        <h1>Sheet of pieces</h1>
        <span className="quiet">
          <span className="figures">{of.written}</span> {of.written === 1 ? 'row' : 'rows'},{' '}
          <span className="figures">{of.pieces}</span> {of.pieces === 1 ? 'piece' : 'pieces'}
        </span>
        <OpensOffline />
        {series.length > 1 && (
          <SelectField
            label="Number"
            value={of.series ?? series[0]!}
            onChange={of.setSeries}
            options={series.map((prefix) => [prefix, prefix] as const)}
          />
        )}
        {orders.length > 0 && (
          <SelectField
            label="For the order"
            value={of.orderId ?? ''}
            onChange={(id) => of.setOrderId(id || null)}
            options={[['', 'none'], ...orders.map(({ id, name }) => [id, name] as const)]}
            className={css.order}
          />
        )}
        {of.isRestored && of.written > 0 && (
          <span className="small quiet">
            Not saved yet; kept on this device.{' '}
            <Button size="small" variant="text" onClick={of.startAgain}>
              Start again
            </Button>
          </span>
        )}
        {!isPhone && (
          <Acts>
            <Button onClick={of.fillDown} title="The active cell’s words in all rows below it">
              Fill down
            </Button>
            <SaveButton of={of} />
          </Acts>
        )}
      </PageHeader>
      <Sent of={of} />
      <SavedNumbers of={of.outbox} />
      <ToPutRight of={of} />
      <NextTime
        reminders={remindersFor(
          reminders,
          of.shown.flatMap(({ read: { piece } }) => piece ?? []),
        )}
        isNamed
        mayWrite
      />
      {isPhone ? (
        <RowCards of={of} book={book} glazes={glazes} />
      ) : (
        <>
          <SheetGrid of={of} book={book} glazes={glazes} />
          <p className={css.keys}>
            <kbd>Tab</kbd> next cell, <kbd>Enter</kbd> next row, <kbd>Ctrl D</kbd> as above, <kbd>Alt ↓</kbd>{' '}
            all names, <kbd>Ctrl Enter</kbd> saves. Rows can be pasted from a spreadsheet.
          </p>
          <RowDetail of={of} book={book} glazes={glazes} />
        </>
      )}
      <EverywhereCoats of={of} book={book} />
      {mayTeach && <OwnPatterns patterns={patterns} />}
      {isPhone && (
        <div className={css.foot}>
          <SaveButton of={of} />
        </div>
      )}
      {of.bar}
    </>
  );
}

function SaveButton({ of }: { readonly of: SheetState }) {
  return (
    <Button variant="contained" disabled={of.written === 0} onClick={of.save} title="Ctrl Enter">
      Save{of.pieces > 1 && ` ${of.pieces} pieces`}
    </Button>
  );
}

/** What is on its way, and what the server said. */
function Sent({ of: { outbox } }: { readonly of: SheetState }) {
  const pieces = outbox.waiting.reduce((sum, { ids }) => sum + ids.length, 0);
  return (
    <div role="status">
      <FormErrors errors={outbox.errors} />
      {pieces > 0 && (
        <Alert severity={outbox.isDown ? 'warning' : 'info'} variant="outlined" sx={{ mb: 2 }}>
          {pieces === 1 ? 'One piece is' : `${pieces} pieces are`}{' '}
          {outbox.isDown
            ? 'kept on this device: no answer from the server. They are sent, in their order, when it is back.'
            : 'being saved.'}
        </Alert>
      )}
    </div>
  );
}

/** What stands in the way of saving, each with the way to its cell. */
function ToPutRight({ of }: { readonly of: SheetState }) {
  if (!of.isAsked || of.wrong.length === 0) return null;
  const all = of.wrong.flatMap(({ row, read }) =>
    Object.entries(read.problems).map(([column, message]) => ({
      ...{ row: of.rows.indexOf(row), column: column as Column, message },
    })),
  );
  return (
    <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
      <p>
        Not saved: {all.length === 1 ? 'one thing is' : `${all.length} things are`} missing or wrong. Nothing
        was lost.
      </p>
      <ul className={css.wrong}>
        {all.slice(0, SHOWN).map(({ row, column, message }) => (
          <li key={`${row} ${column}`}>
            <Button size="small" variant="text" onClick={() => of.go({ row, column })}>
              Row {row + 1}, {TITLES[column].toLowerCase()}
            </Button>{' '}
            {message}
          </li>
        ))}
      </ul>
    </Alert>
  );
}

/** So many things are named at a time. */
const SHOWN = 8;

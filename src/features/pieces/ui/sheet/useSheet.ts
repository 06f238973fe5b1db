'use client';
import { useCallback, useMemo, useState } from 'react';
import { useUnits } from '@/ui/units';
import { usePersistedState } from '@/ui/usePersistedState';
import { useUndo } from '@/ui/Undo';
import { completed, type SheetBook } from '../../model/sheet/book';
import { moved, visibleColumns, type At, type Move } from '../../model/sheet/moves';
import { isTable, pasted } from '../../model/sheet/paste';
import { rowReader, type EverywhereCoat, type ShownRow } from '../../model/sheet/readRow';
import {
  copied,
  filledDown,
  newRow,
  rowAfter,
  withCell,
  written,
  type Cells,
  type Column,
  type Row,
} from '../../model/sheet/rows';
import { useSheetOutbox } from './useSheetOutbox';

interface Sheet {
  readonly rows: readonly Row[];
  readonly everywhere: readonly EverywhereCoat[];
}

interface Options {
  readonly book: SheetBook;
  /** What the first row begins with. */
  readonly start: Partial<Cells>;
  /** The letters of the series that is offered first. */
  readonly series: string | null;
  /** The order that is offered first. */
  readonly orderId: string | null;
}

const isWrong = ({ read }: ShownRow) => Object.keys(read.problems).length > 0;

/** Whether a coat of every piece wants its glaze or its place still. */
export const isHalf = ({ glazeId, place }: EverywhereCoat) => glazeId === '' || place === '';

/** The cell that is written in, and what stands in it and is not left yet. */
function useCursor() {
  const [at, setAt] = useState<At>({ row: 0, column: 'form' });
  /** Whether somebody pointed at it, and so is shown what may stand in it. */
  const [isPointed, setIsPointed] = useState(false);
  const [typed, setTyped] = useState<string | null>(null);
  /** Where Enter goes in the next row: where somebody pointed, or went back to. From the first row it is the first glaze. */
  const [anchor, setAnchor] = useState<Column>('glaze1');
  const put = (next: At, pointed = false) => {
    setAt(next);
    setIsPointed(pointed);
  };
  return { at, isPointed, typed, setTyped, anchor, setAnchor, put };
}

/** Whose letters the numbers get, and for which order the pieces are. */
function useOrigin(usualSeries: string | null, firstOrder: string | null) {
  const [series, setSeries] = useState(usualSeries);
  const [orderId, setOrderId] = useState(firstOrder);
  return { series, setSeries, orderId, setOrderId };
}

/** A sheet of pieces as it is typed: kept on this device, moved through by keys, saved and sent. */
export function useSheet({ book, start, series: usualSeries, orderId: firstOrder }: Options) {
  const [empty] = useState<Sheet>(() => ({ rows: [newRow(start)], everywhere: [] }));
  const [{ rows, everywhere }, setSheet, isRestored] = usePersistedState<Sheet>('jiten.sheet', empty);
  const { at, isPointed, typed, setTyped, anchor, setAnchor, put } = useCursor();
  const origin = useOrigin(usualSeries, firstOrder);
  const [isAsked, setIsAsked] = useState(false);
  const { offer, bar } = useUndo();
  const units = useUnits();
  const readOf = useMemo(() => rowReader(book, units, everywhere), [book, units, everywhere]);
  const shown = useMemo(() => rows.map(readOf), [rows, readOf]);
  // The same list as long as the same columns stand: rows that nothing happens to are not drawn again.
  const names = visibleColumns(rows, book).join();
  const visible = useMemo(() => names.split(',') as Column[], [names]);
  const outbox = useSheetOutbox({
    onRefused: (refused) => setSheet((before) => ({ ...before, rows: [...refused, ...before.rows] })),
  });

  const setRows = useCallback(
    (change: (before: readonly Row[]) => readonly Row[]) =>
      setSheet((before) => ({ ...before, rows: change(before.rows) })),
    [setSheet],
  );
  const recentIn = (column: Column) =>
    rows
      .slice(0, at.row)
      .map(({ cells }) => cells[column])
      .reverse();
  /** Leaves the active cell; gives the rows with what was typed as it stands there now. */
  const settle = (text = typed): readonly Row[] => {
    if (text === null) return rows;
    const words = completed(at.column, text, book, recentIn(at.column));
    const next = withCell(rows, at.row, at.column, words);
    setRows(() => next);
    setTyped(null);
    return next;
  };
  const go = (next: At) => {
    settle();
    if (next.row > 0) setAnchor(next.column);
    put(next, true);
  };
  const move = (how: Move, text = typed) => {
    const now = settle(text);
    const next = moved(now, at, how, anchor, visible, book);
    if (next.rows !== now) setRows(() => next.rows);
    if (how === 'previous' && next.at.row > 0) setAnchor(next.at.column);
    put(next.at);
  };
  const withUndo = (words: string, change: (before: readonly Row[]) => readonly Row[]) => {
    const before = settle();
    offer(words, () => setRows(() => before));
    setRows(() => change(before));
  };
  const paste = (text: string): boolean => {
    if (!isTable(text)) return false;
    const before = rows;
    const { rows: next, left } = pasted(before, text, at, visible, book);
    setTyped(null);
    setRows(() => next);
    const many = written(next).length - written(before).length;
    const lost = left > 0 ? `; ${left} columns or lines found no place` : '';
    offer(`${many > 0 ? `${many} more rows` : 'Rows changed'}${lost}`, () => setRows(() => before));
    return true;
  };
  const remove = (index: number) => {
    withUndo(`Row ${index + 1} removed`, (before) => {
      const left = before.filter((_, i) => i !== index);
      return left.length > 0 ? left : [newRow(start)];
    });
    put({ ...at, row: Math.max(0, Math.min(at.row, rows.length - 2)) });
  };
  const add = () => {
    const now = settle();
    const last = now.at(-1)!;
    const next = last.isOffered ? now : [...now, rowAfter(last)];
    setRows(() => next);
    put({ row: next.length - 1, column: 'glaze1' });
  };
  const own = shown.filter(({ row }) => !row.isOffered);
  const wrong = own.filter(isWrong);
  const save = () => {
    const now = written(settle());
    setIsAsked(true);
    const all = now.map(readOf);
    if (now.length === 0 || all.some(isWrong) || everywhere.some(isHalf)) return;
    outbox.put(all, origin);
    setRows(() => [rowAfter(now.at(-1)!)]);
    setAnchor('glaze1');
    put({ row: 0, column: 'glaze1' });
    setIsAsked(false);
  };
  return {
    ...{ rows, shown, visible, everywhere, at, isPointed, typed, setTyped },
    ...{ go, move, settle, paste, save, isAsked, bar },
    ...origin,
    ...{ remove, add, outbox, wrong, recent: recentIn(at.column), isRestored },
    pieces: own.reduce((sum, { read }) => sum + read.count, 0),
    written: own.length,
    fillDown: () => withUndo('Filled down', (before) => filledDown(before, at.row, at.column)),
    copy: (index: number) => {
      withUndo(`Row ${index + 1} copied`, (before) => copied(before, index));
      put({ ...at, row: index + 1 });
    },
    above: () => {
      const before = rows[at.row - 1];
      if (before) settle(before.cells[at.column]);
    },
    /** Writes a cell at once, as a tap does. */
    write: (row: number, column: Column, text: string) => {
      const words = completed(column, text, book, recentIn(column));
      setRows((before) => withCell(before, row, column, words));
    },
    setEverywhere: (next: readonly EverywhereCoat[]) =>
      setSheet((before) => ({ ...before, everywhere: next })),
    startAgain: () => withUndo('Sheet emptied', () => [newRow(start)]),
  };
}

export type SheetState = ReturnType<typeof useSheet>;

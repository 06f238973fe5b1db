'use client';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState, type ClipboardEvent, type KeyboardEvent, type MouseEvent } from 'react';
import { matching } from '../../model/sheet/book';
import type { Move } from '../../model/sheet/moves';
import css from './sheet.module.css';

interface Props {
  readonly label: string;
  /** What stands there. */
  readonly value: string;
  /** What is typed and not left yet; null for nothing. */
  readonly typed: string | null;
  readonly onType: (text: string | null) => void;
  /** Whether it was pointed at: what may stand there is shown at once. */
  readonly isPointed: boolean;
  /** Names that may stand there; null for any words. */
  readonly names: readonly string[] | null;
  /** Names used above, the last one first. */
  readonly recent: readonly string[];
  readonly onMove: (move: Move, text: string | null) => void;
  /** Leaves the cell with its words as they are, or with others. */
  readonly onSettle: (text: string | null) => void;
  /** Takes a table from the clipboard; whether it was one. */
  readonly onPaste: (text: string) => boolean;
  /** Writes what stands above. */
  readonly onAbove: () => void;
  readonly problem: string | undefined;
}

/** Names that a list shows at most. */
const SHOWN = 60;

/** The cell that is written in: letters choose among names, Tab and Enter take the best and go on. */
export function SheetCell(props: Props) {
  const { label, value, typed, onType, names, recent, onMove, onSettle, onPaste, onAbove, problem } = props;
  const [isOpen, setIsOpen] = useState(props.isPointed);
  const [chosen, setChosen] = useState<string | null>(null);
  const box = useRef<HTMLDivElement>(null);
  const selectAll = () => box.current?.querySelector('input')?.select();
  // Focus by the page itself, before it answers, selects nothing.
  useEffect(() => {
    box.current?.querySelector('input')?.focus();
    selectAll();
  }, []);
  const options = names ? matching(typed ?? '', names, recent).slice(0, SHOWN) : [];
  const isListed = options.length > 0 && (isOpen || (typed ?? '').trim() !== '');
  const close = () => {
    setIsOpen(false);
    setChosen(null);
  };
  const leave = (move: Move) => {
    onMove(move, chosen ?? typed);
    close();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const take = (act: () => void) => {
      event.preventDefault();
      event.stopPropagation();
      act();
    };
    const { key, shiftKey } = event;
    const isMod = event.ctrlKey || event.metaKey;
    if (key === 'Tab') take(() => leave(shiftKey ? 'previous' : 'next'));
    else if (key === 'Enter' && !isMod) take(() => leave('enter'));
    else if (key === 'd' && isMod) take(onAbove);
    else if (key === 'Escape')
      take(() => {
        onType(null);
        close();
        // Once the words that stood there are back.
        requestAnimationFrame(selectAll);
      });
    else if (key === 'ArrowDown' && event.altKey) take(() => setIsOpen(true));
    else if (key === 'ArrowDown' && !isListed) take(() => leave('down'));
    else if (key === 'ArrowUp' && !isListed) take(() => leave('up'));
  };
  return (
    <Autocomplete
      ref={box}
      freeSolo
      autoHighlight
      disableClearable
      selectOnFocus
      openOnFocus={false}
      open={isListed}
      options={options}
      filterOptions={(all) => all}
      inputValue={typed ?? value}
      value={value}
      onHighlightChange={(_, option, reason) => reason === 'keyboard' && setChosen(option)}
      onInputChange={(_, text, reason) => {
        if (reason !== 'input') return;
        setChosen(null);
        onType(text);
      }}
      onChange={(_, option, reason) => {
        if (reason !== 'selectOption') return;
        onSettle(option);
        close();
      }}
      onBlur={() => {
        onSettle(chosen ?? typed);
        close();
      }}
      slotProps={{ popper: { className: css.list!, placement: 'bottom-start', style: { width: 'auto' } } }}
      onKeyDownCapture={onKeyDown}
      renderInput={({ slotProps, ...params }) => (
        <TextField
          {...params}
          fullWidth
          variant="standard"
          className={css.input ?? ''}
          slotProps={{
            ...slotProps,
            input: { ...slotProps.input, disableUnderline: true },
            htmlInput: {
              ...slotProps.htmlInput,
              ...{ 'aria-label': label, 'aria-invalid': problem ? true : undefined, title: problem },
              // A click on words that are all chosen leaves them so: what is typed next stands in their place.
              onMouseDown: (event: MouseEvent<HTMLInputElement>) => {
                if (typed === null && document.activeElement === event.currentTarget) event.preventDefault();
              },
              onClick: () => setIsOpen(names !== null),
              onPaste: (event: ClipboardEvent<HTMLInputElement>) => {
                if (onPaste(event.clipboardData.getData('text/plain'))) event.preventDefault();
              },
            },
          }}
        />
      )}
    />
  );
}

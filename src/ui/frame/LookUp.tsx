'use client';
import useAutocomplete from '@mui/material/useAutocomplete';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { ForRole } from '@/ui/ForRole';
import css from './frame.module.css';

interface Found {
  readonly kind: string;
  readonly text: string;
  readonly detail: string;
  readonly href: string;
}

const NOTHING: readonly Found[] = [];

/** One field for everything: results as you type, arrows and Enter to go. */
export function LookUp() {
  const router = useRouter();
  const [text, setText] = useState('');
  const [found, setFound] = useState<readonly Found[] | null>(null);
  const [isIn, setIsIn] = useState(false);

  useEffect(() => {
    if (!isIn) return;
    const stop = new AbortController();
    const ask = async () => {
      try {
        const response = await fetch(`/api/v1/look-up?for=${encodeURIComponent(text)}`, {
          signal: stop.signal,
        });
        setFound((await response.json()) as Found[]);
      } catch {
        if (!stop.signal.aborted) setFound([]);
      }
    };
    const timer = setTimeout(() => void ask(), text.trim() ? 120 : 0);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [text, isIn]);

  const close = () => {
    setText('');
    setFound(null);
    setIsIn(false);
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  };
  const isBlank = text.trim() === '';
  const isOpen = isIn && found !== null && (!isBlank || found.length > 0);
  const { getRootProps, getInputProps, getListboxProps, getOptionProps, groupedOptions } = useAutocomplete({
    id: 'look-up',
    options: found ?? NOTHING,
    // The server has found them already.
    filterOptions: (options) => options,
    getOptionLabel: ({ text: label }) => label,
    getOptionKey: ({ href }) => href,
    isOptionEqualToValue: (one, other) => one.href === other.href,
    value: null,
    inputValue: text,
    open: isOpen,
    // Before anything is typed Enter goes nowhere.
    autoHighlight: !isBlank,
    onInputChange: (_, typed, reason) => {
      if (reason !== 'input') return;
      setText(typed);
      setFound((before) => (typed.trim() ? before : null));
    },
    onChange: (_, chosen) => {
      if (!chosen) return;
      router.push(chosen.href);
      close();
    },
    onClose: (_, reason) => {
      if (reason === 'escape') close();
    },
  });
  return (
    <div className={css.look} role="search" {...getRootProps()}>
      <input
        {...withFocus(getInputProps(), setIsIn)}
        type="search"
        aria-label="Search (key /)"
        placeholder="Search glazes, pieces, defects"
      />
      <kbd aria-hidden>/</kbd>
      {isOpen && (
        <ul className={css.results} {...getListboxProps()} aria-labelledby={undefined} aria-label="Results">
          {isBlank && (
            <li className={css.lately} role="presentation">
              In hand lately
            </li>
          )}
          {groupedOptions.map((option, index) => {
            const { key, ...props } = getOptionProps({ option, index });
            return (
              <li key={key} {...props} className={css.answer}>
                {/* The row itself is what is chosen; the link is there for a new tab. */}
                <Link href={option.href} tabIndex={-1} onNavigate={(event) => event.preventDefault()}>
                  <b>{option.text}</b>
                  <span>{option.detail}</span>
                </Link>
              </li>
            );
          })}
          {found.length === 0 && (
            <li className={css.noAnswer} role="presentation">
              Nothing called “{text}”. <NotFound text={text} />
            </li>
          )}
        </ul>
      )}
    </div>
  );
}

/** The one thing to do about what is not there: write the piece down, plan the test, or look where names stand. */
function NotFound({ text }: { readonly text: string }) {
  return (
    <ForRole least="student">
      {/\d/.test(text) ? (
        <Link href="/pieces/new">Write down a new piece</Link>
      ) : / over /i.test(text) ? (
        <Link href="/rounds/new">Plan a test of it</Link>
      ) : (
        <Link href="/glazes">Look through the glazes</Link>
      )}
    </ForRole>
  );
}

type InputProps = ReturnType<ReturnType<typeof useAutocomplete>['getInputProps']>;

/** The properties of the field, which also tells whether somebody is in it. */
function withFocus(props: InputProps, onFocus: (isIn: boolean) => void): InputProps {
  return {
    ...props,
    onFocus: (event) => {
      onFocus(true);
      props.onFocus?.(event);
    },
    onBlur: (event) => {
      onFocus(false);
      props.onBlur?.(event);
    },
  };
}

'use client';
import useAutocomplete from '@mui/material/useAutocomplete';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
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

  useEffect(() => {
    if (!text.trim()) return;
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
    const timer = setTimeout(() => void ask(), 120);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [text]);

  const close = () => {
    setText('');
    setFound(null);
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  };
  const isOpen = text.trim() !== '' && found !== null;
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
    autoHighlight: true,
    onInputChange: (_, typed, reason) => {
      if (reason !== 'input') return;
      setText(typed);
      if (!typed.trim()) setFound(null);
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
        {...getInputProps()}
        type="search"
        aria-label="Search (key /)"
        placeholder="Search glazes, pieces, defects"
      />
      <kbd aria-hidden>/</kbd>
      {isOpen && (
        <ul className={css.results} {...getListboxProps()} aria-labelledby={undefined} aria-label="Results">
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
              Nothing called “{text}”. A piece is found by its number, an entry by its glazes.
            </li>
          )}
        </ul>
      )}
    </div>
  );
}

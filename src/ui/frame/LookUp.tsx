'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import css from './frame.module.css';

interface Answer {
  readonly kind: string;
  readonly text: string;
  readonly detail: string;
  readonly href: string;
}

/** One field for everything: results as you type, arrows and Enter to go. */
export function LookUp() {
  const router = useRouter();
  const field = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [results, setResults] = useState<readonly Answer[] | null>(null);
  const [at, setAt] = useState(0);

  useEffect(() => {
    if (!text.trim()) return;
    const stop = new AbortController();
    const ask = async () => {
      try {
        const response = await fetch(`/api/v1/look-up?for=${encodeURIComponent(text)}`, {
          signal: stop.signal,
        });
        setResults((await response.json()) as Answer[]);
        setAt(0);
      } catch {
        if (!stop.signal.aborted) setResults([]);
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
    setResults(null);
    field.current?.blur();
  };
  const onKey = (event: React.KeyboardEvent) => {
    if (event.key === 'Escape') return close();
    if (!results?.length) return;
    if (event.key === 'ArrowDown') setAt((at + 1) % results.length);
    else if (event.key === 'ArrowUp') setAt((at + results.length - 1) % results.length);
    else if (event.key === 'Enter') {
      router.push(results[at]!.href);
      close();
    } else return;
    event.preventDefault();
  };
  return (
    <div className={css.look} role="search">
      <input
        ref={field}
        id="look-up"
        type="search"
        role="combobox"
        aria-expanded={Boolean(text && results)}
        aria-controls="results"
        aria-label="Search (key /)"
        placeholder="Search glazes, pieces, defects"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          if (!event.target.value.trim()) setResults(null);
        }}
        onKeyDown={onKey}
        autoComplete="off"
      />
      <kbd aria-hidden>/</kbd>
      {text && results && (
        <div className={css.results} id="results" role="listbox" aria-label="Results">
          {results.map((answer, i) => (
            <Link
              key={answer.href}
              href={answer.href}
              className={css.answer}
              role="option"
              aria-selected={i === at}
              onClick={close}
            >
              <b>{answer.text}</b>
              <span>{answer.detail}</span>
            </Link>
          ))}
          {results.length === 0 && (
            <p style={{ padding: 12 }}>
              Nothing called “{text}”. A piece is found by its number, an entry by its glazes.
            </p>
          )}
        </div>
      )}
    </div>
  );
}

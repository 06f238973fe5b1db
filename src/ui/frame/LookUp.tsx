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

/** One field for everything: answers as you type, arrows and Enter to go. */
export function LookUp() {
  const router = useRouter();
  const field = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [answers, setResults] = useState<readonly Answer[] | null>(null);
  const [at, setAt] = useState(0);

  useEffect(() => {
    if (!text.trim()) return;
    const stop = new AbortController();
    const timer = setTimeout(async () => {
      try {
        const response = await fetch(`/api/v1/look-up?for=${encodeURIComponent(text)}`, {
          signal: stop.signal,
        });
        setResults((await response.json()) as Answer[]);
        setAt(0);
      } catch {
        if (!stop.signal.aborted) setResults([]);
      }
    }, 120);
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
    if (!answers?.length) return;
    if (event.key === 'ArrowDown') setAt((at + 1) % answers.length);
    else if (event.key === 'ArrowUp') setAt((at + answers.length - 1) % answers.length);
    else if (event.key === 'Enter') {
      router.push(answers[at]!.href);
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
        aria-expanded={Boolean(text && answers)}
        aria-controls="answers"
        aria-label="Search glazes, pieces, defects (key /)"
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
      {text && answers && (
        <div className={css.answers} id="answers" role="listbox" aria-label="Results">
          {answers.map((answer, i) => (
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
          {answers.length === 0 && (
            <p style={{ padding: 12 }}>
              Nothing called “{text}”. A piece is found by its number, an entry by its glazes.
            </p>
          )}
        </div>
      )}
    </div>
  );
}

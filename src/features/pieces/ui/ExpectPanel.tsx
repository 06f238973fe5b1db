'use client';
import { useState } from 'react';
import { ulid } from 'ulid';
import { EXPECTATIONS } from '@/core/vocabulary';
import type { PiecePage } from '@/records/pieces';
import { FormErrors, WordField } from '@/ui/kit';
import { useMutation } from '@/ui/useMutation';
import { sayExpectation } from '../actions';
import css from './piece.module.css';

interface Props {
  readonly piece: Pick<PiecePage, 'id' | 'expectation'>;
}

/** What is expected of the next firing of a piece: one tap, and one more takes it back. */
export function ExpectPanel({ piece: { id: pieceId, expectation } }: Props) {
  const { run, isBusy, errors } = useMutation();
  const isOwn = expectation !== null && !EXPECTATIONS.some((one) => one === expectation);
  const [own, setOwn] = useState(isOwn ? expectation : '');
  const say = (words: string) => run(() => sayExpectation({ id: ulid(), pieceId, words }));
  return (
    <section className={css.expect} aria-label="Expected">
      <h3>What do you expect of the next firing?</h3>
      <div className={css.chips}>
        {EXPECTATIONS.map((words) => (
          <button
            key={words}
            type="button"
            aria-pressed={expectation === words}
            disabled={isBusy}
            onClick={() => void say(expectation === words ? '' : words)}
          >
            {words}
          </button>
        ))}
      </div>
      <WordField
        label="In own words"
        value={own}
        onChange={setOwn}
        hint={own.trim() !== (isOwn ? expectation : '') ? 'Enter keeps it.' : undefined}
        onKeyDown={(event) => event.key === 'Enter' && void say(own.trim())}
      />
      <FormErrors errors={errors} />
    </section>
  );
}

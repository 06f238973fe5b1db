'use client';
import { useState, type ReactNode } from 'react';
import css from './entry.module.css';

/**
 * What is folded away on a phone until somebody asks for it, so that the other senses of a headword are near; a screen
 * with room, and a link to the sense itself, show it at once.
 */
export function Fold({
  isOpen: isFirst,
  children,
}: {
  readonly isOpen: boolean;
  readonly children: ReactNode;
}) {
  const [isOpen, setIsOpen] = useState(isFirst);
  return (
    <>
      <div className={css.fold} data-open={isOpen || undefined}>
        {children}
      </div>
      <button type="button" className={css.unfold} aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)}>
        {isOpen ? 'Show less' : 'Show all'}
      </button>
    </>
  );
}

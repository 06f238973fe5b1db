import type { ReactNode } from 'react';
import { GuideWords } from '../frame/GuideWords';
import css from './pageHeader.module.css';

interface HeaderProps {
  /** The first and last thing on the page, as guide words at the head of a dictionary's page. */
  readonly first: string;
  readonly last?: string | undefined;
  readonly children: ReactNode;
}

/** The head of a page: guide words, its title, what is said beside it, and what can be done ({@link Acts}). */
export function PageHeader({ first, last, children }: HeaderProps) {
  return (
    <>
      <GuideWords first={first} last={last} />
      <TitleRow>{children}</TitleRow>
    </>
  );
}

/** A title, what is said beside it, and what can be done, in one row that wraps. */
export function TitleRow({ className, children }: { className?: string; children: ReactNode }) {
  return <div className={`${css.row} ${className ?? ''}`}>{children}</div>;
}

/** Buttons at the end of a title row. */
export function Acts({ children }: { children: ReactNode }) {
  return <span className={`${css.acts} no-print`}>{children}</span>;
}

import type { ReactNode } from 'react';
import css from './twoColumns.module.css';

interface Props {
  /** What stands beside: notes and next steps in the left margin, or a card to the right; null leaves one column. */
  readonly aside: ReactNode;
  readonly at: 'left' | 'right';
  /** On a phone the margin follows the page: what happens now comes before the notes. */
  readonly isMarginLast?: boolean;
  readonly children: ReactNode;
}

/** A page with something beside it; one under the other on a phone, where a card comes first. */
export function TwoColumns({ aside, at, isMarginLast = false, children }: Props) {
  if (!aside) return children;
  return at === 'left' ? (
    <div className={css.left} data-last={isMarginLast || undefined}>
      <aside className={css.margin}>{aside}</aside>
      <div>{children}</div>
    </div>
  ) : (
    <div className={css.right}>
      <div>{children}</div>
      <div className={css.side}>{aside}</div>
    </div>
  );
}

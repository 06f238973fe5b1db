import Link from 'next/link';
import type { ReactNode } from 'react';
import css from './whyThisNumber.module.css';

/** Leads from a count to the rules by which it was counted; the count itself may be the link. */
export function WhyThisNumber({ children = 'Why this number?' }: { children?: ReactNode }) {
  return (
    <Link href="/evidence" className={css.link} title="What counts as a proof, and what stands apart">
      {children}
    </Link>
  );
}

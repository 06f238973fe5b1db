'use client';
import { useState, type ReactNode } from 'react';

/** What is seldom looked at, below a line that opens it: it comes into the page when it is opened for the first time. */
export function Fold({
  title,
  className,
  children,
}: {
  readonly title: ReactNode;
  readonly className?: string | undefined;
  readonly children: ReactNode;
}) {
  const [wasOpened, setWasOpened] = useState(false);
  return (
    <details className={className} onToggle={(event) => event.currentTarget.open && setWasOpened(true)}>
      <summary>{title}</summary>
      {wasOpened && children}
    </details>
  );
}

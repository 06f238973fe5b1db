'use client';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useState } from 'react';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useRole } from '../MemberContext';
import { isOpen, tabsFor } from './tabs';
import css from './frame.module.css';

/** Stepped tabs at the page edge; a row of five and "more" on a phone. */
export function ThumbIndex() {
  const path = usePathname();
  const tabs = tabsFor(useRole());
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const current = (href: string) => (isOpen(href, path) ? ('page' as const) : undefined);
  return (
    <>
      <nav className={css.index} aria-label="Thumb index">
        {tabs.map(({ href, name, key }, i) => (
          <Link
            key={href}
            href={href}
            className={css.tab}
            aria-current={current(href)}
            style={{ '--step': `${i * 2}px` } as React.CSSProperties}
            title={`${name} (g ${key})`}
          >
            {name}
          </Link>
        ))}
      </nav>
      <nav className={css.bottom} aria-label="Thumb index">
        {tabs.slice(0, 5).map(({ href, name }) => (
          <Link key={href} href={href} aria-current={current(href)}>
            {name}
          </Link>
        ))}
        <button type="button" onClick={(event) => setAnchor(event.currentTarget)} aria-haspopup="menu">
          More
        </button>
        <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
          {tabs.slice(5).map(({ href, name }) => (
            <MenuItem
              key={href}
              component={Link}
              href={href}
              onClick={() => setAnchor(null)}
              sx={{ minHeight: 48 }}
            >
              {name}
            </MenuItem>
          ))}
        </Menu>
      </nav>
    </>
  );
}

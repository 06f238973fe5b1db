import { PAGES } from '@/auth/rights';
import { ROLES, type Role } from '@/core/vocabulary';

/** The tabs of the thumb index, with the key that goes there after `g`. */
const TABS = [
  { href: '/', name: 'Today', key: 't' },
  { href: '/wall', name: 'Wall', key: 'w' },
  { href: '/pieces', name: 'Pieces', key: 'p' },
  { href: '/rounds', name: 'Rounds', key: 'r' },
  { href: '/kilns', name: 'Kilns', key: 'k' },
  { href: '/clinic', name: 'Clinic', key: 'c' },
  { href: '/glazes', name: 'Glazes', key: 'l' },
  { href: '/clays', name: 'Clays', key: 'y' },
] as const;

/** The tabs that a role sees. */
export function tabsFor(role: Role): readonly (typeof TABS)[number][] {
  return TABS.filter(({ href }) => ROLES.indexOf(role) <= ROLES.indexOf(PAGES[href].least));
}

/** Whether a tab is open at a path. Entries belong to the wall, firings to the kilns, orders to the pieces. */
export function isOpen(href: string, path: string): boolean {
  if (href === '/') return path === '/';
  const also: readonly string[] =
    { '/wall': ['/entry', '/find', '/compare'], '/kilns': ['/firings'], '/pieces': ['/orders'] }[href] ?? [];
  return [href, ...also].some((start) => path.startsWith(start));
}

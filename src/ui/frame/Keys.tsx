'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Key } from '../help/Help';
import { lazily } from '../lazily';
import { usePageKey } from '../usePageKey';
import { compareAddress, useBench } from './BenchContext';
import { useRole } from '../MemberContext';
import { tabsFor } from './tabs';

const Help = lazily(async () => (await import('../help/Help')).Help);

const EVERYWHERE: readonly Key[] = [
  ['/', 'search'],
  ['?', 'help, and this list'],
  ['n', 'new piece'],
  ['p', 'pick up the piece or cell in view, or put it back'],
  ['b', 'open or close the bench'],
  ['c', 'compare what is on the bench'],
];
const ON_PAGES: readonly Key[] = [
  ['g f', 'find by colour'],
  ['arrows', 'walk the wall, move an edge of a band, turn a witness cone'],
  ['1 2 3', 'severity of a defect'],
  ['a s d', 'opening: gloss, satin, matte'],
  ['f h j', 'opening: stable, moves, runs'],
  ['.', 'opening: a defect by name'],
  ['e i u', 'opening: as expected, as its twin, undo'],
  ['Shift 1 … 8', 'opening: the fate, and on to the next piece'],
  ['m x', 'opening: missing, broken'],
  ['1 … 9', 'firing log: log an event'],
  ['m', 'load map: pick up a piece to move it; arrows nudge it'],
  ['Enter', 'open'],
  ['Esc', 'back'],
  ['Ctrl Enter', 'save'],
];

/** Told to the window when help is asked for by a finger. */
export const HELP = 'jiten:help';

/** The keys that work everywhere, and the help that lists all of them. */
export function Keys() {
  const router = useRouter();
  const bench = useBench();
  const [isOpen, setOpen] = useState(false);
  const tabs = tabsFor(useRole());
  const keys = [
    ...EVERYWHERE,
    ...tabs.map(({ name, key }): Key => [`g ${key}`, `go to ${name}`]),
    ...ON_PAGES,
  ];

  usePageKey(
    '/',
    (event) => {
      event.preventDefault();
      document.getElementById('look-up')?.focus();
    },
    { useKey: true },
  );
  usePageKey('?', () => setOpen(true), { useKey: true });
  useEffect(() => {
    const open = () => setOpen(true);
    window.addEventListener(HELP, open);
    return () => window.removeEventListener(HELP, open);
  }, []);
  usePageKey('n', () => router.push('/pieces/new'));
  usePageKey('g>f', () => router.push('/find?own=1'));
  usePageKey('b', () => bench.setOpen(!bench.open));
  usePageKey('c', () => router.push(compareAddress(bench.held)), { enabled: bench.held.length > 1 });
  usePageKey(
    tabs.map(({ key }) => `g>${key}`),
    (_, { keys: pressed }) => {
      const tab = tabs.find(({ key }) => key === pressed?.at(-1));
      if (tab) router.push(tab.href);
    },
  );
  return isOpen && <Help onClose={() => setOpen(false)} keys={keys} />;
}

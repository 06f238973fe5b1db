'use client';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { usePageKey } from '../usePageKey';
import { compareAddress, useBench } from './BenchContext';
import { useRole } from '../MemberContext';
import { tabsFor } from './tabs';

type Key = readonly [key: string, does: string];

const EVERYWHERE: readonly Key[] = [
  ['/', 'search'],
  ['?', 'this list'],
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

/** The keys that work everywhere, and the sheet that lists all of them. */
export function Keys() {
  const router = useRouter();
  const bench = useBench();
  const [sheet, setSheet] = useState(false);
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
  usePageKey('?', () => setSheet(true), { useKey: true });
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
  return (
    <Dialog open={sheet} onClose={() => setSheet(false)} maxWidth="sm" fullWidth>
      <DialogTitle sx={{ fontFamily: 'var(--serif)', fontWeight: 600 }}>Keys</DialogTitle>
      <DialogContent>
        <dl style={{ display: 'grid', gridTemplateColumns: 'auto 1fr', gap: '8px 20px', margin: 0 }}>
          {keys.map(([key, what]) => (
            <div key={key} style={{ display: 'contents' }}>
              <dt>
                <kbd>{key}</kbd>
              </dt>
              <dd style={{ margin: 0 }}>{what}</dd>
            </div>
          ))}
        </dl>
      </DialogContent>
    </Dialog>
  );
}

import { shareOf } from '@/core/evidence';
import type { FiringSummary } from '@/records/openings';
import { readOut } from './summaryWords';

const summary = (more: Partial<FiringSummary> = {}): FiringSummary =>
  ({
    firing: {
      kilnName: 'Number Two',
      number: 30,
      kind: 'glaze',
      cone: '6',
      atmosphere: 'oxidation',
      achievedCone: 5.94,
    },
    repairs: [],
    pieces: 24,
    unread: 0,
    lost: [],
    fates: [
      { fate: 'keep', count: 20 },
      { fate: 'refire', count: 4 },
    ],
    defects: [{ defect: 'crazing', pieces: shareOf(3, 24) }],
    sound: shareOf(21, 24),
    surprises: [],
    fresh: [],
    again: [],
    outcomes: [],
    ...more,
  }) as unknown as FiringSummary;

test('a firing is read out sentence by sentence, with what the share may truly be', () => {
  expect(readOut(summary())).toEqual([
    'Number Two 30, glaze, cone 6 in oxidation.',
    'The cones say cone 5.9.',
    '24 pieces, all read.',
    'Without a plain defect: 21 of 24 (68\u00a0to\u00a097\u00a0%).',
    'Fates: 20 keep, 4 refire.',
    'Defects: crazing on 3.',
  ]);
});

test('what is missing is said, and what nobody did is not claimed', () => {
  const nothing = summary({
    pieces: 1,
    unread: 1,
    lost: [{ label: 'SW-0007', state: 'broken' }],
    fates: [],
    defects: [],
    sound: shareOf(0, 0),
  });
  const lines = readOut({ ...nothing, firing: { ...nothing.firing, achievedCone: null } });
  expect(lines).toEqual([
    'Number Two 30, glaze, cone 6 in oxidation.',
    'No witness cones were read.',
    '1 piece, 1 still to be read; SW-0007 broken.',
  ]);
});

test('many new headwords are counted, not listed', () => {
  const fresh = Array.from({ length: 11 }, (_, i) => ({ id: `${i}`, text: `Word ${i}`, pieces: 1 }));
  expect(readOut(summary({ fresh })).at(-1)).toMatch(/Word 7 and 3 more\.$/);
});

import { bestProof } from '@/core/evidence';
import { type Proof } from '@/records/dictionary';
import { historyOf } from './history';
import { piecesOf } from './pieces';

const proof = (made: string, day: number, more: Partial<Proof> = {}): Proof => ({
  zoneId: `${made}${day}`,
  pieceId: 'p',
  label: 'SW-0001',
  area: null,
  side: 'outside',
  from: 0,
  to: 1,
  firingId: 'f',
  firing: 'Number Two 1',
  achievedCone: 6,
  photo: null,
  swatchHash: null,
  colour: '#808080',
  surface: null,
  movement: null,
  note: '',
  defects: [],
  counts: true,
  apart: null,
  agrees: true,
  isDivided: false,
  made,
  at: new Date(Date.UTC(2026, 0, day)),
  ...more,
});

test('proofs are told by version and batch, the newest first; an older version says so, and how far it is', () => {
  const chapters = historyOf(
    [
      proof('Lamp Clear version 1', 3, { counts: false, colour: '#ffffff' }),
      proof('Lamp Clear version 2', 9),
      proof('Lamp Clear version 2', 5, { pieceId: 'q' }),
      proof('Lamp Clear version 2', 5, { pieceId: 'q' }),
    ],
    '#808080',
  );
  expect(chapters.map(({ made, pieces, counts }) => [made, pieces, counts])).toEqual([
    ['Lamp Clear version 2', 2, true],
    ['Lamp Clear version 1', 1, false],
  ]);
  expect(chapters[0]!.away).toBe(0);
  expect(chapters[1]!.away).toBeGreaterThan(20);
  expect(historyOf([proof('x', 1, { colour: null })], '#808080')[0]!.away).toBeNull();
});

test('for a sense stands what counts and agrees, then what has a photo, then the largest, then the newest', () => {
  const frame = { left: 0.2, right: 0.8, rim: 0.1, foot: 0.9 };
  const photo = { hash: 'h', width: 3, height: 4, frame };
  // The newest first, as they are read.
  const proofs = [
    proof('older recipe', 9, { counts: false, photo }),
    proof('disagrees', 8, { agrees: false, photo }),
    proof('no photo', 7),
    proof('a strip', 6, { photo, to: 0.1 }),
    proof('large', 5, { photo, from: 0.2 }),
    proof('as large, older', 4, { photo, from: 0.2 }),
  ];
  const order: string[] = [];
  for (let left = proofs; left.length; left = left.filter(({ made }) => made !== order.at(-1)))
    order.push(bestProof(left)!.made);
  expect(order).toEqual([
    ...['large', 'as large, older', 'a strip', 'no photo'],
    ...['older recipe', 'disagrees'],
  ]);
  expect(bestProof([])).toBeUndefined();
});

test('a piece with three zones of a sense is listed once; a divided one with what its zones show', () => {
  const pits = { defects: [{ defect: 'pitting', severity: 2, place: 'rim' }] };
  const cup = { label: 'SW-0002', surface: 'gloss', isDivided: true };
  expect(
    piecesOf([
      proof('', 1),
      proof('', 1),
      proof('', 2, { label: 'SW-0003', apart: 'missed cone' }),
      proof('', 3, cup),
      proof('', 3, { ...cup, ...pits }),
    ]),
  ).toEqual({
    counted: ['SW-0001'],
    apart: [{ reason: 'missed cone', labels: ['SW-0003'] }],
    divided: [{ label: 'SW-0002', words: 'gloss, sound; gloss, pitting' }],
  });
});

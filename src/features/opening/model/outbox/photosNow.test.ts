import type { OpeningPiece } from '@/records/openings';
import type { OutboxItem } from './deviceStore';
import { photosNow } from './photosNow';

const frame = (left: number) => ({ left, right: 0.9, rim: 0.1, foot: 0.9 });
const settings = (left: number) => ({
  frame: frame(left),
  gains: null,
  strokes: [],
  labels: [],
  view: null,
  area: null,
  stage: null,
});
const stored = { id: 'S', hash: 'h', width: 1, height: 1, firingId: 'F', at: new Date(), ...settings(0.1) };
const piece = { id: 'P', photos: [stored] } as unknown as OpeningPiece;
const waits = (id: string, write: object, pieceId = 'P') =>
  ({ id, pieceId, firingId: 'F', memberId: 'M', trouble: null, write }) as unknown as OutboxItem;
const taken = waits('N', { kind: 'photo', pieceId: 'P', blob: new Blob(['x']), settings: settings(0.2) });
const set = (id: string, left: number) =>
  waits(`set ${left}`, { kind: 'frame', photo: { id, ...settings(left) } });

test('stored photos and those on their way, each as it was set last', () => {
  const now = photosNow(piece, [taken, set('S', 0.3), set('N', 0.4), set('N', 0.5)]);
  expect(now.map(({ id, hash, blob, frame: at }) => [id, hash, blob !== null, at.left])).toEqual([
    ['S', 'h', false, 0.3],
    ['N', null, true, 0.5],
  ]);
});

test('a photo that has arrived meanwhile is shown once; another piece’s not at all', () => {
  const arrived = { ...piece, photos: [stored, { ...stored, id: 'N', hash: 'n' }] } as OpeningPiece;
  expect(photosNow(arrived, [taken]).map(({ hash }) => hash)).toEqual(['h', 'n']);
  expect(photosNow(piece, [{ ...taken, pieceId: 'Q' }])).toHaveLength(1);
});

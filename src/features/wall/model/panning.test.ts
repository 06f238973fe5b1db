import { HEAD, intoView } from './panning';

/** A box that scrolls, of 624 × 496 px: 500 × 400 are free of the heads. */
const box = (scrollTop: number, scrollLeft: number) =>
  ({
    scrollTop,
    scrollLeft,
    clientHeight: 400 + HEAD.height,
    clientWidth: 500 + HEAD.width,
  }) as HTMLDivElement;

test.each([
  ['above and left of it', 300, 200],
  ['far below and right of it', 3000, 2500],
  ['half under its lower edge', 950, 720],
])('a cell %s comes clear of heads and edges', (_, top, left) => {
  const stand = box(600, 400);
  intoView(stand, top, left, 90, 100);
  expect(stand.scrollTop).toBeLessThanOrEqual(top);
  expect(stand.scrollTop + 400).toBeGreaterThanOrEqual(top + 90);
  expect(stand.scrollLeft).toBeLessThanOrEqual(left);
  expect(stand.scrollLeft + 500).toBeGreaterThanOrEqual(left + 100);
});

test('a cell that is in view already moves nothing, and one that is not moves no more than it must', () => {
  const stand = box(600, 400);
  intoView(stand, 650, 450, 90, 100);
  expect([stand.scrollTop, stand.scrollLeft]).toEqual([600, 400]);
  intoView(stand, 920, 450, 90, 100);
  expect([stand.scrollTop, stand.scrollLeft]).toEqual([610, 400]);
});

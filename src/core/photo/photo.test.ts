import fc from 'fast-check';
import { labOf, deltaE00 } from '../colour';
import { endsOf, frameFrom, guessFrame, measureZone, zoneBox, zoneBracket, type Pixels, type Point } from '.';

/** A flat picture with a box of another colour on it. */
function picture(
  width: number,
  height: number,
  ground: number,
  box: { x: number; y: number; w: number; h: number; colour: readonly number[] },
): Pixels {
  const data = new Uint8Array(width * height * 3).fill(ground);
  for (let y = box.y; y < box.y + box.h; y++)
    for (let x = box.x; x < box.x + box.w; x++) data.set(box.colour, (y * width + x) * 3);
  return { data, width, height };
}

test('a piece is found against its ground', () => {
  const frame = guessFrame(picture(200, 300, 201, { x: 50, y: 40, w: 100, h: 220, colour: [90, 40, 30] }));
  expect(frame).toEqual({ left: 0.25, right: 0.75, rim: 40 / 300, foot: 260 / 300 });
});

test('a picture of nothing, or of the ground alone, gives the middle', () => {
  const empty = guessFrame(picture(100, 100, 201, { x: 0, y: 0, w: 0, h: 0, colour: [0, 0, 0] }));
  expect(empty).toEqual({ left: 0.15, right: 0.85, rim: 0.1, foot: 0.9 });
  expect(guessFrame(picture(100, 100, 201, { x: 48, y: 48, w: 4, h: 4, colour: [0, 0, 0] }))).toEqual(empty);
});

test('a soft shadow is not the piece', () => {
  const pixels = picture(200, 200, 201, { x: 60, y: 60, w: 80, h: 80, colour: [20, 90, 60] });
  for (let y = 60; y < 160; y++)
    for (let x = 140; x < 160; x++) (pixels.data as Uint8Array).set([175, 175, 175], (y * 200 + x) * 3);
  expect(guessFrame(pixels)).toEqual({ left: 0.3, right: 0.7, rim: 0.3, foot: 0.7 });
});

const frame = { left: 0.2, right: 0.8, rim: 0.1, foot: 0.9 };

test('the box of a zone stays inside the zone, the foot at the bottom', () => {
  const foot = zoneBox({ width: 1000, height: 1000 }, frame, { side: 'outside', from: 0, to: 0.5 });
  expect(foot.top).toBeGreaterThan(500);
  expect(foot.top + foot.height).toBeLessThan(900);
  const right = zoneBox({ width: 1000, height: 1000 }, frame, { side: 'right', from: 0, to: 1 });
  expect(right.left).toBeGreaterThan(500);
  expect(right.left + right.width).toBeLessThan(800);
});

test('any zone of any frame gives a box within the picture', () => {
  const part = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(
      part,
      part,
      part,
      part,
      part,
      part,
      fc.integer({ min: 1, max: 3000 }),
      (a, b, c, d, e, f, size) => {
        const [left, right] = [Math.min(a, b), Math.max(a, b)];
        const [rim, foot] = [Math.min(c, d), Math.max(c, d)];
        const [from, to] = [Math.min(e, f), Math.max(e, f)];
        const box = zoneBox(
          { width: size, height: size },
          { left, right, rim, foot },
          { side: 'left', from, to },
        );
        expect(box.left).toBeGreaterThanOrEqual(0);
        expect(box.top).toBeGreaterThanOrEqual(0);
        expect(box.width).toBeGreaterThanOrEqual(1);
        expect(box.height).toBeGreaterThanOrEqual(1);
        expect(box.left + box.width).toBeLessThanOrEqual(size);
        expect(box.top + box.height).toBeLessThanOrEqual(size);
      },
    ),
  );
});

test('highlights and pits do not tip the colour of a patch', () => {
  const clean = picture(40, 40, 0, { x: 0, y: 0, w: 40, h: 40, colour: [60, 110, 90] });
  const marked = { ...clean, data: Uint8Array.from(clean.data) };
  for (let i = 0; i < 40 * 8; i++) marked.data.set(i % 2 ? [255, 255, 255] : [5, 5, 5], i * 3);
  expect(deltaE00(labOf(measureZone(clean).colour), labOf(measureZone(marked).colour))).toBeLessThan(1);
  expect(measureZone(clean).colour).toBe('#3c6e5a');
});

describe('a bracket', () => {
  const size = { width: 600, height: 800 };

  test('stands beside the piece and spans the zone, beside the right half for what is there only', () => {
    const [, top, low] = zoneBracket(frame, size, { side: 'left', from: 0.25, to: 1 });
    expect(top!.x).toBeLessThan(frame.left);
    expect(top!.y).toBeCloseTo(frame.rim, 9);
    expect(low!.y).toBeCloseTo(0.7, 9);
    const right = zoneBracket(frame, size, { side: 'right', from: 0, to: 1 });
    expect(right[1]!.x).toBeGreaterThan(frame.right);
    expect(right[0]!.x).toBeLessThan(right[1]!.x);
  });

  test('leans with the piece: as far from its axis at either end', () => {
    const [rim, foot] = [
      { x: 0.6, y: 0.2 },
      { x: 0.4, y: 0.8 },
    ];
    const leaning = frameFrom(rim, foot, size, 0.6);
    const [, top, low] = zoneBracket(leaning, size, { side: 'outside', from: 0, to: 1 });
    const away = (one: Point, other: Point) =>
      Math.hypot((one.x - other.x) * size.width, (one.y - other.y) * size.height);
    expect(away(top!, rim)).toBeCloseTo(away(low!, foot), 6);
    expect(away(top!, low!)).toBeCloseTo(away(rim, foot), 6);
    expect(top!.x).toBeLessThan(rim.x);
  });

  test('rim and foot of a frame are the points it was made from', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        fc.double({ min: 0.1, max: 0.4, noNaN: true }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (x, y, x2) => {
          const ends = { rim: { x, y }, foot: { x: x2, y: y + 0.4 } };
          const again = endsOf(frameFrom(ends.rim, ends.foot, size, 0.6), size);
          for (const end of ['rim', 'foot'] as const) {
            expect(again[end].x).toBeCloseTo(ends[end].x, 9);
            expect(again[end].y).toBeCloseTo(ends[end].y, 9);
          }
        },
      ),
    );
  });
});

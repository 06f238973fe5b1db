import {
  areaOfArea,
  boxOfOutline,
  brushed,
  halfOutline,
  sectorOutline,
  isInside,
  outlineShare,
  widestSpot,
  type Outline,
} from '.';

const triangle: Outline = [
  [0, 0],
  [1, 0],
  [0, 1],
];
const square: Outline = [
  [0.2, 0.3],
  [0.6, 0.3],
  [0.6, 0.7],
  [0.2, 0.7],
];

test('what an outline takes, whichever way round it was drawn', () => {
  expect([outlineShare(triangle), outlineShare([...triangle].reverse())]).toEqual([0.5, 0.5]);
  expect(outlineShare(square)).toBeCloseTo(0.16, 12);
  expect([isInside(triangle, 0.2, 0.2), isInside(triangle, 0.6, 0.6), isInside(square, 0.2, 0.1)]).toEqual([
    true,
    false,
    false,
  ]);
});

test('it reaches from its lowest to its highest point, on a plate from the centre out', () => {
  expect(boxOfOutline(square, false)).toEqual({ from: 0.3, to: 0.7 });
  const around = boxOfOutline(square, true);
  expect([around.from, around.to]).toEqual([0, expect.closeTo(2 * Math.hypot(0.3, 0.2), 9)]);
  const beside = boxOfOutline(
    square.map(([x, y]) => [x + 0.4, y] as const),
    true,
  );
  expect(beside).toEqual({ from: expect.closeTo(2 * Math.hypot(0.1, 0.2), 9), to: 1 });
});

test('a half is half: of a rectangle, and of a disc', () => {
  expect(outlineShare(halfOutline('left', false))).toBeCloseTo(0.5, 12);
  // A half disc of the diameter 1 is π/8 of its square; 24 chords take a little less.
  expect(outlineShare(halfOutline('right', true)) / (Math.PI / 8)).toBeCloseTo(1, 2);
  expect(boxOfOutline(halfOutline('right', true), true)).toEqual({ from: 0, to: 1 });
  expect(isInside(halfOutline('right', true), 0.7, 0.5)).toBe(true);
});

test('its widest spot is where a sample of it is taken', () => {
  expect(widestSpot(square)).toEqual({
    x: expect.closeTo(0.4, 9),
    y: expect.closeTo(0.5, 9),
    radius: expect.closeTo(0.2, 9),
  });
  // Of a right triangle the middle of its inner circle.
  const spot = widestSpot(triangle);
  expect([spot.x, spot.y]).toEqual([
    expect.closeTo(1 - Math.SQRT1_2, 1),
    expect.closeTo(1 - Math.SQRT1_2, 1),
  ]);
});

test('a brush leaves its width along its line', () => {
  const line = [
    [0.1, 0.5],
    [0.5, 0.5],
    [0.9, 0.5],
  ] as const;
  expect(outlineShare(brushed(line, 0.1))).toBeCloseTo(0.08, 9);
});

test('the surface of an area: its share of its band, else what was drawn, else nobody knows', () => {
  const tile = { form: 'tile', heightMm: 100, widthMm: 60 } as const;
  const plate = { form: 'plate', heightMm: 200, widthMm: 200 } as const;
  const logo = { side: 'outside', from: 0, to: 0.5, share: null, outline: null } as const;
  expect(areaOfArea(tile, logo)).toBeNull();
  expect(areaOfArea(tile, { ...logo, share: 0.2 })).toBeCloseTo(6, 6);
  expect(areaOfArea(tile, { ...logo, outline: square })).toBeCloseTo(9.6, 9);
  expect(areaOfArea(tile, { ...logo, share: 0.2, outline: square })).toBeCloseTo(6, 6);
  expect(areaOfArea(plate, { ...logo, outline: square })).toBeCloseTo(64, 9);
});

test('a sector of a disc is its share of it, and lies where its turns say, clockwise from the top', () => {
  const quarter = sectorOutline(0, 0.25);
  expect(outlineShare(quarter) / (Math.PI / 16)).toBeCloseTo(1, 2);
  expect([isInside(quarter, 0.7, 0.7), isInside(quarter, 0.3, 0.7), isInside(quarter, 0.7, 0.3)]).toEqual([
    true,
    false,
    false,
  ]);
  expect(boxOfOutline(quarter, true)).toMatchObject({ to: 1 });
});

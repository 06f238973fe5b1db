import { fitsNowhere, innerHeightMm } from '.';

/** 60 cm wide, 60 cm deep. */
const square = { litres: 250, shelfWidthMm: 600, shelfDepthMm: 600, roundShelves: false };
const round = { litres: 80, shelfWidthMm: 400, shelfDepthMm: 400, roundShelves: true };

test('a kiln is as high as its volume over its shelf', () => {
  expect(innerHeightMm(square)).toBeCloseTo(694.4, 1);
  // π 2² dm² × h = 80 l.
  expect(innerHeightMm(round)).toBeCloseTo(636.6, 1);
});

test.each([
  ['bowl', 780, 300, true],
  ['bowl', 680, 300, false],
  ['vase', 300, 610, true],
  ['plate', 590, 590, false],
  ['plate', 700, 700, true],
] as const)('a %s of %d by %d mm fits nowhere: %s', (form, heightMm, widthMm, isOver) => {
  expect(fitsNowhere({ form, heightMm, widthMm }, [square, round])).toBe(isOver);
  expect(fitsNowhere({ form, heightMm, widthMm }, [])).toBe(false);
});

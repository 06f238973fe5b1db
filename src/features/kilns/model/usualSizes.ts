import type { KilnDraft } from '@/records/firings';

type Size = Pick<KilnDraft, 'litres' | 'shelves' | 'shelfWidthMm' | 'shelfDepthMm' | 'roundShelves'>;

const round = (litres: number, shelves: number, across: number): Size => ({
  ...{ litres, shelves, shelfWidthMm: across, shelfDepthMm: across },
  roundShelves: true,
});
const square = (litres: number, shelves: number, wide: number, deep: number): Size => ({
  ...{ litres, shelves, shelfWidthMm: wide, shelfDepthMm: deep },
  roundShelves: false,
});

/** Sizes that kilns often have, to start from; a ruler knows better. Common practice, no source. */
export const USUAL_SIZES: Readonly<Record<string, Size>> = {
  'test kiln, 15 litres': square(15, 2, 230, 230),
  'top loader, 80 litres': round(80, 3, 430),
  'top loader, 190 litres': round(190, 5, 530),
  'top loader, 280 litres': round(280, 5, 660),
  'front loader, 120 litres': square(120, 4, 450, 450),
  'front loader, 250 litres': square(250, 5, 550, 600),
  'front loader, 500 litres': square(500, 7, 600, 600),
};

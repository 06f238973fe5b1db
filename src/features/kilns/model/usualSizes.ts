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
  'test kiln': square(15, 2, 230, 230),
  'small top loader': round(80, 3, 430),
  'top loader': round(190, 5, 530),
  'large top loader': round(280, 5, 660),
  'small front loader': square(120, 4, 450, 450),
  'front loader': square(250, 5, 550, 600),
  'large front loader': square(500, 7, 600, 600),
};

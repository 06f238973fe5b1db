import { standingMm, type Measures } from '../vocabulary';

/** What is known of the room in a kiln. */
export interface KilnRoom {
  readonly litres: number;
  readonly shelfWidthMm: number;
  readonly shelfDepthMm: number;
  readonly roundShelves: boolean;
}

const MM3_PER_LITRE = 1_000_000;

/** How high a kiln is inside, mm: what its volume comes to over a shelf, as far as its maker's litres are of that room. */
export function innerHeightMm({ litres, shelfWidthMm, shelfDepthMm, roundShelves }: KilnRoom): number {
  const area = shelfWidthMm * shelfDepthMm * (roundShelves ? Math.PI / 4 : 1);
  return (litres * MM3_PER_LITRE) / area;
}

/** Whether a piece is larger than the room of every kiln; not where no kiln is known. */
export function fitsNowhere(
  piece: Pick<Measures, 'form' | 'heightMm' | 'widthMm'>,
  kilns: readonly KilnRoom[],
): boolean {
  const tall = standingMm(piece);
  return (
    kilns.length > 0 &&
    kilns.every(
      (kiln) =>
        tall > innerHeightMm(kiln) ||
        // A tile on its end may lie across.
        piece.widthMm > Math.max(kiln.shelfWidthMm, kiln.shelfDepthMm),
    )
  );
}

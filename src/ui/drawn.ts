import { coreCoat } from '@/core/coats';
import type { StoredCoat, ListedPiece } from '@/records/pieces';
import type { DrawnCoat, SilhouetteProps } from './Silhouette';

/** A stored coat as the silhouette draws it. */
export function drawnCoat(coat: StoredCoat): DrawnCoat {
  return { ...coreCoat(coat), colour: coat.glazeColour };
}

/** What the silhouette needs to know of a stored piece. */
export function drawnPiece(piece: ListedPiece): Omit<SilhouetteProps, 'size'> {
  return {
    form: piece.form,
    heightMm: piece.heightMm,
    widthMm: piece.widthMm,
    bodyColour: piece.bodyColour,
    coats: piece.coats.map(drawnCoat),
    areas: piece.areas,
  };
}

import { coreCoats } from '@/core/coats';
import type { StoredCoat, ListedPiece } from '@/records/pieces';
import type { DrawnCoat, SilhouetteProps } from './silhouette';

/** A stored coat as the silhouette draws it. */
function drawnCoats(coat: StoredCoat): DrawnCoat[] {
  return coreCoats(coat).map((core) => ({ ...core, colour: coat.glazeColour }));
}

/** What the silhouette needs to know of a stored piece. */
export function drawnPiece(piece: ListedPiece): Omit<SilhouetteProps, 'size'> {
  return {
    form: piece.form,
    profile: piece.profile,
    heightMm: piece.heightMm,
    widthMm: piece.widthMm,
    bodyColour: piece.bodyColour,
    coats: piece.coats.flatMap(drawnCoats),
    areas: piece.areas,
  };
}

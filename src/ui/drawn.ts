import { wayOf } from '@/core/coats';
import type { StoredCoat, ListedPiece } from '@/records/pieces';
import type { DrawnCoat, SilhouetteProps } from './Silhouette';

/** A stored coat as the silhouette draws it. */
export function drawnCoat(coat: StoredCoat): DrawnCoat {
  const mark =
    coat.glazeKind === 'resist' ? ('resist' as const) : coat.wiped ? ('wiped' as const) : undefined;
  return {
    glaze: coat.glazeId,
    colour: coat.glazeColour,
    side: coat.side,
    from: coat.from,
    to: coat.to,
    times: coat.times,
    way: wayOf(coat.method),
    slip: coat.glazeKind === 'slip',
    ...(mark && { mark }),
  };
}

/** What the silhouette needs to know of a stored piece. */
export function drawnPiece(piece: ListedPiece): Omit<SilhouetteProps, 'size'> {
  return {
    form: piece.form,
    heightMm: piece.heightMm,
    widthMm: piece.widthMm,
    bodyColour: piece.bodyColour,
    coats: piece.coats.map(drawnCoat),
  };
}

'use client';
import { Silhouette, type SilhouetteProps } from './silhouette';

/** A silhouette that the browser draws too: a page carries what it is drawn from, not its lines twice. */
export function DrawnPiece(props: SilhouetteProps) {
  return <Silhouette {...props} />;
}

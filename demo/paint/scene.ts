import type { Form, Side } from '@/core/vocabulary';
import type { BodyLook, GlazeLook } from './looks';

/** One coat as the painter needs it. */
export interface PaintedCoat {
  readonly look: GlazeLook;
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  /** Thickness in dips: a brushed coat counts a third. */
  readonly dips: number;
  readonly slip: boolean;
}

/** What the record says of a zone. */
export interface PaintedZone {
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  readonly surface: string | null;
  readonly movement: string | null;
  readonly defects: readonly { readonly defect: string; readonly severity: number; readonly place: string }[];
}

/** A fired piece to be painted. */
export interface PaintedPiece {
  readonly seed: string;
  readonly form: Form;
  readonly heightMm: number;
  readonly widthMm: number;
  readonly body: BodyLook;
  readonly reduction: boolean;
  readonly coats: readonly PaintedCoat[];
  readonly zones: readonly PaintedZone[];
}

/** Height of a painted picture, px. */
export const PICTURE_HEIGHT = 900;

/** Where the piece stands in its picture, px. */
export interface Stand {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly right: number;
  readonly rim: number;
  readonly foot: number;
}

/** The size of the picture and the place of the piece in it: margins wide enough for its shadow. */
export function standOf(piece: PaintedPiece, height = PICTURE_HEIGHT): Stand {
  const tall = height * 0.84;
  const wide = Math.min(tall * 2.2, (tall * piece.widthMm) / piece.heightMm);
  const fitted = wide > 1000 ? 1000 / wide : 1;
  const width = Math.round(wide * fitted + height * 0.2);
  const rim = Math.round((height - tall * fitted) / 2);
  return {
    width,
    height,
    left: Math.round((width - wide * fitted) / 2),
    right: Math.round((width + wide * fitted) / 2),
    rim,
    foot: Math.round(rim + tall * fitted),
  };
}

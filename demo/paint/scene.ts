import type { Outline } from '@/core/coats';
import {
  shapeOf,
  type CoatCover,
  type Form,
  type FormShape,
  type Profile,
  type Side,
  type StandingPart,
} from '@/core/vocabulary';
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
  /** How far it covers its band; none for all of it. */
  readonly cover?: CoatCover | null;
  /** The outline that it stays within, and those that it stays out of. */
  readonly within?: Outline | null;
  readonly without?: readonly Outline[];
  /** Whether it is on the handle alone. */
  readonly onHandle?: boolean;
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
  readonly profile?: Profile | null;
  readonly body: BodyLook;
  /** The other clay of a marbled one. */
  readonly marbledWith?: BodyLook | null;
  /** Places of another clay, and combed ones. */
  readonly inlays?: readonly { readonly outline: Outline; readonly body: BodyLook }[];
  readonly combed?: readonly Outline[];
  /** Whether its handle was glazed by itself; else it went into the bucket with the wall. */
  readonly hasOwnHandle?: boolean;
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
  /** Where its handle ends, or its body. */
  readonly end: number;
  readonly rim: number;
  readonly foot: number;
}

/** The size of the picture and the place of the piece in it: margins wide enough for its shadow. */
export function standOf(piece: PaintedPiece, height = PICTURE_HEIGHT): Stand {
  const tall = height * 0.84;
  const wide = Math.min(tall * 2.2, (tall * piece.widthMm) / piece.heightMm);
  const fitted = wide > 1000 ? 1000 / wide : 1;
  const handle = handleOf(shapeOf(piece));
  const beside = handle ? Math.round((handle.reach * wide * fitted) / 2) : 0;
  const width = Math.round(wide * fitted + height * 0.2) + beside;
  const rim = Math.round((height - tall * fitted) / 2);
  return {
    width,
    height,
    left: Math.round((width - beside - wide * fitted) / 2),
    right: Math.round((width - beside + wide * fitted) / 2),
    end: Math.round((width + beside + wide * fitted) / 2),
    rim,
    foot: Math.round(rim + tall * fitted),
  };
}

/** The handle of a form; none where it has none. */
export function handleOf({ parts }: Pick<FormShape, 'parts'>): StandingPart | undefined {
  return parts.find((part): part is StandingPart => part.kind === 'handle');
}

import type { Frame, Gains, Point } from '@/core/photo';
import type { ReadingStage, View } from '@/core/vocabulary';

/** Words on a photo and the spot that they speak of, fractions of the picture. */
export interface PhotoLabel {
  readonly at: Point;
  readonly words: string;
}

/** What a person set on a photo: where the piece stands, what corrects its colours, what was drawn and written on it. */
export interface PhotoSettings {
  readonly frame: Frame;
  readonly gains: Gains | null;
  /** Lines drawn to point at something, fractions of the picture. */
  readonly strokes: readonly (readonly Point[])[];
  readonly labels: readonly PhotoLabel[];
  /** What it shows; null when nobody said, and then as it is guessed from the form. */
  readonly view: View | null;
  /** The area of its piece that it was taken of; null for the piece, or one that nobody named. */
  readonly area: string | null;
  /** Whether it was taken before its firing or after; null when nobody said, and then it is taken for after. */
  readonly stage: ReadingStage | null;
}

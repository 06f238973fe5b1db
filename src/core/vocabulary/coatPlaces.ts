import type { Side } from './coats';
import { formShape, reachMm, type Measures } from './forms';

/** A stretch of a side. */
export interface Band {
  readonly side: Side;
  /** Fractions of the side, 0 = foot, 1 = rim. */
  readonly from: number;
  readonly to: number;
}

/** A usual place of a coat. */
export interface CoatPlace {
  readonly name: string;
  /** Two where the coat lies inside and outside at once; the side is null where any side of the piece will do. */
  readonly bands: readonly (Omit<Band, 'side'> & { readonly side: Side | null })[];
}

const CM = 10;

/**
 * The usual places of a coat on a piece. Bands of centimetres are there where the piece is tall enough for them; a
 * piece that has an inside has its liner, and both sides at once; flat ware its well and its flange.
 *
 * @param sides those that can be glazed
 */
export function coatPlaces(
  piece: Measures,
  sides: readonly Side[] = formShape(piece.form).sides,
): CoatPlace[] {
  const reach = reachMm(piece);
  const hasInside = sides.includes('inside') && sides.includes('outside');
  const { plan, landmarks } = formShape(piece.form);
  const share = (mm: number) => Math.min(1, mm / reach);
  const at = (name: string, from = 0, to = 1, side: Side | null = null): CoatPlace => ({
    name,
    bands: [{ side, from, to }],
  });
  const whole = { from: 0, to: 1 };
  const all: (CoatPlace | false)[] = [
    at('all over'),
    hasInside && at('liner', 0, 1, 'inside'),
    hasInside && {
      name: 'inside and outside',
      bands: [
        { side: 'inside', ...whole },
        { side: 'outside', ...whole },
      ],
    },
    !plan && reach > 2 * CM && at('1 cm above the foot', share(CM)),
    !plan && reach > 5 * CM && at('foot 2 cm', 0, share(2 * CM)),
    reach > 2 * CM && at('rim 1 cm', 1 - share(CM)),
    reach > 5 * CM && at('rim 3 cm', 1 - share(3 * CM)),
    !plan && at('lower two thirds', 0, 2 / 3),
    !plan && at('upper two thirds', 1 / 3),
    hasInside && at('outside only', 0, 1, 'outside'),
  ];
  const parts = plan ? landmarks.filter(({ name }) => name === 'well' || name === 'flange') : [];
  return [...all.filter((one) => one !== false), ...parts.map(({ name, from, to }) => at(name, from, to))];
}

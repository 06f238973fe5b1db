import { areaOfBand, type SizedForm, type Way } from '../coats';
import { formShape, reachMm, type Side } from '../vocabulary';
import { COAT_THICKNESS } from '../fit';
import { POROUS_DENSITY } from './needs';

/** A coat of the model, as far as it decides what the next piece takes. */
export interface ModelCoat {
  readonly glaze: string;
  readonly way: Way;
  readonly times: number;
  readonly seconds: number | null;
  readonly side: Side;
  readonly from: number;
  readonly to: number;
  /** The area that it lies on alone; null for its side. */
  readonly area: string | null;
}

/** One coat of the work sheet. */
export interface MakeLine extends ModelCoat {
  /** Above the foot (for plates: from the centre), mm, at the new size. */
  readonly fromMm: number;
  readonly toMm: number;
  /** Null on an area, whose size is not known. */
  readonly areaCm2: number | null;
  /** Dry glaze that stays on the pieces, g, all of them together; null where thickness or area is not known. */
  readonly dryGrams: number | null;
}

/** Glaze that a dip does not leave on the piece but that has to be in the bucket is not counted. */
export interface WorkSheet {
  readonly lines: readonly MakeLine[];
  /** Dry grams by glaze; null where a coat of it is of unknown thickness. */
  readonly grams: Readonly<Record<string, number | null>>;
  readonly cautions: readonly string[];
}

/**
 * A model's coats for another form and size: bands at the same share of the height, area by the form's profile,
 * dry grams by area × raw thickness × 1.45 g/cm³ (see {@link POROUS_DENSITY} and `COAT_THICKNESS`: starting
 * figures, measured ones win). A side that the new form does not have is taken to its outside.
 *
 * @param movement of the model's entries at worst
 * @param count pieces
 */
export function makeAgain(
  coats: readonly ModelCoat[],
  model: SizedForm,
  next: SizedForm,
  movement: string | null,
  count: number,
): WorkSheet {
  const lines = coats.map((coat): MakeLine => {
    const side = sideOn(next, coat.side);
    const length = reachMm(next);
    const areaCm2 = coat.area === null ? areaOfBand(next, side, coat.from, coat.to) : null;
    const thickness = COAT_THICKNESS[coat.way];
    return {
      ...coat,
      side,
      fromMm: coat.from * length,
      toMm: coat.to * length,
      areaCm2,
      dryGrams: thickness && areaCm2 && count * areaCm2 * (thickness.raw / 10) * POROUS_DENSITY * coat.times,
    };
  });
  const grams: Record<string, number | null> = {};
  for (const { glaze, dryGrams } of lines) {
    const before = grams[glaze] === undefined ? 0 : grams[glaze];
    grams[glaze] = before === null || dryGrams === null ? null : before + dryGrams;
  }
  return { lines, grams, cautions: cautionsOf(model, next, movement) };
}

/** From this much more height a glaze that moves has farther to go (judgement). */
const TALLER = 1.3;

function cautionsOf(model: SizedForm, next: SizedForm, movement: string | null): string[] {
  const isTaller = next.form !== 'plate' && next.heightMm > model.heightMm * TALLER;
  return [
    ...(movement === 'runs' ? ['It runs: stand it on a cookie, keep it off the lower third.'] : []),
    ...(movement && movement !== 'stable' && isTaller
      ? ['The wall is taller than the model’s: it moves farther. Fire one first.']
      : []),
    ...(formShape(model.form).isFlat && !formShape(next.form).isFlat
      ? ['The model is a test tile: curves and a thinner wall take up glaze differently. Fire one first.']
      : []),
    ...(next.form === 'plate' && model.form !== 'plate'
      ? ['The model stood upright: lying flat it pools instead of running.']
      : []),
  ];
}

function sideOn(next: SizedForm, side: Side): Side {
  if (side === 'inside') return formShape(next.form).isFlat ? 'outside' : 'inside';
  if (next.form === 'plate' && side === 'outside') return 'inside';
  return formShape(next.form).isFlat || next.form === 'other' ? side : 'outside';
}

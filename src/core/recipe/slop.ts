import { shortFigures } from '../units';
import { BUILT_IN, type Line, type MaterialBook } from '../chemistry';
import { DRY_SPECIFIC_GRAVITY, dryPerMl } from './batch';
import { normalise } from './normalise';

/**
 * Specific gravity of a recipe's dry material: its weight over the volume of its grains. Materials whose
 * density is not known count as {@link DRY_SPECIFIC_GRAVITY}.
 *
 * @throws RangeError when the base adds up to nothing
 * @example drySpecificGravity([{ material: 'Silica', amount: 100 }]) // 2.65
 */
export function drySpecificGravity(lines: readonly Line[], book: MaterialBook = BUILT_IN): number {
  let grams = 0;
  let volume = 0;
  for (const { material, amount } of normalise(lines)) {
    grams += amount;
    volume += amount / (book.find(material)?.density ?? DRY_SPECIFIC_GRAVITY);
  }
  return grams / volume;
}

/** What brings a slop from one specific gravity to another; one of the three ways, by which side it is off. */
export interface SlopCorrection {
  /** Dry material in the bucket now, g. */
  readonly dryGrams: number;
  /** Add this much water, g or ml; 0 when it is too thin. */
  readonly addWater: number;
  /** Or, when too thin: let it settle and take this much clear water off, ml. */
  readonly takeOffWater: number;
  /** Or, when too thin: stir in this much of the dry recipe, g. */
  readonly addDry: number;
  /** Millilitres afterwards, with the water way. */
  readonly afterMl: number;
}

/**
 * How to correct a slop that is too thick or too thin. A mass balance: dry grams stay, water comes or goes.
 *
 * @param ml in the bucket
 * @param measured and target specific gravity, both above 1 (water) and below `dry`
 * @throws RangeError naming the argument otherwise
 * @example correctSlop({ ml: 10000, measured: 1.5, target: 1.45, dry: 2.6 }).addWater // 1111.1
 */
export function correctSlop({
  ml,
  measured,
  target,
  dry = DRY_SPECIFIC_GRAVITY,
}: {
  readonly ml: number;
  readonly measured: number;
  readonly target: number;
  readonly dry?: number | undefined;
}): SlopCorrection {
  if (!(ml > 0)) throw new RangeError('ml must be > 0');
  for (const [name, value] of Object.entries({ measured, target }))
    if (!(value > 1 && value < dry))
      throw new RangeError(`${name} must lie between 1 (water) and ${shortFigures(dry, 2)} (dry)`);
  const water = (ml * (measured - target)) / (target - 1);
  const thin = measured < target;
  return {
    dryGrams: ml * dryPerMl(measured, dry),
    addWater: thin ? 0 : water,
    takeOffWater: thin ? -water : 0,
    addDry: thin ? (ml * (target - measured)) / (1 - target / dry) : 0,
    afterMl: ml + water,
  };
}

/**
 * Base grams whose slop fills a bucket.
 *
 * @param litres of slop at the specific gravity
 * @throws RangeError unless 1 < specificGravity < dry, and for an empty base
 */
export function baseForBucket(
  lines: readonly Line[],
  {
    litres,
    specificGravity,
    dry = DRY_SPECIFIC_GRAVITY,
  }: { litres: number; specificGravity: number; dry?: number },
): number {
  if (!(specificGravity > 1 && specificGravity < dry))
    throw new RangeError('specificGravity must lie between 1 (water) and dry');
  return (litres * 1000 * dryPerMl(specificGravity, dry)) / onTop(lines);
}

/**
 * Base grams that use up what is left of one material.
 *
 * @param gramsLeft of that material
 * @throws RangeError when the recipe has none of it
 * @example baseFromWhatIsLeft([{ material: 'Silica', amount: 25 }, …], 'Silica', 500) // 2000
 */
export function baseFromWhatIsLeft(lines: readonly Line[], material: string, gramsLeft: number): number {
  const share = normalise(lines)
    .filter((line) => line.material === material)
    .reduce((sum, line) => sum + line.amount / 100, 0);
  if (!(share > 0)) throw new RangeError(`there is no ${material} in this recipe`);
  return gramsLeft / share;
}

/** What an addition to a wet bucket comes to. */
export interface SlopAddition {
  /** To weigh in, g. */
  readonly grams: number;
  /** Specific gravity once it is stirred in. */
  readonly specificGravity: number;
  /** Water that brings it back to what it measured before, g or ml. */
  readonly addWater: number;
}

/**
 * What to weigh into a wet bucket for an addition. A mass balance over the dry glaze that is in it.
 *
 * @param ml in the bucket
 * @param measured specific gravity, above 1 (water) and below `dry`
 * @param percent of the base of the recipe, as additions are written
 * @param perBase grams of dry glaze for each gram of base: {@link onTop}
 * @throws RangeError naming the argument otherwise
 * @example addToSlop({ ml: 10000, measured: 1.45, percent: 2, dry: 2.6 }).grams // 146.25
 */
export function addToSlop({
  ml,
  measured,
  percent,
  perBase = 1,
  dry = DRY_SPECIFIC_GRAVITY,
}: {
  readonly ml: number;
  readonly measured: number;
  readonly percent: number;
  readonly perBase?: number | undefined;
  readonly dry?: number | undefined;
}): SlopAddition {
  if (!(percent > 0)) throw new RangeError('percent must be > 0');
  const { dryGrams } = correctSlop({ ml, measured, target: measured, dry });
  const grams = ((dryGrams / perBase) * percent) / 100;
  const [mass, volume] = [ml * measured + grams, ml + grams / DRY_SPECIFIC_GRAVITY];
  return {
    grams,
    specificGravity: mass / volume,
    addWater: (mass - measured * volume) / (measured - 1),
  };
}

/** Grams in all for each gram of base: additions lie on top. @throws RangeError for an empty base */
export function onTop(lines: readonly Line[]): number {
  return normalise(lines).reduce((sum, line) => sum + line.amount, 0) / 100;
}

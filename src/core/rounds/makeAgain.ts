import { areaOfArea, areaOfBand, type Way, type WrittenArea } from '../coats';
import { formShape, reachMm, type CoatCover, type Measures, type Side } from '../vocabulary';
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
  /** How far it covers its band; null for all of it. */
  readonly cover: CoatCover | null;
  /** What was put on in all, of stuff that is weighed; null when nobody weighed. */
  readonly grams: number | null;
  /** The area that it lies on alone; null for its side. */
  readonly area: string | null;
  /** Areas that it was kept off. */
  readonly not: readonly string[];
}

/** One coat of the work sheet; `from` and `to` are of the new piece. */
export interface MakeLine extends ModelCoat {
  /** Above the foot (for plates: from the centre), mm, at the new size. */
  readonly fromMm: number;
  readonly toMm: number;
  /** Null on an area whose size is not known. */
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

/** A piece that is made again. */
export interface MakeAgain {
  readonly coats: readonly ModelCoat[];
  readonly areas: readonly WrittenArea[];
  readonly model: Measures;
  readonly next: Measures;
  /** Of the model's entries at worst. */
  readonly movement: string | null;
  /** Pieces. */
  readonly count: number;
  /** Which coats, by their place, keep their bands in centimetres; the others keep their share of the height. */
  readonly inCm?: ReadonlySet<number>;
}

/**
 * A model's coats for another form and size: bands at the same share of the height or at the same centimetres, area by
 * the form's profile without the areas that were left free, dry grams by area × raw thickness × 1.45 g/cm³ (see
 * {@link POROUS_DENSITY} and `COAT_THICKNESS`: starting figures, measured ones win). A side that the new form does not
 * have is taken to its outside.
 */
export function makeAgain({
  coats,
  areas,
  model,
  next,
  movement,
  count,
  inCm = new Set(),
}: MakeAgain): WorkSheet {
  const lines = coats.map((coat, i): MakeLine => {
    const band = inCm.has(i) && coat.area === null ? sameCm(coat, reachMm(model), reachMm(next)) : coat;
    const moved = { ...coat, ...band, side: sideOn(next, coat.side) };
    const areaCm2 = surfaceOf(moved, areas, next);
    return {
      ...moved,
      fromMm: moved.from * reachMm(next),
      toMm: moved.to * reachMm(next),
      areaCm2,
      dryGrams: dryGrams(coat, surfaceOf(coat, areas, model), areaCm2, count),
    };
  });
  const grams: Record<string, number | null> = {};
  for (const { glaze, dryGrams: dry } of lines) {
    const before = grams[glaze] === undefined ? 0 : grams[glaze];
    grams[glaze] = before === null || dry === null ? null : before + dry;
  }
  return { lines, grams, cautions: cautionsOf(model, next, movement) };
}

/**
 * A band as wide as it was: from the rim down where it ends there, else as far above the foot as it was.
 *
 * @param reach and nextReach how far bands reach, mm
 */
function sameCm({ from, to }: ModelCoat, reach: number, nextReach: number): Pick<ModelCoat, 'from' | 'to'> {
  const wide = Math.min(1, ((to - from) * reach) / nextReach);
  if (from === 0 && to === 1) return { from, to };
  if (to === 1) return { from: 1 - wide, to };
  const low = Math.min(1 - wide, (from * reach) / nextReach);
  return { from: low, to: low + wide };
}

/** The surface that a coat covers, cm²; null where nobody knows how large its area is, or how much of it fades. */
function surfaceOf(
  { side, from, to, cover, area, not }: ModelCoat,
  areas: readonly WrittenArea[],
  piece: Measures,
): number | null {
  if (cover?.kind === 'fade') return null;
  const of = (name: string) => {
    const found = areas.find((one) => one.name === name);
    return found ? areaOfArea(piece, found) : null;
  };
  const share = cover?.kind === 'pattern' ? cover.percent / 100 : 1;
  if (area !== null) {
    const own = of(area);
    return own === null ? null : own * share;
  }
  const free = not.reduce((sum, name) => sum + (of(name) ?? 0), 0);
  return share * Math.max(0, areaOfBand(piece, side, from, to) - free);
}

function dryGrams(coat: ModelCoat, before: number | null, areaCm2: number | null, count: number) {
  if (areaCm2 === null) return null;
  if (coat.grams !== null) return before ? count * coat.grams * (areaCm2 / before) : null;
  const thickness = COAT_THICKNESS[coat.way];
  return thickness && count * areaCm2 * (thickness.raw / 10) * POROUS_DENSITY * coat.times;
}

/** From this much more height a glaze that moves has farther to go (judgement). */
const TALLER = 1.3;

function cautionsOf(model: Measures, next: Measures, movement: string | null): string[] {
  const isTaller = !formShape(next.form).plan && next.heightMm > model.heightMm * TALLER;
  return [
    ...(movement === 'runs' ? ['It runs: stand it on a cookie, keep it off the lower third.'] : []),
    ...(movement && movement !== 'stable' && isTaller
      ? ['The wall is taller than the model’s: it moves farther. Fire one first.']
      : []),
    ...(formShape(model.form).isFlat && !formShape(next.form).isFlat
      ? ['The model is a test tile: curves and a thinner wall take up glaze differently. Fire one first.']
      : []),
    ...(formShape(next.form).plan && !formShape(model.form).plan
      ? ['The model stood upright: lying flat it pools instead of running.']
      : []),
  ];
}

/** The side of the next piece that takes over what lay on one of the model. */
function sideOn(next: Measures, side: Side): Side {
  const { isFlat, plan, sides, canSplit } = formShape(next.form);
  if (side === 'inside') return sides.includes('inside') && !isFlat ? 'inside' : 'outside';
  if (plan) return 'inside';
  return canSplit ? side : 'outside';
}

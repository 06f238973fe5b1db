import type { DefectId } from '../vocabulary';
import { coneIndex } from '../firing';
import type { CauseId } from './causes';
import type { Evidence, Ingredient } from './evidence';

/** Weights of a finding for causes: bits; 1 makes the cause twice as likely against the others, −1 half. */
type Says = Readonly<Partial<Record<CauseId, number>>>;

/** One thing that evidence can show. */
export interface Finding {
  readonly id: string;
  /** Findings of one group say the same thing in other words: of each group the strongest counts, once. */
  readonly group: string;
  /** What was found, to stand after "because". */
  readonly words: string;
  /** Whether it holds. */
  readonly holds: (evidence: Evidence) => boolean;
  readonly says: Says;
  /** Defects it tells something about; absent for all. */
  readonly only?: readonly DefectId[];
}

const index = (cone: string | undefined) => (cone === undefined ? null : coneIndex(cone));

/** Steps the firing went past its target, cones; null when one of them is not known. */
function pastTarget({ achievedCone, targetCone }: Evidence): number | null {
  const [got, meant] = [index(achievedCone), index(targetCone)];
  return got === null || meant === null ? null : got - meant;
}

/** Steps the firing went past a cone, cones. */
function past(evidence: Evidence, cone: string | undefined): number | null {
  const [got, limit] = [index(evidence.achievedCone ?? evidence.targetCone), index(cone)];
  return got === null || limit === null ? null : got - limit;
}

const has =
  (...any: readonly Ingredient[]) =>
  (evidence: Evidence) =>
    any.some((one) => evidence.glazeHas?.includes(one));
const lacks =
  (...all: readonly Ingredient[]) =>
  (evidence: Evidence) =>
    evidence.glazeHas !== undefined && !all.some((one) => evidence.glazeHas!.includes(one));
const near =
  (...any: readonly Ingredient[]) =>
  (evidence: Evidence) =>
    any.some((one) => evidence.neighbourHas?.includes(one));
const is =
  (key: keyof Evidence, ...values: readonly unknown[]) =>
  (evidence: Evidence) =>
    values.includes(evidence[key]);
const mismatch = (from: number, to: number) => (evidence: Evidence) => {
  const value = evidence.expansionMismatch;
  return value !== undefined && value >= from && value < to;
};
/** Whether the firing was meant to oxidise. */
const meantToOxidise = (evidence: Evidence) =>
  (evidence.wantedAtmosphere ?? evidence.atmosphere) === 'oxidation';

/** A bisque below this cone leaves carbon and sulphur in many bodies. */
const LOW_BISQUE = '07';
/** Manganese gives off oxygen from about here on. */
const MANGANESE_GASSES = '5';

type Row = readonly [
  id: string,
  group: string,
  words: string,
  holds: Finding['holds'],
  says: Says,
  only?: readonly DefectId[],
];

// One finding a line: a table is read down its columns.
// prettier-ignore
const ROWS: readonly Row[] = [
  // Fit
  ['mismatch-high', 'fit', 'the glaze expands far more than the body', mismatch(0.8, Infinity), { 'expansion-mismatch': 3.5, 'moisture-expansion': -1, overcompression: -4, 'glaze-too-thick': -0.5 }],
  ['mismatch-some', 'fit', 'the glaze expands somewhat more than the body', mismatch(0.3, 0.8), { 'expansion-mismatch': 1.5, 'glaze-too-thick': 0.7, overcompression: -3 }],
  ['mismatch-none', 'fit', 'glaze and body fit by calculation', mismatch(-1, 0.3), { 'expansion-mismatch': -2.5, overcompression: -2, 'moisture-expansion': 1, 'body-silica': 0.5 }],
  ['mismatch-negative', 'fit', 'the glaze expands less than the body', mismatch(-2, -1), { 'expansion-mismatch': -4, overcompression: 2 }],
  ['mismatch-very-negative', 'fit', 'the glaze expands far less than the body', mismatch(-Infinity, -2), { 'expansion-mismatch': -5, overcompression: 3.5 }],
  ['boil-failed', 'boil', 'it crazed in the boil test', is('boilTest', 'failed'), { 'expansion-mismatch': 1.2 }],
  ['boil-passed', 'boil', 'it stood the boil test', is('boilTest', 'passed'), { 'expansion-mismatch': -1.5 }],
  ['late', 'late', 'it came long after the firing', (e) => e.appearsLate === true || (e.ageMonths ?? 0) >= 1, { 'moisture-expansion': 2, 'expansion-mismatch': 0.5, 'lime-inclusion': 2, 'fast-cooling': -2 }],
  ['at-once', 'late', 'it was there when the kiln was opened', (e) => e.appearsLate === false || e.ageMonths === 0, { 'moisture-expansion': -3, 'lime-inclusion': -1 }],
  ['porous', 'porous', 'the body is porous', is('bodyPorous', true), { 'moisture-expansion': 2.5 }],
  ['dense', 'porous', 'the body is dense', is('bodyPorous', false), { 'moisture-expansion': -4 }],
  ['glazed-one-side', 'sides', 'one side only is glazed', is('glazedSides', 'one'), { overcompression: 1.5 }, ['dunting', 'shivering']],
  ['high-silica', 'squeeze', 'the glaze is high in silica', has('high-silica'), { overcompression: 1.5 }],
  ['lithium', 'squeeze', 'the glaze carries lithium', has('lithium'), { overcompression: 1.5 }],

  // Thickness
  ['only-where-thick', 'thickness', 'it shows only where the glaze is thick', is('onlyWhereThick', true), { 'glaze-too-thick': 3, 'glaze-gas': 1.5, 'raw-shrinkage': 1, 'wet-between-coats': 1, 'fluid-glaze': 0.7, 'body-gas': -1.5, contamination: -2.5, 'incompatible-layer': -1, 'glaze-too-thin': -4, 'slow-cooling': 0.5 }],
  ['also-where-thin', 'thickness', 'it shows where the glaze is thin too', is('onlyWhereThick', false), { 'glaze-too-thick': -3, 'body-gas': 0.7 }],
  ['place-thick', 'thickness', 'it sits where the glaze is thick', is('location', 'thick'), { 'glaze-too-thick': 2.5, 'glaze-gas': 1.2, 'body-gas': -1, 'glaze-too-thin': -3 }],
  ['thick', 'thickness', 'the glaze lies thick', (e) => e.thickness === 'thick' || (e.coats ?? 0) >= 3, { 'glaze-too-thick': 2.2, 'raw-shrinkage': 0.7, 'glaze-gas': 0.4, 'fluid-glaze': 0.3, 'glaze-too-thin': -4 }],
  ['medium', 'thickness', 'the glaze lies as it should', is('thickness', 'medium'), { 'glaze-too-thick': -1.5, 'glaze-too-thin': -1.5 }],
  ['thin', 'thickness', 'the glaze lies thin', is('thickness', 'thin'), { 'glaze-too-thin': 3, 'glaze-too-thick': -4, 'raw-shrinkage': -1 }],
  ['bucket-thick', 'bucket', 'the bucket was too thick', is('specificGravityOff', 'thick'), { 'glaze-too-thick': 1.5, 'not-stirred-or-wrong-water': 2.5 }],
  ['bucket-thin', 'bucket', 'the bucket was too thin', is('specificGravityOff', 'thin'), { 'glaze-too-thin': 2, 'not-stirred-or-wrong-water': 2.5 }],
  ['not-stirred', 'stirred', 'the bucket was not stirred', is('stirred', false), { 'not-stirred-or-wrong-water': 3 }],
  ['stirred', 'stirred', 'the bucket was stirred', is('stirred', true), { 'not-stirred-or-wrong-water': -2.5 }],
  ['marks', 'marks', 'marks of the brush or dip can be seen', is('marksVisible', true), { 'application-uneven': 3 }],
  ['no-marks', 'marks', 'no marks of application can be seen', is('marksVisible', false), { 'application-uneven': -2.5 }],
  ['brushed', 'method', 'it was brushed', is('method', 'brush'), { 'application-uneven': 0.8 }, ['patchy']],

  // Layers and drying
  ['only-in-overlap', 'layer', 'it shows only where two glazes lie over each other', (e) => e.onlyInOverlap === true || e.location === 'overlap', { 'incompatible-layer': 3, 'wet-between-coats': 1, 'glaze-too-thick': 1, 'body-gas': -2, 'overfired-kiln': -1.5, 'glaze-gas': -0.7, 'dusty-or-greasy-bisque': -1.5, 'body-beyond-range': -3 }],
  ['one-glaze', 'layers', 'one glaze alone lies there', (e) => e.glazes === 1, { 'incompatible-layer': -8 }],
  ['not-only-in-overlap', 'layer', 'it shows outside the overlap too', is('onlyInOverlap', false), { 'incompatible-layer': -3 }],
  ['other-order-clean', 'order', 'the other order is clean', is('otherOrderClean', true), { 'incompatible-layer': 3, 'glaze-too-thick': -1.5, 'wet-between-coats': -0.5, 'body-gas': -1.5 }],
  ['other-order-too', 'order', 'the other order shows it too', is('otherOrderClean', false), { 'incompatible-layer': -1, 'glaze-too-thick': 1 }],
  ['alone-too', 'alone', 'one of the glazes alone shows it on other pieces', is('aloneToo', true), { 'incompatible-layer': -4 }],
  ['alone-clean', 'alone', 'neither glaze alone shows it on other pieces', is('aloneToo', false), { 'incompatible-layer': 1 }],
  ['soda', 'early-seal', 'a soda-rich glaze that seals early is in it', has('soda-ash'), { 'incompatible-layer': 1.2 }, ['blistering', 'pinholing', 'pitting']],
  ['wet', 'drying', 'the coat below was still wet', is('dryBetweenCoats', false), { 'wet-between-coats': 3.5 }],
  ['dry', 'drying', 'each coat was dry before the next', is('dryBetweenCoats', true), { 'wet-between-coats': -4 }],
  ['raw-cracked', 'raw', 'the raw glaze was cracked before the firing', is('rawGlazeCracked', true), { 'raw-shrinkage': 3, 'wet-between-coats': 0.7, 'dusty-or-greasy-bisque': -0.5 }],
  ['raw-whole', 'raw', 'the raw glaze was whole', is('rawGlazeCracked', false), { 'raw-shrinkage': -2, 'wet-between-coats': -0.5, 'opacifier-excess': 0.5, 'viscous-melt': 0.5 }],
  ['shrinking-raw', 'plastic', 'the raw glaze is rich in clay, light magnesia or zinc', has('high-clay', 'high-magnesia', 'zinc'), { 'raw-shrinkage': 2 }, ['crawling', 'raw-flaking']],
  ['not-shrinking-raw', 'plastic', 'nothing in the raw glaze shrinks much', lacks('high-clay', 'high-magnesia', 'zinc'), { 'raw-shrinkage': -1.5 }, ['crawling', 'raw-flaking']],
  ['not-wiped', 'wiped', 'the bisque was not wiped', is('bisqueWiped', false), { 'dusty-or-greasy-bisque': 1.5 }],
  ['wiped', 'wiped', 'the bisque was wiped', is('bisqueWiped', true), { 'dusty-or-greasy-bisque': -3 }],
  ['opacified', 'opacifier', 'the glaze is opacified with zircon or tin', has('zircon', 'tin'), { 'opacifier-excess': 1.5, 'viscous-melt': 0.5 }, ['crawling', 'pinholing', 'pitting']],
  ['not-opacified', 'opacifier', 'no opacifier is in it', lacks('zircon', 'tin'), { 'opacifier-excess': -4 }],

  // Gas
  ['carbide', 'gas', 'silicon carbide is in the glaze', has('silicon-carbide'), { 'glaze-gas': 4 }],
  ['sulphates', 'gas', 'sulphates or soluble salts are in the glaze', has('sulphates'), { 'glaze-gas': 2 }],
  ['carbonates', 'gas', 'carbonates are in the glaze', has('carbonates'), { 'glaze-gas': 1.2 }],
  ['manganese', 'gas', 'manganese in the glaze gives off oxygen at this heat', (e) => has('manganese')(e) && (past(e, MANGANESE_GASSES) ?? 0) >= 0, { 'glaze-gas': 2 }],
  ['no-gas-in-glaze', 'gas', 'nothing in the glaze gives off much gas', lacks('silicon-carbide', 'sulphates', 'carbonates', 'manganese'), { 'glaze-gas': -2 }],
  ['bare-body-too', 'bare', 'the bare body shows it too', is('bareBodyAlso', true), { 'body-gas': 3, 'body-beyond-range': 1.5, 'glaze-gas': -3, 'glaze-too-thick': -3, 'incompatible-layer': -3, 'viscous-melt': -1.5, contamination: -0.5 }],
  ['bare-body-clean', 'bare', 'the bare body is sound', is('bareBodyAlso', false), { 'body-gas': -1.2, 'body-beyond-range': -1.5, 'glaze-gas': 0.7 }],
  ['coarse', 'body', 'the body is coarse', is('bodyCoarse', true), { 'body-gas': 1.2 }],
  ['iron-body', 'body', 'the body is rich in iron', is('bodyIron', 'high'), { 'body-gas': 1.2 }],
  ['white-body', 'body-clean', 'the body carries no iron', is('bodyIron', 'none'), { 'body-gas': -0.8 }],
  ['poor-bisque', 'bisque', 'the bisque was low or fast', (e) => e.bisqueSpeed === 'fast' || (index(e.bisqueCone) ?? 0) < index(LOW_BISQUE)!, { 'body-gas': 2.2 }],
  ['good-bisque', 'bisque', 'the bisque was slow enough and hot enough', (e) => e.bisqueSpeed === 'slow' || (e.bisqueSpeed !== 'fast' && e.bisqueCone !== undefined && index(e.bisqueCone)! >= index(LOW_BISQUE)!), { 'body-gas': -1.2 }],
  ['once-fired', 'bisque', 'it was fired once, without a bisque', is('firingKind', 'once-fired'), { 'body-gas': 1.5 }],
  ['reaches-body', 'depth', 'a needle reaches the clay', is('reachesBody', true), { 'body-gas': 1.2, 'glaze-gas': -0.7, 'dusty-or-greasy-bisque': 0.5 }],
  ['stays-in-glaze', 'depth', 'a needle does not reach the clay', is('reachesBody', false), { 'body-gas': -1, 'glaze-gas': 0.7 }],
  ['healed', 'refire', 'refiring healed it', is('healedByRefiring', true), { 'body-gas': 1.3, 'no-soak': 1.5, 'glaze-gas': -1, 'incompatible-layer': -1, 'underfired-kiln': 1 }],
  ['not-healed', 'refire', 'refiring did not heal it', is('healedByRefiring', false), { 'no-soak': -1.5, 'body-gas': -0.5, 'glaze-gas': 0.7, 'incompatible-layer': 0.7 }],

  // Heat and speed
  ['over-target', 'heat', 'the cones say hotter than meant', (e) => (pastTarget(e) ?? 0) >= 0.5, { 'overfired-kiln': 3, 'underfired-kiln': -5, 'colourant-volatile': 1, 'viscous-melt': -1.5 }],
  ['under-target', 'heat', 'the cones say cooler than meant', (e) => (pastTarget(e) ?? 0) <= -0.5, { 'underfired-kiln': 3.5, 'overfired-kiln': -5, 'viscous-melt': 0.7, 'body-beyond-range': -1, 'fluid-glaze': -1 }],
  ['on-target', 'heat', 'the cones say as hot as meant', (e) => Math.abs(pastTarget(e) ?? 9) < 0.5, { 'overfired-kiln': -2.5, 'underfired-kiln': -2.5 }],
  ['over-glaze', 'range', 'it was fired above the range of the glaze', (e) => (past(e, e.glazeCone?.[1]) ?? 0) > 0, { 'overfired-kiln': 2, 'fluid-glaze': 0.7, 'colourant-volatile': 1 }],
  ['under-glaze', 'range', 'it was fired below the range of the glaze', (e) => (past(e, e.glazeCone?.[0]) ?? 0) < 0, { 'underfired-kiln': 2.5, 'overfired-kiln': -2 }],
  ['over-body', 'body-range', 'the body was fired past its highest cone', (e) => (past(e, e.bodyMaxCone) ?? 0) > 0, { 'body-beyond-range': 3.5 }],
  ['within-body', 'body-range', 'the body stands this cone', (e) => (past(e, e.bodyMaxCone) ?? 1) <= 0, { 'body-beyond-range': -4 }],
  ['fired-fast', 'speed', 'it was fired fast', is('firing', 'fast'), { 'too-fast-firing': 2.5, 'body-gas': 1, 'no-soak': 0.5 }],
  ['fired-usual', 'speed', 'it was fired at the usual speed', is('firing', 'normal'), { 'too-fast-firing': -1 }],
  ['fired-slow', 'speed', 'it was fired slowly', is('firing', 'slow'), { 'too-fast-firing': -3.5 }],
  ['no-hold', 'hold', 'there was no hold to speak of', (e) => e.dropHold !== true && (e.holdMinutes ?? 99) < 5, { 'no-soak': 2.2, 'viscous-melt': 0.5 }],
  ['held', 'hold', 'there was a hold', (e) => e.dropHold === true || (e.holdMinutes ?? 0) >= 10, { 'no-soak': -2.5 }],
  ['full-kiln', 'filled', 'the kiln was packed full', (e) => (e.kilnFilled ?? 0) >= 0.9, { 'underfired-kiln': 0.6 }],
  ['cooled-fast', 'cooling', 'it cooled fast', is('cooling', 'fast'), { 'fast-cooling': 2.5, 'slow-cooling': -4 }],
  ['cooled-usual', 'cooling', 'it cooled as usual', is('cooling', 'normal'), { 'fast-cooling': -1.2, 'slow-cooling': -1 }],
  ['cooled-slow', 'cooling', 'it cooled slowly', is('cooling', 'slow'), { 'slow-cooling': 2.5, 'fast-cooling': -3.5 }],
  ['boron', 'crystals', 'the glaze is rich in boron', has('boron'), { 'slow-cooling': 1.2 }, ['clouding']],
  ['sharp-crack', 'edges', 'the edges of the crack are sharp', is('edges', 'sharp'), { 'fast-cooling': 2, 'body-silica': 1.2, overcompression: 0.7, 'too-fast-firing': -3, handling: -3 }, ['dunting']],
  ['rounded-crack', 'edges', 'the edges of the crack are rounded', is('edges', 'rounded'), { 'too-fast-firing': 2.2, handling: 2, 'fast-cooling': -4, 'body-silica': -3, overcompression: -2 }, ['dunting']],
  ['sharp-bubble', 'edges', 'the edges are sharp', is('edges', 'sharp'), { 'no-soak': 0.5, 'over-reduction': 0.3, 'viscous-melt': -0.5 }, ['blistering', 'pitting', 'pinholing']],
  ['matte-for-gloss', 'melt', 'it is dull where it should shine', (e) => e.wantedSurface === 'gloss' && (e.surface === 'matte' || e.surface === 'satin'), { 'underfired-kiln': 1.5, 'slow-cooling': 1.2, 'wrong-batch': 0.7 }],
  ['as-wanted', 'melt', 'the surface is the one that was wanted', (e) => e.wantedSurface !== undefined && e.wantedSurface === e.surface, { 'underfired-kiln': -3, 'too-fast-firing': -2, 'wrong-batch': -2 }, ['underfired']],

  // Atmosphere
  ['not-reduced', 'reduced', 'reduction was wanted, and there was none', (e) => e.wantedAtmosphere === 'reduction' && e.atmosphere !== undefined && e.atmosphere !== 'reduction', { 'under-reduction': 3.5, 'over-reduction': -4, 'local-reduction': -2 }],
  ['meant-oxidation', 'reduced', 'it was meant to be oxidised', meantToOxidise, { 'under-reduction': -5, 'reoxidised-cooling': -5, 'over-reduction': -3 }],
  ['reduced-wanted', 'meant', 'reduction was wanted', is('wantedAtmosphere', 'reduction'), { 'under-reduction': 1 }],
  ['light', 'strength', 'the reduction was light', is('reduction', 'light'), { 'under-reduction': 2, 'over-reduction': -4 }],
  ['medium-reduction', 'strength', 'the reduction was as usual', is('reduction', 'medium'), { 'under-reduction': -1, 'over-reduction': -1 }],
  ['heavy', 'strength', 'the reduction was heavy', is('reduction', 'heavy'), { 'over-reduction': 2.5, 'under-reduction': -4 }],
  ['late-reduction', 'start', 'the reduction began late', is('reductionStart', 'late'), { 'under-reduction': 2 }],
  ['early-reduction', 'start', 'the reduction began early', is('reductionStart', 'early'), { 'under-reduction': -1, 'over-reduction': 0.7 }],
  ['air-in-cooling', 'air', 'air got in while it cooled', (e) => !meantToOxidise(e) && e.coolingAtmosphere === 'oxidation', { 'reoxidised-cooling': 2.5 }],
  ['no-air-in-cooling', 'air', 'no air got in while it cooled', is('coolingAtmosphere', 'reduction', 'neutral'), { 'reoxidised-cooling': -3 }],

  // Pattern
  ['one-piece', 'pattern', 'one piece alone shows it', is('pattern', 'one-piece'), { contamination: 1.5, handling: 1, 'fuming-neighbour': 1.5, 'local-reduction': 1.5, 'application-uneven': 1, 'dusty-or-greasy-bisque': 0.7, 'expansion-mismatch': -2, 'under-reduction': -3, 'overfired-kiln': -2.5, 'underfired-kiln': -2.5, 'wrong-batch': -2.5, 'glaze-gas': -1.2, 'incompatible-layer': -1, 'body-beyond-range': -1.5 }],
  ['twins-agree', 'pattern', 'all twins show it', is('pattern', 'twins-agree'), { 'expansion-mismatch': 1, 'glaze-gas': 0.7, 'incompatible-layer': 1, contamination: -4, handling: -2.5, 'dusty-or-greasy-bisque': -2, 'application-uneven': -1.5, 'local-reduction': -1 }],
  ['whole-firing', 'pattern', 'the whole firing shows it', is('pattern', 'whole-firing'), { 'under-reduction': 2.2, 'overfired-kiln': 2, 'underfired-kiln': 2, 'over-reduction': 1.5, 'too-fast-firing': 1.2, 'no-soak': 1, 'fast-cooling': 0.8, 'slow-cooling': 0.8, 'reoxidised-cooling': 1, contamination: -2.5, 'wrong-batch': -1.5, 'incompatible-layer': -2, 'fuming-neighbour': -2.5, 'local-reduction': -3, 'glaze-too-thick': -1 }],
  ['one-body', 'pattern', 'one body alone shows it', is('pattern', 'one-body'), { 'expansion-mismatch': 1.5, 'body-gas': 2, 'body-beyond-range': 1.5, 'body-silica': 1, 'moisture-expansion': 1, 'lime-inclusion': 1.2, 'glaze-gas': -2, 'wrong-batch': -3, 'under-reduction': -2, 'incompatible-layer': -1 }],
  ['one-batch', 'pattern', 'one batch alone shows it', is('pattern', 'one-batch'), { 'wrong-batch': 3.5, 'not-stirred-or-wrong-water': 1.5, 'body-gas': -2, 'overfired-kiln': -2, 'underfired-kiln': -2, 'too-fast-firing': -2 }],
  ['one-shelf', 'pattern', 'one shelf alone shows it', is('pattern', 'one-shelf'), { 'local-reduction': 1.5, 'overfired-kiln': 1, 'underfired-kiln': 1, 'fuming-neighbour': 1.2, 'wrong-batch': -2 }],
  ['other-bodies-too', 'bodies', 'other bodies show it too', is('alsoOnOtherBodies', true), { 'body-gas': -2, 'body-silica': -2, 'body-beyond-range': -2, 'expansion-mismatch': -0.7, 'glaze-gas': 1, 'wrong-batch': 1, 'lime-inclusion': -2 }],
  ['other-bodies-clean', 'bodies', 'other bodies are clean', is('alsoOnOtherBodies', false), { 'body-gas': 1.5, 'expansion-mismatch': 1.2, 'glaze-gas': -1.5, 'wrong-batch': -2 }],

  // Colour
  ['chrome-near-tin', 'fume', 'chrome stood beside a glaze with tin', (e) => near('chrome')(e) && has('tin')(e), { 'fuming-neighbour': 4 }],
  ['chrome-or-copper-near', 'fume', 'chrome or copper stood beside it', near('chrome', 'copper'), { 'fuming-neighbour': 2.5 }],
  ['nothing-fumes', 'fume', 'nothing beside it fumes', (e) => e.neighbourHas !== undefined && !near('chrome', 'copper', 'tin')(e), { 'fuming-neighbour': -3 }],
  ['zinc-with-chrome', 'zinc', 'zinc is in the glaze with chrome', (e) => has('zinc')(e) && has('chrome')(e), { 'zinc-colour-conflict': 3.5 }],
  ['zinc', 'zinc', 'zinc is in the glaze', has('zinc'), { 'zinc-colour-conflict': 1.5 }, ['colour-shift']],
  ['no-zinc', 'zinc', 'no zinc is in the glaze', lacks('zinc'), { 'zinc-colour-conflict': -5 }],
  ['reducible', 'colourant', 'its colour needs reduction (copper or iron)', has('copper', 'iron'), { 'under-reduction': 0.7 }, ['colour-shift']],
  ['volatile', 'burns', 'its colourant burns off easily', has('cadmium-selenium', 'chrome', 'copper'), { 'colourant-volatile': 1.5 }, ['colour-loss']],

  // Foot, flow, form
  ['runs', 'flow', 'the glaze runs', is('movement', 'runs'), { 'fluid-glaze': 2.5, 'viscous-melt': -3 }],
  ['moves', 'flow', 'the glaze moves', is('movement', 'moves'), { 'fluid-glaze': 0.7, 'viscous-melt': -1 }],
  ['stable', 'flow', 'the glaze stays where it is put', is('movement', 'stable'), { 'fluid-glaze': -3, 'viscous-melt': 1 }],
  ['near-foot', 'foot', 'the glaze went near the foot', is('nearFoot', true), { 'too-near-foot': 3 }],
  ['clear-of-foot', 'foot', 'the glaze kept clear of the foot', is('nearFoot', false), { 'too-near-foot': -3 }],
  ['on-decoration', 'place', 'it sits on the decoration only', is('location', 'decoration'), { 'colourant-unfluxed': 2 }],
  ['at-rim', 'place', 'it sits at the rim', is('location', 'rim'), { 'glaze-too-thin': 1, overcompression: 0.5 }],
  ['one-spot', 'place', 'it is a single spot', is('location', 'spot'), { contamination: 1.5, 'expansion-mismatch': -1.5 }],
  ['everywhere', 'place', 'it is everywhere on the glaze', is('location', 'everywhere'), { contamination: -2.5, 'application-uneven': -1 }],
  ['before-glazing', 'made', 'it was there before glazing', is('presentBeforeGlazing', true), { handling: 3, 'fast-cooling': -4, 'body-silica': -4, overcompression: -4 }],
  ['not-before-glazing', 'made', 'it was not there before glazing', is('presentBeforeGlazing', false), { handling: -3 }],
  ['not-supported', 'support', 'the form was not supported', is('supported', false), { 'unsupported-form': 2.5 }],
  ['supported', 'support', 'the form was supported', is('supported', true), { 'unsupported-form': -3 }],
  ['damp', 'damp', 'the ware was damp', is('damp', true), { 'damp-ware': 3.5 }],
  ['bone-dry', 'damp', 'the ware was bone dry', is('damp', false), { 'damp-ware': -4 }],
  ['reclaimed', 'reclaim', 'the clay was reclaimed', is('bodyReclaimed', true), { 'lime-inclusion': 2.5, contamination: 0.5 }],
  ['not-reclaimed', 'reclaim', 'the clay was new', is('bodyReclaimed', false), { 'lime-inclusion': -1.5 }],

  // Slip
  ['slip-on-dry', 'slip', 'the slip went onto dry clay or bisque', is('slipAppliedTo', 'dry', 'bisque'), { 'slip-on-dry-clay': 3.5 }],
  ['slip-on-damp', 'slip', 'the slip went onto damp clay', is('slipAppliedTo', 'wet', 'leather-hard'), { 'slip-on-dry-clay': -4, 'slip-shrinkage': 0.7 }],
  ['slip-shrinks', 'slip-shrinkage', 'slip and body shrink differently', is('slipShrinkage', 'low', 'high'), { 'slip-shrinkage': 2.5 }],
  ['slip-thick', 'slip-thickness', 'the slip lies thick', is('slipThickness', 'thick'), { 'slip-too-thick': 2.5 }],
  ['slip-thin', 'slip-thickness', 'the slip lies thin enough', is('slipThickness', 'thin', 'medium'), { 'slip-too-thick': -3 }],
];

/**
 * The one table of weights. They are judgement, gathered from what the trade teaches (common practice, no
 * source); a studio's own counts stand beside them, never in them.
 */
export const FINDINGS: readonly Finding[] = ROWS.map(([id, group, words, holds, says, only]) => ({
  id,
  group,
  words,
  holds,
  says,
  ...(only && { only }),
}));

import type { Line } from '../chemistry';
import {
  CONES,
  isCone,
  ITSELF,
  type Atmosphere,
  type ClayState,
  type Cone,
  type DefectId,
  type Method,
  type Reduction,
} from '../vocabulary';
import { coneIndex, coolingOf, HOLD } from '../firing';
import type { Evidence, Ingredient } from './evidence';

/** One read zone of the piece in question. */
export interface RecordZone {
  /** Glaze ids, bottom first. */
  readonly layers: readonly { readonly glaze: string; readonly times: number }[];
  readonly surface: string | null;
  readonly movement: string | null;
  /** Where the defect sits; null when the zone is free of it. */
  readonly place: string | null;
}

/** What the records know of a piece with a defect. */
export interface RecordFacts {
  readonly defect: DefectId;
  readonly zones: readonly RecordZone[];
  readonly body: {
    /** Null when nobody said. */
    readonly iron: 'none' | 'low' | 'high' | null;
    readonly coarse: boolean;
    /** Null when not known. */
    readonly coneTo: string | null;
    /** Percent of water taken up; null when not known. */
    readonly absorption: number | null;
    /** 1e-6/K; null when not known. */
    readonly expansion: number | null;
  };
  readonly firing: {
    readonly cone: string;
    readonly achievedCone: number | null;
    readonly atmosphere: Atmosphere;
    readonly kind: string;
    /** °C, minutes of hold; empty when it was fired by hand. */
    readonly segments: readonly { readonly target: number; readonly hold: number }[];
    /** Minutes near the peak as the log has them; null without a log: a programme is only what was meant. */
    readonly heldMinutes: number | null;
    /** How heavy a reduction was logged; null for none. */
    readonly reduction: Reduction | null;
  };
  readonly recipes: ReadonlyMap<string, readonly Line[]>;
  /** 1e-6/K by glaze id. */
  readonly expansions: ReadonlyMap<string, number>;
  /** Other pieces with the same zone, with and without the defect. */
  readonly twins: { readonly having: number; readonly without: number };
  /** Other pieces on its shelf in that firing that show it. */
  readonly neighboursHaving: number;
  /** Proofs of the same two glazes the other way round; null when there are none. */
  readonly otherOrder: { readonly having: number; readonly without: number } | null;
  /** Proofs of each glaze of the bad zone alone; empty where only one lies there. */
  readonly alone: readonly { readonly having: number; readonly without: number }[];
  /** Days between the opening and the look that found it. */
  readonly ageDays: number;
  /** What the slip went onto; null without one, or when nobody said. */
  readonly slipOn: ClayState | null;
  /** Whether every coat of the bad zone went onto a dry one; null with one coat, or when nobody said. */
  readonly driedBetween: boolean | null;
  /** How the coats of the bad zone were put on; null when in several ways. */
  readonly method: Method | null;
  /** How far above the foot its lowest glaze begins, mm; null without glaze, or on a form without a foot. */
  readonly lowestGlazeMm: number | null;
  /** Share of the kiln that was filled, 0 to 1; null when nobody said. */
  readonly kilnFilled: number | null;
}

const BY_NAME: readonly (readonly [Ingredient, RegExp, number])[] = [
  ['silicon-carbide', /silicon carbide/i, 0],
  ['sulphates', /sul(ph|f)ate|gypsum/i, 0],
  ['carbonates', /carbonate/i, 3],
  ['copper', /copper/i, 0],
  ['chrome', /chrom/i, 0],
  ['tin', /^tin/i, 0],
  ['zinc', /zinc/i, 1],
  ['manganese', /manganese/i, 0.5],
  ['soda-ash', /soda ash/i, 0],
  ['zircon', /zirc/i, 3],
  ['high-clay', /kaolin|ball clay|bentonite/i, 24],
  ['high-magnesia', /magnesium carbonate|dolomite|talc/i, 15],
  ['boron', /borosilicate|borax|boron|gerstley|colemanite/i, 18],
  ['lithium', /lithium|spodumene|petalite|lepidolite/i, 0.5],
  ['iron', /iron/i, 0.5],
];

/** An ingredient that a recipe holds enough of to matter, with the materials it comes from. */
export interface NotableIngredient {
  readonly ingredient: Ingredient;
  readonly materials: readonly string[];
  /** Percent of the base, all of them together. */
  readonly amount: number;
}

/**
 * What a recipe holds that matters for a defect, by the names and amounts of its materials.
 *
 * @param lines amounts in percent of the base
 */
export function materialsOf(lines: readonly Line[]): NotableIngredient[] {
  return BY_NAME.flatMap(([ingredient, name, more]) => {
    const own = lines.filter(({ material }) => name.test(material));
    const amount = own.reduce((sum, line) => sum + line.amount, 0);
    return amount > more ? [{ ingredient, materials: own.map(({ material }) => material), amount }] : [];
  });
}

/** The same without amounts. */
export function ingredientsOf(lines: readonly Line[]): Ingredient[] {
  return materialsOf(lines).map(({ ingredient }) => ingredient);
}

/** A glaze that begins higher than this keeps clear of the foot, mm (common practice: leave 10 mm bare). */
const CLEAR_OF_FOOT_MM = 10;

/** A defect found later than this came later, days. */
const LATER = 30;
/** Proofs the other way round that say it is clean. */
const ENOUGH = 2;
/** A glaze shows a defect alone when it does on so many pieces, and on such a share of them; it is clean on so many without one. */
const ALONE = { having: 2, share: 0.1, clean: 4 };

const dips = ({ layers }: RecordZone) => layers.reduce((sum, layer) => sum + layer.times, 0);
const glazes = ({ layers }: RecordZone) => new Set(layers.map(({ glaze }) => glaze));

/**
 * Turns what the records know of a piece into evidence: what a member would have to look up is looked up, and
 * what is not known is left out. On a piece on which nobody has marked the defect yet, only firing, clay and
 * twins speak.
 */
export function evidenceOf(facts: RecordFacts): Evidence {
  const bad = facts.zones.filter(({ place }) => place !== null);
  const [worst] = [...bad].sort((a, b) => dips(b) - dips(a));
  const { body, firing } = facts;
  const places = new Set(bad.map(({ place }) => place));
  return {
    ...(worst && layersOf(facts, bad, worst)),
    ...heatOf(firing),
    ...patternOf(facts),
    ...(body.iron !== null && { bodyIron: body.iron }),
    bodyCoarse: body.coarse,
    ...(body.coneTo !== null && isCone(body.coneTo) && { bodyMaxCone: body.coneTo }),
    ...(body.absorption !== null && { bodyPorous: body.absorption > 3 }),
    ...(places.size === 1 && !places.has(ITSELF) && { location: [...places][0] as Evidence['location'] }),
    ...(worst && worst.surface !== null && { surface: worst.surface as Evidence['surface'] }),
    ...(worst && worst.movement !== null && { movement: worst.movement as Evidence['movement'] }),
    ...(facts.slipOn !== null && { slipAppliedTo: facts.slipOn }),
    ...(facts.driedBetween !== null && { dryBetweenCoats: facts.driedBetween }),
    ...(facts.kilnFilled !== null && { kilnFilled: facts.kilnFilled }),
    ...(facts.lowestGlazeMm !== null && { nearFoot: facts.lowestGlazeMm < CLEAR_OF_FOOT_MM }),
    ...(facts.method !== null && isTold(facts.method) && { method: facts.method }),
    ...(worst && { appearsLate: facts.ageDays > LATER }),
  };
}

/** What the layers of the bad zones and the sound ones beside them say. */
function layersOf(facts: RecordFacts, bad: readonly RecordZone[], worst: RecordZone): Partial<Evidence> {
  const sound = facts.zones.filter(({ place, layers }) => place === null && layers.length > 0);
  const alike = sound.filter((zone) => [...glazes(zone)].every((glaze) => glazes(worst).has(glaze)));
  const thinner = alike.filter((zone) => dips(zone) < dips(worst));
  const single = sound.filter((zone) => glazes(zone).size === 1 && glazes(worst).has([...glazes(zone)][0]!));
  const overlap = bad.every((zone) => glazes(zone).size > 1);
  const used = [...glazes(worst)];
  const known = used.flatMap((glaze) => facts.recipes.get(glaze) ?? []);
  const expansions = used.map((glaze) => facts.expansions.get(glaze));
  const all = dips(worst);
  const mixed = worst.layers.reduce(
    (sum, layer) => sum + (facts.expansions.get(layer.glaze) ?? 0) * (layer.times / all),
    0,
  );
  const { otherOrder } = facts;
  return {
    coats: all,
    glazes: used.length,
    ...(alike.length > 0 && !overlap && { onlyWhereThick: thinner.length === alike.length }),
    ...(glazes(worst).size > 1 && single.length > 0 && { onlyInOverlap: overlap }),
    ...(otherOrder &&
      glazes(worst).size > 1 &&
      otherOrder.having + otherOrder.without >= ENOUGH && { otherOrderClean: otherOrder.having === 0 }),
    ...(glazes(worst).size > 1 && aloneOf(facts.alone)),
    ...(known.length > 0 &&
      used.every((glaze) => facts.recipes.has(glaze)) && { glazeHas: ingredientsOf(known) }),
    ...(facts.body.expansion !== null &&
      expansions.every((one) => one !== undefined) && { expansionMismatch: mixed - facts.body.expansion }),
  };
}

/** Whether one of two glazes shows the defect without the other; nothing while too few pieces tell. */
function aloneOf(alone: RecordFacts['alone']): Partial<Evidence> {
  const shows = alone.some(
    ({ having, without }) => having >= ALONE.having && having / (having + without) >= ALONE.share,
  );
  if (shows) return { aloneToo: true };
  const isClean =
    alone.length > 0 && alone.every(({ having, without }) => having === 0 && without >= ALONE.clean);
  return isClean ? { aloneToo: false } : {};
}

function heatOf(firing: RecordFacts['firing']): Partial<Evidence> {
  const achieved = nearestCone(firing.achievedCone);
  return {
    ...(isCone(firing.cone) && { targetCone: firing.cone }),
    ...(achieved && { achievedCone: achieved }),
    wantedAtmosphere: firing.atmosphere,
    ...(firing.kind === 'once-fired' && { firingKind: 'once-fired' as const }),
    ...(firing.heldMinutes !== null && {
      holdMinutes: firing.heldMinutes < HOLD ? 0 : firing.heldMinutes,
      ...(firing.segments.length > 0 && { dropHold: coolingOf(firing.segments) === 'held' }),
    }),
    ...(firing.reduction !== null && { reduction: firing.reduction }),
  };
}

/**
 * Twins that agree tell more than one piece alone; one among several points at the piece itself, as long as no
 * neighbour shows it either.
 */
function patternOf({ twins, neighboursHaving }: RecordFacts): Partial<Evidence> {
  const { having, without } = twins;
  if (having >= 1 && without === 0) return { pattern: 'twins-agree' };
  return having === 0 && neighboursHaving === 0 && without >= ENOUGH ? { pattern: 'one-piece' } : {};
}

/** Whether a way of putting glaze on is one that causes are told by. */
function isTold(method: Method): method is NonNullable<Evidence['method']> {
  return method === 'dip' || method === 'pour' || method === 'brush' || method === 'spray';
}

/** The cone of the table that lies nearest to an index. */
function nearestCone(index: number | null): Cone | null {
  if (index === null) return null;
  return CONES.reduce((best, cone) =>
    Math.abs(coneIndex(cone)! - index) < Math.abs(coneIndex(best)! - index) ? cone : best,
  );
}

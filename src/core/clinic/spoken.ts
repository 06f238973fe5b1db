import { millimetres, perHour, text, type Message, figures, shortFigures } from '../units';
import type { Line } from '../chemistry';
import type { DefectId } from '../vocabulary';
import { coneIndex, type CurvePoint } from '../firing';
import { bandOf, verdictWords, type BodyFigure } from '../fit';
import type { Evidence, Ingredient } from './evidence';
import { materialsOf } from './record';

/** What chemistry and firing know of the worst zone of a piece. */
export interface SpokenFacts {
  readonly defect: DefectId;
  /** Its glazes, bottom first; the recipe is empty where none is written down. */
  readonly layers: readonly {
    readonly name: string;
    readonly lines: readonly Line[];
    /** The bucket it came from: specific gravity then, and what it usually is. */
    readonly bucket: { readonly code: string; readonly gravity: number; readonly usual: number } | null;
  }[];
  readonly body: {
    readonly name: string;
    readonly figure: BodyFigure | null;
    readonly coneTo: string | null;
  };
  /** Of the whole zone, 1e-6/K; null when a recipe is missing. */
  readonly glazeExpansion: number | null;
  /** Fired, mm. */
  readonly thicknessMm: number | null;
  readonly firing: {
    readonly cone: string;
    /** By the witness cones, as an index; null when none was read. */
    readonly achievedCone: number | null;
    /** °C an hour below the top; null when it was not logged. */
    readonly cooling: number | null;
  };
}

/** Defects that come of stress between glaze, slip and clay. */
const OF_FIT: ReadonlySet<DefectId> = new Set(['crazing', 'shivering', 'dunting', 'slip-lifting']);

/** Defects that an ingredient has a part in. */
const PART_IN: Readonly<Partial<Record<Ingredient, readonly DefectId[]>>> = {
  'silicon-carbide': ['pitting', 'blistering', 'pinholing', 'clouding'],
  sulphates: ['pitting', 'blistering', 'pinholing'],
  carbonates: ['pitting', 'blistering', 'pinholing'],
  manganese: ['pitting', 'blistering'],
  'soda-ash': ['blistering', 'pinholing', 'pitting', 'crazing'],
  zinc: ['crawling', 'colour-shift'],
  chrome: ['colour-shift'],
  'high-clay': ['crawling', 'raw-flaking'],
  'high-magnesia': ['crawling', 'raw-flaking'],
  zircon: ['crawling', 'pinholing', 'pitting'],
  tin: ['crawling', 'colour-shift'],
  boron: ['clouding', 'running'],
  lithium: ['shivering', 'dunting'],
};

/** A cone reached within this of the one meant is as meant, cones. */
const AS_MEANT = 0.4;
/** A bucket within this of its usual specific gravity is as usual. */
const SG_STEP = 0.03;
/** Faster or slower than this below the top is fast or slow, °C/h (judgement). */
const COOLING = { fast: 450, slow: 70 } as const;
/** The stretch below the top that cooling is judged by, K. */
const STRETCH = 150;

/**
 * How fast a kiln fell through the first 150 K below its top, °C an hour.
 *
 * @param curve in order of time
 * @returns null when the log ends before
 */
export function coolingBelowTop(curve: readonly CurvePoint[]): number | null {
  const top = curve.reduce<CurvePoint | null>(
    (most, one) => (most && most.celsius > one.celsius ? most : one),
    null,
  );
  if (!top) return null;
  const cooled = curve.find(
    ({ minutes, celsius }) => minutes > top.minutes && celsius <= top.celsius - STRETCH,
  );
  return cooled ? ((top.celsius - cooled.celsius) / (cooled.minutes - top.minutes)) * 60 : null;
}

/** What the bucket and the cooling add to the evidence; nothing where both were as usual or are not known. */
export function spokenEvidence({ layers, firing }: SpokenFacts): Evidence {
  const off = layers.flatMap(({ bucket }) => (bucket ? [bucket.gravity - bucket.usual] : []));
  const worst = off.reduce((most, one) => (Math.abs(one) > Math.abs(most) ? one : most), 0);
  const { cooling } = firing;
  return {
    ...(Math.abs(worst) > SG_STEP && { specificGravityOff: worst > 0 ? ('thick' as const) : 'thin' }),
    ...(cooling !== null && { cooling: coolingWord(cooling) }),
  };
}

function coolingWord(perHour: number): 'fast' | 'normal' | 'slow' {
  return perHour > COOLING.fast ? 'fast' : perHour < COOLING.slow ? 'slow' : 'normal';
}

/**
 * What chemistry and firing say of a zone, a sentence each with its figures; what is not known is not said.
 * A calculated fit says how sure it is and what it rests on.
 */
export function spoken(facts: SpokenFacts): Message[] {
  return [...fitWords(facts), ...recipeWords(facts), ...bucketWords(facts), ...heatWords(facts)];
}

function fitWords({ defect, layers, body, glazeExpansion, thicknessMm }: SpokenFacts): Message[] {
  if (!OF_FIT.has(defect) || glazeExpansion === null || !body.figure || thicknessMm === 0) return [];
  const { expansion, miss, tiles } = body.figure;
  const glazes = [...layers]
    .reverse()
    .map(({ name }) => name)
    .join(' over ');
  const from = tiles ? `learned from ${tiles} tiles of yours` : 'as quoted';
  const known = `${glazes} ${figures(glazeExpansion, 1)}, ${body.name} ${figures(expansion, 1)} (${from}), 1e-6/K`;
  if (thicknessMm === null)
    return [
      `${known}. How thick it lies is not known, so its fit is not judged: measure it on a broken piece.`,
    ];
  const band = bandOf({ glazeExpansion, bodyExpansion: expansion, thicknessMm }, miss);
  return [
    `${known}: ${verdictWords(band, body.figure)}.`,
    ...(band.criticalMm !== null && band.delayedMm !== null
      ? [
          text`At this mismatch it crazes at once above ${thickness(band.criticalMm)} and in time above ${thickness(band.delayedMm)}; this zone is about ${thickness(thicknessMm)}.`,
        ]
      : []),
  ];
}

function thickness(mm: number): Message {
  return mm > 5 ? 'any thickness that is used' : text`${millimetres(mm, 2)}`;
}

function recipeWords({ defect, layers }: SpokenFacts): Message[] {
  return layers.flatMap(({ name, lines }) =>
    materialsOf(lines)
      .filter(({ ingredient }) => PART_IN[ingredient]?.includes(defect))
      .map(
        ({ materials, amount }) => `${name} holds ${shortFigures(amount, 1)} % ${materials.join(' and ')}.`,
      ),
  );
}

function bucketWords({ layers }: SpokenFacts): Message[] {
  return layers.flatMap(({ bucket }) => {
    if (!bucket) return [];
    const off = bucket.gravity - bucket.usual;
    const how = Math.abs(off) <= SG_STEP ? 'as usual' : off > 0 ? 'thicker than usual' : 'thinner than usual';
    return [
      `Batch ${bucket.code} stood at ${figures(bucket.gravity, 2)}, usually ${figures(bucket.usual, 2)}: ${how}.`,
    ];
  });
}

function heatWords({ body, firing }: SpokenFacts): Message[] {
  const { cone, achievedCone, cooling } = firing;
  const meant = coneIndex(cone);
  const off = achievedCone === null || meant === null ? null : achievedCone - meant;
  const limit = body.coneTo === null ? null : coneIndex(body.coneTo);
  const past = limit === null ? 0 : (achievedCone ?? meant ?? 0) - limit;
  return [
    ...(off === null
      ? []
      : [
          Math.abs(off) <= AS_MEANT
            ? `The witness cones say cone ${cone}, as meant.`
            : `The witness cones say ${figures(Math.abs(off), 1)} cones ${off > 0 ? 'above' : 'below'} the cone ${cone} that was meant.`,
        ]),
    ...(past > AS_MEANT ? [`${body.name} is made for no more than cone ${body.coneTo}.`] : []),
    ...(cooling === null
      ? []
      : [text`It fell ${perHour(cooling)} from the top: ${COOLED[coolingWord(cooling)]}.`]),
  ];
}

const COOLED = { fast: 'fast', normal: 'as kilns do', slow: 'slowly, crystals have time' } as const;

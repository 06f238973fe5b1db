import { figures } from '../units';
import {
  ALKALIS,
  analyse,
  BUILT_IN,
  type AnalysisResult,
  type Line,
  type Material,
  type MaterialBook,
  type Oxide,
  type Oxides,
} from '../chemistry';
import { bandOf, type BodyFigure, type FitBand } from '../fit';
import { baseTotal, normalise } from './normalise';
import { solveUnity } from './solve';

/** A body to judge against: its figure, and how thick the glaze lies on it, fired mm. */
export interface Against {
  readonly figure: BodyFigure;
  readonly thicknessMm: number;
}

/** A recipe after a move, with what the move makes of it. */
export interface Moved {
  readonly lines: readonly Line[];
  readonly analysis: AnalysisResult;
  /** One a body asked about; null when the expansion cannot be calculated. */
  readonly fits: readonly (FitBand | null)[];
}

export interface LadderRung extends Moved {
  /** Percent of the base that was added. */
  readonly silica: number;
  readonly kaolin: number;
}

/** What the ladder costs, common practice, no source. */
export const LADDER_COSTS = [
  'Melt: stiffer with each step; the whole ladder asks for about half a cone more heat.',
  'Colour: hardly changes; a satin may turn drier.',
  'Durability: better.',
] as const;

export interface CrazingLadder {
  /** The recipe as it is, then the steps. */
  readonly rungs: readonly LadderRung[];
  /** How far the last step moves the expansion (Appen), 1e-6/K; negative is towards compression. */
  readonly movesBy: number;
  /** For each body the first rung whose verdict is "fits" or beyond; null when the ladder cannot reach one. */
  readonly reaches: readonly (number | null)[];
}

/**
 * One step of the crazing ladder, percent of the base (common practice, no source): silica and kaolin at a
 * silica to alumina of 7.37, so that a gloss stays a gloss.
 */
export const LADDER_STEP = { silica: 1.25, kaolin: 1 } as const;

/**
 * The crazing ladder: silica and kaolin added in equal steps, 5 + 4 at the end of the usual four.
 *
 * It moves a typical stoneware glaze by about 0.4e-6/K only; `reaches` says beforehand whether that is enough.
 *
 * @throws RangeError when the base adds up to nothing
 */
export function crazingLadder(
  lines: readonly Line[],
  bodies: readonly Against[],
  { steps = 4, book = BUILT_IN }: { steps?: number; book?: MaterialBook } = {},
): CrazingLadder {
  const base = normalise(lines);
  const kaolin = base.find((line) => !line.addition && /^kaolin/i.test(line.material))?.material ?? 'Kaolin';
  const rungs = Array.from({ length: steps + 1 }, (_, i): LadderRung => {
    const added = { silica: i * LADDER_STEP.silica, kaolin: i * LADDER_STEP.kaolin };
    const grown = addTo(addTo(base, 'Silica', added.silica), kaolin, added.kaolin);
    return { ...added, ...moved(normaliseAll(grown), bodies, book) };
  });
  const [first, last] = [rungs[0]!, rungs.at(-1)!].map((rung) => rung.analysis.expansion.appen ?? 0);
  const fitting = (i: number) => (rung: LadderRung) => {
    const verdict = rung.fits[i]?.verdict;
    return verdict === 'fits' || verdict === 'may shiver';
  };
  return {
    rungs,
    movesBy: last! - first!,
    reaches: bodies.map((_, i) => {
      const rung = rungs.findIndex(fitting(i));
      return rung === -1 ? null : rung;
    }),
  };
}

function addTo(lines: readonly Line[], material: string, amount: number): Line[] {
  if (amount === 0) return [...lines];
  const at = lines.findIndex((line) => !line.addition && line.material === material);
  return at === -1
    ? [...lines, { material, amount }]
    : lines.map((line, i) => (i === at ? { ...line, amount: line.amount + amount } : line));
}

/** Brings the base to 100 and keeps the weight of additions for each gram of the old base. */
function normaliseAll(lines: readonly Line[]): Line[] {
  const total = baseTotal(lines);
  return lines.map((line) => ({ ...line, amount: (line.amount / total) * 100 }));
}

function moved(lines: readonly Line[], bodies: readonly Against[], book: MaterialBook): Moved {
  const analysis = analyse(lines, { book });
  const glazeExpansion = analysis.expansion.appen;
  const fits = bodies.map(({ figure, thicknessMm }) =>
    glazeExpansion === null
      ? null
      : bandOf({ glazeExpansion, bodyExpansion: figure.expansion, thicknessMm }, figure.miss),
  );
  return { lines, analysis, fits };
}

/** A recipe that keeps or changes the chemistry through other materials; what it misses and what it costs. */
export interface Reworked extends Moved {
  readonly miss: Oxides;
  readonly worst: number;
  readonly costs: readonly string[];
}

/**
 * Swaps one material for another and weighs the rest again so that the unity formula stays.
 *
 * @param from a material of the base
 * @param to names of what takes its place
 * @throws RangeError when `from` is not in the base or a material is not known
 */
export function swapMaterial(
  lines: readonly Line[],
  from: string,
  to: readonly string[],
  bodies: readonly Against[],
  book: MaterialBook = BUILT_IN,
): Reworked {
  const base = normalise(lines).filter((line) => !line.addition);
  if (!base.some((line) => line.material === from)) throw new RangeError(`there is no ${from} in the base`);
  const materials = [...base.map((line) => line.material).filter((name) => name !== from), ...to];
  const costs = to.flatMap((name) => swapCosts(book.find(from), book.find(name)));
  return rework(lines, analyse(base, { book }).unity, materials, bodies, book, costs);
}

/** What another source of the same oxides brings along, common practice, no source. */
function swapCosts(was: Material | undefined, is: Material | undefined): string[] {
  if (!was || !is) return [];
  const stain = ({ analysis }: Material) => (analysis.Fe2O3 ?? 0) + (analysis.TiO2 ?? 0);
  const clay = ({ name }: Material) => /kaolin|clay|bentonite/i.test(name) && !/calcined/i.test(name);
  const frit = ({ name }: Material) => /frit/i.test(name);
  return [
    is.loi - was.loi > 15 &&
      `Melt: ${is.name} loses ${is.loi.toFixed(0)} % in the fire: more gas, more shrinkage of the raw coat.`,
    frit(is) &&
      !frit(was) &&
      'Melt: a frit melts earlier and more evenly; the body must have gassed by then.',
    frit(was) && !frit(is) && 'Melt: later and less even than with the frit; may need a longer hold.',
    stain(is) - stain(was) > 0.3 &&
      `Colour: ${is.name} brings ${figures(stain(is), 1)} % iron and titania: whites and clears go warmer.`,
    clay(was) && !clay(is) && 'Bucket: less clay to hold it up; it settles hard.',
    clay(is) && !clay(was) && 'Bucket: more clay; a thick raw coat may crack and crawl.',
    /\b(soda ash|pearl ash|borax|boric acid)\b/i.test(is.name) &&
      'Durability of the slop: soluble; it creeps to the rim and changes as water comes and goes.',
    'Durability: as before while the formula stays.',
  ].filter((cost) => cost !== false);
}

/** What soda and potash can be replaced by. */
export const ALKALI_MOVES = ['boron', 'magnesia', 'lime', 'zinc'] as const;
export type AlkaliMove = (typeof ALKALI_MOVES)[number];

const MOVES: Readonly<
  Record<
    AlkaliMove,
    { readonly oxide: Oxide; readonly sources: readonly string[]; readonly costs: readonly string[] }
  >
> = {
  boron: {
    oxide: 'B2O3',
    sources: ['Calcium borosilicate frit, typical', 'Soda borosilicate frit, typical'],
    costs: [
      'Melt: more fluid and earlier; may seal before the body has gassed.',
      'Colour: irons and clears may go milky or blue; alkaline turquoise turns green.',
      'Durability: good while boron stays under about 0.4 in the formula.',
    ],
  },
  magnesia: {
    oxide: 'MgO',
    sources: ['Talc', 'Dolomite', 'Magnesium carbonate'],
    costs: [
      'Melt: stiffer below cone 9; above about 0.3 it goes satin to matte.',
      'Colour: cobalt turns purplish, iron muddy, chrome-tin pinks fade.',
      'Raw coat: light magnesium carbonate shrinks and crawls; talc does not.',
    ],
  },
  lime: {
    oxide: 'CaO',
    sources: ['Wollastonite', 'Whiting'],
    costs: [
      'Melt: at cone 6 less melt above about 0.7 lime; slow cooling may give crystals.',
      'Colour: copper blues turn green; celadon and chrome-tin like it.',
      'Durability: good.',
    ],
  },
  zinc: {
    oxide: 'ZnO',
    sources: ['Zinc oxide'],
    costs: [
      'Melt: good from cone 4 up; lost in reduction, so oxidation only.',
      'Colour: spoils chrome greens, browns some irons, brightens cobalt and copper.',
      'Raw coat: uncalcined zinc oxide shrinks and may crawl.',
    ],
  },
};

/**
 * Moves a share of the soda and potash to boron or to an alkaline earth, mole for mole, and finds a recipe
 * for it from the materials there are and the usual sources.
 *
 * @param share of Na2O and K2O to be replaced, above 0 to 1
 * @throws RangeError when the recipe has no soda or potash, or no recipe can be found
 */
export function moveAlkali(
  lines: readonly Line[],
  to: AlkaliMove,
  share: number,
  bodies: readonly Against[],
  book: MaterialBook = BUILT_IN,
): Reworked {
  if (!(share > 0 && share <= 1)) throw new RangeError('share must be above 0 and at most 1');
  const base = normalise(lines).filter((line) => !line.addition);
  const before = analyse(base, { book }).unity;
  const alkali = ALKALIS.filter((oxide) => oxide !== 'Li2O' && before[oxide]);
  const moles = alkali.reduce((sum, oxide) => sum + before[oxide]! * share, 0);
  if (moles === 0) throw new RangeError('this recipe has no soda or potash to replace');
  const { oxide, sources, costs } = MOVES[to];
  // Boron is no flux: the fluxes that stay are brought back to 1, and everything grows with them.
  const flux = to === 'boron' ? 1 - moles : 1;
  const target = Object.fromEntries(
    Object.entries({ ...before, [oxide]: (before[oxide] ?? 0) + moles }).map(([name, n]) => [
      name,
      (alkali.includes(name as Oxide) ? n * (1 - share) : n) / flux,
    ]),
  ) as Oxides;
  const materials = [...new Set([...base.map((line) => line.material), ...sources, 'Kaolin', 'Silica'])];
  return rework(lines, target, materials, bodies, book, costs);
}

/** What is left of a base after the fire, g. */
function firedYield(lines: readonly Line[], book: MaterialBook): number {
  return lines
    .filter((line) => !line.addition)
    .reduce((sum, { material, amount }) => {
      const stays = Object.values(book.find(material)?.analysis ?? {}).reduce((all, n) => all + n, 0);
      return sum + (amount * stays) / 100;
    }, 0);
}

/** Solves for the base, and lays the additions of the old recipe on top again. */
function rework(
  lines: readonly Line[],
  target: Oxides,
  materials: readonly string[],
  bodies: readonly Against[],
  book: MaterialBook,
  costs: readonly string[],
): Reworked {
  const { lines: base, miss, worst } = solveUnity(target, [...new Set(materials)], book);
  // A base that loses less in the fire leaves more glass: additions grow with it, so that their share stays.
  const more = firedYield(base, book) / firedYield(normalise(lines), book);
  const additions = lines
    .filter((line) => line.addition)
    .map((line) => ({ ...line, amount: line.amount * more }));
  return { ...moved([...base, ...additions], bodies, book), miss, worst, costs };
}

import { shortFigures } from '../units';
import { BUILT_IN, type MaterialBook } from './book';
import { expansionsOf, type Expansions } from './expansion';
import { ALKALIS, MOLAR_MASS, OXIDES, OXYGEN_OF_FLUORINE, PLACE_OF, oxidesOf, type Oxide } from './oxides';
import { mapField, type MapField } from './map';
import { noAmounts, type Amounts, type Line, type Oxides } from './model';

/** What a recipe is made of. What is undefined is null. */
export interface AnalysisResult {
  /** Sum of the base lines. */
  readonly total: number;
  /** Moles of each oxide when the fluxes sum to 1; empty without a flux. */
  readonly unity: Oxides;
  /** Weight % of the fired glaze. */
  readonly weightPercent: Oxides;
  readonly molePercent: Oxides;
  /** Silica to alumina, moles. */
  readonly silicaAlumina: number | null;
  /** Share of Li2O, Na2O and K2O in the fluxes, 0 to 1. */
  readonly alkaliShare: number | null;
  readonly expansion: Expansions;
  readonly mapField: MapField | null;
  readonly warnings: readonly string[];
}

export interface AnalyseOptions {
  /** Where materials are looked up; the built-in ones alone when left out. */
  readonly book?: MaterialBook | undefined;
  /** Whether colouring oxides that flux (iron, manganese, copper, cobalt, nickel as RO) count in the flux sum. */
  readonly colourantsAsFlux?: boolean | undefined;
}

/** Colouring oxides that act as fluxes, for those who count them. */
const FLUXING_COLOURANTS: readonly Oxide[] = ['FeO', 'MnO', 'CuO', 'CoO', 'NiO'];

const placesOf = (oxides: readonly Oxide[]) => oxides.map((oxide) => PLACE_OF[oxide]);
const FLUX = placesOf(oxidesOf('flux'));
const FLUX_AND_COLOUR = [...FLUX, ...placesOf(FLUXING_COLOURANTS)];
const ALKALI = placesOf(ALKALIS);
const MASS = OXIDES.map((oxide) => MOLAR_MASS[oxide]);
const ONE = OXIDES.map(() => 1);

/**
 * Works out the chemistry of a recipe: weight %, mole %, unity formula (Seger), silica to alumina, expansion
 * by three published sets, and the field of the silica to alumina map.
 *
 * Analyses are weight % of the raw material as weighed and are never rescaled. Additions are percent of the
 * base total and count in everything but `total`. In the melt manganese dioxide is calculated as MnO, cobalt
 * oxide as CoO and silicon carbide as SiO2; iron stays as it is written. An unknown material is a warning,
 * and the rest is worked out without it.
 *
 * @example analyse([{ material: 'Potash feldspar', amount: 40 }, { material: 'Silica', amount: 30 },
 *   { material: 'Whiting', amount: 20 }, { material: 'Kaolin', amount: 10 }]).unity.CaO // 0.736
 */
export function analyse(
  lines: readonly Line[],
  { book = BUILT_IN, colourantsAsFlux = false }: AnalyseOptions = {},
): AnalysisResult {
  const warnings: string[] = [];
  let total = 0;
  for (const line of lines) if (!line.addition) total += line.amount;
  const moles = molesOf(lines, total, book, warnings);
  const flux = sumAt(moles, colourantsAsFlux ? FLUX_AND_COLOUR : FLUX);
  if (lines.length > 0 && flux === 0)
    warnings.push('No flux: nothing in this would melt, and there is no unity formula.');
  if (total > 0 && Math.abs(total - 100) > 5)
    warnings.push(`The base adds up to ${shortFigures(total, 2)}, not 100.`);
  const there = placesIn(moles);
  const mole = percentOf(moles, ONE, there);
  const weight = percentOf(moles, MASS, there);
  const { expansion, warnings: unsure } = expansionsOf(mole, weight);
  warnings.push(...unsure);
  const unity = flux > 0 ? named(moles, there, 1 / flux) : {};
  const alumina = moles[PLACE_OF.Al2O3]!;
  return {
    total,
    unity,
    weightPercent: named(weight, there),
    molePercent: named(mole, there),
    silicaAlumina: alumina > 0 ? moles[PLACE_OF.SiO2]! / alumina : null,
    alkaliShare: flux > 0 ? sumAt(moles, ALKALI) / flux : null,
    expansion,
    mapField: flux > 0 ? mapField(unity) : null,
    warnings,
  };
}

function sumAt(amounts: Amounts, places: readonly number[]): number {
  let sum = 0;
  for (const place of places) sum += amounts[place]!;
  return sum;
}

/** The places of the oxides that are there: a glaze has some ten of the thirty. */
function placesIn(amounts: Amounts): number[] {
  const places = [];
  for (let i = 0; i < amounts.length; i++) if (amounts[i]! > 0) places.push(i);
  return places;
}

function percentOf(moles: Amounts, mass: Amounts, there: readonly number[]): Amounts {
  let sum = 0;
  for (const i of there) sum += moles[i]! * mass[i]!;
  // Weights are those of oxides; what fluorine stands in for is not there.
  if (mass === MASS) sum -= moles[PLACE_OF.F]! * MOLAR_MASS.F * OXYGEN_OF_FLUORINE;
  const percent = noAmounts();
  for (const i of there) percent[i] = (moles[i]! * mass[i]! * 100) / sum;
  return percent;
}

/** The oxides that are there, by name. */
function named(amounts: Amounts, there: readonly number[], scale = 1): Oxides {
  const oxides: Partial<Record<Oxide, number>> = {};
  for (const i of there) oxides[OXIDES[i]!] = amounts[i]! * scale;
  return oxides;
}

/** Moles of each oxide of the melt in the base with its additions. */
function molesOf(lines: readonly Line[], total: number, book: MaterialBook, warnings: string[]): Amounts {
  const moles = noAmounts();
  for (const { material, amount, addition } of lines) {
    const each = book.molesPerGram(material);
    if (!each) {
      warnings.push(`${material} is not known; the rest is worked out without it.`);
      continue;
    }
    const grams = addition ? (amount * total) / 100 : amount;
    for (let i = 0; i < each.places.length; i++) moles[each.places[i]!]! += each.moles[i]! * grams;
  }
  return moles;
}

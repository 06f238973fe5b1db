import type { Amounts } from './model';
import { OXIDES, PLACE_OF, type Oxide } from './oxides';

/** Expansion by three published sets, 1e-6/K. They belong to different temperature ranges and are not one quantity. */
export interface Expansions {
  readonly appen: number | null;
  readonly winkelmannSchott: number | null;
  readonly englishTurner: number | null;
}

export type ExpansionSet = keyof Expansions;

/** What a set is and where it holds, to be shown beside its figure. */
export const EXPANSION_SETS: Readonly<
  Record<ExpansionSet, { readonly name: string; readonly range: string; readonly source: string }>
> = {
  appen: {
    name: 'Appen',
    range: '20 to 400 °C',
    source: 'A. A. Appen, Chemistry of Glass (1970/74); factors from memory',
  },
  winkelmannSchott: {
    name: 'Winkelmann and Schott',
    range: '0 to 100 °C',
    source: 'Annalen der Physik 51 (1894), TiO2, ZrO2 and SnO2 after Mayer and Havas; factors from memory',
  },
  englishTurner: {
    name: 'English and Turner',
    range: '25 to 90 °C',
    source: 'J. Am. Ceram. Soc. 10 (1927) and 12 (1929), for glasses low in boron; factors from memory',
  },
};

/** How far any of the sets can miss a real glaze, 1e-6/K (common practice, no source). */
export const FACTOR_MISS = 0.5;

type Factors = Readonly<Partial<Record<Oxide, number>>>;

/** Per weight percent, cubic, 1e-7/K. */
const WINKELMANN_SCHOTT: Factors = {
  SiO2: 0.8,
  B2O3: 0.1,
  ZnO: 1.8,
  PbO: 3,
  MgO: 0.1,
  Al2O3: 5,
  CaO: 5,
  BaO: 3,
  K2O: 8.5,
  Na2O: 10,
  P2O5: 2,
  Li2O: 2,
  SnO2: 2,
  TiO2: 4.1,
  ZrO2: 2.1,
};

/** Per weight percent, linear, 1e-7/K. */
const ENGLISH_TURNER: Factors = {
  SiO2: 0.05,
  Al2O3: 0.14,
  B2O3: -0.653,
  Na2O: 4.16,
  K2O: 3.9,
  CaO: 1.63,
  MgO: 0.45,
  BaO: 1.4,
  ZnO: 0.7,
  PbO: 1.06,
  TiO2: 1.3,
  ZrO2: 0.23,
  SrO: 1.6,
};

/** Per mole fraction, linear, 1e-7/K, where the factor does not depend on the rest of the glass. */
const APPEN_PLAIN: Factors = {
  Al2O3: -30,
  Li2O: 270,
  Na2O: 395,
  MgO: 60,
  CaO: 130,
  SrO: 160,
  BaO: 200,
  ZnO: 50,
  ZrO2: -60,
  SnO2: -45,
  MnO: 105,
  FeO: 55,
  Fe2O3: 55,
  CoO: 50,
  NiO: 50,
  CuO: 30,
  P2O5: 140,
};

/** Factors as an array in 1e-6/K per percent; NaN where a set has none. */
function perPercent(factors: Factors, unit: number): Amounts {
  return OXIDES.map((oxide) => (factors[oxide] ?? NaN) * unit);
}

const APPEN_BASE = perPercent(APPEN_PLAIN, 1e-3);
const WINKELMANN_SCHOTT_EACH = perPercent(WINKELMANN_SCHOTT, 1 / 30);
const ENGLISH_TURNER_EACH = perPercent(ENGLISH_TURNER, 0.1);

/** Shares under this (percent) are too small to warn about a missing factor. */
const TRACE = 0.01;

/** With more than this without a factor, percent of the glaze, a set says nothing. */
const MOST_WITHOUT = 3;

/** Silica that Appen's glasses had, mole % (from memory). */
const APPEN_SILICA = [45, 80] as const;

/**
 * Works out expansion by the three sets.
 *
 * @param mole percent of the melt, for Appen
 * @param weight percent of the fired glaze, rescaled to 100, for the other two
 * What a set has no factor for is taken to be as the rest, up to 3 % of the glaze; left out, it would count as nought.
 *
 * @returns means in 1e-6/K, null for an empty glaze and where a set lacks factors for more than 3 %, and a warning for
 *   every factor a set lacks and every range it was not made for
 */
export function expansionsOf(
  mole: Amounts,
  weight: Amounts,
): { readonly expansion: Expansions; readonly warnings: readonly string[] } {
  const warnings: string[] = [];
  const silica = mole[PLACE_OF.SiO2]!;
  const appen = sumOf('Appen', mole, appenFactors(mole), warnings);
  if (mole.every((share) => share === 0))
    return { expansion: { appen, winkelmannSchott: null, englishTurner: null }, warnings };
  const expansion = {
    appen,
    winkelmannSchott: sumOf('Winkelmann and Schott', weight, WINKELMANN_SCHOTT_EACH, warnings),
    englishTurner: sumOf('English and Turner', weight, ENGLISH_TURNER_EACH, warnings),
  };
  if (silica < APPEN_SILICA[0] || silica > APPEN_SILICA[1])
    warnings.push(
      `Appen is for glasses of ${APPEN_SILICA.join(' to ')} mole % silica; this has ${silica.toFixed(0)}.`,
    );
  if (weight[PLACE_OF.B2O3]! > 5)
    warnings.push('English and Turner is for glasses low in boron; its figure is unsure here.');
  return { expansion, warnings };
}

function sumOf(name: string, shares: Amounts, factors: Amounts, warnings: string[]): number | null {
  let sum = 0;
  let all = 0;
  let without = 0;
  let missing = '';
  for (let i = 0; i < shares.length; i++) {
    const share = shares[i]!;
    if (share === 0) continue;
    all += share;
    const factor = factors[i]!;
    if (!Number.isNaN(factor)) {
      sum += share * factor;
      continue;
    }
    without += share;
    if (share > TRACE) missing += missing ? `, ${OXIDES[i]}` : OXIDES[i];
  }
  if (all === 0) return null;
  const isSilent = (100 * without) / all > MOST_WITHOUT;
  const part = `${((100 * without) / all).toFixed(1)} %`;
  if (missing)
    warnings.push(
      `${name} has no factor for ${missing} (${part}): ${isSilent ? 'too much for a figure' : 'its figure is that of the rest'}.`,
    );
  return isSilent ? null : (sum * all) / (all - without);
}

const { SiO2, Al2O3, B2O3, Li2O, Na2O, K2O, MgO, CaO, SrO, BaO, ZnO, PbO, TiO2 } = PLACE_OF;

/** Appen's factors for this glass, 1e-6/K per mole percent; several depend on what else is in it. */
function appenFactors(mole: Amounts): Amounts {
  const silica = mole[SiO2]!;
  const alkali = mole[Li2O]! + mole[Na2O]! + mole[K2O]!;
  const factors = APPEN_BASE.slice();
  factors[SiO2] = (silica <= 67 ? 38 : 38 - 1.0 * (silica - 67)) * 1e-3;
  factors[B2O3] = boronFactor(mole) * 1e-3;
  factors[K2O] = (mole[Na2O]! < 1 ? 420 : 465) * 1e-3;
  factors[PbO] = Math.min(190, 130 + 5 * Math.max(0, alkali - 3)) * 1e-3;
  factors[TiO2] = (30 - 1.5 * (Math.min(80, Math.max(50, silica)) - 50)) * 1e-3;
  return factors;
}

function boronFactor(mole: Amounts): number {
  const boron = mole[B2O3]!;
  if (boron === 0) return 0;
  const strong = mole[Na2O]! + mole[K2O]! + mole[BaO]!;
  const middle = 0.7 * (mole[CaO]! + mole[SrO]! + mole[PbO]!);
  const weak = 0.3 * (mole[Li2O]! + mole[MgO]! + mole[ZnO]!);
  const psi = (strong + middle + weak - mole[Al2O3]!) / boron;
  return Math.min(0, Math.max(-50, -12.5 * psi));
}

/** What one oxide adds to the expansion by one set. */
export interface ExpansionPart {
  readonly oxide: Oxide;
  /** Mole % for Appen, weight % for the others. */
  readonly share: number;
  /** 1e-6/K for each percent; null when the set has none. */
  readonly factor: number | null;
  /** 1e-6/K; as much as the rest adds for its share where the set has no factor. */
  readonly adds: number;
}

/**
 * How a set comes to its figure: each oxide's share, its factor in this glass, and what it adds, largest first.
 *
 * @param shares mole % of the melt for Appen, weight % of the fired glaze for the other two
 * @example expansionParts('appen', molePercent).reduce((sum, part) => sum + part.adds, 0) // expansion.appen
 */
export function expansionParts(
  set: ExpansionSet,
  shares: Readonly<Partial<Record<Oxide, number>>>,
): ExpansionPart[] {
  const amounts = OXIDES.map((oxide) => shares[oxide] ?? 0);
  const factors = {
    appen: appenFactors(amounts),
    winkelmannSchott: WINKELMANN_SCHOTT_EACH,
    englishTurner: ENGLISH_TURNER_EACH,
  }[set];
  const factorOf = (i: number) => (Number.isNaN(factors[i]!) ? null : factors[i]!);
  const known = amounts.map((share, i) => (factorOf(i) === null ? 0 : share));
  const covered = known.reduce((sum, share) => sum + share, 0);
  const mean =
    covered === 0 ? 0 : known.reduce((sum, share, i) => sum + share * (factorOf(i) ?? 0), 0) / covered;
  return OXIDES.flatMap((oxide, i) => {
    const share = amounts[i]!;
    const factor = factorOf(i);
    return share === 0 ? [] : [{ oxide, share, factor, adds: share * (factor ?? mean) }];
  }).sort((a, b) => Math.abs(b.adds) - Math.abs(a.adds));
}

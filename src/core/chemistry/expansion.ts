import type { Oxides } from './model';
import type { Oxide } from './oxides';

/** Expansion by three published sets, 1e-6/K. They belong to different temperature ranges and are not one quantity. */
export interface Expansions {
  readonly appen: number | null;
  readonly winkelmannSchott: number | null;
  readonly englishTurner: number | null;
}

/** What a set is and where it holds, to be shown beside its figure. */
export const EXPANSION_SETS = {
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
} as const;

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

/** Shares under this (percent) are too small to warn about a missing factor. */
const TRACE = 0.01;

/**
 * Works out expansion by the three sets.
 *
 * @param molePercent of the melt, for Appen
 * @param weightPercent of the fired glaze, rescaled to 100, for the other two
 * @returns means in 1e-6/K, null for an empty glaze, and a warning for every factor a set lacks and every
 *   range it was not made for
 */
export function expansionsOf(
  molePercent: Oxides,
  weightPercent: Oxides,
): Expansions & { readonly warnings: readonly string[] } {
  const warnings: string[] = [];
  if (Object.keys(molePercent).length === 0)
    return { appen: null, winkelmannSchott: null, englishTurner: null, warnings };
  const appen = appenOf(molePercent);
  lacking('Appen', molePercent, appen.factors, warnings);
  lacking('Winkelmann and Schott', weightPercent, WINKELMANN_SCHOTT, warnings);
  lacking('English and Turner', weightPercent, ENGLISH_TURNER, warnings);
  if ((weightPercent.B2O3 ?? 0) > 5)
    warnings.push('English and Turner is for glasses low in boron; its figure is unsure here.');
  return {
    appen: appen.value,
    winkelmannSchott: weighted(weightPercent, WINKELMANN_SCHOTT) / 3 / 10,
    englishTurner: weighted(weightPercent, ENGLISH_TURNER) / 10,
    warnings,
  };
}

function weighted(shares: Oxides, factors: Factors): number {
  return Object.entries(shares).reduce(
    (sum, [oxide, share]) => sum + share * (factors[oxide as Oxide] ?? 0),
    0,
  );
}

function lacking(name: string, shares: Oxides, factors: Factors, warnings: string[]): void {
  const missing = Object.entries(shares).filter(
    ([oxide, share]) => share > TRACE && factors[oxide as Oxide] === undefined,
  );
  if (missing.length)
    warnings.push(
      `${name} has no factor for ${missing.map(([oxide]) => oxide).join(', ')}; it is left out of that figure.`,
    );
}

/** Appen's factors for this glass and its expansion; several factors depend on what else is in it. */
function appenOf(mole: Oxides): { value: number; factors: Factors } {
  const of = (oxide: Oxide) => mole[oxide] ?? 0;
  const silica = of('SiO2');
  const alkali = of('Li2O') + of('Na2O') + of('K2O');
  const factors: Factors = {
    ...APPEN_PLAIN,
    SiO2: silica <= 67 ? 38 : 38 - 1.0 * (silica - 67),
    B2O3: boronFactor(mole),
    K2O: of('Na2O') < 1 ? 420 : 465,
    PbO: Math.min(190, 130 + 5 * Math.max(0, alkali - 3)),
    TiO2: 30 - 1.5 * (Math.min(80, Math.max(50, silica)) - 50),
  };
  return { value: weighted(mole, factors) / 100 / 10, factors };
}

function boronFactor(mole: Oxides): number {
  const of = (oxide: Oxide) => mole[oxide] ?? 0;
  if (of('B2O3') === 0) return 0;
  const strong = of('Na2O') + of('K2O') + of('BaO');
  const middle = 0.7 * (of('CaO') + of('SrO') + of('PbO'));
  const weak = 0.3 * (of('Li2O') + of('MgO') + of('ZnO'));
  const psi = (strong + middle + weak - of('Al2O3')) / of('B2O3');
  return Math.min(0, Math.max(-50, -12.5 * psi));
}

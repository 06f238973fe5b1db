import { expansionsOf, type Expansions } from './expansion';
import { materialOf, type Analysis, type Material } from './materials';
import { ALKALIS, IN_THE_MELT, MOLAR_MASS, oxidesOf, type Oxide } from './oxides';
import { mapField, type MapField } from './map';
import type { Line, Oxides } from './model';

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
  /** The studio's own materials; one of the same name stands before the built-in one. */
  readonly materials?: readonly Pick<Material, 'name' | 'analysis'>[];
  /** Whether colouring oxides that flux (iron, manganese, copper, cobalt, nickel as RO) count in the flux sum. */
  readonly colourantsAsFlux?: boolean;
}

/** Colouring oxides that act as fluxes, for those who count them. */
const FLUXING_COLOURANTS: readonly Oxide[] = ['FeO', 'MnO', 'CuO', 'CoO', 'NiO'];

/**
 * Works out the chemistry of a recipe: weight %, mole %, unity formula (Seger), silica to alumina, expansion
 * by three published sets, and the field of the silica to alumina map.
 *
 * Analyses are weight % of the raw material as weighed and are never rescaled. Additions are percent of the
 * base total and count in everything but `total`. In the melt manganese dioxide is reckoned as MnO, cobalt
 * oxide as CoO and silicon carbide as SiO2; iron stays as it is written. An unknown material is a warning,
 * and the rest is worked out without it.
 *
 * @example analyse([{ material: 'Potash feldspar', amount: 40 }, { material: 'Silica', amount: 30 },
 *   { material: 'Whiting', amount: 20 }, { material: 'Kaolin', amount: 10 }]).unity.CaO // 0.736
 */
export function analyse(lines: readonly Line[], options: AnalyseOptions = {}): AnalysisResult {
  const warnings: string[] = [];
  const total = lines.reduce((sum, line) => sum + (line.addition ? 0 : line.amount), 0);
  const moles = molesOf(lines, total, options, warnings);
  const weights = mapOxides(moles, (n, oxide) => n * MOLAR_MASS[oxide]);
  const flux = [...oxidesOf('flux'), ...(options.colourantsAsFlux ? FLUXING_COLOURANTS : [])].reduce(
    (sum, oxide) => sum + (moles[oxide] ?? 0),
    0,
  );
  const alkali = ALKALIS.reduce((sum, oxide) => sum + (moles[oxide] ?? 0), 0);
  const unity = flux > 0 ? mapOxides(moles, (n) => n / flux) : {};
  if (lines.length > 0 && flux === 0)
    warnings.push('No flux: nothing in this would melt, and there is no unity formula.');
  if (total > 0 && Math.abs(total - 100) > 5)
    warnings.push(`The base adds up to ${Number(total.toFixed(2))}, not 100.`);
  const molePercent = percentOf(moles);
  const weightPercent = percentOf(weights);
  const { warnings: unsure, ...expansion } = expansionsOf(molePercent, weightPercent);
  warnings.push(...unsure);
  return {
    total,
    unity,
    weightPercent,
    molePercent,
    silicaAlumina: moles.Al2O3 ? (moles.SiO2 ?? 0) / moles.Al2O3 : null,
    alkaliShare: flux > 0 ? alkali / flux : null,
    expansion,
    mapField: flux > 0 ? mapField(unity) : null,
    warnings,
  };
}

function mapOxides(moles: Oxides, value: (n: number, oxide: Oxide) => number): Oxides {
  return Object.fromEntries(Object.entries(moles).map(([oxide, n]) => [oxide, value(n, oxide as Oxide)]));
}

function percentOf(amounts: Oxides): Oxides {
  const sum = Object.values(amounts).reduce((total, amount) => total + amount, 0);
  return sum > 0 ? mapOxides(amounts, (amount) => (amount / sum) * 100) : {};
}

/** Moles of each oxide of the melt in 100 parts of base with its additions. */
function molesOf(lines: readonly Line[], total: number, options: AnalyseOptions, warnings: string[]): Oxides {
  const own = new Map(
    options.materials?.map((material) => [material.name.trim().toLowerCase(), material.analysis]),
  );
  const moles: Partial<Record<Oxide, number>> = {};
  for (const line of lines) {
    const analysis = own.get(line.material.trim().toLowerCase()) ?? materialOf(line.material)?.analysis;
    if (!analysis) {
      warnings.push(`${line.material} is not known; the rest is worked out without it.`);
      continue;
    }
    const grams = line.addition ? (line.amount * total) / 100 : line.amount;
    addTo(moles, analysis, grams);
  }
  return moles;
}

function addTo(moles: Partial<Record<Oxide, number>>, analysis: Analysis, grams: number): void {
  for (const [written, percent] of Object.entries(analysis)) {
    const oxide = written as Oxide;
    const [melted, each] = IN_THE_MELT[oxide] ?? [oxide, 1];
    const n = ((grams * percent) / 100 / MOLAR_MASS[oxide]) * each;
    if (n > 0) moles[melted] = (moles[melted] ?? 0) + n;
  }
}

/**
 * Molar masses in g/mol.
 *
 * Source: IUPAC 2021 abridged standard atomic weights.
 */
export const MOLAR_MASS = {
  SiO2: 60.083,
  Al2O3: 101.961,
  B2O3: 69.617,
  Na2O: 61.979,
  K2O: 94.195,
  Li2O: 29.879,
  CaO: 56.077,
  MgO: 40.304,
  BaO: 153.329,
  SrO: 103.619,
  ZnO: 81.379,
  PbO: 223.199,
  FeO: 71.844,
  Fe2O3: 159.687,
  TiO2: 79.865,
  P2O5: 141.943,
  MnO: 70.937,
  MnO2: 86.936,
  CuO: 79.545,
  Cu2O: 143.091,
  CoO: 74.932,
  Co3O4: 240.795,
  Cr2O3: 151.989,
  NiO: 74.692,
  SnO2: 150.708,
  ZrO2: 123.222,
  V2O5: 181.879,
  Bi2O3: 465.957,
  F: 18.998,
  Sb2O3: 291.517,
  CeO2: 172.114,
  Pr6O11: 1021.435,
  Nd2O3: 336.481,
  Er2O3: 382.515,
  SiC: 40.096,
} as const;

export type Oxide = keyof typeof MOLAR_MASS;

/**
 * Grams of oxygen that a gram of fluorine stands in for: analyses are written as oxides, so that what holds fluorine
 * adds up to as much over 100 ("O = F").
 */
export const OXYGEN_OF_FLUORINE = 15.999 / (2 * 18.998);

/** What an analysis adds up to, weight %, without the oxygen that fluorine stands in for. */
export function sumOfAnalysis(analysis: Readonly<Record<string, number>>): number {
  const sum = Object.values(analysis).reduce((total, share) => total + share, 0);
  return sum - OXYGEN_OF_FLUORINE * (analysis.F ?? 0);
}

/** Molar masses of what leaves in the fire, g/mol; same source. */
export const GAS_MASS = { CO2: 44.009, H2O: 18.015, SO3: 80.057 } as const;

export type OxideRole = 'flux' | 'stabiliser' | 'glassFormer' | 'opacifier' | 'colourant';

const ROLES: Readonly<Record<OxideRole, readonly Oxide[]>> = {
  flux: ['Li2O', 'Na2O', 'K2O', 'MgO', 'CaO', 'SrO', 'BaO', 'ZnO', 'PbO'],
  stabiliser: ['Al2O3'],
  glassFormer: ['SiO2', 'B2O3', 'P2O5'],
  opacifier: ['TiO2', 'ZrO2', 'SnO2'],
  colourant: [
    ...([
      'FeO',
      'Fe2O3',
      'MnO',
      'MnO2',
      'CuO',
      'Cu2O',
      'CoO',
      'Co3O4',
      'Cr2O3',
      'NiO',
      'V2O5',
      'Bi2O3',
    ] as const),
    ...(['Sb2O3', 'CeO2', 'Pr6O11', 'Nd2O3', 'Er2O3'] as const),
  ],
};

/** Whether a text is the formula of an oxide that can be calculated with. */
export function isOxide(text: string): text is Oxide {
  return Object.hasOwn(MOLAR_MASS, text);
}

/** The oxides of a role, in the order they are written in a unity formula. */
export function oxidesOf(role: OxideRole): readonly Oxide[] {
  return ROLES[role];
}

/** The alkalis, whose share of the fluxes says much about expansion. */
export const ALKALIS: readonly Oxide[] = ['Li2O', 'Na2O', 'K2O'];

/**
 * What an oxide becomes in the melt, and how many of it one mole gives: manganese dioxide and cobalt(II,III)
 * oxide lose oxygen, silicon carbide burns to silica and gas. Everything else stays.
 */
export const IN_THE_MELT: Readonly<Partial<Record<Oxide, readonly [Oxide, number]>>> = {
  MnO2: ['MnO', 1],
  Co3O4: ['CoO', 3],
  SiC: ['SiO2', 1],
};

/** Every oxide, in the order of the table; the order of all amounts held as an array. */
export const OXIDES = Object.keys(MOLAR_MASS) as Oxide[];

/** The place of an oxide in such an array. */
export const PLACE_OF = Object.fromEntries(OXIDES.map((oxide, i) => [oxide, i])) as Readonly<
  Record<Oxide, number>
>;

import { GAS_MASS, MOLAR_MASS, OXYGEN_OF_FLUORINE, type Oxide } from './oxides';

/** Weight % of each oxide in the raw material as weighed. */
export type Analysis = Readonly<Partial<Record<Oxide, number>>>;

/** Something that is weighed out. */
export interface Material {
  readonly name: string;
  readonly analysis: Analysis;
  /** Weight % lost in the fire. */
  readonly loi: number;
  /** g/cm³ of the grains; null when not known. */
  readonly density: number | null;
  readonly source: string;
}

type Moles = Readonly<Partial<Record<Oxide, number>>>;
type Gases = Readonly<Partial<Record<keyof typeof GAS_MASS, number>>>;

/**
 * The material of a formula: weight % of its oxides, and what it loses in the fire.
 *
 * @param moles of each oxide in one formula
 * @param gases moles that leave in the fire
 * @example theoretical('Kaolin', { Al2O3: 1, SiO2: 2 }, { H2O: 2 }).loi // 13.96
 */
export function theoretical(
  name: string,
  moles: Moles,
  gases: Gases = {},
  density: number | null = null,
): Material {
  const solid = Object.entries(moles).map(([oxide, n]) => [oxide, n * MOLAR_MASS[oxide as Oxide]] as const);
  const lost = Object.entries(gases).reduce(
    (sum, [gas, n]) => sum + n * GAS_MASS[gas as keyof typeof GAS_MASS],
    0,
  );
  const replaced = (moles.F ?? 0) * MOLAR_MASS.F * OXYGEN_OF_FLUORINE;
  const total = solid.reduce((sum, [, grams]) => sum + grams, lost - replaced);
  return {
    name,
    analysis: Object.fromEntries(solid.map(([oxide, grams]) => [oxide, (grams / total) * 100])),
    loi: (lost / total) * 100,
    density,
    source: 'theoretical formula',
  };
}

/** Name, density in g/cm³ (mineral handbooks, from memory), formula, what leaves in the fire. */
const FORMULAS: readonly (readonly [string, number, Moles, Gases?])[] = [
  ['Potash feldspar', 2.56, { K2O: 1, Al2O3: 1, SiO2: 6 }],
  ['Soda feldspar', 2.62, { Na2O: 1, Al2O3: 1, SiO2: 6 }],
  ['Lime feldspar', 2.74, { CaO: 1, Al2O3: 1, SiO2: 2 }],
  ['Kaolin', 2.6, { Al2O3: 1, SiO2: 2 }, { H2O: 2 }],
  ['Calcined kaolin', 2.6, { Al2O3: 1, SiO2: 2 }],
  ['Silica', 2.65, { SiO2: 1 }],
  ['Whiting', 2.71, { CaO: 1 }, { CO2: 1 }],
  ['Dolomite', 2.86, { CaO: 1, MgO: 1 }, { CO2: 2 }],
  ['Talc', 2.75, { MgO: 3, SiO2: 4 }, { H2O: 1 }],
  ['Wollastonite', 2.9, { CaO: 1, SiO2: 1 }],
  ['Zinc oxide', 5.6, { ZnO: 1 }],
  ['Strontium carbonate', 3.7, { SrO: 1 }, { CO2: 1 }],
  ['Barium carbonate', 4.3, { BaO: 1 }, { CO2: 1 }],
  ['Lithium carbonate', 2.1, { Li2O: 1 }, { CO2: 1 }],
  ['Spodumene', 3.15, { Li2O: 1, Al2O3: 1, SiO2: 4 }],
  ['Petalite', 2.4, { Li2O: 1, Al2O3: 1, SiO2: 8 }],
  ['Alumina', 3.95, { Al2O3: 1 }],
  ['Alumina hydrate', 2.42, { Al2O3: 1 }, { H2O: 3 }],
  ['Soda ash', 2.53, { Na2O: 1 }, { CO2: 1 }],
  ['Pearl ash', 2.43, { K2O: 1 }, { CO2: 1 }],
  ['Borax', 1.73, { Na2O: 1, B2O3: 2 }, { H2O: 10 }],
  ['Boric acid', 1.44, { B2O3: 1 }, { H2O: 3 }],
  ['Colemanite', 2.42, { CaO: 2, B2O3: 3 }, { H2O: 5 }],
  ['Magnesium carbonate', 2.2, { MgO: 5 }, { CO2: 4, H2O: 6 }],
  ['Magnesium oxide', 3.58, { MgO: 1 }],
  ['Bone ash', 3.1, { CaO: 10, P2O5: 3 }, { H2O: 1 }],
  ['Red iron oxide', 5.2, { Fe2O3: 1 }],
  ['Black iron oxide', 5.2, { FeO: 1, Fe2O3: 1 }],
  ['Manganese dioxide', 5.0, { MnO2: 1 }],
  ['Manganese carbonate', 3.7, { MnO: 1 }, { CO2: 1 }],
  ['Chrome oxide', 5.2, { Cr2O3: 1 }],
  ['Copper carbonate', 4.0, { CuO: 2 }, { CO2: 1, H2O: 1 }],
  ['Black copper oxide', 6.3, { CuO: 1 }],
  ['Cobalt carbonate', 4.1, { CoO: 1 }, { CO2: 1 }],
  ['Cobalt oxide', 6.1, { Co3O4: 1 }],
  ['Nickel oxide', 6.7, { NiO: 1 }],
  ['Vanadium pentoxide', 3.36, { V2O5: 1 }],
  ['Tin oxide', 6.95, { SnO2: 1 }],
  ['Titanium dioxide', 4.2, { TiO2: 1 }],
  ['Zircon', 4.6, { ZrO2: 1, SiO2: 1 }],
  ['Silicon carbide', 3.2, { SiC: 1 }],
  ['Fluorspar', 3.18, { CaO: 1, F: 2 }],
  ['Cryolite', 2.95, { Na2O: 1.5, Al2O3: 0.5, F: 6 }],
  ['Ulexite', 1.96, { Na2O: 1, CaO: 2, B2O3: 5 }, { H2O: 16 }],
  ['Red copper oxide', 6.0, { Cu2O: 1 }],
  ['Nickel carbonate', 4.4, { NiO: 1 }, { CO2: 1 }],
  ['Antimony oxide', 5.2, { Sb2O3: 1 }],
  ['Cerium oxide', 7.2, { CeO2: 1 }],
  ['Praseodymium oxide', 6.5, { Pr6O11: 1 }],
  ['Neodymium oxide', 7.2, { Nd2O3: 1 }],
  ['Erbium oxide', 8.6, { Er2O3: 1 }],
];

/** Name before ", typical", density in g/cm³, analysis, loss on ignition. */
const TYPICAL: readonly (readonly [string, number, Analysis, number])[] = [
  ['Potash feldspar', 2.57, { SiO2: 66.5, Al2O3: 18, K2O: 11.5, Na2O: 2.8, CaO: 0.4, Fe2O3: 0.1 }, 0.5],
  ['Soda feldspar', 2.62, { SiO2: 68.5, Al2O3: 19, Na2O: 7, K2O: 4, CaO: 1.1, Fe2O3: 0.1 }, 0.3],
  ['Nepheline syenite', 2.61, { SiO2: 60.2, Al2O3: 23.4, Na2O: 10.3, K2O: 4.9, CaO: 0.4, Fe2O3: 0.1 }, 0.6],
  ['Kaolin', 2.6, { SiO2: 46.5, Al2O3: 37.5, Fe2O3: 0.6, TiO2: 0.4, K2O: 0.9, MgO: 0.2, CaO: 0.1 }, 13.3],
  [
    'Ball clay',
    2.6,
    { SiO2: 54, Al2O3: 29, Fe2O3: 1.1, TiO2: 1.3, K2O: 1.6, Na2O: 0.3, MgO: 0.4, CaO: 0.3 },
    11.5,
  ],
  ['Stoneware clay', 2.6, { SiO2: 58, Al2O3: 26, Fe2O3: 1.6, TiO2: 1.4, K2O: 1.8, MgO: 0.5, CaO: 0.3 }, 9.8],
  [
    'Red clay',
    2.65,
    { SiO2: 60, Al2O3: 17, Fe2O3: 7, TiO2: 0.9, K2O: 3.3, Na2O: 0.7, MgO: 1.8, CaO: 1.6 },
    7.4,
  ],
  ['Bentonite', 2.5, { SiO2: 61, Al2O3: 19, Fe2O3: 3.6, MgO: 2.3, Na2O: 2.3, CaO: 1.2, K2O: 0.5 }, 9.8],
  ['Talc', 2.75, { SiO2: 59, MgO: 30.5, CaO: 2, Al2O3: 1.2, Fe2O3: 0.8 }, 6.3],
  [
    'Wood ash',
    2.6,
    { CaO: 38, SiO2: 16, K2O: 8, MgO: 6, Al2O3: 4, P2O5: 3, Na2O: 1.5, Fe2O3: 1.5, MnO: 0.8 },
    21,
  ],
  [
    'Volcanic ash',
    2.4,
    { SiO2: 70, Al2O3: 13.5, K2O: 4.6, Na2O: 3.2, CaO: 1.2, Fe2O3: 1.8, MgO: 0.5, TiO2: 0.2 },
    4.7,
  ],
  [
    'Granite dust',
    2.65,
    { SiO2: 71, Al2O3: 14.5, K2O: 4.6, Na2O: 3.4, CaO: 1.8, Fe2O3: 2.6, MgO: 0.7, TiO2: 0.3 },
    0.8,
  ],
  ['Lepidolite', 2.85, { SiO2: 55.5, Al2O3: 26, K2O: 8.5, Li2O: 4, F: 4.5 }, 2],
  ['Rutile', 4.2, { TiO2: 94, Fe2O3: 2.5, SiO2: 1.2, ZrO2: 1 }, 0.5],
  ['Ilmenite', 4.7, { TiO2: 50, FeO: 45.5, MnO: 1.2, SiO2: 1.2, MgO: 1 }, 0],
  ['Calcium borosilicate frit', 2.6, { SiO2: 46, B2O3: 23, CaO: 20.5, Al2O3: 9, Na2O: 0.7, K2O: 0.5 }, 0],
  ['Soda borosilicate frit', 2.5, { SiO2: 57, B2O3: 22, Na2O: 10, CaO: 7, Al2O3: 4 }, 0],
  ['Cornish stone', 2.6, { SiO2: 72, Al2O3: 15.5, K2O: 4, Na2O: 3.8, CaO: 1.8, F: 0.6, Fe2O3: 0.2 }, 1.6],
  ['Sodic soda feldspar', 2.62, { SiO2: 68, Al2O3: 19.5, Na2O: 10.5, K2O: 0.7, CaO: 0.5, Fe2O3: 0.1 }, 0.4],
  ['Washed wood ash', 2.6, { CaO: 42, SiO2: 17, K2O: 3, MgO: 6.5, Al2O3: 4.5, P2O5: 3, Fe2O3: 1.6 }, 21],
  ['Yellow ochre', 3.0, { SiO2: 48, Fe2O3: 22, Al2O3: 17, CaO: 1, K2O: 1.5, TiO2: 0.8 }, 9],
  ['Burnt umber', 3.6, { Fe2O3: 50, MnO2: 14, SiO2: 20, Al2O3: 7, CaO: 3, MgO: 1 }, 4],
  ['Strontium borosilicate frit', 2.9, { SiO2: 50, SrO: 18, B2O3: 14, Al2O3: 9, Na2O: 6, CaO: 3 }, 0],
  ['Zinc borosilicate frit', 2.8, { SiO2: 48, ZnO: 14, B2O3: 16, Al2O3: 8, CaO: 7, Na2O: 7 }, 0],
  ['High-alkali frit', 2.45, { SiO2: 69, Na2O: 15.5, K2O: 7.5, CaO: 5, Al2O3: 3 }, 0],
];

/**
 * The built-in materials: theoretical formulas under their plain names, and typical analyses, put down from
 * memory, under names that end in ", typical". A studio's own analysis of the same name stands before them.
 */
export const MATERIALS: readonly Material[] = [
  ...FORMULAS.map(([name, density, moles, gases]) => theoretical(name, moles, gases, density)),
  ...TYPICAL.map(([name, density, analysis, loi]) => ({
    name: `${name}, typical`,
    analysis,
    loi,
    density,
    source: 'from memory',
  })),
];

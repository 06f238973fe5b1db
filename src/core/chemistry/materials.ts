import { GAS_MASS, MOLAR_MASS, type Oxide } from './oxides';

/** Weight % of each oxide in the raw material as weighed. */
export type Analysis = Readonly<Partial<Record<Oxide, number>>>;

/** Something that is weighed out. */
export interface Material {
  readonly name: string;
  readonly analysis: Analysis;
  /** Weight % lost in the fire. */
  readonly loi: number;
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
export function theoretical(name: string, moles: Moles, gases: Gases = {}): Material {
  const solid = Object.entries(moles).map(([oxide, n]) => [oxide, n * MOLAR_MASS[oxide as Oxide]] as const);
  const lost = Object.entries(gases).reduce(
    (sum, [gas, n]) => sum + n * GAS_MASS[gas as keyof typeof GAS_MASS],
    0,
  );
  const total = solid.reduce((sum, [, grams]) => sum + grams, lost);
  return {
    name,
    analysis: Object.fromEntries(solid.map(([oxide, grams]) => [oxide, (grams / total) * 100])),
    loi: (lost / total) * 100,
    source: 'theoretical formula',
  };
}

const FORMULAS: readonly (readonly [string, Moles, Gases?])[] = [
  ['Potash feldspar', { K2O: 1, Al2O3: 1, SiO2: 6 }],
  ['Soda feldspar', { Na2O: 1, Al2O3: 1, SiO2: 6 }],
  ['Lime feldspar', { CaO: 1, Al2O3: 1, SiO2: 2 }],
  ['Kaolin', { Al2O3: 1, SiO2: 2 }, { H2O: 2 }],
  ['Calcined kaolin', { Al2O3: 1, SiO2: 2 }],
  ['Silica', { SiO2: 1 }],
  ['Whiting', { CaO: 1 }, { CO2: 1 }],
  ['Dolomite', { CaO: 1, MgO: 1 }, { CO2: 2 }],
  ['Talc', { MgO: 3, SiO2: 4 }, { H2O: 1 }],
  ['Wollastonite', { CaO: 1, SiO2: 1 }],
  ['Zinc oxide', { ZnO: 1 }],
  ['Strontium carbonate', { SrO: 1 }, { CO2: 1 }],
  ['Barium carbonate', { BaO: 1 }, { CO2: 1 }],
  ['Lithium carbonate', { Li2O: 1 }, { CO2: 1 }],
  ['Spodumene', { Li2O: 1, Al2O3: 1, SiO2: 4 }],
  ['Petalite', { Li2O: 1, Al2O3: 1, SiO2: 8 }],
  ['Alumina', { Al2O3: 1 }],
  ['Alumina hydrate', { Al2O3: 1 }, { H2O: 3 }],
  ['Soda ash', { Na2O: 1 }, { CO2: 1 }],
  ['Pearl ash', { K2O: 1 }, { CO2: 1 }],
  ['Borax', { Na2O: 1, B2O3: 2 }, { H2O: 10 }],
  ['Boric acid', { B2O3: 1 }, { H2O: 3 }],
  ['Colemanite', { CaO: 2, B2O3: 3 }, { H2O: 5 }],
  ['Magnesium carbonate', { MgO: 5 }, { CO2: 4, H2O: 6 }],
  ['Magnesium oxide', { MgO: 1 }],
  ['Bone ash', { CaO: 10, P2O5: 3 }, { H2O: 1 }],
  ['Red iron oxide', { Fe2O3: 1 }],
  ['Black iron oxide', { FeO: 1, Fe2O3: 1 }],
  ['Manganese dioxide', { MnO2: 1 }],
  ['Manganese carbonate', { MnO: 1 }, { CO2: 1 }],
  ['Chrome oxide', { Cr2O3: 1 }],
  ['Copper carbonate', { CuO: 2 }, { CO2: 1, H2O: 1 }],
  ['Black copper oxide', { CuO: 1 }],
  ['Cobalt carbonate', { CoO: 1 }, { CO2: 1 }],
  ['Cobalt oxide', { Co3O4: 1 }],
  ['Nickel oxide', { NiO: 1 }],
  ['Vanadium pentoxide', { V2O5: 1 }],
  ['Tin oxide', { SnO2: 1 }],
  ['Titanium dioxide', { TiO2: 1 }],
  ['Zircon', { ZrO2: 1, SiO2: 1 }],
  ['Silicon carbide', { SiC: 1 }],
];

const TYPICAL: readonly (readonly [string, Analysis, number])[] = [
  ['Potash feldspar', { SiO2: 66.5, Al2O3: 18, K2O: 11.5, Na2O: 2.8, CaO: 0.4, Fe2O3: 0.1 }, 0.5],
  ['Soda feldspar', { SiO2: 68.5, Al2O3: 19, Na2O: 7, K2O: 4, CaO: 1.1, Fe2O3: 0.1 }, 0.3],
  ['Nepheline syenite', { SiO2: 60.2, Al2O3: 23.4, Na2O: 10.3, K2O: 4.9, CaO: 0.4, Fe2O3: 0.1 }, 0.6],
  ['Kaolin', { SiO2: 46.5, Al2O3: 37.5, Fe2O3: 0.6, TiO2: 0.4, K2O: 0.9, MgO: 0.2, CaO: 0.1 }, 13.3],
  [
    'Ball clay',
    { SiO2: 54, Al2O3: 29, Fe2O3: 1.1, TiO2: 1.3, K2O: 1.6, Na2O: 0.3, MgO: 0.4, CaO: 0.3 },
    11.5,
  ],
  ['Stoneware clay', { SiO2: 58, Al2O3: 26, Fe2O3: 1.6, TiO2: 1.4, K2O: 1.8, MgO: 0.5, CaO: 0.3 }, 9.8],
  ['Red clay', { SiO2: 60, Al2O3: 17, Fe2O3: 7, TiO2: 0.9, K2O: 3.3, Na2O: 0.7, MgO: 1.8, CaO: 1.6 }, 7.4],
  ['Bentonite', { SiO2: 61, Al2O3: 19, Fe2O3: 3.6, MgO: 2.3, Na2O: 2.3, CaO: 1.2, K2O: 0.5 }, 9.8],
  ['Talc', { SiO2: 59, MgO: 30.5, CaO: 2, Al2O3: 1.2, Fe2O3: 0.8 }, 6.3],
  ['Wood ash', { CaO: 38, SiO2: 16, K2O: 8, MgO: 6, Al2O3: 4, P2O5: 3, Na2O: 1.5, Fe2O3: 1.5, MnO: 0.8 }, 21],
  [
    'Volcanic ash',
    { SiO2: 70, Al2O3: 13.5, K2O: 4.6, Na2O: 3.2, CaO: 1.2, Fe2O3: 1.8, MgO: 0.5, TiO2: 0.2 },
    4.7,
  ],
  [
    'Granite dust',
    { SiO2: 71, Al2O3: 14.5, K2O: 4.6, Na2O: 3.4, CaO: 1.8, Fe2O3: 2.6, MgO: 0.7, TiO2: 0.3 },
    0.8,
  ],
  ['Lepidolite', { SiO2: 54, Al2O3: 26, K2O: 8.5, Li2O: 4, F: 4.5 }, 2],
  ['Rutile', { TiO2: 94, Fe2O3: 2.5, SiO2: 1.2, ZrO2: 1 }, 0.5],
  ['Ilmenite', { TiO2: 50, FeO: 45.5, MnO: 1.2, SiO2: 1.2, MgO: 1 }, 0],
  ['Calcium borosilicate frit', { SiO2: 46, B2O3: 23, CaO: 20.5, Al2O3: 9, Na2O: 0.7, K2O: 0.5 }, 0],
  ['Soda borosilicate frit', { SiO2: 57, B2O3: 22, Na2O: 10, CaO: 7, Al2O3: 4 }, 0],
  ['High-alkali frit', { SiO2: 69, Na2O: 15.5, K2O: 7.5, CaO: 5, Al2O3: 3 }, 0],
];

/**
 * The built-in materials: theoretical formulas under their plain names, and typical analyses, put down from
 * memory, under names that end in ", typical". A studio's own analysis of the same name stands before them.
 */
export const MATERIALS: readonly Material[] = [
  ...FORMULAS.map(([name, moles, gases]) => theoretical(name, moles, gases)),
  ...TYPICAL.map(([name, analysis, loi]) => ({
    name: `${name}, typical`,
    analysis,
    loi,
    source: 'from memory',
  })),
];

const BY_NAME = new Map(MATERIALS.map((material) => [material.name.toLowerCase(), material]));

/** A built-in material by its name, upper and lower case alike; undefined when there is none. */
export function materialOf(name: string): Material | undefined {
  return BY_NAME.get(name.trim().toLowerCase());
}

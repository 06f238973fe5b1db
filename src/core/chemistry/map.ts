import type { Oxides } from './model';

export const MAP_FIELDS = ['matte', 'satin', 'gloss', 'crazed', 'stiff', 'outside'] as const;
export type MapField = (typeof MAP_FIELDS)[number];

/** Where the map ends and its fields meet: moles of silica and alumina in the unity formula, and their ratio. */
export const MAP_EDGES = {
  silica: [1, 8],
  alumina: [0.1, 1.3],
  matteBelow: 5,
  glossFrom: 7,
  stiffAbove: 13,
  crazed: { silicaBelow: 3, aluminaBelow: 0.35 },
} as const;

/**
 * The field of the silica to alumina map a glaze falls into.
 *
 * After R. T. Stull, Trans. Am. Ceram. Soc. 14 (1912): porcelain glazes at cone 11 with 0.3 KNaO and 0.7 CaO.
 * The edges here are an approximation put down from memory: silica to alumina under 5 matte, 5 to 7 satin,
 * above 7 gloss; above 13 stiff with excess silica; silica under 3 with alumina under 0.35 crazed. A hint
 * only away from cone 9 to 11 and from those fluxes.
 *
 * @param unity formula; silica outside 1 to 8 or alumina outside 0.1 to 1.3 is off the map
 * @example mapField({ SiO2: 3.71, Al2O3: 0.407 }) // 'gloss'
 */
export function mapField({ SiO2 = 0, Al2O3 = 0 }: Oxides): MapField {
  const { silica, alumina, matteBelow, glossFrom, stiffAbove, crazed } = MAP_EDGES;
  const off = (n: number, [least, most]: readonly [number, number]) => n < least || n > most;
  if (off(SiO2, silica) || off(Al2O3, alumina)) return 'outside';
  const ratio = SiO2 / Al2O3;
  if (SiO2 < crazed.silicaBelow && Al2O3 < crazed.aluminaBelow) return 'crazed';
  if (ratio < matteBelow) return 'matte';
  if (ratio < glossFrom) return 'satin';
  return ratio > stiffAbove ? 'stiff' : 'gloss';
}

import type { Oxides } from './model';

export const MAP_FIELDS = ['matte', 'satin', 'gloss', 'crazed', 'stiff', 'outside'] as const;
export type MapField = (typeof MAP_FIELDS)[number];

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
  if (SiO2 < 1 || SiO2 > 8 || Al2O3 < 0.1 || Al2O3 > 1.3) return 'outside';
  const ratio = SiO2 / Al2O3;
  if (SiO2 < 3 && Al2O3 < 0.35) return 'crazed';
  if (ratio < 5) return 'matte';
  if (ratio < 7) return 'satin';
  return ratio > 13 ? 'stiff' : 'gloss';
}

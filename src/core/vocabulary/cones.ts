/** Names of the large witness cones in rising order, from 022 to 14. Halves exist only for 05½ and 5½. */
export const CONES = [
  ...['022', '021', '020', '019', '018', '017', '016', '015', '014', '013', '012', '011', '010'],
  ...['09', '08', '07', '06', '05½', '05', '04', '03', '02', '01'],
  ...['1', '2', '3', '4', '5', '5½', '6', '7', '8', '9', '10', '11', '12', '13', '14'],
] as const;
export type Cone = (typeof CONES)[number];

/**
 * What a firing without witness cones is called: its pieces are filed under that, beside those of the cones. "none" is
 * one that was fired to a temperature, or by eye.
 */
export const CONELESS = ['raku', 'pit', 'open', 'none'] as const;
export type Coneless = (typeof CONELESS)[number];

/** What a firing goes to: a cone, or a way of firing that has none. */
export const HEATS = [...CONELESS, ...CONES] as const;
export type Heat = Cone | Coneless;

const CONELESS_NAMES: Partial<Record<string, string>> = {
  raku: 'raku',
  pit: 'pit fire',
  open: 'open fire',
  none: 'no cone',
} satisfies Record<Coneless, string>;

/** Whether it is a cone. */
export const isCone = (heat: string): heat is Cone => (CONES as readonly string[]).includes(heat);

/** Whether ware stays in a closed kiln to the end, and reduces and cools there: it is drawn hot, or lies in a fire, otherwise. */
export const staysInKiln = (heat: Heat): boolean => isCone(heat) || heat === 'none';

/** What a firing goes to where it is plain that it is meant: "6", "raku". */
export const heatShort = (heat: string): string => CONELESS_NAMES[heat] ?? heat;

/**
 * What a firing goes to in words.
 *
 * @param heat one of HEATS
 * @example heatName('6') // 'cone 6'
 * @example heatName('pit') // 'pit fire'
 */
export const heatName = (heat: string): string => CONELESS_NAMES[heat] ?? `cone ${heat}`;

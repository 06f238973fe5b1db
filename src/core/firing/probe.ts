import type { AtmosphereReached } from '../vocabulary';

/** A reading of a zirconia oxygen probe beside its thermocouple. */
export interface ProbeReading {
  readonly minutes: number;
  /** °C. */
  readonly celsius: number;
  /** mV against air. */
  readonly millivolts: number;
}

/** J/(mol·K), and C/mol. */
const [GAS, FARADAY] = [8.314, 96_485];
/** Oxygen in air, share of its volume. */
const IN_AIR = 0.2095;
/** Free energy of CO + ½ O2 → CO2, J/mol: enthalpy and entropy part. Figures from memory, good to about 1 %. */
const BURNING_CO = { enthalpy: -282_400, entropy: 86.8 } as const;

/**
 * Carbon monoxide over carbon dioxide in the kiln, from a zirconia probe: its voltage gives the pressure of oxygen
 * (Nernst), and that the balance of the two gases.
 *
 * Sources: W. Nernst (1889) for the voltage; H. J. T. Ellingham (1944) for the balance.
 *
 * @param millivolts against air, 0 to about 1000
 * @param celsius of the probe, ≥ 700: colder ones say nothing
 * @returns ≥ 0; about 0.1 at 605 mV and 1200 °C
 */
export function monoxideShare(millivolts: number, celsius: number): number {
  const kelvin = celsius + 273.15;
  const logOxygen = Math.log(IN_AIR) - ((millivolts / 1000) * 4 * FARADAY) / (GAS * kelvin);
  const energy = BURNING_CO.enthalpy + BURNING_CO.entropy * kelvin;
  return Math.exp(-logOxygen / 2 + energy / (GAS * kelvin));
}

/** A reduction by the share of monoxide that it is below (judgement): none, then light, then as usual. */
const BELOW: readonly (readonly [number, AtmosphereReached])[] = [
  [0.01, 'oxidised'],
  [0.1, 'weak'],
  [0.6, 'as meant'],
];
/** A probe colder than this is not asked, °C; fewer readings than this say nothing (judgement). */
const [WARM, ENOUGH] = [850, 5];

/**
 * What a probe says of a reduction: the median over its length.
 *
 * @param from, to minutes from the start of the log
 * @returns null when it was not read often enough
 */
export function reductionByProbe(
  readings: readonly ProbeReading[],
  from: number,
  to: number,
): { readonly reached: AtmosphereReached; readonly millivolts: number } | null {
  const asked = readings
    .filter(({ minutes, celsius }) => minutes >= from && minutes <= to && celsius >= WARM)
    .map((one) => ({ ...one, share: monoxideShare(one.millivolts, one.celsius) }))
    .sort((a, b) => a.share - b.share);
  if (asked.length < ENOUGH) return null;
  const { share, millivolts } = asked[asked.length >> 1]!;
  return { reached: BELOW.find(([limit]) => share < limit)?.[1] ?? 'heavy', millivolts };
}

/** A test with what it says and the least that it could have said. */
export interface Tested {
  readonly p: number;
  /** The least chance that its margins allow, whatever came out; 0 where there is no such bound. */
  readonly least: number;
}

/**
 * Benjamini and Hochberg's step-up: for each chance, the share of false finds among those at least as small.
 *
 * Source: Y. Benjamini and Y. Hochberg, J. R. Stat. Soc. B 57 (1995), 289–300.
 *
 * @param chances 0 to 1
 * @returns adjusted chances, in the order given
 */
export function benjaminiHochberg(chances: readonly number[]): number[] {
  const order = chances.map((_, i) => i).sort((a, b) => chances[b]! - chances[a]!);
  const out = new Array<number>(chances.length);
  let least = 1;
  for (const [place, i] of order.entries()) {
    least = Math.min(least, (chances[i]! * chances.length) / (chances.length - place));
    out[i] = least;
  }
  return out;
}

/** The rate of false finds that tests which can never reach it are left out for. */
const RATE = 0.05;

/**
 * Chances corrected for all tests that could have said something: those whose margins allow no chance below the rate
 * divided by the number of those that do are left out, and cost the others nothing.
 *
 * Source: R. E. Tarone, Biometrics 46 (1990), 515–522, for the bound.
 *
 * @returns adjusted chances, 1 for what is left out
 */
export function correctedFor(tests: readonly Tested[]): number[] {
  const bounds = tests.map(({ least }) => least).sort((a, b) => a - b);
  let many = 1;
  while (many < bounds.length && bounds[many]! <= RATE / (many + 1)) many++;
  const tells = tests.map(({ least }) => least <= RATE / many);
  const q = benjaminiHochberg(tests.filter((_, i) => tells[i]).map(({ p }) => p));
  let next = 0;
  return tells.map((is) => (is ? q[next++]! : 1));
}

/**
 * The chance of a family in which nothing is the matter: the least of its ordered chances by their places.
 *
 * Source: R. J. Simes, Biometrika 73 (1986), 751–754.
 */
export function simes(chances: readonly number[]): number {
  return Math.min(1, ...benjaminiHochberg(chances));
}

/** Tests that ask the same of one thing after the other, and of all together. */
export interface Family {
  /** Of the whole. */
  readonly whole: Tested;
  readonly members: readonly Tested[];
}

/**
 * Corrects families first, then their members within what is left: where nothing is the matter with a treatment on all
 * glazes together, no glaze is singled out unless its family is.
 *
 * Source: Y. Benjamini and M. Bogomolov, J. R. Stat. Soc. B 76 (2014), 297–318.
 *
 * @returns for each family the corrected chance of the whole and of each member
 */
export function correctedByFamilies(families: readonly Family[]): { whole: number; members: number[] }[] {
  const wholes = correctedFor(families.map(({ whole }) => whole));
  const looked = wholes.filter((q) => q < 1).length;
  const found = Math.max(1, wholes.filter((q) => q <= RATE).length);
  return families.map(({ members }, i) => ({
    whole: wholes[i]!,
    members: correctedFor(members).map((q) =>
      Math.min(1, Math.max(wholes[i]!, q * Math.max(1, looked / found))),
    ),
  }));
}

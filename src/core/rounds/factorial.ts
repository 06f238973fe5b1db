/** Something a round varies, and what it is set to. */
export interface FactorialFactor {
  readonly name: string;
  readonly levels: readonly string[];
}

export interface Factorial {
  /** For each run, which level of each factor. */
  readonly runs: readonly (readonly number[])[];
  /** What can no longer be told apart, in words; empty for a full factorial. */
  readonly aliases: readonly string[];
}

/**
 * Every combination of the factors, or, when that is more than `most`, a balanced fraction of it: each level
 * of each factor and each pair of levels as often as any other (a regular two-level fraction; Box, Hunter and
 * Hunter, Statistics for Experimenters, 2005, ch. 6).
 *
 * @throws RangeError when there are too many and a factor has more than two levels, or no balanced fraction
 *   of that size keeps single effects apart from each other
 */
export function factorial(factors: readonly FactorialFactor[], most: number): Factorial {
  const full = factors.reduce((n, { levels }) => n * levels.length, 1);
  if (full <= most) return { runs: everyRun(factors), aliases: [] };
  if (factors.some(({ levels }) => levels.length !== 2))
    throw new RangeError(
      `${full} tests are more than ${most}; only factors of two levels can be fractioned evenly, so take levels out`,
    );
  const k = factors.length;
  const basic = Math.floor(Math.log2(most));
  const words = generatorsFor(k, basic);
  if (!words)
    throw new RangeError(
      `${most} tests are too few to keep ${k} effects apart; at least ${2 ** (Math.floor(Math.log2(k)) + 1)}`,
    );
  const runs = Array.from({ length: 2 ** basic }, (_, i) => {
    const run = Array.from({ length: basic }, (_, bit) => (i >> bit) & 1);
    for (const word of words) run.push(word.reduce((parity, f) => parity ^ run[f]!, 0));
    return run;
  });
  return { runs, aliases: aliasWords(factors, basic, words) };
}

function everyRun(factors: readonly FactorialFactor[]): number[][] {
  return factors.reduce<number[][]>(
    (runs, { levels }) => runs.flatMap((run) => levels.map((_, level) => [...run, level])),
    [[]],
  );
}

/** For each added factor the basic ones it is made from, the longest words first; null when there are too few. */
function generatorsFor(k: number, basic: number): number[][] | null {
  const subsets = Array.from({ length: 2 ** basic }, (_, mask) =>
    Array.from({ length: basic }, (_, f) => f).filter((f) => (mask >> f) & 1),
  )
    .filter((word) => word.length >= 2)
    .sort((a, b) => b.length - a.length);
  return subsets.length < k - basic ? null : subsets.slice(0, k - basic);
}

/** Effects of one factor and pairs of two that come out as one, in words. */
function aliasWords(
  factors: readonly FactorialFactor[],
  basic: number,
  words: readonly number[][],
): string[] {
  const made = (f: number) =>
    f < basic ? 1 << f : words[f - basic]!.reduce((mask, g) => mask | (1 << g), 0);
  const effects = new Map<number, string[]>();
  const note = (mask: number, name: string) => effects.set(mask, [...(effects.get(mask) ?? []), name]);
  factors.forEach((factor, i) => note(made(i), factor.name));
  factors.forEach((a, i) =>
    factors.slice(i + 1).forEach((b, j) => note(made(i) ^ made(i + 1 + j), `${a.name} with ${b.name}`)),
  );
  return [...effects.values()].filter((names) => names.length > 1).map((names) => names.join(' = '));
}

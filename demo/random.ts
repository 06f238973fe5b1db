/** Seeded randomness: the demo is the same on every machine. */
export type Random = () => number;

/** A generator of numbers in [0, 1) from a text or number seed (mulberry32 on an FNV hash). */
export function random(seed: string | number): Random {
  let state = 2166136261;
  for (const sign of String(seed)) state = Math.imul(state ^ sign.charCodeAt(0), 16777619);
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A normal deviate with mean 0 and deviation 1. */
export function normal(next: Random): number {
  return Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
}

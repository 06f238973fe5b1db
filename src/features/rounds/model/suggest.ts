import { isWhole } from '@/core/coats';
import { bestTests, isPlainStack, type Candidate, type CellLayer, type Proved } from '@/core/rounds';
import type { KnownStack } from '@/records/rounds';
import type { FailedLookup } from '@/records/dictionary';

/** One test worth the clay, and why. */
export interface Suggestion {
  readonly key: string;
  readonly stack: readonly CellLayer[];
  readonly words: string;
  readonly why: string;
  readonly swatchHash: string | null;
  /** Of its glazes, bottom first, for a drawing until it is fired. */
  readonly colours: readonly string[];
}

interface Asked {
  readonly glazes: readonly { readonly id: string; readonly name: string; readonly colour: string }[];
  /** Those of the clay, cone and atmosphere asked about. */
  readonly known: readonly KnownStack[];
  /** Stacks that rounds under way will prove. */
  readonly underWay: readonly (readonly CellLayer[])[];
  readonly wanted: readonly FailedLookup[];
  /** Glazes that open cases are about, bottom first. */
  readonly cases: readonly (readonly string[])[];
  readonly places: number;
}

const keyOf = (stack: readonly CellLayer[]) =>
  stack.map((layer) => `${layer.glaze}*${layer.times}`).join('/');

/**
 * The tests that fill the most wanted and least certain gaps of one clay, cone and atmosphere: every glaze
 * once and twice alone, and every glaze over every other.
 */
export function suggestTests({ glazes, known, underWay, wanted, cases, places }: Asked): Suggestion[] {
  const proofs = new Map(known.filter(isPlain).map((one) => [keyOf(one.stack), one]));
  const coming = new Map<string, number>();
  for (const stack of underWay.filter(isPlainStack))
    coming.set(keyOf(stack), (coming.get(keyOf(stack)) ?? 0) + 1);
  const asked = new Map(wanted.map((one) => [`${one.baseId}*1/${one.topId}*1`, one.times]));
  const inCase = new Map<string, number>();
  for (const key of cases.flatMap(caseKeys)) inCase.set(key, (inCase.get(key) ?? 0) + 1);
  const stacks = glazes.flatMap((base): CellLayer[][] => [
    [{ glaze: base.id, times: 1 }],
    [{ glaze: base.id, times: 2 }],
    ...glazes
      .filter((top) => top.id !== base.id)
      .map((top) => [
        { glaze: base.id, times: 1 },
        { glaze: top.id, times: 1 },
      ]),
  ]);
  const byKey = new Map(stacks.map((stack) => [keyOf(stack), stack]));
  const candidates = stacks.map((stack): Candidate => {
    const key = keyOf(stack);
    const more = coming.get(key) ?? 0;
    return {
      key,
      proofs: (proofs.get(key)?.proofs ?? 0) + more,
      agreeing: (proofs.get(key)?.agreeing ?? 0) + more,
      wanted: (asked.get(key) ?? 0) + CASE_WANTS * (inCase.get(key) ?? 0),
      near: stack.length === 2 ? [keyOf([...stack].reverse())] : [],
    };
  });
  const nameOf = (id: string) => glazes.find((glaze) => glaze.id === id)?.name ?? '?';
  const seen = new Map<string, number>();
  return bestTests(candidates, places).map(({ key, known: proved }): Suggestion => {
    const again = seen.get(key) ?? 0;
    seen.set(key, again + 1);
    const stack = byKey.get(key)!;
    return {
      key: `${key} ${again}`,
      stack,
      words: wordsOf(stack, nameOf),
      why: whyOf(proved, proofs.get(key), asked.get(key) ?? 0, again, inCase.has(key)),
      swatchHash: proofs.get(key)?.swatchHash ?? null,
      colours: stack.map((layer) => glazes.find((glaze) => glaze.id === layer.glaze)?.colour ?? '#888888'),
    };
  });
}

/** Whether it lies on the bare clay, and is dipped whole, as what is suggested. */
function isPlain({ slips, stack }: KnownStack): boolean {
  return slips.length === 0 && stack.every((layer) => layer.way === 'dipped' && isWhole(layer));
}

function wordsOf(stack: readonly CellLayer[], nameOf: (id: string) => string): string {
  const [first, second] = stack as [CellLayer, CellLayer | undefined];
  if (second) return `${nameOf(second.glaze)} over ${nameOf(first.glaze)}`;
  return `${nameOf(first.glaze)} ${first.times === 1 ? 'once' : 'twice'}`;
}

/** An open case wants its stack as much as so many look-ups in vain. */
const CASE_WANTS = 3;

/** The stacks that would tell more of a case: a glaze once and twice, a pair in both orders. */
function caseKeys(glazes: readonly string[]): string[] {
  const [below, top] = glazes;
  if (glazes.length === 1) return [`${below}*1`, `${below}*2`];
  return glazes.length === 2 ? [`${below}*1/${top}*1`, `${top}*1/${below}*1`] : [];
}

function whyOf(
  proved: Proved,
  one: KnownStack | undefined,
  asked: number,
  again: number,
  inCase: boolean,
): string {
  const gap =
    again > 0
      ? 'a twin of the one above'
      : proved === 'lacking'
        ? 'no tile on this clay yet'
        : one && one.agreeing < one.proofs
          ? `twins differ: ${one.agreeing} of ${one.proofs} agree`
          : proved === 'weak'
            ? 'one piece only'
            : 'proved; one more tile makes it surer';
  if (again > 0) return gap;
  return [
    gap,
    ...(asked > 0 ? [`searched for ${asked === 1 ? 'once' : `${asked} times`}`] : []),
    ...(inCase ? ['an open case is about it'] : []),
  ].join('; ');
}

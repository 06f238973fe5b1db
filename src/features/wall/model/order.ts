import { deltaE00, labOf, type Lab } from '@/core/colour';
import type { WallEntry } from '@/records/dictionary';

/** Ways to put the glazes of a wall in order. */
export const ORDERS = ['own', 'name', 'colour', 'movement', 'likeness'] as const;
export type Order = (typeof ORDERS)[number];

interface Ordered {
  readonly id: string;
  readonly name: string;
  readonly colour: string;
}

const MOVES = ['stable', 'moves', 'runs'];
/** Below this chroma a colour is a grey: greys go by lightness, before the hues. */
const GREY = 12;

/**
 * Puts the glazes of a wall in order, by what each came out as alone on this wall where that was tried, by its
 * card otherwise. By likeness: a walk from the lightest, always to the nearest colour left (CIEDE2000).
 */
export function inOrder<T extends Ordered>(
  glazes: readonly T[],
  order: Order,
  entries: readonly WallEntry[],
): T[] {
  const alone = new Map(
    entries.filter(({ baseId, topId }) => baseId === topId).map((entry) => [entry.baseId, entry]),
  );
  const lab = new Map(glazes.map(({ id, colour }) => [id, labOf(alone.get(id)?.colour ?? colour)]));
  const by = (rank: (glaze: T) => readonly (number | string)[]) =>
    [...glazes].sort((one, two) => compare(rank(one), rank(two)));
  if (order === 'name') return by(({ name }) => [name]);
  if (order === 'colour') return by(({ id, name }) => [...hueRank(lab.get(id)!), name]);
  if (order === 'movement')
    return by(({ id, name }) => [MOVES.indexOf(alone.get(id)?.movement ?? '') + 1 || 9, name]);
  return order === 'likeness' ? chain(glazes, lab) : [...glazes];
}

function compare(one: readonly (number | string)[], two: readonly (number | string)[]): number {
  for (const [i, value] of one.entries()) {
    const other = two[i]!;
    if (value !== other) return value < other ? -1 : 1;
  }
  return 0;
}

function hueRank({ l, a, b }: Lab): readonly number[] {
  if (Math.hypot(a, b) < GREY) return [-1, -l];
  return [(Math.atan2(b, a) * 180) / Math.PI + 180, -l];
}

function chain<T extends Ordered>(glazes: readonly T[], lab: ReadonlyMap<string, Lab>): T[] {
  const left = [...glazes].sort((one, two) => lab.get(two.id)!.l - lab.get(one.id)!.l);
  const found = left.splice(0, 1);
  while (left.length) {
    const last = lab.get(found.at(-1)!.id)!;
    const far = left.map(({ id }) => deltaE00(last, lab.get(id)!));
    found.push(...left.splice(far.indexOf(Math.min(...far)), 1));
  }
  return found;
}

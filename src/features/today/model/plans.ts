import type { TestRequest } from '@/records/dictionary';

/** Requests that one round can answer. */
export interface RequestPlan {
  /** Where the round is planned. */
  readonly address: string;
  readonly count: number;
  /** What they have in common, "cone 10 reduction"; empty when nothing was said. */
  readonly words: string;
}

type Wish = Pick<
  TestRequest,
  'baseId' | 'topId' | 'bodyId' | 'cone' | 'atmosphere' | 'baseTimes' | 'topTimes' | 'facts'
>;

/**
 * The rounds that answer requests: those for the same cone, atmosphere and clay go together, so that none is planned
 * where it was not asked for.
 */
export function plansOf(requests: readonly Wish[]): RequestPlan[] {
  const groups = new Map<string, Wish[]>();
  for (const wish of requests) {
    const row = [wish.cone, wish.atmosphere, wish.bodyId].join(' ');
    groups.set(row, [...(groups.get(row) ?? []), wish]);
  }
  return [...groups.values()].map((wishes) => {
    const [{ cone, atmosphere, bodyId, facts }] = wishes as [Wish, ...Wish[]];
    const params = new URLSearchParams({
      kind: 'free',
      name: 'Requested tests',
      pairs: wishes.map(pairOf).join(','),
      ...(cone && { cone }),
      ...(atmosphere && { atmosphere }),
      ...(bodyId && { bodies: bodyId }),
    });
    return {
      address: `/rounds/new?${params.toString()}`,
      count: wishes.length,
      words: facts.replace(/, \d+× (below|over it)/g, ''),
    };
  });
}

/** A cell as an address says it: "base.top", with the coats of each after a star, "base*2.top*1". */
function pairOf({ baseId, topId, baseTimes, topTimes }: Wish): string {
  if (baseId === topId) return `${baseId}*${topTimes ?? baseTimes ?? 1}`;
  return `${baseId}*${baseTimes ?? 1}.${topId}*${topTimes ?? 1}`;
}

import type { Stand } from '@/core/orders';

/** "6 of 8 good, 1 coming, 1 to make". */
export function orderWords({ count, stand }: { readonly count: number; readonly stand: Stand }): string {
  const { good, coming, undecided, lost, toMake } = stand;
  return [
    `${good} of ${count} good`,
    coming > 0 && `${coming} coming`,
    undecided > 0 && `${undecided} to decide`,
    lost > 0 && `${lost} lost`,
    toMake > 0 && `${toMake} to make`,
  ]
    .filter(Boolean)
    .join(', ');
}

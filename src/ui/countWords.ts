import { figures } from '@/core/units';
import type { ZoneCount } from '@/records/pieces';

/** What was counted on a zone: "2.3 pits per cm²". */
export function countWords({ kind, perCm2 }: Pick<ZoneCount, 'kind' | 'perCm2'>): string {
  return `${figures(perCm2, 1)} ${kind === 'pits' ? 'pits' : 'mm of crack'} per cm²`;
}

import { figures } from '@/core/units';
import { offsetDifference, sayCone } from '@/core/firing';
import type { Reached } from '@/records/firings';

/** What each kiln reached with a programme, and whether two kilns differ. */
export function programmeConeWords(kilns: readonly Reached[]): string {
  const known = kilns.filter(({ reached }) => reached.length > 0);
  const each = known.map(({ kiln, reached }) => {
    const mean = reached.reduce((sum, one) => sum + one, 0) / reached.length;
    return `${kiln} reached ${sayCone(mean)} on the mean of ${reached.length}`;
  });
  const [a, b] = known;
  const apart = a && b && offsetDifference(a.reached, b.reached);
  if (!apart) return each.join('; ');
  const plain = apart.low > 0 || apart.high < 0;
  return `${each.join('; ')}: ${plain ? `they differ by ${figures(Math.abs(apart.value), 1)} cones` : 'no plain difference'}`;
}

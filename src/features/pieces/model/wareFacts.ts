import { shortDay } from '@/core/time';
import { DECORATIVE_KINDS } from '@/core/vocabulary';
import type { PiecePage } from '@/records/pieces';

/**
 * What a piece is as ware, in short facts. That it is decorative follows from what lies on it: nobody has tested what
 * such glazes and stuff give off.
 */
export function wareFacts({ ware, coats }: Pick<PiecePage, 'ware' | 'coats'>): string[] {
  const off = coats.filter(
    ({ glazeKind, isDecorative }) => isDecorative || DECORATIVE_KINDS.includes(glazeKind),
  );
  const names = [...new Set(off.map(({ glazeName }) => glazeName))];
  const facts = [
    names.length > 0 && `decorative only: ${names.join(', ')}`,
    ware.isForDisplay && 'for display only',
    ware.owner && `for ${ware.owner}`,
    ware.promisedBy && `promised by ${shortDay(ware.promisedBy)}`,
    ware.price && (ware.isSold ? `sold, ${ware.price}` : ware.price),
    ware.isSold && !ware.price && 'sold',
    ware.after.length > 0 && `${ware.after.join(', ')} after the firing`,
  ];
  return facts.flatMap((fact) => fact || []);
}

import type { CauseId } from '@/core/clinic';
import type { RoundKind } from '@/core/vocabulary';
import type { PieceCase } from '@/records/clinic';

/** The kind of round that shows a cause; causes without one are tested at the kiln or the bench. */
const ROUND_FOR: Readonly<Partial<Record<CauseId, RoundKind>>> = {
  'expansion-mismatch': 'crazing',
  'glaze-too-thick': 'coats',
  'glaze-too-thin': 'coats',
  'glaze-gas': 'coats',
  'incompatible-layer': 'overlap',
  'body-gas': 'clays',
  'body-beyond-range': 'clays',
};

/** Where a round that tests a cause begins, set up with the glazes and the clay of the piece; empty when none does. */
export function testAddress(cause: CauseId, found: PieceCase | null): string {
  const kind = ROUND_FOR[cause];
  if (!kind) return '';
  const asked = new URLSearchParams({ kind });
  if (found) {
    const glazes = found.piece.coats
      .filter(({ glazeKind }) => glazeKind === 'glaze')
      .map((coat) => coat.glazeId);
    asked.set('glazes', [...new Set(glazes)].join(','));
    asked.set('bodies', found.piece.bodyId);
    asked.set('name', `Why ${found.piece.label}`);
  }
  return `/rounds/new?${asked}`;
}

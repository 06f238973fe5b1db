import { coreCoat, wareWords } from '@/core/coats';
import type { ListedPiece } from '@/records/pieces';

/** What lies on a piece as lists and maps say it: side by side, from rim to foot. See {@link wareWords}. */
export function pieceWords({ coats }: Pick<ListedPiece, 'coats'>): string {
  const names = new Map(coats.map((coat) => [coat.glazeId, coat.glazeName]));
  return wareWords(
    coats.map((coat) => coreCoat(coat)),
    (id) => names.get(id) ?? '?',
  );
}

import { coreCoats, wareWords } from '@/core/coats';
import type { ListedPiece } from '@/records/pieces';

/**
 * What lies on a piece as lists and maps say it: side by side, from rim to foot, see {@link wareWords}. Of one that was
 * photographed or found at an opening and not described since, nothing is said.
 */
export function pieceWords({ coats, isDescribed }: Pick<ListedPiece, 'coats' | 'isDescribed'>): string {
  if (!isDescribed) return 'not described yet';
  const names = new Map(coats.map((coat) => [coat.glazeId, coat.glazeName]));
  return wareWords(
    coats.flatMap((coat) => coreCoats(coat)),
    (id) => names.get(id) ?? '?',
  );
}

/** The form of a piece; of one that nobody has described, only that it is a piece. */
export function formWord({
  form,
  formName,
  isDescribed,
}: Pick<ListedPiece, 'form' | 'formName' | 'isDescribed'>): string {
  return isDescribed ? (formName ?? form) : 'piece';
}

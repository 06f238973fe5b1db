import type { CoatDraft, StoredCoat, ListedPiece, PieceDraft } from '@/records/pieces';

function coatDraft({
  id: _,
  glazeName,
  glazeKind,
  glazeColour,
  isDecorative,
  ...coat
}: StoredCoat): CoatDraft {
  return coat;
}

/** A piece as a draft that corrects it. */
export function draftOf(piece: ListedPiece): PieceDraft {
  const { form, formId, profile, heightMm, widthMm, bodyId, split, texture, areas, wanted, ownNumber, note } =
    piece;
  return {
    ...{ form, formId, profile, heightMm, widthMm, bodyId, split, texture, areas, wanted, ownNumber, note },
    coats: piece.coats.map(coatDraft),
  };
}

/** A new piece with the bands of another, unfired, of the versions now in use. */
export function draftLike(piece: ListedPiece): PieceDraft {
  const draft = draftOf(piece);
  return {
    ...draft,
    ownNumber: '',
    note: '',
    coats: draft.coats.map((coat) => ({ ...coat, versionId: null, firingId: null })),
  };
}

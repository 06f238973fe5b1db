import type { CoatDraft, StoredCoat, ListedPiece, PieceDraft } from '@/records/pieces';

function coatDraft(coat: StoredCoat): CoatDraft {
  const { glazeId, batchId, versionId, method, times, seconds, side, from, to } = coat;
  const { dryBefore, clay, wiped, firingId, area, not } = coat;
  return {
    ...{ glazeId, batchId, versionId, method, times, seconds, side, from, to },
    ...{ dryBefore, clay, wiped, firingId, area, not },
  };
}

/** A piece as a draft that corrects it. */
export function draftOf(piece: ListedPiece): PieceDraft {
  const { form, heightMm, widthMm, bodyId, split, texture, areas, note } = piece;
  return { form, heightMm, widthMm, bodyId, split, texture, areas, note, coats: piece.coats.map(coatDraft) };
}

/** A new piece with the bands of another, unfired, of the versions now in use. */
export function draftLike(piece: ListedPiece): PieceDraft {
  const draft = draftOf(piece);
  return {
    ...draft,
    note: '',
    coats: draft.coats.map((coat) => ({ ...coat, versionId: null, firingId: null })),
  };
}

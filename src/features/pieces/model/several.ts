import type { Fate, Side, Texture, TextureBySide } from '@/core/vocabulary';
import type { PlanForMany } from '@/records/openings';
import type { Correction, ListedPiece, PieceChange, PieceDraft } from '@/records/pieces';
import { texturedSides } from './draft';
import { draftOf } from './fromPiece';
import { presetsFor } from './presets';
import { withEverywhere, type CoatGlaze, type EverywhereCoat } from './sheet/readRow';

type Noted = Pick<ListedPiece, 'id' | 'note'>;

/** A line put under the notes of several pieces. */
export function noteChanges(pieces: readonly Noted[], line: string): PieceChange[] {
  const text = line.trim();
  return pieces.map(({ id, note }) => ({ id, note: { from: note, to: note ? `${note}\n${text}` : text } }));
}

/** Several pieces given to who made them; those that are theirs already are left out. */
export function makerChanges(
  pieces: readonly Pick<ListedPiece, 'id' | 'memberId'>[],
  makerId: string,
): PieceChange[] {
  return pieces
    .filter(({ memberId }) => memberId !== makerId)
    .map(({ id, memberId }) => ({ id, maker: { from: memberId, to: makerId } }));
}

/** Where a piece says what it is for. */
const FOR = { order: 'orderId', group: 'groupId' } as const;

/** Several pieces put with an order or a group, or with none; those that are with it already are left out. */
export function forChanges(
  pieces: readonly Pick<ListedPiece, 'id' | (typeof FOR)[keyof typeof FOR]>[],
  what: keyof typeof FOR,
  to: string | null,
): PieceChange[] {
  return pieces
    .filter((piece) => piece[FOR[what]] !== to)
    .map((piece) => ({ id: piece.id, [what]: { from: piece[FOR[what]], to } }));
}

/** Several pieces made one set. */
export function setChanges(
  pieces: readonly Pick<ListedPiece, 'id' | 'setId'>[],
  setId: string,
): PieceChange[] {
  return pieces.map((piece) => ({ id: piece.id, set: { from: piece.setId, to: setId } }));
}

/** What puts changes back. */
export function reversed(changes: readonly PieceChange[]): PieceChange[] {
  const back = <T>(one: { readonly from: T; readonly to: T } | undefined) =>
    one && { from: one.to, to: one.from };
  return changes.map(({ id, note, maker, order, group, set }) => ({
    ...{ id, note: back(note), maker: back(maker), order: back(order) },
    ...{ group: back(group), set: back(set) },
  }));
}

/** The usual places of a coat that all pieces have. */
export function commonPlaces(pieces: readonly ListedPiece[]): string[] {
  const [first = [], ...others] = pieces.map((piece) => presetsFor(draftOf(piece)).map(({ name }) => name));
  return first.filter((name) => others.every((names) => names.includes(name)));
}

/** The sides that may be treated on every one of the pieces. */
export function commonSides(pieces: readonly ListedPiece[]): Side[] {
  const [first = [], ...others] = pieces.map((piece) => texturedSides(piece));
  return first.filter((side) => others.every((sides) => sides.includes(side)));
}

/** Pieces of which enough is said that a change of them all may speak of each. */
export const isPlainlyLogged = (piece: Pick<ListedPiece, 'isDescribed' | 'hasOldLengths'>) =>
  piece.isDescribed && !piece.hasOldLengths;

/** Corrections of the pieces that a change makes otherwise. */
function corrections(
  pieces: readonly ListedPiece[],
  change: (draft: PieceDraft) => PieceDraft,
): Correction[] {
  return pieces.flatMap((piece) => {
    const before = draftOf(piece);
    const draft = change(before);
    return draft === before ? [] : [{ id: piece.id, version: piece.version, draft }];
  });
}

/** What has to be known of a glaze to put it on, of all that is known of it. */
export const toPutOn = ({ id, name, kind, usualMethod, batches }: CoatGlaze): CoatGlaze => ({
  ...{ id, name, kind, usualMethod },
  batches: batches.slice(0, 1).map((batch) => ({ id: batch.id })),
});

/** One more coat on top of each, in a usual place. On a piece that was fired it is for the next firing. */
export function coatCorrections(
  pieces: readonly ListedPiece[],
  coat: EverywhereCoat,
  glazes: readonly CoatGlaze[],
): Correction[] {
  return corrections(pieces, (draft) => withEverywhere(draft, coat, glazes));
}

/** Textures noted on a side of each, beside those that are; null for all its sides. */
export function textureCorrections(
  pieces: readonly ListedPiece[],
  textures: readonly Texture[],
  side: Side | null,
): Correction[] {
  return corrections(pieces, (draft) => {
    const sides = texturedSides(draft).filter((one) => side === null || one === side);
    const fresh = sides.filter((one) => textures.some((texture) => !draft.texture[one]?.includes(texture)));
    if (fresh.length === 0) return draft;
    const treated = Object.fromEntries(
      fresh.map((one) => [one, [...new Set([...(draft.texture[one] ?? []), ...textures])]]),
    ) as TextureBySide;
    return { ...draft, texture: { ...draft.texture, ...treated } };
  });
}

/** What puts corrections back; what was corrected once more since is left. */
export function correctionsBack(pieces: readonly ListedPiece[], done: readonly Correction[]): Correction[] {
  return done.map(({ id, version }) => ({
    ...{ id, version: version + 1 },
    draft: draftOf(pieces.find((piece) => piece.id === id)!),
  }));
}

/** One plan for several pieces: back into a kiln, and why. */
export function planFor(
  pieces: readonly Pick<ListedPiece, 'id' | 'fate' | 'stage'>[],
  fate: Fate,
  reason: string | null,
): PlanForMany {
  return {
    pieces: pieces
      // The same once more, without a reason, decides nothing that could be taken back.
      .filter((piece) => piece.stage === 'read' && (reason !== null || piece.fate !== fate))
      .map((piece) => ({ id: piece.id, from: piece.fate, to: fate })),
    reasons: reason ? [reason] : [],
    isBack: false,
  };
}

/** What takes a plan back. */
export function planBack(plan: PlanForMany): PlanForMany {
  const pieces = plan.pieces.map(({ id, from, to }) => ({ id, from: to, to: from }));
  return { pieces, reasons: [], isBack: true };
}

'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import type { Member } from '@/records/people';
import { db, Refusal, store } from '@/records/platform';
import {
  changePhoto,
  choosePhoto,
  correctPiece,
  movePhoto,
  pieceOfPhoto,
  piecesById,
  removePhoto,
  savePieces,
  setPhotoTime,
} from '@/records/pieces';
import {
  changedPhotoSchema,
  correctedPieceSchema,
  movedPhotoSchema,
  newPieceSchema,
  photoIdSchema,
  photoTimeSchema,
  removedPhotoSchema,
} from './schema';
import { recordPiece } from '@/records/openings';
import { pieceReadingSchema } from '@/features/shared/readingSchema';

/** @throws Refusal when a student would change somebody else's piece */
function refuseOthers(member: Member, owner: string | undefined): void {
  if (member.role === 'student' && owner !== member.id)
    throw new Refusal('', 'A student may change own pieces only.');
}

/** Saves a piece and its twins; gives their numbers back. */
export const saveNewPieces = action('student', newPieceSchema, (member, { ids, draft, modelId }) =>
  savePieces(db(), member.id, draft, ids, { modelId }),
);

/** Corrects a piece. A student may correct own pieces only. */
export const saveCorrection = action(
  'student',
  correctedPieceSchema,
  async (member, { id, version, draft }) => {
    const [piece] = await piecesById(db(), [id]);
    refuseOthers(member, piece?.memberId);
    await correctPiece(db(), member.id, id, version, draft);
    refresh();
    return null;
  },
);

/** Records what a piece showed after its opening; the earlier readings stay to be seen. */
export const saveLateLook = action('student', pieceReadingSchema, async (member, said) => {
  await recordPiece(db(), member.id, said);
  refresh();
  return null;
});

/** Says what a photo shows, or writes on it. */
export const savePhoto = action('student', changedPhotoSchema, async (member, said) => {
  refuseOthers(member, (await pieceOfPhoto(db(), said.id)).memberId);
  await changePhoto(db(), store(), member.id, said);
  refresh();
  return null;
});

/** Says when a photo was taken: before or after which firing. */
export const savePhotoTime = action('student', photoTimeSchema, async (member, said) => {
  refuseOthers(member, (await pieceOfPhoto(db(), said.id)).memberId);
  await setPhotoTime(db(), store(), member.id, said);
  refresh();
  return null;
});

/** Chooses a photo of a piece before its others. */
export const showPhotoFirst = action('student', photoIdSchema, async (member, { id }) => {
  refuseOthers(member, (await pieceOfPhoto(db(), id)).memberId);
  await choosePhoto(db(), store(), member.id, id);
  refresh();
  return null;
});

/** Removes a photo, or brings it back. */
export const setPhotoRemoved = action('teacher', removedPhotoSchema, async (member, said) => {
  await removePhoto(db(), store(), member.id, said);
  refresh();
  return null;
});

/** Moves a photo to the piece that it shows. */
export const movePhotoTo = action('teacher', movedPhotoSchema, async (member, said) => {
  await movePhoto(db(), store(), member.id, said);
  refresh();
  return null;
});

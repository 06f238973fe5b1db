'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { hasRole } from '@/records/people';
import { db, Refusal, store } from '@/records/platform';
import {
  changePhoto,
  choosePhoto,
  correctPiece,
  movePhoto,
  removePhoto,
  savePieces,
  setMaker,
  setPhotoTime,
} from '@/records/pieces';
import {
  changedPhotoSchema,
  correctedPieceSchema,
  lateLookSchema,
  makerOfPieceSchema,
  movedPhotoSchema,
  newPieceSchema,
  photoIdSchema,
  photoTimeSchema,
  removedPhotoSchema,
} from './schema';
import { recordPiece } from '@/records/openings';

const ofPhoto = ({ id }: { readonly id: string }) => ({ photoIds: [id] });

/** Saves a piece and its twins; gives their numbers back. A teacher may write down what somebody else made. */
export const saveNewPieces = action('saveNewPieces', newPieceSchema, async (member, asked) => {
  const { ids, draft, makerId, modelId, series } = asked;
  if (makerId && makerId !== member.id && !hasRole(member.role, 'teacher'))
    throw new Refusal('makerId', 'A student writes down own pieces; ask a teacher for others.');
  return savePieces(db(), member.id, draft, ids, {
    makerId,
    modelId,
    series: series === null ? null : { prefix: series },
  });
});

/** Gives a piece to who made it. */
export const giveToMaker = action(
  'giveToMaker',
  makerOfPieceSchema,
  async (member, said) => {
    await setMaker(db(), member.id, said);
    refresh();
    return null;
  },
  ({ pieceId }) => ({ pieceIds: [pieceId] }),
);

/** Corrects a piece. */
export const saveCorrection = action(
  'saveCorrection',
  correctedPieceSchema,
  async (member, { id, version, draft }) => {
    await correctPiece(db(), member.id, id, version, draft);
    refresh();
    return null;
  },
  ({ id }) => ({ pieceIds: [id] }),
);

/** Records what a piece showed after its opening; the earlier readings stay to be seen. */
export const saveLateLook = action(
  'saveLateLook',
  lateLookSchema,
  async (member, said) => {
    await recordPiece(db(), member.id, said);
    refresh();
    return null;
  },
  ({ pieceId }) => ({ pieceIds: [pieceId] }),
);

/** Says what a photo shows, or writes on it. */
export const savePhoto = action(
  'savePhoto',
  changedPhotoSchema,
  async (member, said) => {
    await changePhoto(db(), store(), member.id, said);
    refresh();
    return null;
  },
  ofPhoto,
);

/** Says when a photo was taken: before or after which firing. */
export const savePhotoTime = action(
  'savePhotoTime',
  photoTimeSchema,
  async (member, said) => {
    await setPhotoTime(db(), store(), member.id, said);
    refresh();
    return null;
  },
  ofPhoto,
);

/** Chooses a photo of a piece before its others. */
export const showPhotoFirst = action(
  'showPhotoFirst',
  photoIdSchema,
  async (member, { id }) => {
    await choosePhoto(db(), store(), member.id, id);
    refresh();
    return null;
  },
  ofPhoto,
);

/** Removes a photo, or brings it back. */
export const setPhotoRemoved = action(
  'setPhotoRemoved',
  removedPhotoSchema,
  async (member, said) => {
    await removePhoto(db(), store(), member.id, said);
    refresh();
    return null;
  },
  ofPhoto,
);

/** Moves a photo to the piece that it shows. */
export const movePhotoTo = action(
  'movePhotoTo',
  movedPhotoSchema,
  async (member, said) => {
    await movePhoto(db(), store(), member.id, said);
    refresh();
    return null;
  },
  ofPhoto,
);

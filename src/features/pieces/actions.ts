'use server';
import { refresh } from 'next/cache';
import { action } from '@/auth';
import { hasRole, type Member } from '@/records/people';
import { ensureMixedBody } from '@/records/materials';
import { patternOf } from '@/core/coats';
import { db, inTransaction, NotFound, Refusal, store } from '@/records/platform';
import {
  changeMany,
  changePhoto,
  choosePhoto,
  correctMany,
  correctPiece,
  joinSet,
  leaveSet,
  movePhoto,
  orderById,
  piecesById,
  piecesNumbered,
  removePhoto,
  saveExpectation,
  saveForm,
  savePattern,
  savePhotoFirst,
  savePieces,
  saveWare,
  setFormEnded,
  setPatternEnded,
  setMaker,
  setPhotoTime,
  theOneNumbered,
} from '@/records/pieces';
import {
  changedPhotoSchema,
  correctedManySchema,
  correctedPieceSchema,
  endedPatternSchema,
  endedFormSchema,
  expectSchema,
  joinSetSchema,
  lateLookSchema,
  leaveSetSchema,
  makerOfPieceSchema,
  manySchema,
  movedPhotoSchema,
  mixedClaySchema,
  newPieceSchema,
  numberSchema,
  patternSchema,
  photoFirstSchema,
  photoIdSchema,
  photoTimeSchema,
  planSchema,
  removedPhotoSchema,
  saveFormSchema,
  sheetSchema,
  wareSchema,
} from './schema';
import { decideForMany, recordPiece } from '@/records/openings';

const ofPhoto = ({ id }: { readonly id: string }) => ({ photoIds: [id] });

/** Saves a piece and its twins; gives their numbers back. A teacher may write down what somebody else made. */
export const saveNewPieces = action('saveNewPieces', newPieceSchema, async (member, asked) => {
  const { ids, draft, makerId, modelId, series, setWith } = asked;
  refuseOthersPieces(member, makerId);
  return inTransaction(db(), async (trx) => {
    const made = await savePieces(trx, member.id, draft, ids, {
      makerId,
      modelId,
      series: series === null ? null : { prefix: series },
    });
    if (setWith !== null)
      for (const { id } of made) await joinSet(trx, member.id, { pieceId: id, label: setWith });
    return made;
  });
});

/** Numbers a piece that was only photographed; what it is may be said later. */
export const takePhotoFirst = action('takePhotoFirst', photoFirstSchema, async (member, said) => ({
  label: await savePhotoFirst(db(), member.id, said),
}));

/** @throws Refusal of `makerId` when a student writes down what somebody else made */
function refuseOthersPieces(member: Pick<Member, 'id' | 'role'>, makerId: string | null): void {
  if (makerId && makerId !== member.id && !hasRole(member.role, 'teacher'))
    throw new Refusal('makerId', 'A student writes down own pieces; ask a teacher for others.');
}

/** The piece of a number as the bench holds it. @throws Refusal where there is none, or several */
export const findPiece = action('findPiece', numberSchema, async (_member, { number }) => {
  const known = await piecesNumbered(db(), number);
  const isWhole = ({ label }: { readonly label: string }) => label === number.toUpperCase();
  const [piece] = await piecesById(db(), [theOneNumbered(number, [known.filter(isWhole), known]).id]);
  const { id, label, photoHash } = piece!;
  return { id, label, photoHash };
});

/** Saves rows of a sheet, all or none of them; gives their numbers back, row by row. */
export const saveSheet = action(
  'saveSheet',
  sheetSchema,
  async (member, { memberId, rows, series, orderId }) => {
    if (memberId !== member.id)
      throw new Refusal('', 'Somebody else is signed in on this device. Sign in as yourself to save them.');
    for (const { makerId } of rows) refuseOthersPieces(member, makerId);
    return inTransaction(db(), async (trx) => {
      if (orderId) await orderById(trx, orderId);
      const made: { id: string; label: string }[][] = [];
      for (const { ids, draft, makerId } of rows)
        made.push(
          await savePieces(trx, member.id, draft, ids, {
            makerId,
            orderId,
            series: series === null ? null : { prefix: series },
          }),
        );
      return made;
    });
  },
);

/** What an act on several pieces gives back: the numbers of those that were left, and all of them as they are now. */
async function afterMany(left: readonly string[], ids: readonly string[]) {
  refresh();
  return { left, pieces: await piecesById(db(), ids) };
}

/** Writes on several pieces, gives them to who made them, to an order or to a set. */
export const saveMany = action(
  'saveMany',
  manySchema,
  async (member, { changes }) => {
    if (changes.some(({ maker, group }) => maker ?? group) && !hasRole(member.role, 'teacher'))
      throw new Refusal('', 'Who made a piece, and for which group it is, is said by a teacher.');
    return afterMany(await changeMany(db(), member.id, changes), idsOf(changes));
  },
  ({ changes }) => ({ pieceIds: idsOf(changes) }),
);

const idsOf = (list: readonly { readonly id: string }[]) => list.map(({ id }) => id);

/** Corrects several pieces in one act: one more coat on each, a texture on each. */
export const saveCorrections = action(
  'saveCorrections',
  correctedManySchema,
  async (member, { corrections }) =>
    afterMany(await correctMany(db(), member.id, corrections), idsOf(corrections)),
  ({ corrections }) => ({ pieceIds: idsOf(corrections) }),
);

/** Decides one thing of several pieces that were read. */
export const decidePlan = action(
  'decidePlan',
  planSchema,
  async (member, plan) => afterMany(await decideForMany(db(), member.id, plan), idsOf(plan.pieces)),
  ({ pieces }) => ({ pieceIds: idsOf(pieces) }),
);

/** Gives the way a piece is glazed a name, to be glazed so again. */
export const saveGlazingPattern = action(
  'saveGlazingPattern',
  patternSchema,
  async (member, { id, name, pieceId }) => {
    const [piece] = await piecesById(db(), [pieceId]);
    if (!piece) throw new NotFound('This piece');
    await savePattern(db(), member.id, { id, ...patternOf(name, piece) });
    refresh();
    return null;
  },
);

/** Takes a way of glazing out of the list, or puts it back. */
export const endPattern = action('endPattern', endedPatternSchema, async (member, { id, isEnded }) => {
  await setPatternEnded(db(), member.id, id, isEnded);
  refresh();
  return null;
});

/** Says what is expected of the next firing of a piece. */
export const sayExpectation = action(
  'sayExpectation',
  expectSchema,
  async (member, said) => {
    await saveExpectation(db(), member.id, said);
    refresh();
    return null;
  },
  ({ pieceId }) => ({ pieceIds: [pieceId] }),
);

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

/** Says what a piece is as ware: for whom, what was done to it, whether it is liked. */
export const sayWare = action(
  'sayWare',
  wareSchema,
  async (member, said) => {
    await saveWare(db(), member.id, said);
    refresh();
    return null;
  },
  ({ pieceId }) => ({ pieceIds: [pieceId] }),
);

/** Puts a piece into one set with another. */
export const addToSet = action(
  'addToSet',
  joinSetSchema,
  async (member, said) => {
    await joinSet(db(), member.id, said);
    refresh();
    return null;
  },
  ({ pieceId }) => ({ pieceIds: [pieceId] }),
);

/** Takes a piece out of its set. */
export const takeOutOfSet = action(
  'takeOutOfSet',
  leaveSetSchema,
  async (member, { pieceId }) => {
    await leaveSet(db(), member.id, pieceId);
    refresh();
    return null;
  },
  ({ pieceId }) => ({ pieceIds: [pieceId] }),
);

/** Finds or makes the clay that is made of others; gives its id back. */
export const mixClay = action('mixClay', mixedClaySchema, async (member, mix) =>
  ensureMixedBody(db(), member.id, mix),
);

/** Adds a form of the studio's own, or changes one. */
export const saveFormCard = action('saveFormCard', saveFormSchema, async (member, { form, version }) => {
  await saveForm(db(), member.id, form, version);
  refresh();
  return null;
});

/** Takes a form out of the list, or puts it back. */
export const endForm = action('endForm', endedFormSchema, async (member, { id, isEnded }) => {
  await setFormEnded(db(), member.id, id, isEnded);
  refresh();
  return null;
});

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

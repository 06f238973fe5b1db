'use server';
import { refresh } from 'next/cache';
import { z } from 'zod';
import { action, sealedDevice, sealedSession } from '@/auth';
import { db, NotFound, Refusal, removeSeriesOf, saveSeriesOf, store } from '@/records/platform';
import {
  addDevice,
  addInvitation,
  addMaker,
  addPasswordLink,
  changePassword,
  changeSignIn,
  confirmSecondFactor,
  dropSecondFactor,
  endDevice,
  endInvitation,
  giveToGroup,
  endSessions,
  hasRole,
  leaveStudio,
  listInvitations,
  type Member,
  mergeMaker,
  offerSecondFactor,
  removeSecondFactor,
  returnToStudio,
  saveGroup,
  logoOf,
  noteHintSeen,
  setHintsOff,
  saveLogo,
  saveOwnUnits,
  savePerson,
  savePin,
  saveStudioSettings,
  sessionsOf,
  setGroupEnded,
  teacherOf,
} from '@/records/people';
import { changeById, undoChange } from '@/records/changes';
import { idSchema } from '@/features/shared/schema';
import { mayPutBack } from './server/mayPutBack';
import {
  chosenUnitsSchema,
  hintsSchema,
  confirmSchema,
  deviceSchema,
  endGroupSchema,
  giveSchema,
  inviteSchema,
  leaveSchema,
  makerSchema,
  mergeSchema,
  ownCodeSchema,
  ownNameSchema,
  ownPinSchema,
  ownPasswordSchema,
  passwordLinkSchema,
  saveGroupSchema,
  savePersonSchema,
  saveStudioSchema,
  removedLogoSchema,
  removedSeriesSchema,
  savedSeriesSchema,
} from './schema';

const isTechnician = (member: Member) => hasRole(member.role, 'technician');

/** A teacher's reach is the own groups. @throws Refusal when a group is none of theirs */
async function refuseForeignGroup(member: Member, groupId: string | null): Promise<void> {
  if (isTechnician(member)) return;
  if (groupId === null || (await teacherOf(db(), groupId)) !== member.id)
    throw new Refusal('groupId', 'A teacher adds people to own groups; ask a technician for others.');
}

/** Makes a link by which people join the studio; a teacher invites students into own groups. */
export const invite = action('invite', inviteSchema, async (member, { invitation, token, days }) => {
  await refuseForeignGroup(member, invitation.groupId);
  if (!isTechnician(member) && (invitation.role !== 'student' || invitation.makerId))
    throw new Refusal('role', 'A teacher invites students; ask a technician for others.');
  await addInvitation(db(), member.id, invitation, token, days);
  refresh();
  return null;
});

/** Ends an invitation; a teacher those into own groups. */
export const endInvite = action('endInvite', z.object({ id: idSchema }), async (member, { id }) => {
  const invitation = (await listInvitations(db())).find((one) => one.id === id);
  if (!invitation) throw new NotFound('This invitation');
  await refuseForeignGroup(member, invitation.groupId);
  await endInvitation(db(), member.id, id);
  refresh();
  return null;
});

/** Adds a maker without a sign-in; a teacher into an own group. */
export const saveMaker = action('saveMaker', makerSchema, async (member, maker) => {
  await refuseForeignGroup(member, maker.groupId);
  await addMaker(db(), member.id, maker);
  refresh();
  return null;
});

/** Adds or changes a group; a teacher an own one. */
export const saveGroupCard = action('saveGroupCard', saveGroupSchema, async (member, { group, version }) => {
  if (!isTechnician(member)) {
    if (group.teacherId !== member.id) throw new Refusal('teacherId', 'A teacher has own groups only.');
    if (version !== null) await refuseForeignGroup(member, group.id);
  }
  await saveGroup(db(), member.id, group, version);
  refresh();
  return null;
});

/** Ends a group, or takes it up again; a teacher an own one. */
export const endGroup = action('endGroup', endGroupSchema, async (member, { id, isEnded }) => {
  await refuseForeignGroup(member, id);
  await setGroupEnded(db(), member.id, id, isEnded);
  refresh();
  return null;
});

/** Changes somebody's name and role. */
export const savePersonCard = action(
  'savePersonCard',
  savePersonSchema,
  async (member, { person, version }) => {
    await savePerson(db(), member.id, person, version);
    refresh();
    return null;
  },
);

/** Lets somebody leave; their work stays. */
export const letLeave = action('letLeave', leaveSchema, async (member, leaving) => {
  await leaveStudio(db(), member.id, leaving);
  refresh();
  return null;
});

/** Lets somebody who left come back. */
export const letReturn = action('letReturn', z.object({ id: idSchema }), async (member, { id }) => {
  await returnToStudio(db(), member.id, id);
  refresh();
  return null;
});

/** Joins a maker without a sign-in to who it is. */
export const mergeMakers = action('mergeMakers', mergeSchema, async (member, joined) => {
  const pieces = await mergeMaker(db(), member.id, joined);
  refresh();
  return pieces;
});

/** Makes a link to a new password for who forgot it: an hour, once. */
export const makePasswordLink = action(
  'makePasswordLink',
  passwordLinkSchema,
  async (member, { id, token }) => {
    await addPasswordLink(db(), member.id, id, token);
    return null;
  },
);

/** Takes somebody's second factor out of use, who lost the phone and the codes. */
export const dropFactor = action('dropFactor', z.object({ id: idSchema }), async (member, { id }) => {
  await dropSecondFactor(db(), member.id, id);
  refresh();
  return null;
});

/** Ends one of the member's own sessions: the phone left on the bus. */
export const endOwnSession = action(
  'endOwnSession',
  z.object({ sessionId: idSchema }),
  async (member, { sessionId }) => {
    const own = await sessionsOf(db(), member.id);
    if (!own.some((session) => session.id === sessionId)) throw new NotFound('This session');
    await endSessions(db(), { sessionId });
    refresh();
    return null;
  },
);

/** Changes the member's own name and sign-in name. */
export const saveOwnName = action('saveOwnName', ownNameSchema, async (member, typed) => {
  await changeSignIn(db(), member.id, typed);
  refresh();
  return null;
});

/** Changes the member's own password; the other devices are signed out. */
export const saveOwnPassword = action('saveOwnPassword', ownPasswordSchema, async (member, typed) => {
  const { sessionId } = await sealedSession();
  await changePassword(db(), member.id, typed, sessionId!);
  refresh();
  return null;
});

/** Signs the member out everywhere, here as well. */
export const endAllOwnSessions = action(
  'endAllOwnSessions',
  z.object({ isEverywhere: z.literal(true) }),
  async (member) => {
    await endSessions(db(), { memberId: member.id });
    return null;
  },
);

/** Offers the member an authenticator's secret; it is not in use yet. */
export const offerFactor = action('offerFactor', confirmSchema, async (member, { password }) =>
  offerSecondFactor(db(), member.id, password),
);

/** Puts the offered secret into use with a code of it; gives recovery codes. */
export const confirmFactor = action('confirmFactor', ownCodeSchema, async (member, { code }) => {
  const codes = await confirmSecondFactor(db(), member.id, code);
  refresh();
  return codes;
});

/** Takes the member's second factor out of use. */
export const removeFactor = action('removeFactor', confirmSchema, async (member, { password }) => {
  await removeSecondFactor(db(), member.id, password);
  refresh();
  return null;
});

/** Chooses the units that the member reads in, some of them; null for those of the studio again. */
export const chooseUnits = action('chooseUnits', chosenUnitsSchema, async (member, { units }) => {
  await saveOwnUnits(db(), member.id, units);
  refresh();
  return null;
});

/** Notes that a first-time hint was seen, or that the member wants none, or all again. */
export const tellHints = action('tellHints', hintsSchema, async (member, told) => {
  if ('seen' in told) {
    await noteHintSeen(db(), member.id, told.seen);
    return null;
  }
  await setHintsOff(db(), member.id, told.isOff);
  refresh();
  return null;
});

/** Changes what is said of the studio as a whole. */
export const saveStudio = action('saveStudio', saveStudioSchema, async (member, { studio, version }) => {
  await saveStudioSettings(db(), member.id, studio, version);
  refresh();
  return null;
});

/** Takes the picture at the head of prints away, unless it is another by now. */
export const removeLogo = action('removeLogo', removedLogoSchema, async (member, { hash }) => {
  if ((await logoOf(db())) === hash) await saveLogo(db(), store(), member.id, null);
  refresh();
  return null;
});

/** Adds a series of piece numbers or changes one. */
export const saveSeries = action('saveSeries', savedSeriesSchema, async (member, { series, before }) => {
  await saveSeriesOf(db(), member.id, series, before);
  refresh();
  return null;
});

/** Takes a series of piece numbers away. */
export const removeSeries = action('removeSeries', removedSeriesSchema, async (member, { prefix }) => {
  await removeSeriesOf(db(), member.id, prefix);
  refresh();
  return null;
});

/** Makes the device in hand the studio's: from now on members sign in on it by their name and a PIN. */
export const makeDevice = action('makeDevice', deviceSchema, async (member, device) => {
  await addDevice(db(), member.id, device);
  const sealed = await sealedDevice();
  sealed.deviceId = device.id;
  await sealed.save();
  refresh();
  return null;
});

/** Makes a device of the studio anybody's again. */
export const removeDevice = action('removeDevice', z.object({ id: idSchema }), async (member, { id }) => {
  await endDevice(db(), member.id, id);
  refresh();
  return null;
});

/** Sets, changes or removes the member's own PIN for the studio's devices. */
export const saveOwnPin = action('saveOwnPin', ownPinSchema, async (member, typed) => {
  await savePin(db(), member.id, typed);
  refresh();
  return null;
});

/** Makes a round or a named wall a group's own, or nobody's again; a teacher for own groups. */
export const giveGroup = action('giveGroup', giveSchema, async (member, { what, id, ...given }) => {
  await refuseForeignGroup(member, given.groupId);
  await giveToGroup(db(), member.id, what, id, given);
  refresh();
  return null;
});

/** Puts back what a record was before a change. */
export const takeBack = action('takeBack', z.object({ id: idSchema }), async (member, { id }) => {
  if (!(await mayPutBack(db(), member, await changeById(db(), id))))
    throw new Refusal('', 'You can take back what you changed yourself; ask a technician.');
  await undoChange(db(), member.id, id);
  refresh();
  return null;
});

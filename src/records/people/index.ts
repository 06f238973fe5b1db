export {
  acceptInvitation,
  addInvitation,
  endInvitation,
  type Invitation,
  invitationBy,
  type InvitationDraft,
  listInvitations,
} from './invitations';
export {
  addDevice,
  checkPin,
  deviceBy,
  type DeviceName,
  deviceNames,
  endDevice,
  forgetPinTries,
  listDevices,
  savePin,
  type StudioDevice,
} from './devices';
export {
  giveToGroup,
  type Group,
  type GroupDraft,
  groupsSeenBy,
  groupThings,
  listGroups,
  openingsOf,
  saveGroup,
  setGroupEnded,
  teacherOf,
} from './groups';
export {
  type Account,
  accountOf,
  addFirstMember,
  addMember,
  changePassword,
  changeSignIn,
  checkPassword,
  hasMembers,
  hasRole,
  makersOf,
  type Member,
} from './members';
export {
  type Hints,
  hintsOf,
  logoOf,
  noteHintSeen,
  saveLogo,
  setHintsOff,
  saveOwnUnits,
  saveStudioSettings,
  settingsForAnswer,
  studioSettings,
  type StudioSettings,
  unitsFor,
} from './preferences';
export { addPasswordLink, passwordLinkBy, takePasswordLink } from './passwordLinks';
export { passwordError } from './passwords';
export {
  assignOpening,
  beyondReach,
  makersFor,
  type OpeningStudent,
  type ReachKind,
  reachedPieces,
  studentsFor,
  type Touched,
} from './reach';
export {
  addMaker,
  leaveStudio,
  listPeople,
  mergeMaker,
  type Person,
  returnToStudio,
  savePerson,
} from './roster';
export {
  dropSecondFactor,
  type FactorOffer,
  hasSecondFactor,
  offerSecondFactor,
  removeSecondFactor,
  takeCode,
  confirmSecondFactor,
} from './secondFactor';
export {
  endSessions,
  memberOfSession,
  type Session,
  sessionsOf,
  type SignedIn,
  startSession,
} from './sessions';

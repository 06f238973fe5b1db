export {
  addFirstMember,
  addMember,
  checkPassword,
  endSessions,
  hasMembers,
  makersOf,
  mayDo,
  type Member,
  memberOfSession,
  type Role,
  sessionsOf,
  startSession,
} from './members';

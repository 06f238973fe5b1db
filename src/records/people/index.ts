export {
  addFirstMember,
  addMember,
  checkPassword,
  endSessions,
  hasMembers,
  makersOf,
  hasRole,
  type Member,
  memberOfSession,
  sessionsOf,
  startSession,
} from './members';

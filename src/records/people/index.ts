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
  type Role,
  sessionsOf,
  startSession,
} from './members';

export { currentMember, memberOfPage, withMember } from './member';
export { failed, outcomeOf, type Fault, type Outcome } from './outcome';
export { sealedSession } from './session';

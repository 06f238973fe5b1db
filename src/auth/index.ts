export { action, currentMember, memberOfPage, SIGNED_OUT, withMember } from './member';
export { failed, outcomeOf, type Fault, type Outcome } from './outcome';
export { sealedSession } from './session';
export { unlessAsBefore } from './etag';

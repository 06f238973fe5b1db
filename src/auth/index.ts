export { action, currentMember, otherMemberFailure, requireMember, SIGNED_OUT, withMember } from './member';
export { failure, failureOf, type Failure, type FailureCode, type FieldError, type Outcome } from './outcome';
export { sealedSession } from './session';
export { RIGHTS, type Right, type RightName } from './rights';
export { respondWithEtag } from './etag';

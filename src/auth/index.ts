export {
  action,
  currentMember,
  otherMemberFailure,
  refuseReader,
  requireMember,
  SIGNED_OUT,
  withMember,
} from './member';
export { failure, failureOf, type Failure, type FailureCode, type FieldError, type Outcome } from './outcome';
export { sealedSession } from './session';
export { READS, RIGHTS, type Right, type RightName } from './rights';
export { respondWithEtag } from './etag';

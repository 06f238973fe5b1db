export {
  action,
  currentDevice,
  currentMember,
  otherMemberFailure,
  refuseReader,
  requireManager,
  requireMember,
  requireOwner,
  SIGNED_OUT,
  studioNow,
  withMember,
} from './member';
export { failure, failureOf, type Failure, type FailureCode, type FieldError, type Outcome } from './outcome';
export { sealedDevice, sealedSession } from './session';
export { READS, RIGHTS, type Right, type RightName } from './rights';
export { respondWithEtag } from './etag';

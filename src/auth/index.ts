export {
  action,
  currentDevice,
  currentMember,
  otherMemberFailure,
  readerUnits,
  refuseReader,
  requireMember,
  SIGNED_OUT,
  studioNow,
  withMember,
} from './member';
export { failure, failureOf, type Failure, type FailureCode, type FieldError, type Outcome } from './outcome';
export { sealedDevice, sealedSession } from './session';
export { PAGES, READS, RIGHTS, type Right, type RightName } from './rights';
export { respondWithEtag } from './etag';

export { FIRING_KINDS, FIRING_STATES, type FiringKind, type FiringState } from './kinds';
export { CONES, coneIndex, hitTarget, type Cone } from './names';
export { CONE_TABLE, TABLE_RATES } from './table';
export {
  coneAt,
  coneNamed,
  endPoint,
  isPublishedRate,
  sayCone,
  toCelsius,
  toFahrenheit,
  type ConeAt,
} from './endPoints';
export { fitConeWork, type ConeWork } from './coneWork';
export { climbTo, type Point } from './work';
export { coneEquivalents, heatWork, holdFor, peakOf, untilPeak, withHold, type HeatWork } from './heatWork';
export { meanOfSensors, readAt, tidyLog, type RawReading, type TidyLog } from './log';
export {
  misreadsInReduction,
  readPack,
  sayPack,
  usualPack,
  type PackReading,
  type WitnessCone,
} from './witness';
export {
  energyOf,
  fastestClimbs,
  faultsIn,
  plannedAt,
  plannedCurve,
  predict,
  ROOM,
  type Behind,
  type ClimbLimit,
  type Prediction,
  type Segment,
  type SegmentFault,
} from './programme';
export { coolingTime, SAFE_TO_CRACK, SAFE_TO_OPEN, type CoolingTime } from './cooling';
export {
  differenceOf,
  driftOf,
  offsetOf,
  type Drift,
  type Estimate,
  type FiringWitness,
  type PartChange,
  type Step,
} from './drift';
export { thin, type Drawn } from './thin';

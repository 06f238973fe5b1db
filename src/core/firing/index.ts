export { readBook, type BookHand, type BookLine, type FiringBook } from './book';
export { fitsNowhere, innerHeightMm, type KilnRoom } from './room';
export { alarmsOf, type Alarm, type LogLine } from './alarms';
export { monoxideShare, reductionByProbe, type ProbeReading } from './probe';
export { suggestAtmosphere, type AtmosphereFacts, type AtmosphereSuggestion } from './atmosphere';
export { coneIndex, coneNear, hitTarget, readCone, sideOfTarget } from './names';
export { CONE_TABLE, TABLE_RATES } from './table';
export {
  climbAt,
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
export { climbTo, type CurvePoint } from './work';
export {
  climbRate,
  coneEquivalents,
  heatWork,
  holdFor,
  peakOf,
  untilPeak,
  withHold,
  type HeatWork,
} from './heatWork';
export { meanOfSensors, tidyLog, type RawReading, type TidyLog } from './log';
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
  coolingOf,
  DROP,
  fastestClimbs,
  faultsIn,
  HOLD,
  plannedAt,
  plannedCurve,
  predict,
  ROOM,
  saySegments,
  type Behind,
  type ClimbLimit,
  type Cooling,
  type Prediction,
  type Segment,
  type SegmentError,
} from './programme';
export {
  coolingForecast,
  SAFE_TO_CRACK,
  type CoolingForecast,
  type CoolingPoint,
  type CoolingTime,
} from './cooling';
export {
  offsetDifference,
  driftOf,
  offsetOf,
  sayOffset,
  type Drift,
  type Estimate,
  type FiringWitness,
  type PartChange,
  type Step,
} from './drift';
export { thin, type SeriesPoint } from './thin';
export {
  guessColumns,
  readLogRows,
  TIME_FORMATS,
  type FileReading,
  type LineError,
  type LogColumns,
  type TimeFormat,
} from './logFile';
export {
  FINGER,
  footprintOf,
  freeSpot,
  isOnShelf,
  roomBetween,
  warningsOf,
  type Footprint,
  type LoadPiece,
  type LoadWarning,
  type Shelf,
  type Spot,
  type Standing,
} from './shelf';
export { pastConeWarnings, type HeatedPiece } from './pastCone';
export {
  clashesOf,
  firstSlot,
  isOpenAt,
  loadsWaiting,
  nextOpen,
  slotAt,
  USUAL_HOURS,
  WORTH_FIRING,
  type FiringNeed,
  type Queued,
  type QueueKiln,
  type QueueLoad,
  type Slot,
  type StudioHours,
} from './queue';

export * from './model';
export {
  zonesOf,
  sidesOf,
  covers,
  isOnPlaceOf,
  liesOn,
  middleOf,
  rimFirst,
  sameStack,
  EDGE_TOLERANCE,
} from './zones';
export { groundOf, groundKey, headwordKey, entryKey, type Ground, type EntryFacts } from './entry';
export { fileZones, type FiledZone, type FiredAt } from './history';
export {
  clayStateWords,
  headwordOf,
  historyWords,
  layerWords,
  placeWords,
  stackWords,
  timesWords,
  wareWords,
  whereWords,
} from './words';
export { areaOfBand, areaOfRevolution, type SizedForm } from './area';
export { twinText, type TwinCoat, type TwinFacts } from './twins';

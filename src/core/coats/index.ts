export * from './model';
export * from './plain';
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
export { groundOf, groundKey, headwordKey, entryKey, isWhole, type Ground, type EntryFacts } from './entry';
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
export { areaOfArea, areaOfBand, areaOfRevolution } from './area';
export {
  boxOfOutline,
  brushed,
  halfOutline,
  sectorOutline,
  isInside,
  outlineShare,
  widestSpot,
  type Outline,
} from './outline';
export { hasRelief, textureAt } from './texture';
export { twinText, type TwinCoat, type TwinFacts } from './twins';
export {
  ownPattern,
  patternOf,
  USUAL_PATTERNS,
  type GlazingPattern,
  type OwnPattern,
  type PatternCoat,
  type PatternGlaze,
} from './glazing';

export * from './model';
export { zonesOf, sidesOf, covers, sameStack, EDGE_TOLERANCE } from './zones';
export {
  groundOf,
  groundKey,
  headwordKey,
  entryKey,
  type Ground,
  type EntryFacts,
  type Atmosphere,
} from './entry';
export { headwordOf, stackWords, placeWords, timesWords } from './words';
export { FORMS, formShape, type Form, type FormShape } from './forms';
export { areaOfBand, areaOfRevolution, isFlat, type SizedForm } from './area';

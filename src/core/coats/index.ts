export * from './model';
export { zonesOf, sidesOf, covers, sameStack, EDGE_TOLERANCE } from './zones';
export { groundOf, groundKey, headwordKey, entryKey, type Ground, type EntryFacts } from './entry';
export { headwordOf, stackWords, placeWords, timesWords, wareWords } from './words';
export { areaOfBand, areaOfRevolution, type SizedForm } from './area';
export { twinText, type TwinFacts } from './twins';

export { CAUSES, causeOf, type Cause, type CauseId, type Cost, type Remedy } from './causes';
export { CONE_KEYS, FLAGS, INGREDIENTS, NUMBERS, WORDS, type Evidence, type Ingredient } from './evidence';
export { FINDINGS, type Finding } from './findings';
export { LINKS, PARTNERS } from './links';
export { doubt, expectedDrop, foundWords, rank, type RankedCause, type Ranking, type Reason } from './rank';
export { askNext, QUESTIONS, type Asking, type Question } from './questions';
export { evidenceOf, ingredientsOf, type RecordFacts, type RecordZone } from './record';

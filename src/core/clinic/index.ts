export { common } from './common';
export { curesOf, type Cure, type FiredAgain } from './cures';
export {
  CAUSES,
  causeOf,
  closedCauseWords,
  type Cause,
  type CauseId,
  type ClosedCause,
  type Cost,
  type Remedy,
} from './causes';
export { CONE_KEYS, FLAGS, INGREDIENTS, NUMBERS, WORDS, type Evidence, type Ingredient } from './evidence';
export { LINKS } from './links';
export { foundWords, rank, type RankedCause, type Ranking, type Reason } from './rank';
export { askNext, QUESTIONS, type RankedQuestion, type Question } from './questions';
export { evidenceOf, type RecordFacts, type RecordZone } from './record';
export { coolingBelowTop, spoken, spokenEvidence, type SpokenFacts } from './spoken';
export {
  ladderForecast,
  RISK_LIMIT,
  riskByCoats,
  riskByLayers,
  type CoatsRisk,
  type LayersRisk,
  type Risk,
  type Rung,
} from './forward';
export { ladderVerdict, type LadderVerdict, type RungOutcome } from './ladder';

export {
  levelsOf,
  bodiesVary,
  GLAZES_OF,
  isBlend,
  layOut,
  type LaidOut,
  type HandTest,
  type RoundQuestion,
} from './ask';
export {
  additionLadder,
  crazingRound,
  fourCorners,
  leftOut,
  lineBlend,
  triaxial,
  type LadderAddition,
} from './blends';
export { factorial, type FactorialFactor, type Factorial } from './factorial';
export { bestTests, provedBy, worthOf, type Candidate, type Chosen, type Proved } from './gaps';
export { clayComparison, coatsLadder, factorialRound, freeRound, overlapGrid, type FreeTest } from './layers';
export {
  everyLevel,
  targetWords,
  levelWords,
  repeated,
  textureWord,
  type Level,
  type Levels,
} from './levels';
export {
  coatsOfStack,
  dressed,
  entriesOfCell,
  entryOf,
  isPlainStack,
  PLAIN_PUT,
  placesOf,
  usualBand,
  usualPlace,
  type Pattern,
  type PatternLayer,
  type PutOn,
  type TestForm,
} from './pattern';
export { spreadTwins, type Placed, type ToPlace } from './load';
export {
  codeOf,
  MIXTURE,
  MOST_CELLS,
  MOST_LAYERS,
  type Cell,
  type CellLayer,
  type Corner,
  type FiringTarget,
  type NamedRecipe,
  type Plan,
} from './model';
export {
  gramsOfRing,
  loadsOf,
  needsOf,
  piecesOfBag,
  POROUS_DENSITY,
  stripsOfRing,
  USUAL_RING,
  type Needs,
  type Ring,
} from './needs';
export { pourPlan, SMALLEST_POUR, type CornerSlop, type PourPlan } from './pour';
export { makeAgain, type MakeAgain, type MakeLine, type ModelCoat, type WorkSheet } from './makeAgain';
export { verdictsOn, type SeenLevel, type SeenPiece, type Verdict } from './verdict';

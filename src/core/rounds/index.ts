export {
  bodiesVary,
  GLAZES_OF,
  isBlend,
  layOut,
  type LaidOut,
  type NamedRecipe,
  type RoundQuestion,
} from './ask';
export {
  additionLadder,
  crazingRound,
  fourCorners,
  lineBlend,
  triaxial,
  type LadderAddition,
} from './blends';
export { factorial, type FactorialFactor, type Factorial } from './factorial';
export { bestTests, provedBy, worthOf, type Candidate, type Chosen, type Proved } from './gaps';
export { clayComparison, coatsLadder, factorialRound, freeRound, overlapGrid, type FreeTest } from './layers';
export { spreadTwins, type Placed, type ToPlace } from './load';
export { codeOf, MOST_CELLS, type Cell, type CellLayer, type Corner, type Plan } from './model';
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
  type TileSize,
} from './needs';
export { pourPlan, SMALLEST_POUR, type CornerSlop, type PourPlan } from './pour';
export { makeAgain, type MakeAgain, type MakeLine, type ModelCoat, type WorkSheet } from './makeAgain';

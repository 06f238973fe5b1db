export { batchOf, dryPerMl, waterFor, DRY_SPECIFIC_GRAVITY, type Batch, type BatchLine } from './batch';
export { mixRecipes, triaxialCells, triaxialParts, type TriaxialCell } from './blend';
export {
  ALKALI_MOVES,
  crazingLadder,
  LADDER_COSTS,
  LADDER_STEP,
  moveAlkali,
  swapMaterial,
  type Against,
  type AlkaliMove,
  type CrazingLadder,
  type Moved,
  type Reworked,
  type LadderRung,
} from './moves';
export { baseTotal, differenceOf, normalise, type Difference } from './normalise';
export { parseRecipe, readAmount, usableLines, type ParsedLine, type ParsedRecipe } from './parse';
export {
  baseForBucket,
  baseFromWhatIsLeft,
  addToSlop,
  correctSlop,
  onTop,
  drySpecificGravity,
  type SlopCorrection,
} from './slop';
export { solveUnity, type Solution } from './solve';

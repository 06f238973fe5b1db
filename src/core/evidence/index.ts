export { bestProof, type ProofStanding } from './bestProof';
export { agreementOf, byPiece, type ByPiece, COLOUR_TOLERANCE, type Agreement, type Seen } from './agreement';
export { colourWords, describe, movementWords, showsWords, type Description } from './describe';
export {
  contrastOf,
  fisherTails,
  fisherTwoSided,
  mantelHaenszel,
  oddsInterval,
  stratifiedExact,
  stratifiedTails,
  together,
  type Contrast,
  type Table,
  type Tails,
} from './contrast';
export { shareOf, shareOverFirings, shareWords, type Proportion } from './share';
export {
  chanceOf,
  expectedByGlaze,
  ORDERS,
  watch,
  type Charted,
  type OfGlaze,
  type Rise,
  type Sample,
  type Watched,
} from './watch';
export { surprisesOf, type CameOut, type Surprise, type Usual } from './surprise';
export { type FiredZoneFacts } from './columns';
export { ANY_GLAZE, type Factor } from './factors';
export { benjaminiHochberg } from './corrected';
export { steadyChance } from './steady';
export { type Steps } from './matched';
export { experimentsInSteps, naturalExperiments, type NaturalExperiment } from './natural';
export {
  judgementOf,
  type GlazePlace,
  type JudgedZone,
  type Judgement,
  type PlaceVerdict,
  type Share,
} from './judgement';

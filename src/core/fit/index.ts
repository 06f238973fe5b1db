export {
  crazesFrom,
  fitOf,
  SHIVER_LIMIT,
  TOUGHNESS,
  VERDICTS,
  type Fit,
  type FitInput,
  type Verdict,
} from './stress';
export { bandOf, basisWords, verdictWords, type FitBand } from './band';
export { bodyFigure, type BodyFigure } from './body';
export {
  BOIL_TEST,
  calibrate,
  limitOf,
  reachOf,
  toughnessAt,
  type Calibration,
  type FitTile,
  type LearnedLimit,
} from './calibrate';
export { COAT_THICKNESS, firedThickness } from './thickness';

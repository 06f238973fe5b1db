export { fitOf, SHIVER_LIMIT, VERDICTS, type Fit, type FitInput, type Verdict } from './stress';

export { firedRungs, type FiredRung } from './ladders';
export {
  comingStacks,
  type KnownStack,
  knownStacks,
  listRounds,
  type Round,
  type RoundCell,
  type RoundPiece,
  roundPage,
  type RoundSummary,
} from './roundPages';
export { glazeCells, type RoundDraft, saveRound } from './rounds';
export { noteJob, todayIn } from './today';
export { FIRST_STEPS, type FirstStep, type FirstSteps, firstStepsOf, skipFirstStep } from './firstSteps';

export {
  comingStacks,
  glazeCells,
  type KnownStack,
  knownStacks,
  listRounds,
  type Round,
  type RoundCell,
  type RoundDraft,
  roundPage,
  type RoundSummary,
  saveRound,
} from './rounds';
export { noteJob, todayIn } from './today';

export type { CameBack, FaultBefore } from './cameBack';
export { decideForMany, type PlanForMany } from './fates';
export { type OpeningWrite, writeOpening } from './openingWrites';
export {
  type Opening,
  openingOf,
  type OpeningPiece,
  type OpeningZone,
  phrasesOf,
  type TwinZone,
} from './openings';
export { type PieceReading, type ReadingDraft, recordPiece } from './readings';
export { endRepair } from './shelfRepairs';
export { type FiringSummary, summaryOf } from './summary';

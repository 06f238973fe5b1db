export { correctStart, lightKiln, type Light, type Start } from './starts';
export { isFeedToken, renewFeed } from './calendarFeed';
export {
  advanceFiring,
  fileFiring,
  type Firing,
  firingById,
  listFirings,
  loadPieces,
  refuseBusyKiln,
  relayFiring,
  saveFiring,
  setAtmosphereReached,
  setFullness,
  unloadPiece,
} from './firings';
export { kilnHabits, type KilnHabits, kilnPage, type KilnPage, type Reached, reachedBy } from './kilnPage';
export {
  addPart,
  endPart,
  firingWithKiln,
  type Kiln,
  kilnById,
  type KilnDraft,
  listKilns,
  partsOf,
  saveKiln,
} from './kilns';
export { type ClockTime, type FiringLog, logOf } from './live';
export {
  loadedIds,
  type LoadShelf,
  loadShelves,
  type ShelfSpot,
  placePieces,
  setDue,
  setShelf,
  type ShelfPiece,
  shelfPieces,
  waitingIds,
} from './loads';
export {
  addEvent,
  addLogPoints,
  curveOf,
  addEvents,
  endEvents,
  eventsOf,
  importLog,
  type LiveSource,
  liveSources,
  recordControllerContact,
  openSource,
  type LogPoint,
  type StoredEvent,
  updateLoggedCone,
} from './logs';
export { outcomeOf, type FiringOutcome } from './outcome';
export { listProgrammes, type Programme, type ProgrammeDraft, saveProgramme } from './programmes';
export { type Booked, type Proposal, type Queue, queueOf } from './queue';
export { conesOf, rateOf, rereadCones, saveCones, type ShelfCone } from './witness';
export { savePastFiring } from './past';

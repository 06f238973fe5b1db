export { changeById, changedKinds, type ChangeFilter, latestChanges, type StudioChange } from './latest';
export { undoChange } from './putBack';

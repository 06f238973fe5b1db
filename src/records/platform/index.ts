export { cachedUntilWrite } from './cache';
export { currentRevision } from './revision';
export { connect, db, type Db, fromJson, inTransaction, newId } from './db';
export { Conflict, NotFound, nullIfNotFound, Refusal } from './errors';
export { migrate, unmigrate, unmigrateTo } from './migrate';
export {
  listSeries,
  type NumberBlock,
  removeSeriesOf,
  giveNumbersBack,
  reserveNumbers,
  saveSeriesOf,
  type Series,
  type SeriesUse,
} from './numbers';
export { saveSetting, setting } from './settings';
export { folderStore, store, type Store } from './store';
export { tablesSource } from './tablesSource';
export { log } from './log';

export { cachedUntilWrite, currentRevision } from './cache';
export { changesOf } from './changes';
export { connect, db, type Db, fromJson, newId } from './db';
export { Conflict, NotFound, nullIfNotFound, Refusal } from './errors';
export { migrate, unmigrate, unmigrateOne } from './migrate';
export { type NumberBlock, reserveNumbers } from './numbers';
export { saveSetting, setting } from './settings';
export { folderStore, store, type Store } from './store';
export { tablesSource } from './tablesSource';

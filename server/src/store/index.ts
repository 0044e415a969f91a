export { type Database, openDatabase } from './database.ts';
export { takeLock } from './lock.ts';
export { createSet, getSet, listSets, type StoreError, saveSet, setDeleted } from './sets.ts';

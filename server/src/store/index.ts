export { type Database, openDatabase } from './database.ts';
export { type Lock, type LockError, takeLock } from './lock.ts';
export { createSet, getSet, listSets, saveSet, setDeleted, type SetSummary, type StoredSet, type StoreError } from './sets.ts';

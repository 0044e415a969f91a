export { databaseIn, openDatabase } from './database.ts';
export { getRevision, listRevisions } from './history.ts';
export { takeLock } from './lock.ts';
export { getPicture, type Kept, keepPicture } from './pictures.ts';
export { forgetPreset, keepPreset, listPresets, MOST_PRESETS } from './presets.ts';
export { openServer } from './server.ts';
export { createSet, getSet, isBare, listAway, listSets, purgeAway, saveSet, setAway } from './sets.ts';
export { markOnce, openStore, type Store, type StoreError, serverStore } from './store.ts';

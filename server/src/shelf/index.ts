export { copiesIn, type Generation, isWhole, listGenerations, rowsIn, worthKeeping } from './generations.ts';
export { everything, type Restored, type RestoreError, restoreFrom } from './keep.ts';
export { addNotices, dropNotice, type Notice, readNotices } from './notices.ts';
export { type OpenedOwn, openOwn } from './openOwn.ts';
export { asideIn, begunIn, distrustIn, journalIn, type OwnPlaces, picturesOf } from './places.ts';
export { rebuildAt } from './rebuild.ts';
export { StartError, startErrorFor } from './startError.ts';

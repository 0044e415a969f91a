export { copiesIn, isWhole, listGenerations } from './generations.ts';
export { everything, type RestoreError, restoreFrom } from './keep.ts';
export { dropNotice, type Notice, readNotices } from './notices.ts';
export { openOwn } from './openOwn.ts';
export { asideIn, begunIn, distrustIn, journalIn, type OwnPlaces, picturesOf } from './places.ts';
export { rebuildAt } from './rebuild.ts';
export { StartError, startErrorFor } from './startError.ts';

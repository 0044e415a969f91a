export { createApp } from './createApp.ts';
export { type Door, makeDoor, newSalt } from './door.ts';
export { namesOf } from './guard.ts';
export { faultDetails, jsonLog, type Log, type LogEntry } from './log.ts';
export { waitAfter } from './patience.ts';
export type { ShelfDesk } from './shelf.ts';

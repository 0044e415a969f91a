export { createApp } from './createApp.ts';
export { type Door, makeDoor, newSalt, waitAfter } from './door.ts';
export { namesOf } from './guard.ts';
export { jsonLog, type Log, type LogEntry } from './log.ts';

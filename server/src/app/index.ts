export { StartError } from '../shelf/index.ts';
export { checkShelf } from './checkShelf.ts';
export { readConfig } from './config.ts';
export { keepShelf, restoreShelf } from './keepShelf.ts';
export { placesIn } from './places.ts';
export { prepare } from './prepare.ts';
export { run } from './run.ts';

export { readConfig } from './config.ts';
export { placesIn } from './places.ts';
export { prepare } from './prepare.ts';
export { run } from './run.ts';

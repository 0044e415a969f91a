export { readConfig } from './config.ts';
export { type Places, placesIn } from './places.ts';
export { prepare } from './prepare.ts';
export { run, type Running } from './run.ts';

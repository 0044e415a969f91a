export { type NestedSheet, nestFreely } from './freely.ts';
export { boundItem, inscribed } from './inscribed.ts';
export { sharings } from './share.ts';

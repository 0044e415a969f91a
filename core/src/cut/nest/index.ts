export { type NestedSheet, nestFreely } from './freely.ts';
export { type BoundView, boundViews, inscribed } from './inscribed.ts';
export { sharings } from './share.ts';

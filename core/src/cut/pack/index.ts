export type { Kind } from './construct.ts';
export type { PackItem } from './items.ts';
export { type Effort, type PackedSheet, pack } from './pack.ts';
export { laidAnew } from './relay.ts';
export type { Mode } from './space.ts';

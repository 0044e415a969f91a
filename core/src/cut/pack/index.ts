export type { Kind } from './construct.ts';
export type { PackedSheet, PackItem } from './items.ts';
export { type Effort, pack } from './pack.ts';
export { laidAnew } from './relay.ts';
export type { Mode } from './space.ts';

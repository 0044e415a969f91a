export type { Kind } from './construct.ts';
export { itemsOf, type PackedSheet, type PackItem } from './items.ts';
export { costOf, type Effort, firstAnswer, improve, tidied } from './pack.ts';
export { laidAnew } from './relay.ts';
export type { Mode } from './space.ts';

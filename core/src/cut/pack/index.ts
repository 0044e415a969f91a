export type { FilledSheet, Kind } from './construct.ts';
export { type Items, itemsOf, type PackedSheet, type PackItem } from './items.ts';
export { costOf, type Effort, firstAnswer, improve, packedOf, tidiedSheets } from './pack.ts';
export { laidAnew } from './relay.ts';
export type { Random } from './search.ts';
export type { Mode } from './space.ts';

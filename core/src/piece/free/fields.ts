import type { Field } from '../family/field.ts';
import { boardFields, size } from '../family/fields.ts';

/** What is decided about a piece of free panels; the panels themselves have a list of their own. */
export const FREE_FIELDS: readonly Field[] = [
  { path: ['width'], label: 'Room, width', group: 'size', kind: size(10, 10_000, 'width') },
  { path: ['height'], label: 'Room, height', group: 'size', kind: size(10, 10_000, 'height') },
  { path: ['depth'], label: 'Room, depth', group: 'size', kind: size(10, 10_000, 'depth') },
  ...boardFields({ first: 'the first kind', second: 'the second kind', third: 'the third kind' }),
];

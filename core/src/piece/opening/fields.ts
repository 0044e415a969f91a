import { choice, type Field } from '../family/field.ts';
import { boardFields, count, dollSize, size } from '../family/fields.ts';
import type { Opening } from './opening.ts';

const on = (form: Opening['form']): ((piece: never) => boolean) => ((piece: Opening) => piece.form === form) as (piece: never) => boolean;

const panelled = ((piece: Opening) => piece.form === 'door' && piece.panelsAcross > 0) as (piece: never) => boolean;

/** What is decided about a door or window. */
export const OPENING_FIELDS: readonly Field[] = [
  { path: ['form'], label: 'It is', group: 'shape', kind: choice(['door', 'a door'], ['window', 'a window']) },
  { path: ['width'], label: 'Opening, width', group: 'size', kind: size(50, 10_000) },
  { path: ['height'], label: 'Opening, height', group: 'size', kind: size(50, 10_000) },
  { path: ['wall'], label: 'The wall is thick', group: 'size', kind: dollSize(0.5, 60) },
  { path: ['border'], label: 'Frame strips, wide', group: 'shape', kind: size(1, 2_000) },
  { path: ['corners'], label: 'Corners', group: 'build', kind: choice('mitred', 'butted') },
  { path: ['gap'], label: 'Gap round the leaf', group: 'build', kind: dollSize(0.2, 10), when: on('door') },
  { path: ['hinge'], label: 'Hinge', group: 'fittings', kind: choice('left', 'right'), when: on('door') },
  { path: ['panelsAcross'], label: 'Raised panels across', group: 'fittings', kind: count(0, 4), when: on('door') },
  { path: ['panelsUp'], label: 'Raised panels up', group: 'fittings', kind: count(1, 6), when: panelled },
  { path: ['knob'], label: 'Knob', group: 'fittings', kind: { kind: 'yes' }, when: on('door') },
  { path: ['barsUpright'], label: 'Upright glazing bars', group: 'fittings', kind: count(0, 8), when: on('window') },
  { path: ['barsLying'], label: 'Lying glazing bars', group: 'fittings', kind: count(0, 8), when: on('window') },
  { path: ['bar'], label: 'Bars, wide', group: 'fittings', kind: size(1, 2_000), when: on('window') },
  { path: ['margin'], label: 'Clear sheet goes under by', group: 'build', kind: dollSize(0, 30), when: on('window') },
  { path: ['sill'], label: 'Sill stands out by', group: 'shape', kind: size(0, 2_000), when: on('window') },
  ...boardFields({ frame: 'frame and lining', leaf: 'the leaf', bar: 'bars and panels' }),
];

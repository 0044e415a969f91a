// Fields that every family shares.
import { isDollSize, type Measure, UM } from '../../measure/index.ts';
import { choice, type Field, type FieldKind } from './field.ts';

/** A decided size between bounds of the real thing, in millimetres. */
export const size = (leastMm: number, mostMm: number, drives?: 'width' | 'height' | 'depth'): FieldKind => ({
  kind: 'size',
  min: leastMm * UM.mm,
  max: mostMm * UM.mm,
  ...(drives && { drives }),
});

export const dollSize = (leastMm: number, mostMm: number): FieldKind => ({ kind: 'doll-size', min: leastMm * UM.mm, max: mostMm * UM.mm });

export const count = (min: number, max: number): FieldKind => ({ kind: 'count', min, max });

/** Whether a size is more than none, in whichever world it was decided. */
export const isSome = (measure: Measure): boolean => (isDollSize(measure) ? measure.doll : measure) > 0;

/** The boards of a family, role by role, and what each is glued up to. */
export const boardFields = (words: Readonly<Record<string, string>>): readonly Field[] =>
  Object.entries(words).flatMap(([role, word]): readonly Field[] => [
    { path: ['boards', role], label: `Board of ${word}`, group: 'boards', kind: { kind: 'board' } },
    { path: ['thick', role], label: `${word[0]?.toUpperCase()}${word.slice(1)} glued up to`, group: 'boards', kind: { kind: 'layers' } },
  ]);

/** Which way body heights are taken. */
export const bodyScaleField = (what: string): Field => ({
  path: ['bodyScale'],
  label: 'Heights she touches',
  group: 'build',
  kind: choice(['set', 'by the scale'], ['doll', 'by her own height']),
  hint: what,
});

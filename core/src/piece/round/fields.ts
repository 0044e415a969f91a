import type { Field } from '../family/field.ts';
import { boardFields, count, dollSize, size } from '../family/fields.ts';
import type { Section, SectionKind, Turned } from './turned.ts';

const on =
  (...kinds: readonly SectionKind[]): ((section: never) => boolean) =>
  (section: never) =>
    kinds.includes((section as Section).kind);

export const SECTION_WORDS: Readonly<Record<SectionKind, string>> = {
  disc: 'disc or ring',
  tube: 'rolled tube',
  'found tube': 'tube that was found',
  cone: 'rolled cone',
  stem: 'dowel',
  shade: 'shade round the dowel',
  rim: 'rim round the disc',
  merlons: 'battlements',
  pad: 'padding',
};

/** What is decided about a section, by what it is. */
export const SECTION_FIELDS: readonly Field[] = [
  {
    path: ['across'],
    label: 'Across',
    group: 'size',
    kind: size(1, 5_000),
    when: on('disc', 'tube', 'found tube', 'cone', 'shade', 'merlons', 'pad'),
  },
  { path: ['above'], label: 'Across above', group: 'size', kind: size(1, 5_000), when: on('cone', 'shade') },
  { path: ['hole'], label: 'Across the hole', group: 'size', kind: size(0, 5_000), when: on('disc', 'merlons') },
  { path: ['height'], label: 'Height', group: 'size', kind: size(1, 5_000) },
  { path: ['stick'], label: 'Dowel', group: 'size', kind: { kind: 'stick', only: 'round' }, when: on('stem') },
  { path: ['count'], label: 'How many', group: 'size', kind: count(2, 40), when: on('merlons') },
];

const ROLLED: readonly SectionKind[] = ['tube', 'cone', 'shade', 'rim', 'merlons'];
const rolled = (piece: never): boolean => (piece as Turned).sections.some(({ kind }) => ROLLED.includes(kind));

/** What is decided about a round thing; its sections have a list of their own. */
export const ROUND_FIELDS: readonly Field[] = [
  { path: ['lap'], label: 'Rolled ends overlap by', group: 'build', kind: dollSize(0, 30), when: rolled },
  ...boardFields({ disc: 'discs', wall: 'what is rolled' }),
];

import { choice, type Field } from '../family/field.ts';
import { boardFields, count, dollSize, size } from '../family/fields.ts';
import { CLOTH_FORMS, type ClothForm, type ClothThing, MOST_CLOTH_COPIES, SIZED } from './cloth.ts';

/** What each form is called. */
export const CLOTH_WORDS: Readonly<Record<ClothForm, string>> = {
  cushion: 'a cushion or pillow',
  'box cushion': 'a cushion with a band',
  bolster: 'a bolster',
  'seat cover': 'a cover over a seat',
  'mattress cover': 'a mattress of board and batting',
  'fitted sheet': 'a fitted sheet',
  'flat sheet': 'a sheet or spread',
  quilt: 'a quilt with stiff panels',
  comforter: 'a comforter',
  curtain: 'curtains on a rod',
  blind: 'a blind',
  rug: 'a rug or mat',
  runner: 'a runner',
  'table cloth': 'a table cloth',
  apron: 'an apron',
  bag: 'a bag or pillow case',
  towel: 'a towel',
  upholstery: 'cloth over foam',
  'pet bed': 'a bed for an animal',
  pockets: 'pockets on a backing',
};

export const CONSTRUCTION_WORDS = {
  sewn: 'sewn and turned',
  glued: 'glued, edges turned in',
  tape: 'ironed on a tape',
  felt: 'felt, edge to edge',
} as const;

const of = (piece: never): ClothThing => piece as ClothThing;
const on =
  (...forms: readonly ClothForm[]) =>
  (piece: never): boolean =>
    forms.includes(of(piece).form);
const off =
  (...forms: readonly ClothForm[]) =>
  (piece: never): boolean =>
    !forms.includes(of(piece).form);
const where =
  (forms: readonly ClothForm[], holds: (piece: ClothThing) => boolean) =>
  (piece: never): boolean =>
    forms.includes(of(piece).form) && holds(of(piece));

const HANGING = ['curtain', 'blind', 'apron', 'bag', 'pockets'] as const;
const ROUNDABLE = ['box cushion', 'seat cover', 'table cloth', 'rug'] as const;
const DROPPED = ['flat sheet', 'comforter', 'table cloth', 'runner'] as const;
const squareOnly = (piece: ClothThing): boolean => !piece.round;

/** What is closed all round, and turned or stuck together at its edges. */
const CLOSED: readonly ClothForm[] = ['cushion', 'box cushion', 'bolster', 'comforter', 'quilt', 'pet bed', 'bag', 'pockets'];
/** Of those, what still needs cloth beyond the line when it is of felt. */
const RIMMED: readonly ClothForm[] = ['cushion', 'comforter', 'quilt', 'pet bed', 'bag'];
/** What is drawn round something. */
const FITTED: readonly ClothForm[] = ['fitted sheet', 'mattress cover', 'seat cover', 'upholstery'];

const hasSeam = (piece: never): boolean => {
  const { form, way, round } = of(piece);
  if (CLOSED.includes(form)) return way !== 'felt' || RIMMED.includes(form);
  return FITTED.includes(form) ? way === 'sewn' && !(form === 'seat cover' && round) : way === 'tape';
};

const hasHem = (piece: never): boolean => {
  const { form, way, round, border } = of(piece);
  if (form === 'pockets') return true;
  if (form === 'rug' && !round && border > 0) return false;
  if (FITTED.includes(form)) return way === 'sewn';
  return form === 'bag' || !CLOSED.includes(form) ? way !== 'felt' || ['apron', 'curtain', 'towel'].includes(form) : false;
};

const FIELDS: readonly Field[] = [
  { path: ['width'], label: 'Width', group: 'size', kind: size(2, 6_000, 'width'), when: off('bolster', 'pet bed', 'curtain', 'runner') },
  { path: ['width'], label: 'Length', group: 'size', kind: size(2, 6_000, 'width'), when: on('bolster', 'runner') },
  { path: ['width'], label: 'Across', group: 'size', kind: size(2, 6_000, 'width'), when: on('pet bed') },
  { path: ['width'], label: 'Frame of the window, wide', group: 'size', kind: size(2, 6_000), when: on('curtain') },
  { path: ['depth'], label: 'Across', group: 'size', kind: size(2, 6_000, 'depth'), when: on('bolster') },
  {
    path: ['depth'],
    label: 'Front to back',
    group: 'size',
    kind: size(2, 6_000, 'depth'),
    when: (piece) => off('bolster', 'pet bed', ...HANGING)(piece) && !where(ROUNDABLE, ({ round }) => round)(piece),
  },
  { path: ['depth'], label: 'Deep, at its bottom', group: 'size', kind: size(2, 6_000, 'depth'), when: on('bag') },
  { path: ['depth'], label: 'Pockets stand out by', group: 'size', kind: size(2, 6_000), when: on('pockets') },
  { path: ['height'], label: 'Filled so thick', group: 'size', kind: size(2, 6_000, 'height'), when: on('cushion') },
  { path: ['height'], label: 'Thick', group: 'size', kind: size(2, 6_000, 'height'), when: on('box cushion', 'seat cover', 'upholstery') },
  { path: ['height'], label: 'Mattress, thick', group: 'size', kind: size(2, 6_000), when: on('fitted sheet') },
  { path: ['height'], label: 'Ring, high', group: 'size', kind: size(2, 6_000, 'height'), when: on('pet bed') },
  { path: ['height'], label: 'Length', group: 'size', kind: size(2, 6_000, 'height'), when: on('curtain', 'blind') },
  { path: ['height'], label: 'Height', group: 'size', kind: size(2, 6_000, 'height'), when: on('apron', 'bag', 'pockets') },
  { path: ['drop'], label: 'Hangs over by', group: 'size', kind: size(0, 3_000), when: on(...DROPPED) },
  { path: ['beyond'], label: 'Rod, beyond the frame', group: 'size', kind: size(0, 3_000), when: on('curtain') },
  { path: ['straps'], label: 'Handles or ties, each', group: 'size', kind: size(0, 3_000), when: on('bag', 'apron') },
  { path: ['form'], label: 'It is', group: 'shape', kind: choice(...CLOTH_FORMS.map((form) => [form, CLOTH_WORDS[form]] as const)) },
  { path: ['round'], label: 'Round', group: 'shape', kind: { kind: 'yes' }, when: on(...ROUNDABLE) },
  ...(['left', 'right', 'front', 'back'] as const).map(
    (side): Field => ({
      path: ['drops', side],
      label: side === 'back' ? 'Hangs over at the back' : side === 'front' ? 'Hangs over in front' : `Hangs over on the ${side}`,
      group: 'shape',
      kind: { kind: 'yes' },
      when: where(['flat sheet', 'comforter', 'table cloth'], squareOnly),
    }),
  ),
  {
    path: ['edge'],
    label: 'Under the seat it is',
    group: 'shape',
    kind: choice(['gathered', 'drawn together'], ['tucked', 'laid in tucks']),
    when: where(['seat cover'], ({ round }) => round),
  },
  { path: ['panels'], label: 'Stiff panels', group: 'shape', kind: count(1, 12), when: on('quilt') },
  { path: ['gap'], label: 'Gap to fold at', group: 'shape', kind: dollSize(0, 60), when: on('quilt') },
  { path: ['folded'], label: 'Folded together', group: 'shape', kind: { kind: 'yes' }, when: on('quilt') },
  { path: ['panels'], label: 'Curtains', group: 'shape', kind: count(1, 4), when: on('curtain') },
  {
    path: ['panels'],
    label: 'Tucks',
    group: 'shape',
    kind: count(4, 24),
    when: where(['seat cover'], ({ edge, round }) => edge === 'tucked' && round),
  },
  { path: ['panels'], label: 'Pockets across', group: 'shape', kind: count(1, 8), when: on('pockets') },
  { path: ['rows'], label: 'Pockets up', group: 'shape', kind: count(1, 8), when: on('pockets') },
  { path: ['rows'], label: 'Folds when it is drawn up', group: 'shape', kind: count(1, 12), when: on('blind') },
  { path: ['fullness'], label: 'Cloth to rod, per cent', group: 'shape', kind: count(60, 400), when: on('curtain') },
  {
    path: ['hang'],
    label: 'Hangs by',
    group: 'shape',
    kind: choice(['pocket', 'a pocket for the rod'], ['rings', 'rings'], ['tabs', 'loops']),
    when: on('curtain'),
  },
  { path: ['header'], label: 'Header above the rod', group: 'shape', kind: dollSize(0, 60), when: on('curtain') },
  { path: ['tied'], label: 'Tied back', group: 'shape', kind: { kind: 'yes' }, when: on('curtain') },
  { path: ['rod'], label: 'Rod', group: 'shape', kind: { kind: 'stick', only: 'round' }, when: on('curtain', 'blind') },
  { path: ['brackets'], label: 'Brackets of board', group: 'shape', kind: { kind: 'yes' }, when: on('curtain') },
  { path: ['layers'], label: 'Layers of batting', group: 'shape', kind: count(0, 8), when: on('mattress cover', 'quilt', 'comforter') },
  {
    path: ['loft'],
    label: 'One layer, pressed',
    group: 'shape',
    kind: dollSize(0.2, 30),
    when: on('mattress cover', 'quilt', 'comforter'),
  },
  {
    path: ['border'],
    label: 'Ribbon, so wide (0 for none)',
    group: 'shape',
    kind: dollSize(0, 60),
    when: on('rug', 'towel', 'table cloth', 'runner', 'flat sheet', 'curtain'),
  },
  {
    path: ['way'],
    label: 'It is made',
    group: 'build',
    kind: choice(
      ...(Object.keys(CONSTRUCTION_WORDS) as (keyof typeof CONSTRUCTION_WORDS)[]).map((way) => [way, CONSTRUCTION_WORDS[way]] as const),
    ),
  },
  { path: ['seam'], label: 'Seam allowance or flap', group: 'build', kind: dollSize(1, 30), when: hasSeam },
  { path: ['hem'], label: 'Hem, wide', group: 'build', kind: dollSize(1, 60), when: hasHem },
  {
    path: ['tuck'],
    label: 'Tucked under',
    group: 'build',
    kind: dollSize(0, 80),
    when: on('mattress cover', 'fitted sheet', 'upholstery', 'seat cover'),
  },
  { path: ['count'], label: 'How many', group: 'fittings', kind: count(1, MOST_CLOTH_COPIES) },
  ...boardFields({ panel: 'stiff panels', bracket: 'brackets' }).map((field) => ({
    ...field,
    when: field.path[1] === 'bracket' ? on('curtain') : on('quilt', 'mattress cover'),
  })),
];

/** Whether a thing takes that size from the place where it lies or hangs. */
const isTaken = (piece: ClothThing, key: string | undefined): boolean =>
  piece.on !== null && piece.fits && (SIZED[piece.form] ?? []).some((taken) => (taken === 'thick' ? 'height' : taken) === key);

/** What is decided about a thing of cloth; sizes that it takes from its place are not. */
export const CLOTH_FIELDS: readonly Field[] = FIELDS.map((field) =>
  field.group === 'size'
    ? { ...field, when: (piece: never): boolean => !isTaken(of(piece), field.path[0]) && (field.when === undefined || field.when(piece)) }
    : field,
);

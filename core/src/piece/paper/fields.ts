import { PRINT_STOCK_NAMES, PRINT_STOCKS } from '../../stock/index.ts';
import { choice, type Field } from '../family/field.ts';
import { boardFields, count, dollSize, size } from '../family/fields.ts';
import { GOOD_FORMS, type Good, type GoodForm, MOST_COPIES } from './good.ts';

/** What each form is called. */
export const FORM_WORDS: Readonly<Record<GoodForm, string>> = {
  tray: 'a tray',
  'lidded box': 'a box with a lid',
  carton: 'a carton, tucked shut',
  'flat box': 'a flat box, its lid tucked in',
  case: 'a case, its lid over the box',
  'drawer box': 'a drawer in a sleeve',
  crate: 'a crate with dividers',
  bag: 'a bag',
  parcel: 'a parcel',
  envelope: 'an envelope',
  folder: 'a folder',
  can: 'a can or jar',
  tube: 'a tube with caps',
  cone: 'a cup, shade or cone',
  pyramid: 'a pyramid',
  prism: 'a box of many sides',
  ring: 'a strip folded to a ring',
  awning: 'an awning',
  house: 'a box like a house',
  book: 'a book',
  spines: 'a row of backs of books',
  leaves: 'leaves, nested and folded',
  map: 'a sheet that folds like a map',
  sheet: 'a sheet, card or poster',
  roll: 'a roll',
  disc: 'a disc',
};

const on =
  (...forms: readonly GoodForm[]): ((piece: never) => boolean) =>
  (piece: never) =>
    forms.includes((piece as Good).form);
const off =
  (...forms: readonly GoodForm[]): ((piece: never) => boolean) =>
  (piece: never) =>
    !forms.includes((piece as Good).form);
/** Of those forms, those for which something more holds. */
const where =
  (forms: readonly GoodForm[], holds: (piece: Good) => boolean): ((piece: never) => boolean) =>
  (piece: never) =>
    forms.includes((piece as Good).form) && holds(piece as Good);

const POLYGONS = ['pyramid', 'prism', 'ring'] as const;
const ROUND = ['can', 'tube', 'roll', 'disc'] as const;
const FLAT = ['envelope', 'leaves', 'map', 'sheet', 'book'] as const;

const several = (piece: never): boolean => (piece as Good).count > 1 && (piece as Good).fills === null;
/** A row of backs of books, or several that may differ. */
const varies = (piece: never): boolean => {
  const { form, count: many, fills } = piece as Good;
  return form === 'spines' || many > 1 || fills !== null;
};
/** Something about it is drawn by lot: sizes that differ, or words of a list. */
const byChance = (piece: never): boolean => {
  const { form, vary, art } = piece as Good;
  return form === 'spines' || (varies(piece) && vary > 0) || art.some(({ words }) => /\{(?!n\})/.test(words));
};
const tabbed = (piece: never): boolean => {
  const { form, body } = piece as Good;
  return form === 'book' ? body === 'hollow' : !['disc', 'folder', 'leaves', 'map', 'pyramid', 'sheet', 'spines'].includes(form);
};

/** What is decided about a small good. */
export const GOOD_FIELDS: readonly Field[] = [
  { path: ['width'], label: 'Width', group: 'size', kind: size(2, 5_000, 'width'), when: off(...POLYGONS, ...ROUND, 'cone', 'book') },
  { path: ['width'], label: 'Width of a page', group: 'size', kind: size(2, 5_000, 'depth'), when: on('book') },
  { path: ['width'], label: 'One side', group: 'size', kind: size(2, 5_000), when: on(...POLYGONS) },
  { path: ['width'], label: 'Across', group: 'size', kind: size(2, 5_000, 'width'), when: on(...ROUND) },
  { path: ['width'], label: 'Across below', group: 'size', kind: size(2, 5_000), when: on('cone') },
  { path: ['above'], label: 'Across above', group: 'size', kind: size(0, 5_000), when: on('cone') },
  { path: ['height'], label: 'Height', group: 'size', kind: size(2, 5_000, 'height'), when: off('ring', 'disc') },
  {
    path: ['depth'],
    label: 'Depth',
    group: 'size',
    kind: size(2, 5_000, 'depth'),
    when: off('pyramid', 'prism', 'cone', 'can', 'tube', 'disc', 'roll', 'envelope', 'leaves', 'map', 'sheet', 'book', 'spines', 'folder'),
  },
  { path: ['depth'], label: 'Thick', group: 'size', kind: size(2, 5_000, 'width'), when: where(['book'], ({ body }) => body !== 'pages') },
  { path: ['depth'], label: 'Its back, wide', group: 'size', kind: size(2, 5_000), when: on('folder') },
  { path: ['depth'], label: 'The block behind, deep', group: 'size', kind: size(2, 5_000), when: on('spines') },
  { path: ['depth'], label: 'One ticket, long', group: 'size', kind: size(2, 5_000), when: on('roll') },
  { path: ['above'], label: 'One back, about so wide', group: 'size', kind: size(2, 5_000), when: on('spines') },
  {
    path: ['lid'],
    label: 'Lid or flap, deep',
    group: 'size',
    kind: size(0, 3_000),
    when: on('lidded box', 'carton', 'flat box', 'tube', 'envelope'),
  },
  { path: ['lid'], label: 'Handles above it', group: 'size', kind: size(0, 3_000), when: on('bag') },
  { path: ['lid'], label: 'Walls, up to the roof', group: 'size', kind: size(0, 3_000), when: on('house') },
  { path: ['lid'], label: 'Valance', group: 'size', kind: size(0, 3_000), when: on('awning') },
  { path: ['lid'], label: 'Tongue beyond its front', group: 'size', kind: size(0, 3_000), when: on('folder') },
  { path: ['hole'], label: 'Hole for a straw or wick', group: 'size', kind: size(0, 3_000), when: on('can') },
  { path: ['hole'], label: 'Holes for hands, wide', group: 'size', kind: size(0, 3_000), when: on('crate') },
  { path: ['hole'], label: 'Its core, across', group: 'size', kind: size(0, 3_000), when: on('roll') },
  {
    path: ['form'],
    label: 'It is',
    group: 'shape',
    kind: choice(...GOOD_FORMS.map((form) => [form, FORM_WORDS[form]] as const)),
  },
  { path: ['sides'], label: 'Sides', group: 'shape', kind: count(3, 12), when: on(...POLYGONS) },
  { path: ['across'], label: 'Fields across', group: 'shape', kind: count(1, 12), when: on('map', 'sheet', 'crate') },
  { path: ['up'], label: 'Fields up', group: 'shape', kind: count(1, 12), when: on('map', 'sheet', 'crate') },
  {
    path: ['pages'],
    label: 'Pages',
    group: 'shape',
    kind: count(1, 64),
    when: where(['leaves', 'book'], ({ form, body }) => form === 'leaves' || body === 'pages'),
  },
  {
    path: ['body'],
    label: 'Between its covers',
    group: 'shape',
    kind: choice(['hollow', 'a paper box with page edges'], ['boards', 'boards glued together'], ['pages', 'its pages']),
    when: on('book'),
  },
  { path: ['hard'], label: 'Card in the cover, paper turned in over it', group: 'shape', kind: { kind: 'yes' }, when: on('book') },
  { path: ['open'], label: 'Open', group: 'shape', kind: { kind: 'yes' }, when: on('can', 'cone', 'prism', 'envelope', 'map') },
  { path: ['lies'], label: 'It lies', group: 'shape', kind: { kind: 'yes' }, when: on(...FLAT) },
  { path: ['border'], label: 'Frame round it, wide', group: 'shape', kind: size(0, 2_000), when: where(['sheet'], ({ lies }) => !lies) },
  {
    path: ['stands'],
    label: 'Several of them',
    group: 'shape',
    kind: choice(['row', 'side by side'], ['stack', 'on one another'], ['rows', 'in rows']),
    when: several,
  },
  { path: ['vary'], label: 'No two alike: sizes differ by up to, per cent', group: 'shape', kind: count(0, 60), when: varies },
  { path: ['seed'], label: 'Chance begins with', group: 'shape', kind: count(0, 999_999), when: byChance },
  {
    path: ['on'],
    label: 'Printed on',
    group: 'build',
    kind: choice(...PRINT_STOCK_NAMES.map((stock) => [stock, `${PRINT_STOCKS[stock].name}, ${PRINT_STOCKS[stock].weight} g/m²`] as const)),
  },
  { path: ['tab'], label: 'Tabs, overlaps and turn-ins', group: 'build', kind: dollSize(1, 30), when: tabbed },
  {
    path: ['play'],
    label: 'Looser on each side by',
    group: 'build',
    kind: dollSize(0, 5),
    when: on('lidded box', 'flat box', 'case', 'drawer box', 'tube', 'book'),
  },
  {
    path: ['count'],
    label: 'How many',
    group: 'fittings',
    kind: count(1, MOST_COPIES),
    when: where(GOOD_FORMS, ({ form, fills }) => form !== 'spines' && fills === null),
  },
  ...boardFields({ block: 'blocks and backings', frame: 'frames' })
    .filter(({ path }) => path[0] === 'boards')
    .map((field) => ({ ...field, when: on('book', 'spines', 'sheet') })),
];

// What each pattern is, as data: its sizes and inks, how it repeats. How it is drawn stands in `drawings.ts`, which whoever only decides does not need.
import { from, type PatternSizes, type SurfacePattern, size } from './pattern.ts';

const BRICK = 'BS EN 771-1, usual format 215 × 102.5 × 65 mm, recalled from memory';
const JOINT = 'coursing 225 × 75 mm: joint 10 mm (BS EN 771-1 usual format, recalled from memory)';

const of = (sizes: PatternSizes, key: string): number => sizes[key] as number;
const courseOf = (sizes: PatternSizes): number => of(sizes, 'height') + of(sizes, 'joint');
const stepOf = (sizes: PatternSizes): number => of(sizes, 'length') + of(sizes, 'joint');
const everyOther = (sizes: PatternSizes) => ({ x: stepOf(sizes), y: 2 * courseOf(sizes) });
const never = () => null;

const brick = (name: string, length: string, usual: number, repeat: SurfacePattern['repeat']): SurfacePattern => ({
  made: 'areas',
  label: `brick, ${name}`,
  words: 'bricks wall',
  kind: 'wall',
  sizes: {
    length: size(length, usual, 40, 1200, BRICK),
    height: size('height of a brick', 65, 20, 600, BRICK),
    joint: size('joint', 10, 0, 60, JOINT),
  },
  inks: [
    { label: 'joints', usual: '#d9d2c5' },
    { label: 'bricks', usual: '#a5563f' },
  ],
  repeat,
  course: courseOf,
  isDirected: true,
});

const tile = (
  label: string,
  words: string,
  across: number,
  up: number,
  kind: SurfacePattern['kind'],
  repeat: SurfacePattern['repeat'],
): SurfacePattern => ({
  made: 'areas',
  label,
  words,
  kind,
  sizes: {
    length: size('tile, across', across, 10, 1200, from.handbook),
    height: size('tile, up', up, 10, 1200, from.handbook),
    joint: size('joint', 2, 0, 20),
  },
  inks: [
    { label: 'joints', usual: '#cfc9c0' },
    { label: 'tiles', usual: '#f3f1ea' },
  ],
  repeat,
  course: courseOf,
  isDirected: across !== up,
});

/** The side of a square of blocks: a whole number of widths, with their joints. */
export const blockSide = (sizes: PatternSizes): number => blocksIn(sizes) * (of(sizes, 'width') + of(sizes, 'joint'));

/** How many blocks side by side are as long as one. */
export const blocksIn = (sizes: PatternSizes): number => Math.max(2, Math.round(of(sizes, 'length') / of(sizes, 'width')));

const blocks = (label: string, words: string, course: SurfacePattern['course'], isDirected: boolean): SurfacePattern => ({
  made: 'areas',
  label,
  words,
  kind: 'floor',
  sizes: {
    width: size('block, wide', 70, 15, 400),
    length: size('block, long (a whole number of widths)', 210, 30, 1600),
    joint: size('joint', 1, 0, 20),
  },
  inks: [
    { label: 'joints', usual: '#6f5138' },
    { label: 'blocks', usual: '#b98a5a' },
  ],
  repeat: (sizes) => ({ x: 2 * blockSide(sizes), y: 2 * blockSide(sizes) }),
  course,
  isDirected,
});

type Rest = Pick<SurfacePattern, 'label' | 'words' | 'sizes' | 'inks' | 'repeat' | 'isDirected'> &
  Partial<Pick<SurfacePattern, 'kind' | 'course'>>;

const paper = (rest: Rest): SurfacePattern => ({ made: 'areas', kind: 'paper', course: null, ...rest });
const tones = (rest: Omit<Rest, 'repeat'>): SurfacePattern => ({ made: 'tones', kind: 'stone', course: null, repeat: never, ...rest });

const onGround = (label: string, usual: string) => [
  { label: 'ground', usual: '#fbf7ee' },
  { label, usual },
];
const darkAndLight = (dark: string, light: string) => [
  { label: 'dark', usual: dark },
  { label: 'light', usual: light },
];
const square = (key: string, times: number) => (sizes: PatternSizes) => ({ x: times * of(sizes, key), y: times * of(sizes, key) });

const ALL = {
  'running bond': brick('running bond', 'length of a brick', 215, everyOther),
  'stack bond': brick('stack bond', 'length of a brick', 215, (sizes) => ({ x: stepOf(sizes), y: courseOf(sizes) })),
  'header bond': brick('header bond', 'width of a header', 102.5, everyOther),
  'metro tile': tile('metro tile', 'subway kitchen bath wall', 150, 75, 'wall', everyOther),
  'square tile': tile('square tile', 'bath kitchen floor wall', 150, 150, 'floor', (sizes) => ({ x: stepOf(sizes), y: courseOf(sizes) })),
  'hexagon tile': {
    ...tile('hexagon tile', 'honeycomb bath floor', 1, 1, 'floor', (sizes) => {
      const step = of(sizes, 'side') + of(sizes, 'joint');
      return { x: step, y: step * Math.sqrt(3) };
    }),
    sizes: { side: size('tile, across flats', 100, 20, 600, from.handbook), joint: size('joint', 2, 0, 20) },
    course: null,
  },
  'chequer tile': {
    ...tile('chequer tile', 'checkerboard black white floor diner', 1, 1, 'floor', (sizes) => {
      const both = 2 * (of(sizes, 'side') + of(sizes, 'joint'));
      return { x: both, y: both };
    }),
    sizes: { side: size('tile', 300, 20, 900, from.handbook), joint: size('joint', 2, 0, 20) },
    inks: [
      { label: 'joints', usual: '#8f8a80' },
      { label: 'light tiles', usual: '#f3f1ea' },
      { label: 'dark tiles', usual: '#3a3540' },
    ],
    course: (sizes: PatternSizes) => of(sizes, 'side') + of(sizes, 'joint'),
  },
  herringbone: blocks('herringbone', 'parquet zigzag floor blocks', null, true),
  'basket weave': blocks('basket weave', 'parquet floor blocks', blockSide, false),
  planks: {
    made: 'areas',
    label: 'planks',
    words: 'floor boards wooden parquet',
    kind: 'floor',
    sizes: {
      width: size('board, wide', 120, 30, 600, from.handbook),
      length: size('board, long', 1200, 200, 6000, from.handbook),
      gap: size('gap', 2, 0, 20),
    },
    inks: [
      { label: 'gaps', usual: '#5a4231' },
      { label: 'boards', usual: '#b58a5f' },
    ],
    repeat: never,
    course: (sizes: PatternSizes) => of(sizes, 'width'),
    isDirected: true,
  },
  'tongue and groove': {
    made: 'areas',
    label: 'tongue and groove',
    words: 'beadboard boards wainscot cladding',
    kind: 'wall',
    sizes: { width: size('board, wide', 90, 20, 400), groove: size('groove', 6, 1, 40) },
    inks: [{ label: 'boards', usual: '#dfe7d3' }],
    repeat: square('width', 1),
    course: null,
    isDirected: true,
  },
  panelling: {
    made: 'areas',
    label: 'panelling',
    words: 'wainscot raised panels wall door',
    kind: 'wall',
    sizes: {
      width: size('panel, wide', 450, 100, 2000),
      height: size('panel, high', 700, 100, 3000),
      frame: size('frame between', 90, 20, 400),
      moulding: size('moulding', 18, 4, 80),
    },
    inks: [{ label: 'wood', usual: '#e9e2d2' }],
    repeat: (sizes: PatternSizes) => ({ x: of(sizes, 'width'), y: of(sizes, 'height') }),
    course: (sizes: PatternSizes) => of(sizes, 'height'),
    isDirected: true,
  },
  stripes: paper({
    label: 'stripes',
    words: 'lines wallpaper ticking',
    sizes: { wide: size('stripe', 60, 2, 1000), between: size('between', 60, 2, 1000) },
    inks: onGround('stripes', '#b7c4a6'),
    repeat: (sizes) => ({ x: of(sizes, 'wide') + of(sizes, 'between'), y: of(sizes, 'wide') + of(sizes, 'between') }),
    isDirected: true,
  }),
  gingham: paper({
    label: 'gingham',
    words: 'check cloth kitchen curtain',
    sizes: { check: size('check', 12, 2, 300) },
    inks: onGround('checks', '#b0435a'),
    repeat: square('check', 2),
    isDirected: false,
  }),
  plaid: paper({
    label: 'plaid',
    words: 'tartan check blanket cloth',
    sizes: { sett: size('repeat', 160, 20, 1000) },
    inks: [
      { label: 'ground', usual: '#e7dcc5' },
      { label: 'broad bands', usual: '#55753f' },
      { label: 'fine lines', usual: '#fbf7ee' },
      { label: 'accent', usual: '#b0435a' },
    ],
    repeat: square('sett', 1),
    isDirected: false,
  }),
  dots: paper({
    label: 'dots',
    words: 'spots polka',
    sizes: { dot: size('dot', 12, 2, 300), apart: size('apart', 36, 4, 900) },
    inks: onGround('dots', '#b0435a'),
    repeat: (sizes) => ({ x: 2 * of(sizes, 'apart'), y: of(sizes, 'apart') }),
    isDirected: false,
  }),
  sprigs: paper({
    label: 'sprigs',
    words: 'flowers floral leaves wallpaper',
    sizes: { across: size('apart, across', 110, 20, 900), up: size('apart, up', 150, 20, 900), tall: size('sprig, tall', 90, 10, 600) },
    inks: [
      { label: 'ground', usual: '#fbf7ee' },
      { label: 'leaves', usual: '#7b966a' },
      { label: 'flowers', usual: '#c9697c' },
    ],
    // Sprigs lean by chance, so that no two are quite alike.
    repeat: never,
    isDirected: true,
  }),
  damask: paper({
    label: 'damask',
    words: 'ornament wallpaper baroque',
    sizes: { across: size('repeat, across', 260, 40, 1200), up: size('repeat, up', 520, 60, 2000) },
    inks: [
      { label: 'ground', usual: '#7d8f79' },
      { label: 'ornament', usual: '#a9b89d' },
    ],
    repeat: (sizes) => ({ x: 2 * of(sizes, 'across'), y: of(sizes, 'up') }),
    isDirected: true,
  }),
  terrazzo: paper({
    label: 'terrazzo',
    words: 'stone chips floor worktop',
    kind: 'stone',
    sizes: { chip: size('chips, up to', 30, 4, 200), apart: size('apart', 26, 4, 300) },
    inks: [
      { label: 'ground', usual: '#ece6da' },
      { label: 'chips', usual: '#b98a6a' },
      { label: 'more chips', usual: '#8c9a92' },
      { label: 'few chips', usual: '#6b6278' },
    ],
    repeat: never,
    isDirected: false,
  }),
  marble: tones({
    label: 'marble',
    words: 'stone veins worktop floor',
    sizes: { vein: size('veins apart', 350, 40, 2000) },
    inks: darkAndLight('#8b8a90', '#f4f1ec'),
    isDirected: false,
  }),
  'wood grain': tones({
    label: 'wood grain',
    words: 'wooden timber veneer oak pine',
    kind: 'wood',
    sizes: { ring: size('year rings apart', 14, 2, 120), fibre: size('fibres', 3, 1, 30) },
    inks: darkAndLight('#6f4a2c', '#c79a68'),
    isDirected: true,
  }),
  stone: tones({
    label: 'stone',
    words: 'granite sandstone worktop floor',
    sizes: { grain: size('grain', 12, 2, 200) },
    inks: darkAndLight('#6d6a66', '#cbc5ba'),
    isDirected: false,
  }),
  plaster: tones({
    label: 'plaster',
    words: 'wall stucco lime',
    kind: 'wall',
    sizes: { trowel: size('stroke of the trowel', 220, 20, 1500) },
    inks: darkAndLight('#cfc3ad', '#f6efe1'),
    isDirected: false,
  }),
  cork: tones({
    label: 'cork',
    words: 'pinboard floor',
    sizes: { crumb: size('crumbs', 12, 2, 120) },
    inks: darkAndLight('#6f4d30', '#d3a878'),
    isDirected: false,
  }),
  'fabric weave': tones({
    label: 'fabric weave',
    words: 'linen cloth canvas upholstery',
    kind: 'paper',
    sizes: { thread: size('thread', 8, 1, 80) },
    inks: darkAndLight('#7c8aa0', '#c5cedb'),
    isDirected: false,
  }),
} as const satisfies Readonly<Record<string, SurfacePattern>>;

export type PatternName = keyof typeof ALL;

/** Every pattern by its name. */
export const PATTERNS: Readonly<Record<PatternName, SurfacePattern>> = ALL;

export const PATTERN_NAMES = Object.keys(ALL) as [PatternName, ...PatternName[]];

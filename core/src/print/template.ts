// µm, doll size. A template is drawn with its lower left corner at the origin.
import { bounds, isConvex, mirroredRing, type Point, type Region, type Ring, rectRing } from '../shape/index.ts';
import { type Axis, axisLine } from './axis.ts';
import { type LabelBeside, type Placer, placerFor, pointOn, type Wording, wordsBeside, wordsWithin } from './labels.ts';
import { type Drawing, line, type Mark } from './page.ts';
import { moved } from './place.ts';

/** What is printed for a part: its outline, the lines to pencil on, and what it is called. */
export type Template = {
  readonly tag: string;
  readonly name: string;
  readonly piece: string;
  readonly sizes: string;
  readonly quantity: number;
  readonly region: Region;
  readonly guides: readonly { readonly face: 'front' | 'back'; readonly region: Region; readonly glued: boolean; readonly tag: string }[];
  /** Centres of holes and pins. */
  readonly centres: readonly Point[];
  /** Lines to score and fold along, each by its two ends. */
  readonly scores: readonly (readonly [Point, Point])[];
  /** The line about which a shaped part is the same on both sides. */
  readonly axis: Axis | null;
  /** Which way grain runs on the template, when the board has one. */
  readonly grain: 'x' | 'y' | null;
};

const TAG_SIZE = 5_000;
const WORD_SIZE = 2_800;

const words = (template: Template): string =>
  `${template.name} · ${template.sizes}${template.quantity > 1 ? ` · cut ${template.quantity}` : ''}`;

/** The tag, and what else is said where there is room for it: below the tag, or beside it on a strip. */
const wordings = (template: Template): readonly Wording[] => {
  const { tag } = template;
  const said = { text: words(template), size: WORD_SIZE };
  return [
    [{ text: tag, size: TAG_SIZE }, said],
    [{ text: `${tag} · ${said.text}`, size: WORD_SIZE }],
    [{ text: tag, size: TAG_SIZE }],
    [{ text: tag, size: WORD_SIZE }],
  ];
};

const GRAIN = { reach: 4_000, head: 1_200, wide: 6_400 } as const;

/** An arrow along the grain with its word beside it. */
const grainMarks = ({ grain, region }: Template, placer: Placer): readonly Mark[] => {
  if (grain === null) return [];
  const { reach, head, wide } = GRAIN;
  const { x1, y0 } = bounds(region.outline);
  const near: Point = [x1, y0];
  // The block is as the grain runs: it is tried only that way up.
  const block = grain === 'y' ? { width: wide, height: 2 * reach } : { width: 2 * reach, height: wide };
  const spot = [true, false].map((shy) => placer.spot(region, block, shy, near)).find((found) => found?.angle === 0);
  if (!spot) return [];
  const [x, y] = spot.at;
  const on = (along: number, across: number): Point => (grain === 'y' ? [x + 1_700 + across, y + along] : [x + along, y + 1_700 + across]);
  const arrow: Ring = [
    on(reach - head, -head),
    on(reach, 0),
    on(-reach, 0),
    on(-reach + head, head),
    on(-reach, 0),
    on(reach, 0),
    on(reach - head, head),
  ];
  const at: Point = grain === 'y' ? [x - 900, y] : [x, y - 900];
  return [line('bar', arrow), { kind: 'text', text: 'grain', at, size: 2_000, anchor: 'middle', angle: grain === 'y' ? 90 : 0 }];
};

const HATCH = 4_000;

/** Where a falling diagonal x + y = at runs within rings, by the even-odd rule: its stretches from the left to the right. */
const stretchesOf = (rings: readonly Ring[], at: number): readonly (readonly [Point, Point])[] => {
  const xs = rings.flatMap((ring) =>
    ring.flatMap(([xa, ya], index) => {
      const [xb, yb] = ring[(index + 1) % ring.length] as Point;
      const [one, other] = [xa + ya - at, xb + yb - at];
      return one > 0 === other > 0 ? [] : [xa + ((xb - xa) * one) / (one - other)];
    }),
  );
  const sorted = xs.toSorted((a, b) => a - b);
  return Array.from({ length: Math.floor(sorted.length / 2) }, (_, index) => {
    const [from, to] = [sorted[2 * index] as number, sorted[2 * index + 1] as number];
    return [
      [from, at - from],
      [to, at - to],
    ] as const;
  });
};

/** A light hatch where glue goes, and nowhere else: on a plain shape one line to and fro, turning on its edges; stretch by stretch on others. */
const hatch = (region: Region): readonly Mark[] => {
  const { x0, y0, x1, y1 } = bounds(region.outline);
  if (Math.min(x1 - x0, y1 - y0) < 1_000) return [];
  const rings = [region.outline, ...region.holes];
  const diagonals = Array.from({ length: Math.floor((x1 - x0 + y1 - y0) / HATCH) }, (_, index) =>
    stretchesOf(rings, x0 + y0 + (index + 0.5) * HATCH),
  );
  if (region.holes.length > 0 || !isConvex(region.outline)) return diagonals.flat().map((ends) => line('glue', ends));
  const points = diagonals.flatMap(([ends], index) => (!ends ? [] : index % 2 === 0 ? ends : ends.toReversed()));
  return points.length < 2 ? [] : [line('glue', points)];
};

const CROSS = 1_500;

/** A small cross where a point of the compass or the drill goes. */
export const crossAt = ([x, y]: Point): readonly (readonly [Point, Point])[] => [
  [
    [x - CROSS, y],
    [x + CROSS, y],
  ],
  [
    [x, y - CROSS],
    [x, y + CROSS],
  ],
];

const centreMarks = ({ centres }: Template): readonly Mark[] => centres.flatMap(crossAt).map((ends) => line('centre', ends));

const ringsOf = ({ outline, holes }: Region): readonly Ring[] => [outline, ...holes];

const guideLines = ({ guides }: Template): readonly Mark[] =>
  guides.flatMap(({ face, region, glued }): readonly Mark[] => [
    ...ringsOf(region).map((ring) => line(face === 'front' ? 'guide' : 'guide-behind', ring, true)),
    ...(face === 'front' && glued ? hatch(region) : []),
  ]);

const GUIDE_TAG = 2_600;

/** What stands on each guide: its tag, in brackets where it is behind. Tags that find no room go beside. */
const guideTags = ({ guides }: Template, placer: Placer): { readonly marks: readonly Mark[]; readonly asides: readonly LabelBeside[] } => {
  const placed = guides
    .filter(({ tag }) => tag !== '')
    .map(({ face, region, tag }) => {
      const text = face === 'front' ? tag : `(${tag})`;
      return { text, region, marks: wordsWithin(placer, region, [[{ text, size: GUIDE_TAG }]]) };
    });
  const asides = placed.flatMap(({ text, region, marks }) => (marks ? [] : [{ text, about: pointOn(region) }]));
  // What is glued on in many narrow places is named once.
  const named = new Map(asides.map((aside) => [aside.text, aside]));
  return { marks: placed.flatMap(({ marks }) => marks ?? []), asides: [...named.values()] };
};

/** The lines that words keep off. */
const linesOf = ({ region, guides, scores, axis, centres }: Template): Parameters<typeof placerFor>[0] => {
  const { x1, y1 } = bounds(region.outline);
  return [
    ...[...guides.flatMap((guide) => ringsOf(guide.region)), ...region.holes].map((points) => ({ points, closed: true })),
    ...[...scores, ...(axis ? [axisLine(axis, x1, y1)] : [])].map((points) => ({ points, closed: false })),
    ...centres.map(([x, y]) => ({ points: rectRing(x - CROSS, y - CROSS, x + CROSS, y + CROSS), closed: true })),
  ];
};

type Labelled = { readonly marks: readonly Mark[]; readonly high: number; readonly wide: number };

/** All words of a template: tags on its guides, its own, the grain; what finds no room stands above it. */
const labelled = (template: Template, own: readonly Wording[], height: number): Labelled => {
  const placer = placerFor(linesOf(template));
  const tags = guideTags(template, placer);
  const written = wordsWithin(placer, template.region, own);
  const asides = written
    ? tags.asides
    : [...tags.asides, { text: `${template.tag} · ${words(template)}`, about: pointOn(template.region) }];
  const beside = wordsBeside(asides, height);
  return { ...beside, marks: [...tags.marks, ...(written ?? []), ...grainMarks(template, placer), ...beside.marks] };
};

/** The back of a template that shows guides of the face behind, as it is seen when the template is turned over. */
const backOf = (template: Template, width: number, height: number): Labelled | null => {
  const guides = template.guides.filter(({ face }) => face === 'back');
  if (guides.length === 0) return null;
  const over = ({ outline, holes }: Region): Region => ({
    outline: mirroredRing(outline, width),
    holes: holes.map((hole) => mirroredRing(hole, width)),
  });
  const turnedOver: Template = {
    ...template,
    region: over(template.region),
    guides: guides.map((guide) => ({ ...guide, face: 'front', region: over(guide.region) })),
    grain: null,
    axis: null,
    scores: [],
    centres: [],
  };
  const { marks, high, wide } = labelled(
    turnedOver,
    [[{ text: `${template.tag}, from behind`, size: WORD_SIZE }], [{ text: template.tag, size: WORD_SIZE }]],
    height,
  );
  return { high, wide, marks: [...guideLines(turnedOver), ...ringsOf(turnedOver.region).map((ring) => line('cut', ring, true)), ...marks] };
};

/** A template with all that is drawn on it, its lower left corner at the origin. Words that find no room on it stand above it. */
export const drawTemplate = (template: Template): Drawing => {
  const { x1: width, y1: height } = bounds(template.region.outline);
  const front = labelled(template, wordings(template), height);
  const behind = backOf(template, width, height);
  const high = Math.max(front.high, behind?.high ?? 0);
  // Words beside the back run over its right edge, which is the front's left one.
  const left = Math.max(0, (behind?.wide ?? 0) - width);
  const wide = left + Math.max(width, front.wide);
  const marks: readonly Mark[] = [
    ...guideLines(template),
    ...ringsOf(template.region).map((ring) => line('cut', ring, true)),
    ...template.scores.map((ends) => line('score', ends)),
    ...(template.axis ? [line('axis', axisLine(template.axis, width, height))] : []),
    ...centreMarks(template),
    ...front.marks,
  ];
  return {
    tag: template.tag,
    name: template.name,
    width: wide,
    height: height + high,
    ...(high === 0 && wide === width ? { outline: template.region } : {}),
    ...(behind ? { back: moved(behind.marks, wide - width - left, 0) } : {}),
    marks: left === 0 ? marks : moved(marks, left, 0),
  };
};

// µm, doll size. A template is drawn with its lower left corner at the origin.
import { bounds, mirroredRing, type Point, type Rect, type Region, type Ring } from '../shape/index.ts';
import { type Axis, axisLine } from './axis.ts';
import { type Drawing, fitText, line, type Mark, textWidth } from './page.ts';

/** What is printed for a part: its outline, the lines to pencil on, and what it is called. */
export type Template = {
  readonly tag: string;
  readonly name: string;
  readonly piece: string;
  readonly sizes: string;
  readonly quantity: number;
  readonly region: Region;
  readonly guides: readonly { readonly face: 'front' | 'back'; readonly outline: Ring; readonly tag: string }[];
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
const LEAST_SIZE = 1_300;

/** The stretches of 0 … length that none of the spans covers. */
const gaps = (spans: readonly (readonly [number, number])[], length: number): readonly (readonly [number, number])[] => {
  const free: (readonly [number, number])[] = [];
  let from = 0;
  for (const [start, end] of [...spans, [length, length] as const].sort((a, b) => a[0] - b[0])) {
    if (start > from) free.push([from, start]);
    from = Math.max(from, end);
  }
  return free;
};

/** How well a field suits two lines of words: its height counts up to a third of its width. */
const roominess = ({ x0, y0, x1, y1 }: Rect): number => Math.min(x1 - x0, 3 * (y1 - y0));

/** The roomiest field that no guide crosses, so that words do not stand on lines; the whole template when there is none.
 *  The height is cut into bands at every guide's edge, and each band's free stretches across are compared. */
const freeField = (guides: readonly Rect[], width: number, height: number): Rect => {
  const edges = [...new Set([0, height, ...guides.flatMap(({ y0, y1 }) => [y0, y1])])].sort((a, b) => a - b);
  const fields = edges.slice(1).flatMap((y1, index) => {
    const y0 = edges[index] as number;
    const crossing = guides.filter((guide) => guide.y0 < y1 && guide.y1 > y0).map((guide) => [guide.x0, guide.x1] as const);
    return gaps(crossing, width).map(([x0, x1]): Rect => ({ x0, y0, x1, y1 }));
  });
  const whole: Rect = { x0: 0, y0: 0, x1: width, y1: height };
  const best = fields.reduce((most, field) => (roominess(field) > roominess(most) ? field : most), { x0: 0, y0: 0, x1: 0, y1: 0 });
  return roominess(best) > 6 * LEAST_SIZE ? best : whole;
};

const words = (template: Template): string =>
  `${template.name} · ${template.sizes}${template.quantity > 1 ? ` · cut ${template.quantity}` : ''}`;

const block = (template: Template, { x0, y0, x1, y1 }: Rect): readonly Mark[] => {
  const [across, middle, width, height] = [(x0 + x1) / 2, (y0 + y1) / 2, x1 - x0, y1 - y0];
  const tagSize = Math.min(TAG_SIZE, height * 0.4, width * 0.3);
  const wordSize = Math.min(WORD_SIZE, height * 0.22, (width * 0.94) / Math.max(1, textWidth(words(template), 1)));
  const tag: Mark = {
    kind: 'text',
    text: template.tag,
    at: [across, middle + (wordSize < LEAST_SIZE ? 0 : tagSize * 0.35)],
    size: tagSize,
    anchor: 'middle',
    angle: 0,
  };
  if (wordSize < LEAST_SIZE) return [tag];
  return [tag, { kind: 'text', text: words(template), at: [across, middle - tagSize * 0.55], size: wordSize, anchor: 'middle', angle: 0 }];
};

/** One line of words along the longer side, for strips. */
const strip = (template: Template, { x0, y0, x1, y1 }: Rect): readonly Mark[] => {
  const upright = y1 - y0 > x1 - x0;
  const [length, across] = upright ? [y1 - y0, x1 - x0] : [x1 - x0, y1 - y0];
  const size = Math.min(WORD_SIZE, across * 0.62);
  const full = `${template.tag} · ${words(template)}`;
  const text = textWidth(full, size) <= length * 0.95 ? full : fitText(template.tag, size, length);
  return [{ kind: 'text', text, at: [(x0 + x1) / 2, (y0 + y1) / 2], size, anchor: 'middle', angle: upright ? 90 : 0 }];
};

const grainMarks = (template: Template, width: number, height: number): readonly Mark[] => {
  if (template.grain === null || Math.min(width, height) < 14_000) return [];
  const [x, y, reach, head] = [width - 5_000, 5_000, 8_000, 1_200];
  const arrow: Ring =
    template.grain === 'y'
      ? [
          [x - head, y + reach - head],
          [x, y + reach],
          [x, y],
          [x, y + reach],
          [x + head, y + reach - head],
        ]
      : [
          [x - reach + head, y + head],
          [x - reach, y],
          [x, y],
          [x - reach, y],
          [x - reach + head, y - head],
        ];
  return [
    line('bar', arrow),
    {
      kind: 'text',
      text: 'grain',
      at: [x - (template.grain === 'y' ? 2_600 : 4_000), y + (template.grain === 'y' ? 4_000 : 2_000)],
      size: 2_000,
      anchor: 'middle',
      angle: template.grain === 'y' ? 90 : 0,
    },
  ];
};

const centreOf = (ring: Ring): Point => {
  const { x0, y0, x1, y1 } = bounds(ring);
  return [(x0 + x1) / 2, (y0 + y1) / 2];
};

const HATCH = 4_000;

/** A light hatch where glue goes: one line to and fro along the falling diagonals, turning on the edges. */
const hatch = (ring: Ring): readonly Mark[] => {
  const { x0, y0, x1, y1 } = bounds(ring);
  const [width, height] = [x1 - x0, y1 - y0];
  if (Math.min(width, height) < 1_000) return [];
  const points = Array.from({ length: Math.floor((width + height) / HATCH) }, (_, index): readonly Point[] => {
    // The diagonal x + y = at, from where it leaves the lower or right edge to where it leaves the left or upper one.
    const at = (index + 0.5) * HATCH;
    const ends: readonly [Point, Point] = [
      [x0 + Math.min(at, width), y0 + Math.max(0, at - width)],
      [x0 + Math.max(0, at - height), y0 + Math.min(at, height)],
    ];
    return index % 2 === 0 ? ends : [ends[1], ends[0]];
  }).flat();
  return points.length < 2 ? [] : [line('glue', points)];
};

const CROSS = 1_500;

/** A small cross where a point of the compass or the drill goes. */
const centreMarks = ({ centres }: Template): readonly Mark[] =>
  centres.flatMap(([x, y]) => [
    line('centre', [
      [x - CROSS, y],
      [x + CROSS, y],
    ]),
    line('centre', [
      [x, y - CROSS],
      [x, y + CROSS],
    ]),
  ]);

const guideMarks = (template: Template): readonly Mark[] =>
  template.guides.flatMap(({ face, outline, tag }): Mark[] => {
    const { x0, y0, x1, y1 } = bounds(outline);
    const thin = Math.min(x1 - x0, y1 - y0);
    const size = Math.min(2_600, thin * 0.7);
    const drawn = line(face === 'front' ? 'guide' : 'guide-behind', outline, true);
    const glue = face === 'front' ? hatch(outline) : [];
    if (size < LEAST_SIZE) return [drawn, ...glue];
    const text = face === 'front' ? tag : `(${tag})`;
    return [
      drawn,
      ...glue,
      { kind: 'text', text, at: centreOf(outline), size, anchor: 'middle', angle: x1 - x0 < textWidth(text, size) ? 90 : 0 },
    ];
  });

/** The back of a template that shows guides of the face behind, as it is seen when the template is turned over. */
const backMarks = (template: Template, width: number, height: number): readonly Mark[] | null => {
  const guides = template.guides.filter(({ face }) => face === 'back');
  if (guides.length === 0) return null;
  const over = (ring: Ring): Ring => mirroredRing(ring, width);
  const turnedOver: Template = {
    ...template,
    guides: guides.map(({ outline, tag }) => ({ face: 'front', outline: over(outline), tag })),
  };
  const words = `${template.tag}, from behind`;
  return [
    ...guideMarks(turnedOver),
    ...[template.region.outline, ...template.region.holes].map((ring) => line('cut', over(ring), true)),
    {
      kind: 'text',
      text: fitText(words, Math.min(WORD_SIZE, height * 0.3), width),
      at: [width / 2, height / 2],
      size: Math.min(WORD_SIZE, height * 0.3),
      anchor: 'middle',
      angle: 0,
    },
  ];
};

/** A template with all that is drawn on it. */
export const drawTemplate = (template: Template): Drawing => {
  const { x1: width, y1: height } = bounds(template.region.outline);
  const narrow = Math.min(width, height) < 16_000;
  const behind = backMarks(template, width, height);
  const field = freeField(
    template.guides.map(({ outline }) => bounds(outline)),
    width,
    height,
  );
  return {
    tag: template.tag,
    name: template.name,
    width,
    height,
    outline: template.region,
    ...(behind ? { back: behind } : {}),
    marks: [
      ...guideMarks(template),
      line('cut', template.region.outline, true),
      ...template.region.holes.map((hole) => line('cut', hole, true)),
      ...template.scores.map((ends) => line('score', ends)),
      ...(template.axis ? [line('centre', axisLine(template.axis, width, height))] : []),
      ...centreMarks(template),
      ...(narrow ? strip(template, field) : block(template, field)),
      ...grainMarks(template, width, height),
    ],
  };
};

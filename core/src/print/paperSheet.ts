// µm on paper. A covering as it is printed: its pattern at the right place, cut lines, ticks where it is scored, and its name beside it.
import {
  type Affine,
  affineAt,
  affineOf,
  fillsOf,
  followedBy,
  inkOf,
  inverse,
  type Look,
  mainColour,
  moveBy,
  movedRegion,
  outlineOfPaper,
  PATTERNS,
  type Paper,
  picturePlacements,
  type SignLook,
  sizeOfPaper,
} from '../cover/index.ts';
import { areaOf, bounds, grown, merged, type Point, type Rect, type Region, type Ring, rectRing } from '../shape/index.ts';
import type { PrintStock } from '../stock/index.ts';
import { textWidth } from './letterWidths.ts';
import { BLEED, NAME_ROOM, nameBelow, nameFor, TICK, widthWithName } from './nameBelow.ts';
import { type Drawing, line, type Mark } from './page.ts';
import { moved } from './place.ts';

/** A paper with what it is called, what it looks like and what it is printed on. */
export type PaperSheet = {
  readonly tag: string;
  readonly name: string;
  readonly paper: Paper;
  readonly look: Look;
  readonly on: PrintStock;
  /** Printed from behind too. */
  readonly both?: boolean;
};

const ringsOf = (regions: readonly Region[]): readonly Ring[] => regions.flatMap(({ outline, holes }) => [outline, ...holes]);

/** The rectangle of the pattern that a rectangle of the paper may show. */
const windowOn = ({ x0, y0, x1, y1 }: Rect, { art }: Pick<Paper, 'art'>): Rect =>
  bounds(
    (
      [
        [x0, y0],
        [x1, y0],
        [x1, y1],
        [x0, y1],
      ] as const
    ).map((point) => moveBy(art, point)),
  );

const touches = (ring: Ring, box: Rect): boolean => {
  const { x0, y0, x1, y1 } = bounds(ring);
  return x0 < box.x1 && x1 > box.x0 && y0 < box.y1 && y1 > box.y0;
};

const signMarks = ({ lines, face, align, ink, border, width, height }: SignLook, fit: Rect, place: Affine): readonly Mark[] => {
  const [x0, y0] = [(fit.x0 + fit.x1 - width) / 2, (fit.y0 + fit.y1 - height) / 2];
  const edge = Math.min(width, height) * 0.025;
  const frame = (inset: number): Ring =>
    rectRing(x0 + inset, y0 + inset, x0 + width - inset, y0 + height - inset).map((point) => affineAt(place, point));
  const room = border ? edge * 4 : edge;
  const words: Mark = {
    kind: 'words',
    lines,
    face,
    align,
    colour: ink,
    width: width - 2 * room,
    height: height - 2 * room,
    matrix: followedBy([1, 0, 0, 1, x0 + room, y0 + room], place),
  };
  return border ? [{ kind: 'fill', colour: ink, rings: [frame(edge), frame(edge * 2)] }, words] : [words];
};

/** The art of a paper within a rectangle of it. */
export const artMarks = (paper: Pick<Paper, 'art' | 'fit'>, look: Look, box: Rect): readonly Mark[] => {
  const window = windowOn(box, paper);
  const place = inverse(paper.art);
  const fills = fillsOf(look, window);
  if (!fills) return [{ kind: 'tones', look, window, place }];
  const areas = fills.flatMap(({ colour, rings }): readonly Mark[] => {
    const here = rings.map((ring) => ring.map((point) => moveBy(place, point))).filter((ring) => touches(ring, box));
    return here.length > 0 ? [{ kind: 'fill', colour, rings: here }] : [];
  });
  const affine = affineOf(place);
  if (look.kind === 'sign') return [...areas, ...signMarks(look, paper.fit, affine)];
  if (look.kind !== 'picture') return areas;
  return [
    ...areas,
    ...picturePlacements(look, window, paper.fit).map(
      ({ matrix, clip }): Mark => ({
        kind: 'group',
        clip: [clip.map((point) => affineAt(affine, point))],
        marks: [{ kind: 'picture', picture: look.picture.id, matrix: followedBy(matrix, affine) }],
      }),
    ),
  ];
};

const tick = (from: Point, to: Point): Mark => {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const reach = Math.min(TICK, length / 3);
  return line('score', [from, [from[0] + ((to[0] - from[0]) / length) * reach, from[1] + ((to[1] - from[1]) / length) * reach]]);
};

/** Where a paper's pattern begins anew, across and up; nothing for one that lies slanted on it, or has no repeat. */
export const repeatsOf = ({ art }: Paper, look: Look): Drawing['repeats'] => {
  if (look.kind !== 'pattern') return undefined;
  const { repeat, course } = PATTERNS[look.pattern];
  const each = repeat(look.sizes);
  if (!each) return undefined;
  const rows = { x: each.x, y: course?.(look.sizes) ?? each.y };
  const { cos, sin, dx, dy } = art;
  if (Math.abs(sin) < 1e-6) return { x: { from: -dx * Math.sign(cos), step: rows.x }, y: { from: -dy * Math.sign(cos), step: rows.y } };
  if (Math.abs(cos) < 1e-6) return { x: { from: -dy * Math.sign(sin), step: rows.y }, y: { from: dx * Math.sign(sin), step: rows.x } };
  return undefined;
};

const nameOf = ({ tag, name }: PaperSheet): string => `${tag} ${name}`;

/** What a paper and its name take up. */
const outlineWithName = (sheet: PaperSheet): Region | undefined => {
  const { x1: width } = sizeOfPaper(sheet.paper);
  const { text, size } = nameFor(nameOf(sheet), width);
  const wide = textWidth(text, size);
  const raised = outlineOfPaper(sheet.paper).map((region) => movedRegion({ cos: 1, sin: 0, dx: 0, dy: NAME_ROOM }, region));
  const [whole, ...others] = merged([...raised, { outline: rectRing(0, 0, Math.round(wide), NAME_ROOM), holes: [] }]);
  return others.length === 0 ? whole : undefined;
};

/** A paper's drawing with nothing on it yet: as wide as the paper, and higher by the room for its name. */
export const plainDrawing = (sheet: PaperSheet): Drawing => {
  const { tag, name, paper, look, on } = sheet;
  const { x1: width, y1: height } = sizeOfPaper(paper);
  const lines = repeatsOf(paper, look);
  const repeats = lines && { x: lines.x, y: lines.y && { ...lines.y, from: lines.y.from + NAME_ROOM } };
  const outline = outlineWithName(sheet);
  const ink = areaOf(outlineOfPaper(paper)) * inkOf(mainColour(look));
  return {
    tag,
    name,
    width: widthWithName(nameOf(sheet), width),
    height: height + NAME_ROOM,
    marks: [],
    on,
    ink,
    ...(repeats ? { repeats } : {}),
    ...(outline ? { outline } : {}),
  };
};

/** The art of a paper as it stands on its back: it reads the same there, in register with the front, when the paper is turned over like a leaf. */
const artBehind = ({ paper, look }: PaperSheet, width: number, box: Rect): readonly Mark[] => {
  const { art, fit } = paper;
  const middle: Point = [(fit.x0 + fit.x1) / 2, (fit.y0 + fit.y1) / 2];
  const [x, y] = moveBy(inverse(art), middle);
  const turn = { cos: art.cos, sin: -art.sin, dx: 0, dy: 0 };
  const [dx, dy] = moveBy(turn, [width - x, y]);
  return artMarks({ ...paper, art: { ...turn, dx: middle[0] - dx, dy: middle[1] - dy } }, look, box);
};

/** A paper as a drawing. Shape: a paper at the origin → a drawing as wide, and higher by the room for its name. */
export const drawPaper = (sheet: PaperSheet): Drawing => {
  const { paper, look } = sheet;
  const { x1: width, y1: height } = sizeOfPaper(paper);
  const outline = outlineOfPaper(paper);
  const inked = outline.flatMap((region) => grown(region, BLEED));
  const box: Rect = { x0: -BLEED, y0: -BLEED, x1: width + BLEED, y1: height + BLEED };
  const marks: readonly Mark[] = [
    { kind: 'group', clip: ringsOf(inked), marks: artMarks(paper, look, box) },
    ...ringsOf(outline).map((ring) => line('cut', ring, true)),
    ...paper.scores.flatMap(([a, b]) => [tick(a, b), tick(b, a)]),
  ];
  const drawing = { ...plainDrawing(sheet), marks: [...moved(marks, 0, NAME_ROOM), nameBelow(nameOf(sheet), width)] };
  if (!sheet.both) return drawing;
  const clip = ringsOf(inked).map((ring) => ring.map(([x, y]): Point => [width - x, y]));
  const back: readonly Mark[] = [{ kind: 'group', clip, marks: artBehind(sheet, width, box) }];
  return { ...drawing, back: moved(back, drawing.width - width, NAME_ROOM) };
};

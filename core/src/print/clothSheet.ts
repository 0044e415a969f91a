// µm on paper. A piece of a sewing pattern at true size: where it is cut, where it is sewn and folded, notches, the opening, the grain, what is cut of it.
import { type ClothPiece, cutLineOf, edgeOfSides, edgePoints, pointAlong, type TurningGap } from '../cloth/index.ts';
import { bounds, type Point, type Ring } from '../shape/index.ts';
import { placerFor, wordsWithin } from './labels.ts';
import { fitText, textWidth } from './letterWidths.ts';
import { NAME_ROOM, nameBelow, widthWithName } from './nameBelow.ts';
import { type Drawing, line, type Mark, textBox } from './page.ts';

/** A piece of a pattern with what is written on it. */
export type ClothSheet = {
  readonly tag: string;
  readonly name: string;
  readonly piece: ClothPiece;
  readonly openings: readonly TurningGap[];
  /** How many are cut, of which cloth, and how its edges are worked. */
  readonly words: readonly string[];
};

const ALLOWED: ReadonlySet<string> = new Set(['seam', 'flap', 'hem', 'double hem', 'pocket', 'rim']);

/** Stretches of the line that are sewn, glued or folded within what is cut: runs of sides with an allowance. */
const workedLines = (piece: ClothPiece): readonly Mark[] => {
  const edges = edgeOfSides(piece);
  return piece.edges.flatMap((edge): readonly Mark[] => {
    if (edge.allow === 0 || !ALLOWED.has(edge.kind) || !edges.includes(edge)) return [];
    const points = edgePoints(piece, edge.name) as Ring;
    return [line(edge.kind === 'seam' || edge.kind === 'rim' ? 'stitch' : 'fold', points)];
  });
};

const NOTCH = 3_500;

/** A notch in the middle of every edge that is joined to another: lay notch on notch. Short edges need none. */
const notches = (piece: ClothPiece): readonly Mark[] =>
  piece.edges.flatMap((edge): readonly Mark[] => {
    if (edge.kind !== 'seam' && edge.kind !== 'flap') return [];
    const points = edgePoints(piece, edge.name);
    const long = points
      .slice(1)
      .reduce((sum, [x, y], index) => sum + Math.hypot(x - (points[index] as Point)[0], y - (points[index] as Point)[1]), 0);
    if (long < 4 * NOTCH || edge.allow < 1_500) return [];
    // What goes round is marked at its quarters.
    const shares = edge.sides > 8 ? [0, 0.25, 0.5, 0.75] : [0.5];
    return shares.map((share) => {
      const at = pointAlong(piece, edge.name, long * share);
      const near = pointAlong(piece, edge.name, Math.min(long, long * share + 50));
      const from = near[0] === at[0] && near[1] === at[1] ? pointAlong(piece, edge.name, long * share - 50) : at;
      const to = from === at ? near : at;
      const way = Math.hypot(to[0] - from[0], to[1] - from[1]) || 1;
      const [nx, ny] = [(to[1] - from[1]) / way, (from[0] - to[0]) / way];
      const inner = Math.max(0, edge.allow - NOTCH);
      return line('cut', [
        [at[0] + nx * edge.allow, at[1] + ny * edge.allow],
        [at[0] + nx * inner, at[1] + ny * inner],
      ]);
    });
  });

/** The stretch that is left open, between two ticks across the line. */
const openMarks = (piece: ClothPiece, openings: readonly TurningGap[]): readonly Mark[] =>
  openings.flatMap(({ edge, from, to }): readonly Mark[] => {
    const [a, b] = [pointAlong(piece, edge, from), pointAlong(piece, edge, to)];
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    const [nx, ny] = [(b[1] - a[1]) / long, (a[0] - b[0]) / long];
    const tick = ([x, y]: Point): Mark =>
      line('join', [
        [x - nx * 2_000, y - ny * 2_000],
        [x + nx * 2_000, y + ny * 2_000],
      ]);
    const upright = Math.abs(b[1] - a[1]) > Math.abs(b[0] - a[0]);
    const text = fitText('leave open', 2_000, long * 0.9);
    const middle: Point = [(a[0] + b[0]) / 2 - nx * 2_600, (a[1] + b[1]) / 2 - ny * 2_600];
    return [
      tick(a),
      tick(b),
      line('join', [a, b]),
      ...(textWidth('open', 2_000) < long
        ? [{ kind: 'text', text, at: middle, size: 2_000, anchor: 'middle', angle: upright ? 90 : 0 } as const]
        : []),
    ];
  });

/** An arrow along the grain, in the middle to the right. */
const grainMarks = ({ line: ring, anyWay, role }: ClothPiece): readonly Mark[] => {
  const { x0, y0, x1, y1 } = bounds(ring);
  const [width, height] = [x1 - x0, y1 - y0];
  if (anyWay || role === 'batting' || Math.min(width, height) < 14_000) return [];
  const [x, reach] = [x0 + width * 0.82, Math.min(40_000, height * 0.5)];
  const [low, high] = [(y0 + y1) / 2 - reach / 2, (y0 + y1) / 2 + reach / 2];
  const head = 1_400;
  return [
    line('bar', [
      [x - head, high - head],
      [x, high],
      [x + head, high - head],
      [x, high],
      [x, low],
      [x - head, low + head],
      [x, low],
      [x + head, low + head],
    ]),
    { kind: 'text', text: 'grain', at: [x - 1_800, (low + high) / 2], size: 2_000, anchor: 'middle', angle: 90 },
  ];
};

const WORD = 3_000;

/** What is written on a piece: all of it where it fits among what is drawn there, else its tag and name, else its tag. All of it stands below, too. */
const wordMarks = ({ tag, name, words, piece }: ClothSheet, drawn: readonly Mark[]): readonly Mark[] => {
  const placer = placerFor(drawn.flatMap((mark) => (mark.kind === 'line' ? [{ points: mark.points, closed: mark.closed }] : [])));
  for (const mark of drawn) if (mark.kind === 'text') placer.take(textBox(mark));
  const title = { text: `${tag}  ${name}`, size: WORD * 1.1 };
  const all = [title, ...words.map((text) => ({ text, size: WORD }))];
  return wordsWithin(placer, { outline: piece.line, holes: [] }, [all, [title], [{ text: tag, size: WORD * 1.1 }]]) ?? [];
};

const movedMark = (mark: Mark, dx: number, dy: number): Mark => {
  const to = ([x, y]: Point): Point => [x + dx, y + dy];
  if (mark.kind === 'line') return { ...mark, points: mark.points.map(to) };
  return mark.kind === 'text' ? { ...mark, at: to(mark.at) } : mark;
};

/** The marks of a piece in its own places, without its name below: what a page and a screen draw alike. */
export const clothMarks = (sheet: ClothSheet): readonly Mark[] => {
  const { piece, openings } = sheet;
  const drawn = [
    line('cut', cutLineOf(piece), true),
    ...workedLines(piece),
    ...piece.folds.map((fold) => line('fold', [...fold])),
    ...piece.stitches.map((stitch) => line('stitch', [...stitch])),
    ...notches(piece),
    ...openMarks(piece, openings),
    ...grainMarks(piece),
  ];
  return [...drawn, ...wordMarks(sheet, drawn)];
};

/** Draws a piece of a pattern as it is printed.
 *  Shape: a piece → a drawing, its lower left corner at the origin, its name below. Units: µm; any two points are as far apart as on the cloth. */
export const drawCloth = (sheet: ClothSheet): Drawing => {
  const cut = cutLineOf(sheet.piece);
  const { x0, y0, x1, y1 } = bounds(cut);
  const label = [`${sheet.tag} · ${sheet.name}`, ...sheet.words].join(' · ');
  return {
    tag: sheet.tag,
    name: sheet.name,
    width: widthWithName(label, x1 - x0),
    height: y1 - y0 + NAME_ROOM,
    marks: [...clothMarks(sheet).map((mark) => movedMark(mark, -x0, -y0 + NAME_ROOM)), nameBelow(label, x1 - x0)],
    on: 'plain',
  };
};

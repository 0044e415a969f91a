// µm on paper. A net as it is printed: art on each panel the right way up once it is folded, cut lines, folds, tabs, its name below.
import { type Affine, affineAt, inkOf, type Look, mainColour, type SignFace, tintOf } from '../cover/index.ts';
import type { Net, NetRing } from '../net/index.ts';
import {
  areaOf,
  asRect,
  bounds,
  grown,
  merged,
  type Point,
  type Pose,
  type Rect,
  type Region,
  type Ring,
  rectRing,
  ringArea,
  signedArea,
} from '../shape/index.ts';
import type { PrintStock } from '../stock/index.ts';
import { textWidth } from './letterWidths.ts';
import { drawMotif, type MotifName } from './motifs.ts';
import { BLEED, NAME_ROOM, nameBelow, widthWithName } from './nameBelow.ts';
import { type Drawing, LINE_HEIGHT, line, type Mark } from './page.ts';
import { type PanelFrame, panelAcross, panelsOf } from './panels.ts';
import { artMarks } from './paperSheet.ts';
import { moved } from './place.ts';
import { tabMarks } from './tabMarks.ts';

/** What is printed on a panel, in colours and doll sizes. */
export type PanelLook = {
  readonly panel: string;
  readonly across: readonly string[];
  readonly ground: string | null;
  readonly look: Look | null;
  readonly motif: MotifName | 'none';
  readonly lines: readonly string[];
  readonly face: SignFace;
  readonly align: 'left' | 'middle';
  readonly ink: string;
  /** From the foot of a line to the next; null fills the panel. */
  readonly high: number | null;
  readonly turn: 0 | 1 | 2 | 3;
};

/** A net with all that is printed on it. `ground` is what all of it is printed with; `seed` and `number` are those of the copy; `real` is how many µm at doll size a
 *  real one is. */
export type NetSheet = {
  readonly tag: string;
  readonly name: string;
  readonly net: Net;
  readonly pose: Pose;
  readonly on: PrintStock;
  readonly ground: string | null;
  readonly looks: readonly PanelLook[];
  readonly cells: readonly [across: number, up: number];
  readonly tears: readonly (readonly [Point, Point])[];
  readonly seed: number;
  readonly number: number;
  readonly real: number;
};

const whole = (ring: NetRing): Ring => {
  const rounded = ring.map(([x, y]): Point => [Math.round(x) + 0, Math.round(y) + 0]);
  return signedArea(rounded) < 0 ? rounded.toReversed() : rounded;
};

/** The rectangle that the faces of a net fill altogether, where they do: covers, leaves, maps. */
const filledBox = ({ faces, tabs }: Net): Rect | undefined => {
  if (tabs.length > 0 || faces.some(({ holes }) => holes && holes.length > 0)) return undefined;
  const box = bounds(faces.flatMap(({ outline }) => whole(outline)));
  const area = faces.reduce((sum, { outline }) => sum + ringArea(outline as Ring), 0);
  return Math.abs(area - (box.x1 - box.x0) * (box.y1 - box.y0)) < box.x1 - box.x0 ? box : undefined;
};

/** What is cut out: faces and tabs together, less the holes. */
export const outlineOfNet = (net: Net): readonly Region[] => {
  const box = filledBox(net);
  if (box) return [{ outline: rectRing(box.x0, box.y0, box.x1, box.y1), holes: [] }];
  const holes = (own: readonly NetRing[] | undefined): readonly Ring[] => (own ?? []).map((ring) => whole(ring).toReversed());
  return merged([
    ...net.faces.map((face): Region => ({ outline: whole(face.outline), holes: holes(face.holes) })),
    ...net.tabs.map(({ outline }): Region => ({ outline: whole(outline), holes: [] })),
  ]);
};

/** From a frame's own places to the net's. */
const placeOf = ({ origin, right, up }: PanelFrame): Affine => [right[0], right[1], up[0], up[1], origin[0], origin[1]];

const INK_WHITE = '#ffffff';
const CHALK = '#f4efe4';

/** White round words, as a share of the panel's shorter side. */
const AIR = 0.09;

/** Of what goes round a third is seen at once: words keep to that. */
const SIDE = 0.34;

type Box = readonly [x0: number, y0: number, x1: number, y1: number];

/** Words in a box of a frame, as large as they were told to be or as the box lets them. */
const wordsIn = (
  lines: readonly string[],
  look: Pick<PanelLook, 'face' | 'align' | 'ink' | 'high'>,
  [x0, y0, x1, y1]: Box,
  place: Affine,
): Mark => {
  const [width, room] = [x1 - x0, y1 - y0];
  const height = look.high === null ? room : Math.min(room, look.high * LINE_HEIGHT * lines.length);
  const low = (y0 + y1 - height) / 2;
  const [a, b, c, d] = place;
  const [e, f] = affineAt(place, [x0, low]);
  return { kind: 'words', lines, face: look.face, align: look.align, colour: look.ink, width, height, matrix: [a, b, c, d, e, f] };
};

/** Where words stand in a field so large: over columns, a month or staves they are a heading; of what goes round they keep to the middle. */
export const wordRoom = (motif: PanelLook['motif'], width: number, height: number, round: boolean): Box => {
  const air = Math.min(width, height) * AIR;
  const inset = motif === 'frame' ? air * 1.6 : air;
  const aside = round ? width * SIDE : inset;
  return HEADED.has(motif) ? [aside, height * 0.86, width - aside, height - air * 0.5] : [aside, inset, width - aside, height - inset];
};

const HEADED: ReadonlySet<PanelLook['motif']> = new Set(['print', 'month', 'staves']);

/** What stands in one field of a panel. */
const inField = (look: PanelLook, [x0, y0, x1, y1]: Box, place: Affine, sheet: NetSheet, seed: number, round: boolean): readonly Mark[] => {
  const marks: Mark[] = [];
  const [width, height] = [x1 - x0, y1 - y0];
  const here: Affine = [place[0], place[1], place[2], place[3], ...affineAt(place, [x0, y0])];
  if (look.motif !== 'none') {
    const { areas, words } = drawMotif(look.motif, width, height, seed, sheet.real);
    const ground = look.ground ?? sheet.ground ?? INK_WHITE;
    for (const { share, rings } of areas)
      marks.push({
        kind: 'fill',
        colour: tintOf({ ink: 0, mix: { ink: 1, share: 1 - share } }, [look.ink, ground]),
        rings: rings.map((ring) => ring.map((point) => affineAt(here, point))),
      });
    for (const { lines, face, align, box } of words) marks.push(wordsIn(lines, { face, align, ink: look.ink, high: null }, box, here));
  }
  if (look.lines.some((each) => each.trim() !== '')) {
    // On a slate one writes with chalk.
    const pen = look.motif === 'slate' ? { ...look, ink: CHALK } : look;
    marks.push(wordsIn(look.lines, pen, wordRoom(look.motif, width, height, round), here));
  }
  return marks;
};

/** A heading stands on a strip of the ground, so that what is under it does not show through. */
const bare = (look: PanelLook, frame: PanelFrame, sheet: NetSheet): readonly Mark[] => {
  if (!['print', 'staves'].includes(look.motif) || look.lines.every((each) => each.trim() === '')) return [];
  const place = placeOf(frame);
  const strip = rectRing(0, frame.height * 0.84, frame.width, frame.height).map((point) => affineAt(place, point));
  return [{ kind: 'fill', colour: look.ground ?? sheet.ground ?? INK_WHITE, rings: [strip] }];
};

/** The words that are laid on a motif as its heading come after the strip that they stand on. */
const onPanel = (look: PanelLook, frame: PanelFrame, sheet: NetSheet, nth: number): readonly Mark[] => {
  const place = placeOf(frame);
  const [across, up] = sheet.cells;
  const [w, h] = [frame.width / across, frame.height / up];
  const fields = Array.from({ length: across * up }, (_, index): readonly Mark[] => {
    const [column, row] = [index % across, up - 1 - Math.floor(index / across)];
    const lines = look.lines.map((each) => each.replaceAll('{n}', String(sheet.number * across * up + index + 1)));
    return inField(
      { ...look, lines },
      [column * w, row * h, (column + 1) * w, (row + 1) * h],
      place,
      sheet,
      sheet.seed + sheet.number + nth * 101,
      frame.round && across === 1,
    );
  });
  const marks = fields.flat();
  const strip = bare(look, frame, sheet);
  if (strip.length === 0) return marks;
  return [...marks.filter(({ kind }) => kind !== 'words'), ...strip, ...marks.filter(({ kind }) => kind === 'words')];
};

const rectOf = ({ width, height }: PanelFrame): Rect => ({ x0: 0, y0: 0, x1: width, y1: height });

/** A finish of the tray on a panel: its pattern runs as the panel stands. */
const finished = (look: Look, frame: PanelFrame): readonly Mark[] => {
  const { origin, right, up } = frame;
  const art = {
    cos: right[0],
    sin: -right[1],
    dx: -(origin[0] * right[0] + origin[1] * right[1]),
    dy: -(origin[0] * up[0] + origin[1] * up[1]),
  };
  const box = bounds(frame.rings.flat());
  return artMarks({ art, fit: rectOf(frame) }, look, { x0: box.x0 - BLEED, y0: box.y0 - BLEED, x1: box.x1 + BLEED, y1: box.y1 + BLEED });
};

const ringsOf = (regions: readonly Region[]): readonly Ring[] => regions.flatMap(({ outline, holes }) => [outline, ...holes]);

/** A face grown on all sides; rectangles, which most are, at once. */
const grownRings = (ring: NetRing, by: number): readonly Ring[] => {
  const square = asRect(whole(ring));
  if (square) return [rectRing(square.x0 - by, square.y0 - by, square.x1 + by, square.y1 + by)];
  return ringsOf(grown({ outline: whole(ring), holes: [] }, by));
};

/** All that is printed on one side of a net, in the net's own places (behind: the sheet turned over, x mirrored). */
export const netArt = (sheet: NetSheet, behind = false): readonly Mark[] => {
  const { net, pose, looks, ground } = sheet;
  const panels = panelsOf(net, pose, behind);
  const lookOn = new Map(looks.map((look) => [look.panel, look]));
  const marks: Mark[] = [];
  // Grounds first, each a little beyond its panel, so that no white shows where a fold strays; then the panels' own.
  const grounds = panels.flatMap((panel) => {
    const colour = lookOn.get(panel.name)?.ground ?? (behind ? null : ground);
    return colour !== null && colour.toLowerCase() !== INK_WHITE ? [{ panel, colour }] : [];
  });
  for (const { panel, colour } of grounds)
    for (const face of facesIn(panel)) marks.push({ kind: 'fill', colour, rings: grownRings(face, BLEED / 2) });
  for (const { panel, colour } of grounds) for (const face of facesIn(panel)) marks.push({ kind: 'fill', colour, rings: [face] });
  for (const [nth, look] of looks.entries()) {
    if (!look.look && look.motif === 'none' && look.lines.every((each) => each.trim() === '')) continue;
    const frame = panelAcross(net, pose, [look.panel, ...look.across], look.turn, behind);
    if (!frame) continue;
    const clip = frame.rings.map(whole);
    marks.push({ kind: 'group', clip, marks: [...(look.look ? finished(look.look, frame) : []), ...onPanel(look, frame, sheet, nth)] });
  }
  return marks;
};

/** Faces of a panel, without the rings of holes, which run the other way. */
const facesIn = ({ rings }: PanelFrame): readonly Ring[] => {
  const [first] = rings;
  const way = first ? Math.sign(signedArea(first as Ring)) : 1;
  return rings.filter((ring) => Math.sign(signedArea(ring as Ring)) === way) as readonly Ring[];
};

const foldMarks = ({ hinges, tabs }: Net): readonly Mark[] => [
  ...hinges.flatMap(({ from, to, angle, how }) =>
    how === 'rolled' || how === 'plain' ? [] : [line(how === 'valley' || angle < 0 ? 'valley' : 'fold', [from, to])],
  ),
  ...tabs.map(({ on }) => line('fold', [on.from, on.to])),
];

/** What a net and its name take up; nothing where that is a whole rectangle, or not in one piece. */
const outlineWithName = (cut: readonly Region[], x0: number, y0: number, wide: number): Region | undefined => {
  const [only] = cut;
  if (cut.length === 1 && only && only.holes.length === 0 && asRect(only.outline)) return undefined;
  const up = (ring: Ring): Ring => ring.map(([x, y]): Point => [x - x0, y - y0 + NAME_ROOM]);
  const raised = cut.map(({ outline, holes }): Region => ({ outline: up(outline), holes: holes.map(up) }));
  const [region, ...more] = merged([...raised, { outline: rectRing(0, 0, Math.round(wide), NAME_ROOM), holes: [] }]);
  return more.length === 0 ? region : undefined;
};

/** A net as a drawing, at the origin. Shape: a sheet → a drawing as large as the net, and higher by the room for its name; printed behind too where panels of
 *  its back have something on them. */
export const drawNet = (sheet: NetSheet): Drawing => {
  const { net, tag, name, on, looks } = sheet;
  const cut = outlineOfNet(net);
  const { x0, y0, x1, y1 } = bounds(cut.flatMap(({ outline }) => outline));
  const [width, height] = [x1 - x0, y1 - y0];
  const bled = cut.flatMap(({ outline, holes }) =>
    holes.length === 0 ? grownRings(outline, BLEED) : ringsOf(grown({ outline, holes }, BLEED)),
  );
  const art = netArt(sheet);
  const marks: readonly Mark[] = [
    ...(art.length > 0 ? [{ kind: 'group', clip: bled, marks: art } as const] : []),
    ...cut.flatMap(({ outline, holes }) => [outline, ...holes]).map((ring) => line('cut', ring, true)),
    ...foldMarks(net),
    ...sheet.tears.map((ends) => line('valley', ends)),
    ...tabMarks(net, cut),
  ];
  const printed = new Set(
    looks
      .filter(({ look, motif, ground, lines }) => look || motif !== 'none' || ground || lines.some((each) => each.trim() !== ''))
      .map(({ panel }) => panel),
  );
  const behind = net.faces.some((face) => face.behind !== undefined && printed.has(face.behind)) ? netArt(sheet, true) : [];
  const clipBehind = bled.map((ring) => ring.map(([x, y]): Point => [-x, y]));
  const called = `${tag} ${name}`;
  const wide = widthWithName(called, width);
  const outline = outlineWithName(cut, x0, y0, Math.min(wide, textWidth(called, 2_300)));
  const inked = sheet.ground
    ? areaOf(cut) * inkOf(sheet.ground)
    : looks.reduce(
        (sum, { look, ground }) =>
          sum + (look || ground ? (areaOf(cut) / Math.max(1, looks.length)) * inkOf(look ? mainColour(look) : (ground ?? INK_WHITE)) : 0),
        0,
      );
  return {
    tag,
    name,
    on,
    width: wide,
    height: height + NAME_ROOM,
    ink: inked,
    marks: [...moved(marks, -x0, NAME_ROOM - y0), nameBelow(called, width)],
    ...(outline ? { outline } : {}),
    ...(behind.length > 0 ? { back: moved([{ kind: 'group', clip: clipBehind, marks: behind }], x1 + wide - width, NAME_ROOM - y0) } : {}),
  };
};

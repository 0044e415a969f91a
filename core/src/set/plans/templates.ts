// From derived pieces to the templates that are printed.
import { boxOf, cutRegionOf, guidesOf, type Guide as Mate, type Motion, type Part, slantsOf } from '../../assembly/index.ts';
import { showLength, type Units } from '../../measure/index.ts';
import { fieldOf, onFold, printAxisOf, type Template } from '../../print/index.ts';
import {
  bounds,
  dot,
  intersection,
  mapVec,
  normalOf,
  type Point,
  type Region,
  type Ring,
  rectRing,
  signedArea,
  toPlane,
  type Vec3,
} from '../../shape/index.ts';
import { stockWords } from '../../stock/index.ts';
import type { DerivedPiece, DerivedSet, MadePiece } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';
import { slantWords } from './slantWords.ts';
import { type DrawnStick, type StickGuide, stickDrawn } from './stickMarks.ts';

type Swing = Motion & { kind: 'swing' };

const sizeText = (width: number, height: number, units: Units): string => `${showLength(width, units)} × ${showLength(height, units)}`;

const homePoint = ([x, y]: Point, x0: number, y0: number): Point => [x - x0, y - y0];
const home = (ring: Ring, x0: number, y0: number): Ring => ring.map((point) => homePoint(point, x0, y0));
const homeRegion = ({ outline, holes }: Region, x0: number, y0: number): Region => ({
  outline: home(outline, x0, y0),
  holes: holes.map((hole) => home(hole, x0, y0)),
});

const swingsOf = (made: MadePiece): readonly Swing[] => made.assembly.motions.filter((motion): motion is Swing => motion.kind === 'swing');

/** Where a door's paper hinge is glued on it: a leaf's width along its hinge edge, on the face that the axis lies on. */
const leafOn = (part: Part, swing: Swing): StickGuide | undefined => {
  if (swing.hinge.kind !== 'paper' || swing.door !== part.id) return undefined;
  const { leaf } = swing.hinge;
  const { x0, y0, x1, y1 } = bounds(part.region.outline);
  const [x, y] = toPlane(part.pose, swing.at);
  const from: Vec3 = [swing.at[0] - part.pose.origin[0], swing.at[1] - part.pose.origin[1], swing.at[2] - part.pose.origin[2]];
  const face = dot(from, normalOf(part.pose)) > part.thickness / 2 ? 'front' : 'back';
  const upright = Math.abs(dot(swing.along, part.pose.v)) > 0.5;
  const low = upright ? Math.abs(x - x0) <= Math.abs(x - x1) : Math.abs(y - y0) <= Math.abs(y - y1);
  const outline = upright
    ? rectRing(low ? x0 : x1 - leaf, y0, low ? x0 + leaf : x1, y1)
    : rectRing(x0, low ? y0 : y1 - leaf, x1, low ? y0 + leaf : y1);
  return { face, region: { outline, holes: [] }, glued: true, tag: 'hinge' };
};

/** Rounding of slanted faces, and the paper's own thickness. */
const ON_FACE = 300;

/** Where the other leaf of a door's paper hinge is glued: on the broad face beside the door that its axis lies on, away from the door. A
 *  hinge on a bare edge, as an inset door's between two sides, has no face to be drawn on. */
const leafBeside = (part: Part, swing: Swing, made: MadePiece): readonly StickGuide[] => {
  if (swing.hinge.kind !== 'paper' || part.stuff !== 'board' || swing.parts.includes(part.id)) return [];
  const { leaf, length } = swing.hinge;
  const { pose } = part;
  const from: Vec3 = [swing.at[0] - pose.origin[0], swing.at[1] - pose.origin[1], swing.at[2] - pose.origin[2]];
  const height = dot(from, normalOf(pose));
  const face = Math.abs(height) < ON_FACE ? 'back' : Math.abs(height - part.thickness) < ON_FACE ? 'front' : undefined;
  const door = made.assembly.parts.find(({ id }) => id === swing.door);
  if (!face || !door || Math.abs(dot(swing.along, normalOf(pose))) > 1e-6) return [];
  const upright = Math.abs(dot(swing.along, pose.v)) > 0.5;
  const [x, y] = toPlane(pose, swing.at);
  const run = upright ? dot(swing.along, pose.v) : dot(swing.along, pose.u);
  const [start, end] = [Math.min(0, run * length), Math.max(0, run * length)];
  const box = boxOf(door);
  const middle = toPlane(
    pose,
    mapVec(box.min, (value, axis) => (value + box.max[axis]) / 2),
  );
  const towards = upright ? middle[0] - x : middle[1] - y;
  return [1, -1].flatMap((way): readonly StickGuide[] => {
    if (way * towards > leaf) return [];
    const [near, far] = [Math.min(0, way * leaf), Math.max(0, way * leaf)];
    const outline = upright ? rectRing(x + near, y + start, x + far, y + end) : rectRing(x + start, y + near, x + end, y + far);
    const shared = intersection(part.region, { outline, holes: [] }).reduce((sum, ring) => sum + signedArea(ring), 0);
    return shared * 2 > leaf * length ? [{ face, region: { outline, holes: [] }, glued: true, tag: 'hinge' }] : [];
  });
};

/** A pin's hole is pierced in what lies just beyond the door's two ends, and begins at the door's own edges. */
const BESIDE = 6_000;

const pinsOn = (part: Part, made: MadePiece): readonly Point[] =>
  swingsOf(made).flatMap((swing): readonly Point[] => {
    if (swing.hinge.kind !== 'pins') return [];
    const axis = swing.along.findIndex((value) => Math.abs(value) === 1);
    const door = made.assembly.parts.find(({ id }) => id === swing.door);
    if (!door || axis < 0) return [];
    const { y0, y1 } = bounds(door.region.outline);
    if (part.id === door.id) {
      const [x] = toPlane(part.pose, swing.at);
      return [
        [x, y0],
        [x, y1],
      ];
    }
    if (Math.abs(normalOf(part.pose)[axis] as number) !== 1 || part.stuff !== 'board') return [];
    const [mine, its] = [boxOf(part), boxOf(door)];
    const apart = Math.max((its.min[axis] as number) - (mine.max[axis] as number), (mine.min[axis] as number) - (its.max[axis] as number));
    const at = toPlane(part.pose, swing.at);
    const box = bounds(part.region.outline);
    const inside = at[0] > box.x0 && at[0] < box.x1 && at[1] > box.y0 && at[1] < box.y1;
    return inside && apart >= 0 && apart < BESIDE ? [at] : [];
  });

/** The same with its scores: all that is drawn on a part wherever it is cut, its lower left corner at the origin. */
export type PartDrawn = DrawnStick & Pick<Template, 'scores'>;

/** What is rolled is drawn flat: what is glued to it lies elsewhere then. */
const flatDrawn = (part: Part): DrawnStick => {
  const cut = cutRegionOf(part);
  const { x0, y0 } = bounds(cut.outline);
  return { region: homeRegion(cut, x0, y0), guides: [], centres: [] };
};

const boardDrawn = (made: MadePiece, part: Part, mates: readonly Mate[]): DrawnStick => {
  if (part.flat) return flatDrawn(part);
  const cut = cutRegionOf(part);
  const { x0, y0 } = bounds(cut.outline);
  const leaves = swingsOf(made).flatMap((swing) => leafOn(part, swing) ?? leafBeside(part, swing, made));
  const guides = mates.map(({ part: other, ...guide }): StickGuide => ({ ...guide, tag: made.tags[other] ?? '' }));
  return {
    region: homeRegion(cut, x0, y0),
    guides: [...guides, ...leaves].map((guide) => ({ ...guide, region: homeRegion(guide.region, x0, y0) })),
    centres: [...part.centres, ...pinsOn(part, made)].map((point) => homePoint(point, x0, y0)),
  };
};

/** A part's scores as its template lies. */
const scoresOf = (part: Part): Template['scores'] => {
  const { x0, y0 } = bounds(cutRegionOf(part).outline);
  return (part.scores ?? []).map(([from, to]) => [homePoint(from, x0, y0), homePoint(to, x0, y0)] as const);
};

const templateOf = (
  piece: DerivedPiece,
  made: MadePiece,
  index: number,
  units: Units,
  grained: boolean,
  mates: readonly Mate[],
): readonly Template[] => {
  const part = made.assembly.parts[index] as Part;
  if (part.stuff === 'found') return [];
  const drawn = part.stuff === 'stick' ? stickDrawn(made, index, part) : boardDrawn(made, part, mates);
  const { x1, y1 } = bounds(drawn.region.outline);
  const size =
    part.length === null ? sizeText(x1, y1, units) : `${stockWords(part.stock, units)}, ${showLength(Math.round(part.length), units)} long`;
  const length = [size, ...slantWords(slantsOf(part), units)].join(' · ');
  const grain = grained && part.grain !== 'any' && part.stuff === 'board' ? part.grain : null;
  const axis = part.stuff === 'board' || part.stuff === 'clear' ? printAxisOf(drawn.region) : null;
  return [
    {
      ...drawn,
      tag: made.tags[index] ?? '',
      name: part.name,
      piece: piece.name,
      quantity: 1,
      sizes: length,
      scores: scoresOf(part),
      axis,
      grain,
    },
  ];
};

/** All that is drawn on every part that is cut from board, by its id. */
export const boardDrawings = (derived: DerivedSet): ReadonlyMap<string, PartDrawn> =>
  new Map(
    derived.pieces.flatMap(({ made }) => {
      if (!made) return [];
      const mates = guidesOf(made.assembly, made.inspection.contacts);
      return made.assembly.parts.map((part, index): [string, PartDrawn] => [
        part.id,
        { ...boardDrawn(made, part, mates[index] ?? []), scores: scoresOf(part) },
      ]);
    }),
  );

/** A door's hinge of paper: the tag of the door it holds, its length, and how wide each leaf is. */
export type PaperHinge = { readonly tag: string; readonly leaf: number; readonly length: number };

export const paperHingesOf = (made: MadePiece): readonly PaperHinge[] =>
  swingsOf(made).flatMap((swing): readonly PaperHinge[] => {
    if (swing.hinge.kind !== 'paper') return [];
    const index = made.assembly.parts.findIndex(({ id }) => id === swing.door);
    return [{ tag: made.tags[index] ?? '', leaf: swing.hinge.leaf, length: Math.round(swing.hinge.length) }];
  });

/** A strip of paper with a leaf on either side of its score, as long as the door. */
const hingeTemplates = (piece: DerivedPiece, made: MadePiece, units: Units): readonly Template[] =>
  paperHingesOf(made).map(({ tag, leaf, length }): Template => {
    const wide = 2 * leaf;
    return {
      tag,
      name: 'paper hinge',
      piece: piece.name,
      quantity: 1,
      sizes: sizeText(wide, length, units),
      region: { outline: rectRing(0, 0, wide, length), holes: [] },
      guides: [],
      centres: [],
      scores: [
        [
          [leaf, 0],
          [leaf, length],
        ],
      ],
      axis: null,
      grain: null,
    };
  });

/** Two templates look the same to eye and knife when they agree to a hundredth of a millimetre. */
const looks = ({ tag, name, region, guides, centres, scores }: Template): string =>
  // One tag is one outline, however it is turned: where nothing is drawn on it one template does for all.
  guides.length + centres.length + scores.length === 0
    ? `${tag} ${name === 'paper hinge'}`
    : JSON.stringify([tag, region, guides, centres, scores], (_, value) => (typeof value === 'number' ? Math.round(value / 10) : value));

/** Parts whose templates would look the same share one, which says how many to cut. Parts of one tag with different guide lines
 *  (a left and a right side) get one each. */
const merged = (templates: readonly Template[]): readonly Template[] => {
  const kinds = new Map<string, Template>();
  for (const template of templates) {
    const known = kinds.get(looks(template));
    const names = known?.name.split(' / ') ?? [];
    const name = names.includes(template.name) ? names.join(' / ') : [...names, template.name].join(' / ');
    kinds.set(looks(template), known ? { ...known, name, quantity: known.quantity + 1 } : template);
  }
  return [...kinds.values()];
};

/** The templates of a set, piece by piece. */
export const templatesOf = (
  document: SetDocument,
  derived: DerivedSet,
  wanted: { readonly pieces: readonly string[] | null },
): readonly Template[] => {
  const { x0, y0, x1, y1 } = fieldOf(document.printing);
  const room = { width: x1 - x0, height: y1 - y0 };
  return derived.pieces.flatMap((piece) => {
    const { made } = piece;
    if (made === null || (wanted.pieces !== null && !wanted.pieces.includes(piece.id))) return [];
    const grained = (board: string) => document.boards.find(({ id }) => id === board)?.grain === 'along';
    const mates = guidesOf(made.assembly, made.inspection.contacts);
    const parts = made.assembly.parts.flatMap((part, index) =>
      templateOf(piece, made, index, document.units, grained(part.stock), mates[index] ?? []),
    );
    return merged([...parts, ...hingeTemplates(piece, made, document.units)]).map((template) => onFold(template, room));
  });
};

// µm, doll size: lower left back corner of the room at the origin, x right, y up, z towards the viewer.
import { around, boxOf, type Part, type Role } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import { boardWithEdge, bounds, ellipseRing, mapVec, type Pose, type Ring, rectRing, type Vec3 } from '../../shape/index.ts';
import { type Means, type Sheeting, sheetsFor } from '../family/means.ts';
import type { PieceProblem } from '../family/problem.ts';
import type { Built } from '../parts/built.ts';
import { layered, type Space } from '../parts/panels.ts';
import { type Anchor, BOX, type FaceWord, FREE_ROLES, type Free, type FreePanel } from './free.ts';

const KEY = { left: 'x0', right: 'x1', bottom: 'y0', top: 'y1', back: 'z0', front: 'z1' } as const;
const AXIS = { left: 'x', right: 'x', bottom: 'y', top: 'y', back: 'z', front: 'z' } as const;

type Axis = 'x' | 'y' | 'z';
type Placed = ReadonlyMap<string, Space>;

/** Which axes a panel's thickness and its two edges run along. */
const AXES: Readonly<Record<FreePanel['facing'], readonly [thick: Axis, across: Axis, along: Axis]>> = {
  side: ['x', 'z', 'y'],
  front: ['z', 'x', 'y'],
  up: ['y', 'x', 'z'],
};

const isLow = (face: FaceWord): boolean => face === 'left' || face === 'bottom' || face === 'back';

/** Into which way free space lies from a face: in from the room's, out from a panel's. */
const outwards = ({ of, face }: Anchor): 1 | -1 => ((of === BOX) === isLow(face) ? 1 : -1);

type Where = Result<number, PieceProblem>;

const placeOf = (anchor: Anchor, axis: Axis, placed: Placed, doll: (measure: Measure) => number, name: string): Where => {
  const space = placed.get(anchor.of);
  if (!space || AXIS[anchor.face] !== axis) return err({ code: 'unknown-face', what: name, face: `${anchor.face} of ${anchor.of}` });
  return ok(space[KEY[anchor.face]] + outwards(anchor) * doll(anchor.away));
};

type Laid = { readonly space: Space; readonly slant: number };

const lay = (panel: FreePanel, placed: Placed, doll: (measure: Measure) => number, sheet: Sheeting): Result<Laid, PieceProblem> => {
  const [thick, across, along] = AXES[panel.facing];
  const found = [
    placeOf(panel.against, thick, placed, doll, panel.name),
    placeOf(panel.across.from, across, placed, doll, panel.name),
    placeOf(panel.across.to, across, placed, doll, panel.name),
    placeOf(panel.along.from, along, placed, doll, panel.name),
    placeOf(panel.along.to, along, placed, doll, panel.name),
  ];
  const failed = found.find((each) => !each.ok);
  if (failed && !failed.ok) return failed;
  const [at, fromA, toA, fromB, toB] = found.map((each) => (each.ok ? each.value : 0)) as [number, number, number, number, number];
  const [a0, a1, b0, b1] = [Math.min(fromA, toA), Math.max(fromA, toA), Math.min(fromB, toB), Math.max(fromB, toB)];
  const short = Math.min(a1 - a0, b1 - b0);
  if (short < 500) return err({ code: 'does-not-fit', what: panel.name, available: short, needed: 500 });
  const end = at + outwards(panel.against) * sheet.thickness;
  const spans = { [thick]: [Math.min(at, end), Math.max(at, end)], [across]: [a0, a1], [along]: [b0, b1] } as Record<
    Axis,
    [number, number]
  >;
  const space: Space = { x0: spans.x[0], x1: spans.x[1], y0: spans.y[0], y1: spans.y[1], z0: spans.z[0], z1: spans.z[1] };
  return ok({ space, slant: panel.facing === 'side' ? 0 : doll(panel.lean) });
};

/** The outline in the panel's own plane, so wide and so high; a slope cuts the front upper corner off, a triangle has its right angle at
 *  the back upper one. */
const outlineOf = (panel: FreePanel, width: number, height: number, rise: number): Ring => {
  const cut = Math.max(1, Math.min(rise, width - 1));
  switch (panel.outline) {
    case 'triangle':
      return [
        [width, 0],
        [width, height],
        [0, height],
      ];
    case 'slope':
      return [
        [0, 0],
        [width, 0],
        [width, height],
        [cut, height],
      ];
    case 'round':
      return ellipseRing(width / 2, height / 2, width / 2, height / 2);
    case 'whole':
      return rectRing(0, 0, width, height);
    default:
      return boardWithEdge(width, height, panel.outline, rise);
  }
};

const SHOWS = { side: 'right', front: 'front', up: 'up' } as const;
const ROLE: Readonly<Record<FreePanel['facing'], Role>> = { side: 'side', front: 'panel', up: 'shelf' };

/** A panel tilted about its lower front edge: its back face turns back by so much over its height, or its back edge rises. */
const tilted = (part: Part, { space, slant }: Laid, facing: FreePanel['facing'], below: number): Part => {
  const [high, deep] = facing === 'front' ? [space.y1 - space.y0, -slant] : [slant, -(space.z1 - space.z0)];
  const length = Math.hypot(high, deep);
  const v: Vec3 = [0, high / length, deep / length];
  const u: Vec3 = [1, 0, 0];
  // n = u × v; layers lie one on the other along it.
  const n: Vec3 = [0, -v[2], v[1]];
  const corner: Vec3 = facing === 'front' ? [space.x0, space.y0, space.z0] : [space.x0, space.y0, space.z1];
  const origin = mapVec(corner, (value, axis) => value + n[axis] * below);
  const stretch = length / (facing === 'front' ? high : -deep);
  const { y1 } = bounds(part.region.outline);
  const longer = (ring: Ring): Ring => ring.map(([x, y]) => [x, Math.round(y === y1 ? y1 * stretch : y * stretch)] as const);
  const pose: Pose = { origin, u, v };
  return { ...part, pose, region: { outline: longer(part.region.outline), holes: part.region.holes.map((hole) => [...hole]) } };
};

const panelParts = (
  panel: FreePanel,
  laid: Laid,
  piece: Free,
  sheet: Sheeting,
  doll: (measure: Measure) => number,
): Result<readonly Part[], PieceProblem> => {
  const { space } = laid;
  const [, across, along] = AXES[panel.facing];
  const [width, height] = [space[`${across}1`] - space[`${across}0`], space[`${along}1`] - space[`${along}0`]];
  const outline = outlineOf(panel, width, height, doll(panel.rise));
  const rings = panel.holes.map((hole) => ({ ...hole, x: doll(hole.across), y: doll(hole.along) }));
  const outside = rings.find(({ x, y, diameter }) => Math.min(x, width - x, y, height - y) < diameter / 2 + 500);
  if (outside)
    return err({
      code: 'does-not-fit',
      what: `a hole in ${panel.name}`,
      available: Math.round(Math.max(0, 2 * Math.min(outside.x, width - outside.x, outside.y, height - outside.y))),
      needed: outside.diameter + 1_000,
    });
  const holes = rings.map(({ x, y, diameter }) => [...ellipseRing(x, y, diameter / 2)].reverse());
  const id = `${piece.id}/${panel.id}`;
  const centres = rings.map(({ x, y }) => [x, y] as const);
  const square = layered(
    space,
    { id, role: ROLE[panel.facing], name: panel.name, shows: SHOWS[panel.facing], outline, holes, centres },
    sheet,
  );
  const parts = laid.slant > 0 ? square.map((part, layer) => tilted(part, laid, panel.facing, layer * sheet.one)) : square;
  const lamps = rings.flatMap(({ lamp }, number) =>
    lamp
      ? parts.map(
          (part, layer): Part => ({
            ...part,
            id: `${id}/lamp-${number}-${layer}`,
            role: 'light',
            name: 'lamp, found',
            stuff: 'found',
            stock: 'lamp',
            region: { outline: [...(holes[number] as Ring)].reverse(), holes: [] },
            held: 'slides',
            centres: [],
          }),
        )
      : [],
  );
  return ok([...parts, ...lamps]);
};

/** Builds a piece of free panels, each placed by the faces of those before it.
 *  Shape: piece, means → parts. Errors: 'unknown-face' for an anchor that names nothing before it, or a face that runs another way;
 *  'does-not-fit' for a panel without extent and for holes. */
export const buildFree = (piece: Free, means: Means): Result<Built, PieceProblem> => {
  const doll = (measure: Measure) => dollOf(measure, means.scale);
  const sheets = sheetsFor(piece, FREE_ROLES, means);
  const room: Space = { x0: 0, x1: doll(piece.width), y0: 0, y1: doll(piece.height), z0: 0, z1: doll(piece.depth) };
  const placed = new Map<string, Space>([[BOX, room]]);
  const parts: Part[] = [];
  for (const panel of piece.panels) {
    const sheet = sheets[panel.board];
    const laid = lay(panel, placed, doll, sheet);
    if (!laid.ok) return laid;
    const made = panelParts(panel, laid.value, piece, sheet, doll);
    if (!made.ok) return made;
    placed.set(panel.id, laid.value.space);
    parts.push(...made.value);
  }
  const outside = around(parts.map(boxOf));
  const clear = { min: [0, 0, 0], max: [0, 0, 0] } as const;
  return ok({ assembly: { parts, outside, clear, motions: [] }, bays: [], openings: [], marks: [] });
};

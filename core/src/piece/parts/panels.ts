// µm, doll size. Panels square to the axes, each with its shown face where the maker's pencil goes: sides and dividers show
// their right or inner face, shelves their top, backs and doors their front.
import type { Part, Role } from '../../assembly/index.ts';
import { type Point, type Pose, type Ring, rectRing } from '../../shape/index.ts';
import { CLEAR_SHEET, STICKS, type Stick, type StickName } from '../../stock/index.ts';
import type { Sheeting } from '../family/means.ts';

/** A stretch of space, by its least and greatest corner. */
export type Space = {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
  readonly z0: number;
  readonly z1: number;
};

export type Facing = 'left' | 'right' | 'up' | 'down' | 'front';

/** What a panel is, beside where it stands. */
export type PanelKind = {
  readonly id: string;
  readonly role: Role;
  readonly name: string;
  readonly shows: Facing;
  readonly held?: Part['held'];
  /** An outline other than the whole rectangle, and holes; in the panel's own plane, its lower left corner at the origin. */
  readonly outline?: Ring;
  readonly holes?: readonly Ring[];
  readonly centres?: readonly Point[];
};

type Lying = { readonly pose: Pose; readonly across: number; readonly along: number; readonly thickness: number };

const lay = (space: Space, shows: Facing): Lying => {
  const { x0, x1, y0, y1, z0, z1 } = space;
  const [width, height, depth] = [x1 - x0, y1 - y0, z1 - z0];
  switch (shows) {
    case 'right':
      return { pose: { origin: [x0, y0, z1], u: [0, 0, -1], v: [0, 1, 0] }, across: depth, along: height, thickness: width };
    case 'left':
      return { pose: { origin: [x1, y0, z0], u: [0, 0, 1], v: [0, 1, 0] }, across: depth, along: height, thickness: width };
    case 'up':
      return { pose: { origin: [x0, y0, z1], u: [1, 0, 0], v: [0, 0, -1] }, across: width, along: depth, thickness: height };
    case 'down':
      return { pose: { origin: [x0, y1, z0], u: [1, 0, 0], v: [0, 0, 1] }, across: width, along: depth, thickness: height };
    case 'front':
      return { pose: { origin: [x0, y0, z0], u: [1, 0, 0], v: [0, 1, 0] }, across: width, along: height, thickness: depth };
  }
};

type Made = Pick<Part, 'stuff' | 'stock' | 'length'>;

const partIn = (space: Space, kind: PanelKind, made: Made): Part => {
  const { pose, across, along, thickness } = lay(space, kind.shows);
  const lies = kind.shows === 'up' || kind.shows === 'down' || kind.role === 'plinth' || kind.role === 'rail';
  return {
    stuff: made.stuff,
    stock: made.stock,
    length: made.length,
    id: kind.id,
    role: kind.role,
    name: kind.name,
    thickness,
    pose,
    region: { outline: kind.outline ?? rectRing(0, 0, across, along), holes: kind.holes ?? [] },
    grain: lies ? 'x' : 'y',
    held: kind.held ?? 'glue',
    centres: kind.centres ?? [],
  };
};

/** A panel that fills a space exactly, as a part of one board. Grain runs upright in standing panels, along the width in lying ones. */
export const panel = (space: Space, kind: PanelKind, board: string): Part =>
  partIn(space, kind, { stuff: 'board', stock: board, length: null });

const AXIS = { right: 'x', left: 'x', up: 'y', down: 'y', front: 'z' } as const;

/** A space cut into equal layers along the way a panel shows, from its hidden face to its shown one. */
const layersOf = (space: Space, shows: Facing, layers: number): readonly Space[] => {
  const axis = AXIS[shows];
  const [low, high] = [`${axis}0`, `${axis}1`] as ['x0', 'x1'];
  const each = (space[high] - space[low]) / layers;
  const backwards = shows === 'left' || shows === 'down';
  return Array.from({ length: layers }, (_, index) => {
    const number = backwards ? layers - 1 - index : index;
    return { ...space, [low]: space[low] + number * each, [high]: space[low] + (number + 1) * each };
  });
};

/** A panel in as many layers as its board is glued up to; the last part is the one that shows. */
export const layered = (space: Space, kind: PanelKind, sheeting: Sheeting): readonly Part[] =>
  sheeting.layers === 1
    ? [panel(space, kind, sheeting.board)]
    : layersOf(space, kind.shows, sheeting.layers).map((layer, index) =>
        panel(layer, { ...kind, id: `${kind.id}~${index + 1}`, name: `${kind.name}, layer ${index + 1}` }, sheeting.board),
      );

/** A sheet of clear plastic that fills a space. */
export const clearPane = (space: Space, kind: PanelKind): Part =>
  partIn(space, kind, { stuff: 'clear', stock: CLEAR_SHEET.name, length: null });

/** Something found that is not cut: it only takes its place. */
export const foundThing = (space: Space, kind: PanelKind, what: string): Part =>
  partIn(space, kind, { stuff: 'found', stock: what, length: null });

const longest = ({ x0, x1, y0, y1, z0, z1 }: Space): number => Math.max(x1 - x0, y1 - y0, z1 - z0);

/** A flat or square stick that fills a space; its length is the space's longest side. */
export const stickIn = (space: Space, kind: PanelKind, stick: StickName): Part =>
  partIn(space, kind, { stuff: 'stick', stock: stick, length: longest(space) });

/** A thing with a round section that stands along x, y or z in the middle of a space: dowels, discs, feet. `ring` is its section. */
export const roundIn = (space: Space, kind: PanelKind, ring: Ring, made: Made): Part => partIn(space, { ...kind, outline: ring }, made);

/** The section of a stick. */
export const sectionOf = (stick: StickName): Stick => STICKS[stick];

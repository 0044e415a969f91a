// µm, doll size. Panels square to the axes, each with its shown face where the maker's pencil goes: sides and dividers show
// their right or inner face, shelves their top, backs and doors their front.
import type { Part, Role } from '../assembly/index.ts';
import { type Pose, rectRing } from '../shape/index.ts';

/** A stretch of space, by its least and greatest corner. */
export type Space = {
  readonly x0: number;
  readonly x1: number;
  readonly y0: number;
  readonly y1: number;
  readonly z0: number;
  readonly z1: number;
};

type Facing = 'left' | 'right' | 'up' | 'down' | 'front';

/** What a panel is, beside where it stands. */
export type PanelKind = {
  readonly id: string;
  readonly role: Role;
  readonly name: string;
  readonly board: string;
  readonly shows: Facing;
  readonly held?: Part['held'];
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

/** A panel that fills a space exactly, as a part. Grain runs upright in standing panels, along the width in lying ones. */
export const panel = (space: Space, kind: PanelKind): Part => {
  const { pose, across, along, thickness } = lay(space, kind.shows);
  const lies = kind.shows === 'up' || kind.shows === 'down' || kind.role === 'plinth';
  return {
    id: kind.id,
    role: kind.role,
    name: kind.name,
    board: kind.board,
    thickness,
    pose,
    region: { outline: rectRing(0, 0, across, along), holes: [] },
    grain: lies ? 'x' : 'y',
    held: kind.held ?? 'glue',
  };
};

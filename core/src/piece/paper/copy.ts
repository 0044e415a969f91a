// µm, doll size. One copy of a small good: its nets, where each begins to stand, what space it takes. x right, y up, z towards the viewer, its lower left back
// corner at the origin.
import type { Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { type Net, rect } from '../../net/index.ts';
import type { Point, Pose, Region, Vec3 } from '../../shape/index.ts';
import type { Sheeting } from '../family/means.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import type { Extra, StandingNet } from '../parts/built.ts';
import type { Put } from '../parts/put.ts';
import type { Good, GoodRole } from './good.ts';

/** A net of a good, and where its first face stands once it is folded. */
export type GoodNet = Omit<StandingNet, 'key' | 'copies'> & { readonly pose: Pose };

/** A space that a good takes: an outline drawn out along a pose, tapering where it has another outline at the end. */
export type Envelope = { readonly region: Region; readonly upper?: Region; readonly thickness: number; readonly pose: Pose };

export type Copy = {
  readonly nets: readonly GoodNet[];
  readonly size: Vec3;
  readonly envelope: Envelope | null;
  /** Boards that belong to it. */
  readonly parts: readonly Part[];
  readonly extras: readonly Omit<Extra, 'count'>[];
};

/** What a copy is made by: its sizes at doll size, the paper's thickness, and how it puts boards. */
export type Making = {
  readonly piece: Good;
  readonly width: number;
  readonly height: number;
  readonly depth: number;
  readonly above: number;
  readonly lid: number;
  readonly hole: number;
  readonly border: number;
  readonly paper: number;
  readonly id: string;
  readonly sheets: Readonly<Record<GoodRole, Sheeting>>;
  readonly put: Put;
};

export type CopyResult = Result<Copy, PieceProblem>;

/** Standing with its face to the viewer; lying on its back, its face up and its upper edge away; lying on its face, as a bottom is. */
export const facing = (x: number, y: number, z: number): Pose => ({ origin: [x, y, z], u: [1, 0, 0], v: [0, 1, 0] });
export const lyingUp = (x: number, y: number, z: number): Pose => ({ origin: [x, y, z], u: [1, 0, 0], v: [0, 0, -1] });
export const lyingDown = (x: number, y: number, z: number): Pose => ({ origin: [x, y, z], u: [1, 0, 0], v: [0, 0, 1] });

/** A net of a good as most are: printed on its paper, nothing to tear. */
export const netOf = (making: Making, name: string, net: Net, pose: Pose, more: Partial<GoodNet> = {}): GoodNet => ({
  name,
  net,
  pose,
  on: making.piece.on,
  tears: [],
  cells: [1, 1],
  ...more,
});

const rounded = (ring: readonly Point[]): readonly Point[] => ring.map(([x, y]) => [Math.round(x) + 0, Math.round(y) + 0]);

/** A box. */
export const boxEnvelope = ([x, y, z]: Vec3): Envelope => ({
  region: { outline: rect(x, z), holes: [] },
  thickness: y,
  pose: lyingUp(0, 0, z),
});

/** What stands on an outline seen from above (x to the right, y away from the viewer), and tapers to another. */
export const standingEnvelope = (outline: readonly Point[], thickness: number, depth: number, upper?: readonly Point[]): Envelope => ({
  region: { outline: rounded(outline), holes: [] },
  ...(upper && { upper: { outline: rounded(upper), holes: [] } }),
  thickness,
  pose: lyingUp(0, 0, depth),
});

/** A copy in whole micrometres; its size may not be less than a maker can hold. */
export const copyOf = (
  nets: readonly GoodNet[],
  size: Vec3,
  envelope: Envelope | null = boxEnvelope(size),
  more: Partial<Pick<Copy, 'parts' | 'extras'>> = {},
): CopyResult => ok({ nets, size, envelope, parts: [], extras: [], ...more });

/** The first lack, or undefined. */
export const lacks = (...each: readonly (readonly [what: string, available: number, needed: number])[]): PieceProblem | undefined => {
  for (const [what, available, needed] of each) {
    const problem = lack(what, available, needed);
    if (problem) return problem;
  }
  return undefined;
};

export const refused = (problem: PieceProblem): CopyResult => err(problem);

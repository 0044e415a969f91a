// µm, doll size, y up. A body from the side as it stands, sits or lies, and from above; drawn from its measures.
import { bounds, ellipseRing, merged, type Point, type Region, type Ring } from '../shape/index.ts';
import type { Body } from './body.ts';

const POSES = ['standing', 'sitting', 'lying', 'above'] as const;
export type PoseName = (typeof POSES)[number];

/** A limb: the outline round two balls. */
const limb = ([x0, y0]: Point, [x1, y1]: Point, r0: number, r1: number): Region => {
  const angle = Math.atan2(y1 - y0, x1 - x0);
  const half = (x: number, y: number, radius: number, from: number): Ring =>
    Array.from({ length: 9 }, (_, index): Point => {
      const at = from + (Math.PI * index) / 8;
      return [Math.round(x + radius * Math.cos(at)), Math.round(y + radius * Math.sin(at))];
    });
  return { outline: [...half(x0, y0, r0, angle + Math.PI / 2), ...half(x1, y1, r1, angle - Math.PI / 2)], holes: [] };
};

const ball = (x: number, y: number, rx: number, ry: number): Region => ({
  outline: ellipseRing(Math.round(x), Math.round(y), Math.round(rx), Math.round(ry)),
  holes: [],
});

/** Trunk, head and arm over a hip; the back is to the left. */
const upperBody = (body: Body, [x, y]: Point, arm: 'hangs' | 'lies'): readonly Region[] => {
  const { height, chin, shoulder, hip, thighDepth } = body;
  const up = (level: number): number => y + level - hip;
  const head = (height - chin) / 2;
  const trunk = thighDepth * 0.62;
  const reach: Point = arm === 'hangs' ? [x, up(shoulder) - body.arm] : [x + body.arm * 0.72, up(shoulder) - body.arm * 0.62];
  return [
    ball(x + head * 0.15, up(chin) + head, head * 0.82, head),
    limb([x, up(shoulder) - trunk], [x + head * 0.05, up(chin) + head * 0.4], trunk * 0.5, trunk * 0.45),
    limb([x, y], [x, up(shoulder) - trunk * 0.6], thighDepth * 0.58, trunk),
    limb([x, up(shoulder) - trunk * 0.5], reach, thighDepth * 0.3, thighDepth * 0.2),
  ];
};

const foot = ({ foot: long, thighDepth }: Body, [x, y]: Point): Region => {
  const r = Math.min(long / 5, thighDepth * 0.22);
  return limb([x - long * 0.15, y + r], [x + long * 0.75, y + r], r, r * 0.7);
};

const standing = (body: Body): readonly Region[] => {
  const { hip, thighDepth } = body;
  const ankle = thighDepth * 0.35;
  return [...upperBody(body, [0, hip], 'hangs'), limb([0, hip], [0, ankle], thighDepth / 2, thighDepth * 0.28), foot(body, [0, 0])];
};

/** Sitting on y = 0. */
const sitting = (body: Body): readonly Region[] => {
  const { hip, knee, thighDepth } = body;
  const y = thighDepth / 2;
  const [at, bend]: readonly [Point, Point] = [
    [0, y],
    [hip - knee, y],
  ];
  // Arms that do not bend hang beside the seat.
  const arms = body.bends.elbows ? 'lies' : 'hangs';
  if (body.bends.knees)
    return [
      ...upperBody(body, at, arms),
      limb(at, bend, y, y * 0.8),
      limb(bend, [bend[0], y - knee + thighDepth * 0.35], y * 0.8, y * 0.55),
      foot(body, [bend[0], y - knee]),
    ];
  // Legs that do not bend lie out in front, the toes up.
  const end: Point = [hip - thighDepth * 0.3, y * 0.7];
  return [...upperBody(body, at, arms), limb(at, end, y, y * 0.55), limb(end, [end[0] + y * 0.2, body.foot * 0.75], y * 0.4, y * 0.3)];
};

const turnedDown = (regions: readonly Region[]): readonly Region[] => {
  const turned = regions.map(({ outline }): Region => ({ outline: outline.map(([x, y]): Point => [y, -x]), holes: [] }));
  const { y0 } = bounds(turned.flatMap(({ outline }) => outline));
  return turned.map(({ outline }) => ({ outline: outline.map(([x, y]): Point => [x, y - y0]), holes: [] }));
};

const above = ({ shoulderBreadth, height, chin, foot: long }: Body): readonly Region[] => {
  const head = (height - chin) / 2;
  // The toes and the nose tell which way she looks.
  return [
    ball(0, 0, shoulderBreadth / 2, shoulderBreadth * 0.2),
    ball(0, 0, head * 0.85, head),
    ball(0, -head, head * 0.2, head * 0.25),
    ...[-1, 1].map((side) => ball(side * shoulderBreadth * 0.16, -long * 0.25, long * 0.14, long * 0.36)),
  ];
};

/** The postures that a body can take: hips that do not bend sit on nothing. */
export const posturesOf = ({ bends }: Body): readonly PoseName[] => POSES.filter((pose) => pose !== 'sitting' || bends.hips);

/** A body as outlines that do not overlap.
 *  Shape: body, pose → rings. Standing: from the side, the floor at y = 0. Sitting: what is sat on at y = 0, the hips over x = 0, looking to the right; feet
 *  below, or out in front where knees do not bend. Lying: on its back, feet at x = 0. Above: looking down the page. */
export const posed = (body: Body, pose: PoseName): readonly Ring[] => {
  const regions = { standing, sitting, lying: (each: Body) => turnedDown(standing(each)), above }[pose](body);
  return merged(regions).map(({ outline }) => outline);
};

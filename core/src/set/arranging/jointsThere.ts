// µm, doll size. Joints of a piece that show, where the piece stands: what is before them in its room hides them.
import type { Box, OpenJoint, Part } from '../../assembly/index.ts';
import { lessStretch, type Stretch } from '../../kit/index.ts';
import { besideIt, layoutOf, type RoomSpace, type StandingThing } from '../../room/index.ts';
import { add, scaled, type Vec3 } from '../../shape/index.ts';
import type { DerivedPiece, DerivedSet } from '../derive/derive.ts';
import type { SetDocument } from '../document/document.ts';
import type { Finding } from '../findings/finding.ts';
import { arrangedIn } from './arrange.ts';

/** What begins nearer to a joint than this hides it. Common practice, no source. */
const BEFORE = 60_000;
/** What hides a joint reaches over it on both sides by this; less of it in sight than the second is not seen. */
const OVER = 300;
const SHORT = 2_000;

const AXES = [0, 1, 2] as const;

/** The place of a joint in the room, and the room before it, each as the box round it. */
const inRoom = ({ from, to, looks }: OpenJoint, probe: (points: readonly Vec3[]) => Box): { readonly joint: Box; readonly before: Box } => {
  const out = scaled(looks, BEFORE);
  return { joint: probe([from, to]), before: probe([from, to, add(from, out), add(to, out)]) };
};

/** Whether a box stands in the room before a joint, over its line; along the joint it may be shorter. */
const standsBefore = (box: Box, { joint, before }: ReturnType<typeof inRoom>, along: 0 | 1 | 2): boolean =>
  AXES.every((axis) => {
    if (axis === along) return box.max[axis] > joint.min[axis] && box.min[axis] < joint.max[axis];
    const isAway = before.max[axis] - before.min[axis] > BEFORE / 2;
    return isAway
      ? box.max[axis] > before.min[axis] + OVER && box.min[axis] < before.max[axis] - OVER
      : box.min[axis] < joint.min[axis] - OVER && box.max[axis] > joint.max[axis] + OVER;
  });

/** Who hides a joint altogether, by name; nothing where some of it is seen. */
const hiddenBy = (there: ReturnType<typeof inRoom>, things: readonly { readonly name: string; readonly boxes: readonly Box[] }[]) => {
  const { min, max } = there.joint;
  const along = AXES.reduce((best, axis) => (max[axis] - min[axis] > max[best] - min[best] ? axis : best));
  const names = new Set<string>();
  let open: readonly Stretch[] = [[min[along], max[along]]];
  for (const { name, boxes } of things)
    for (const box of boxes) {
      if (!standsBefore(box, there, along)) continue;
      names.add(name);
      open = lessStretch(open, [box.min[along], box.max[along]]);
    }
  return open.every(([from, to]) => to - from <= SHORT) ? [...names] : [];
};

type Placed = { readonly space: RoomSpace; readonly own: StandingThing; readonly things: Parameters<typeof hiddenBy>[1] };

/** Where a piece stands as the layouts that count say, and what else is there; nothing where it stands nowhere. */
const placeOf = (document: SetDocument, derived: DerivedSet, id: string): Placed | undefined => {
  const layout = document.layouts.find(
    (each) => layoutOf(document.layouts, each.room) === each && each.placed.some(({ piece }) => piece === id),
  );
  const there = layout && arrangedIn(document, derived, layout.room);
  const own = there?.standing.find(({ placed }) => placed.piece === id);
  if (!there || !own) return undefined;
  const nameOf = (piece: string): string => document.pieces.find((each) => each.id === piece)?.name ?? '';
  const others = there.standing.filter((each) => each !== own);
  const things = [
    ...others.map(({ placed, body }) => ({ name: nameOf(placed.piece), boxes: body.boxes })),
    { name: 'the room', boxes: there.space.shell.boxes },
  ];
  return { space: there.space, own, things };
};

/** The findings of a piece as they are where it stands: joints behind other things are not said to show.
 *  Shape: a derived set and one of its pieces → its findings, as many as before. */
export const findingsThere = (document: SetDocument, derived: DerivedSet, piece: DerivedPiece): readonly Finding[] => {
  const { made, findings, id } = piece;
  const open = new Map((made?.joined ?? []).map((each) => [each.part, each.open]));
  if (!made || ![...open.values()].some((joints) => joints.length > 0)) return findings;
  const place = placeOf(document, derived, id);
  if (!place) return findings;
  const { space, own, things } = place;
  const [model] = made.assembly.parts as [Part];
  const probe = (points: readonly Vec3[]): Box => {
    const dots = points.map(
      (origin): Part => ({
        ...model,
        thickness: 0,
        region: { outline: [[0, 0]], holes: [] },
        upper: undefined,
        pose: { origin, u: [1, 0, 0], v: [0, 1, 0] },
      }),
    );
    return besideIt(made.assembly, own.placed, space, dots).whole;
  };
  return findings.map((finding): Finding => {
    if (finding.code !== 'part-joined') return finding;
    const [part = ''] = finding.where.partIds ?? [];
    const hidden = (open.get(part) ?? []).map((joint) => hiddenBy(inRoom(joint, probe), things)).filter((names) => names.length > 0);
    if (hidden.length === 0) return finding;
    const { numbers } = finding;
    return { ...finding, before: [...new Set(hidden.flat())], numbers: { ...numbers, open: numbers.open - hidden.length } };
  });
};

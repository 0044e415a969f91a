// µm, doll size: lower left back corner at the origin, x right, y up, z towards the viewer.
import { around, boxOf, type Motion, movedMotion, type Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { add, boardWithEdge, rectRing, scaled, type Vec3 } from '../../shape/index.ts';
import { type Means, type Sheeting, sheetsFor } from '../family/means.ts';
import { dollIn } from '../family/offers.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import { boardAt, layerKind } from '../parts/boardAt.ts';
import type { Built } from '../parts/built.ts';
import { movedParts } from '../parts/parts.ts';
import { SCREEN_ROLES, type Screen } from './screen.ts';

/** How far from the floor and from the upper corner a hinge ends; how wide its leaf is. Common practice, no source. */
const FROM_END = 4_000;
const LEAF = 8_000;

/** Under this a number is nought. */
const TINY = 1e-6;

/** A panel in the plan: the way along it, the way it looks, and where its back lower left corner stands. */
type Standing = { readonly along: Vec3; readonly looks: Vec3; readonly at: Vec3 };

/** How each panel stands: they lean to and fro by one angle and meet in the edges that look into the fold, front and back in turn. */
const standing = (count: number, width: number, thick: number, angle: number): readonly Standing[] => {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const found: Standing[] = [];
  let meets: Vec3 = [0, 0, 0];
  for (let index = 0; index < count; index += 1) {
    const forwards = index % 2 === 0;
    const along: Vec3 = forwards ? [cos, 0, sin] : [cos, 0, -sin];
    const looks: Vec3 = forwards ? [-sin, 0, cos] : [sin, 0, cos];
    // It begins at a front edge where it comes forwards, and at a back edge where it goes away.
    const at = forwards ? add(meets, scaled(looks, -thick)) : meets;
    found.push({ along, looks, at });
    meets = add(add(at, scaled(along, width)), forwards ? [0, 0, 0] : scaled(looks, thick));
  }
  return found;
};

const panelId = (piece: Screen, index: number): string => `${piece.id}/panel-${index + 1}`;

/** The layers of one panel: the first is held by hinges, the others are glued on it. */
const panelParts = (
  piece: Screen,
  index: number,
  { along, looks, at }: Standing,
  outline: Part['region']['outline'],
  sheet: Sheeting,
): readonly Part[] =>
  Array.from({ length: sheet.layers }, (_, layer) =>
    boardAt(
      layerKind({ id: panelId(piece, index), role: 'panel', name: 'panel', ...(layer === 0 && { held: 'hinge' as const }) }, sheet, layer),
      sheet,
      { outline, holes: [] },
      { origin: add(at, scaled(looks, layer * sheet.one)), u: along, v: [0, 1, 0] },
      'y',
    ),
  );

/** Builds a folding screen.
 *  Shape: piece, means → its panels, and how each turns on the one before until the two are in line. Errors: 'does-not-fit' where it stands deeper than
 *  its panels reach, or where they are narrower than their hinges. */
export const buildScreen = (piece: Screen, means: Means): Result<Built, PieceProblem> => {
  const sheet = sheetsFor(piece, SCREEN_ROLES, means).panel;
  const thick = sheet.thickness;
  const doll = dollIn(means);
  const [width, height, depth, rise] = [doll(piece.width), doll(piece.height), doll(piece.depth), doll(piece.rise)];
  const problem =
    lack('the hinges of a panel', width, 2 * LEAF) ??
    lack('the hinges between floor and upper corner', height - (piece.edge === 'straight' ? 0 : rise), 4 * FROM_END) ??
    // Nearer than this it is folded shut, and falls over.
    lack('the panels, folded so deep', Math.floor(0.9 * width), depth);
  if (problem) return err(problem);
  const angle = Math.max(0, Math.asin(Math.min(1, depth / Math.hypot(width, thick))) - Math.atan2(thick, width));
  const outline = piece.edge === 'straight' ? rectRing(0, 0, width, height) : boardWithEdge(width, height, piece.edge, rise);
  const places = standing(piece.panels, width, thick, angle);
  const drawn = places.map((place, index) => panelParts(piece, index, place, outline, sheet));
  const { min } = around(drawn.flat().map(boxOf));
  const over: Vec3 = [Math.ceil(-min[0] - TINY), 0, Math.ceil(-min[2] - TINY)];
  const panels = drawn.map((parts) => movedParts(parts, over));
  const length = height - (piece.edge === 'straight' ? 0 : rise) - 2 * FROM_END;
  const motions = panels.slice(1).map((_, joint): Motion => {
    const { looks, at } = places[joint + 1] as Standing;
    const backwards = joint % 2 === 0;
    return movedMotion(
      {
        kind: 'swing',
        door: panelId(piece, joint + 1),
        parts: panels.slice(joint + 1).flatMap((parts) => parts.map(({ id }) => id)),
        aside: [],
        at: add(add(at, backwards ? [0, 0, 0] : scaled(looks, thick)), [0, FROM_END, 0]),
        along: [0, 1, 0],
        angle: backwards ? -2 * angle : 2 * angle,
        hinge: { kind: 'paper', leaf: LEAF, length },
      },
      (point) => add(point, over),
      (way) => way,
    );
  });
  const parts = panels.flat();
  const { max } = around(parts.map(boxOf));
  return ok({
    assembly: { parts, outside: { min: [0, 0, 0], max }, clear: { min: [0, 0, 0], max: [0, 0, 0] }, motions },
    bays: [],
    openings: [],
    marks: [],
  });
};

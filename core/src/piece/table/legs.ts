// µm, doll size. What a table stands on: sticks, angled boards, panels, trestles.
import type { Part } from '../../assembly/index.ts';
import { ellipseRing } from '../../shape/index.ts';
import { type Facing, layered, roundIn, type Space, sectionOf, stickIn } from '../parts/panels.ts';
import { type TablePlan, word } from './plan.ts';

type Corner = { readonly word: string; readonly left: boolean; readonly front: boolean };
const CORNERS: readonly Corner[] = [
  { word: 'left-front', left: true, front: true },
  { word: 'right-front', left: false, front: true },
  { word: 'left-back', left: true, front: false },
  { word: 'right-back', left: false, front: false },
];

/** The corner of a space, so wide and so deep. */
const cornerOf = (space: Space, { left, front }: Corner, wide: number, deep: number): Space => ({
  ...space,
  ...(left ? { x1: space.x0 + wide } : { x0: space.x1 - wide }),
  ...(front ? { z0: space.z1 - deep } : { z1: space.z0 + deep }),
});

export const isRound = ({ piece }: TablePlan): boolean => piece.stands === 'sticks' && sectionOf(piece.stick).section === 'round';

/** How much legs take of the aprons' run on each side: round ones stand inside the frame of the aprons, which then closes round them. */
export const legSizes = (plan: TablePlan): { readonly wide: number; readonly deep: number } => {
  const { piece, legWidth, sheets } = plan;
  const stick = sectionOf(piece.stick);
  if (piece.stands === 'sticks') return isRound(plan) ? { wide: 0, deep: 0 } : { wide: stick.width, deep: stick.thickness };
  if (piece.stands === 'L') return { wide: legWidth, deep: legWidth };
  return { wide: sheets.leg.thickness, deep: 0 };
};

const stickLegs = (plan: TablePlan): readonly Part[] => {
  const { piece, under, sheets, apron } = plan;
  const stick = sectionOf(piece.stick);
  const round = isRound(plan);
  const inside = round && apron > 0 ? sheets.apron.thickness : 0;
  const within: Space = { ...under, x0: under.x0 + inside, x1: under.x1 - inside, z0: under.z0 + inside, z1: under.z1 - inside };
  return CORNERS.map((corner) => {
    const space = cornerOf(within, corner, stick.width, stick.thickness);
    const kind = word(plan, `leg-${corner.word}`, { role: 'post', name: 'leg', shows: 'right' });
    const r = stick.width / 2;
    return round
      ? roundIn(space, { ...kind, shows: 'up' }, ellipseRing(r, r, r), { stuff: 'stick', stock: piece.stick, length: under.y1 })
      : stickIn(space, kind, piece.stick);
  });
};

/** Two boards at a right angle: one shows to the front or back, the other stands behind it and shows to the side. */
const cornerLegs = (plan: TablePlan): readonly Part[] => {
  const { under, sheets, legWidth } = plan;
  const t = sheets.leg.thickness;
  return CORNERS.flatMap((corner) => {
    const block = cornerOf(under, corner, legWidth, legWidth);
    const face = corner.front ? { ...block, z0: block.z1 - t } : { ...block, z1: block.z0 + t };
    const rest = corner.front ? { ...block, z1: block.z1 - t } : { ...block, z0: block.z0 + t };
    const flank = corner.left ? { ...rest, x1: rest.x0 + t } : { ...rest, x0: rest.x1 - t };
    const kind = { role: 'post', name: 'leg' } as const;
    return [
      ...layered(face, word(plan, `leg-${corner.word}-face`, { ...kind, shows: 'front' }), sheets.leg),
      ...layered(flank, word(plan, `leg-${corner.word}-flank`, { ...kind, shows: corner.left ? 'right' : 'left' }), sheets.leg),
    ];
  });
};

const endSpace = ({ under, sheets }: TablePlan, left: boolean): Space =>
  left ? { ...under, x1: under.x0 + sheets.leg.thickness } : { ...under, x0: under.x1 - sheets.leg.thickness };

const SIDES = [true, false] as const;
const sideWord = (left: boolean): string => (left ? 'left' : 'right');

const panelLegs = (plan: TablePlan): readonly Part[] =>
  SIDES.flatMap((left) =>
    layered(
      endSpace(plan, left),
      word(plan, `end-${sideWord(left)}`, { role: 'post', name: 'end panel', shows: left ? 'right' : 'left' }),
      plan.sheets.leg,
    ),
  );

/** A foot and a bearer along the depth, a post between them. */
const trestleLegs = (plan: TablePlan): readonly Part[] =>
  SIDES.flatMap((left) => {
    const { legWidth, sheets } = plan;
    const end = endSpace(plan, left);
    const shows: Facing = left ? 'right' : 'left';
    const middle = Math.round((end.z0 + end.z1) / 2);
    const half = Math.round(legWidth / 2);
    const part = (name: string, space: Space) =>
      layered(space, word(plan, `trestle-${sideWord(left)}-${name}`, { role: 'post', name: `trestle ${name}`, shows }), sheets.leg);
    return [
      ...part('foot', { ...end, y1: legWidth }),
      ...part('post', { ...end, y0: legWidth, y1: end.y1 - legWidth, z0: middle - half, z1: middle + half }),
      ...part('bearer', { ...end, y0: end.y1 - legWidth }),
    ];
  });

export const legsOf = (plan: TablePlan): readonly Part[] => {
  switch (plan.piece.stands) {
    case 'sticks':
      return stickLegs(plan);
    case 'L':
      return cornerLegs(plan);
    case 'panels':
      return panelLegs(plan);
    default:
      return trestleLegs(plan);
  }
};

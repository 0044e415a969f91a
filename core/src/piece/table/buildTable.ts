// µm, doll size: lower left back corner at the origin, x right, y up, z towards the viewer.
import type { Motion, Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf } from '../../measure/index.ts';
import { ellipseRing, type Ring } from '../../shape/index.ts';
import type { Built } from '../kit/built.ts';
import { insetDrawer } from '../kit/drawer.ts';
import { bodyOf, type Means, type Sheeting, sheetingOf } from '../kit/means.ts';
import { type Facing, layered, type PanelKind, roundIn, type Space, sectionOf, stickIn } from '../kit/panels.ts';
import type { PieceProblem } from '../kit/problem.ts';
import { TABLE_ROLES, type Table, type TableRole } from './table.ts';

type Plan = {
  readonly piece: Table;
  readonly sheets: Readonly<Record<TableRole, Sheeting>>;
  readonly outside: Space;
  /** Under the top, where legs may stand. */
  readonly under: Space;
  readonly apron: number;
  readonly legWidth: number;
  readonly stretcherUp: number;
  readonly bracket: number;
};

const lack = (what: string, available: number, needed: number): PieceProblem | undefined =>
  available < needed ? { code: 'does-not-fit', what, available, needed } : undefined;

const planTable = (piece: Table, means: Means): Plan => {
  const doll = (measure: Table['width']) => dollOf(measure, means.scale);
  const sheets = Object.fromEntries(
    TABLE_ROLES.map((role) => [role, sheetingOf(piece.boards, piece.thick, role, means)]),
  ) as Plan['sheets'];
  const outside: Space = {
    x0: 0,
    x1: doll(piece.width),
    y0: 0,
    y1: bodyOf(piece.height, piece.school, means),
    z0: 0,
    z1: doll(piece.depth),
  };
  // Under a round top legs stand on the square that its circle holds.
  const keep = piece.shape === 'round' ? (1 - Math.SQRT1_2) / 2 : 0;
  const [across, along] = [Math.ceil(outside.x1 * keep) + doll(piece.inset), Math.ceil(outside.z1 * keep) + doll(piece.inset)];
  const under: Space = {
    x0: across,
    x1: outside.x1 - across,
    y0: 0,
    y1: outside.y1 - sheets.top.thickness,
    z0: along,
    z1: outside.z1 - along,
  };
  return {
    piece,
    sheets,
    outside,
    under,
    apron: doll(piece.apron),
    legWidth: doll(piece.legWidth),
    stretcherUp: doll(piece.stretcherUp),
    bracket: doll(piece.bracketHeight),
  };
};

const word = (plan: Plan, id: string, kind: Omit<PanelKind, 'id'>): PanelKind => ({ ...kind, id: `${plan.piece.id}/${id}` });

const topParts = (plan: Plan): readonly Part[] => {
  const { outside, under, piece, sheets } = plan;
  const [rx, rz] = [outside.x1 / 2, outside.z1 / 2];
  const outline: { outline?: Ring } = piece.shape === 'round' ? { outline: ellipseRing(rx, rz, rx, rz) } : {};
  return layered({ ...outside, y0: under.y1 }, word(plan, 'top', { role: 'top', name: 'top', shows: 'up', ...outline }), sheets.top);
};

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

const isRound = ({ piece }: Plan): boolean => piece.stands === 'sticks' && sectionOf(piece.stick).section === 'round';

/** How much legs take of the aprons' run on each side: round ones stand inside the frame of the aprons, which then closes round them. */
const legSizes = (plan: Plan): { readonly wide: number; readonly deep: number } => {
  const { piece, legWidth, sheets } = plan;
  const stick = sectionOf(piece.stick);
  if (piece.stands === 'sticks') return isRound(plan) ? { wide: 0, deep: 0 } : { wide: stick.width, deep: stick.thickness };
  if (piece.stands === 'L') return { wide: legWidth, deep: legWidth };
  return { wide: sheets.leg.thickness, deep: 0 };
};

const stickLegs = (plan: Plan): readonly Part[] => {
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
const cornerLegs = (plan: Plan): readonly Part[] => {
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

const endSpace = ({ under, sheets }: Plan, left: boolean): Space =>
  left ? { ...under, x1: under.x0 + sheets.leg.thickness } : { ...under, x0: under.x1 - sheets.leg.thickness };

const SIDES = [true, false] as const;
const sideWord = (left: boolean): string => (left ? 'left' : 'right');

const panelLegs = (plan: Plan): readonly Part[] =>
  SIDES.flatMap((left) =>
    layered(
      endSpace(plan, left),
      word(plan, `end-${sideWord(left)}`, { role: 'post', name: 'end panel', shows: left ? 'right' : 'left' }),
      plan.sheets.leg,
    ),
  );

/** A foot and a bearer along the depth, a post between them. */
const trestleLegs = (plan: Plan): readonly Part[] =>
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

/** Aprons under the top between the legs, flush with them outside; round legs stand inside their frame. */
const aprons = (plan: Plan): readonly Part[] => {
  const { piece, apron, under, sheets } = plan;
  if (apron === 0 || piece.stands === 'trestles') return [];
  const t = sheets.apron.thickness;
  const { wide, deep } = legSizes(plan);
  const band: Space = { ...under, y0: under.y1 - apron };
  const long: Space = { ...band, x0: band.x0 + wide, x1: band.x1 - wide };
  const short: Space = {
    ...band,
    z0: band.z0 + Math.max(deep, isRound(plan) ? t : 0),
    z1: band.z1 - Math.max(deep, isRound(plan) ? t : 0),
  };
  const rail = (id: string, name: string, space: Space, shows: Facing) =>
    layered(space, word(plan, id, { role: 'rail', name, shows }), sheets.apron);
  return [
    ...rail('apron-back', 'apron', { ...long, z1: long.z0 + t }, 'front'),
    ...(piece.drawers > 0 ? [] : rail('apron-front', 'apron', { ...long, z0: long.z1 - t }, 'front')),
    ...(piece.stands === 'panels'
      ? []
      : [
          ...rail('apron-left', 'side apron', { ...short, x1: short.x0 + t }, 'right'),
          ...rail('apron-right', 'side apron', { ...short, x0: short.x1 - t }, 'left'),
        ]),
  ];
};

/** Rails low between the legs: all round, or one at each side and one between those. Trestles have one between their posts. */
const stretchers = (plan: Plan): readonly Part[] => {
  const { piece, under, sheets, stretcherUp } = plan;
  // A rail butted against a round leg has nothing to be glued to.
  if (piece.stretchers === 'none' || isRound(plan)) return [];
  const { thickness: t, board, one } = sheets.apron;
  const high = Math.max(2 * one, Math.round(plan.apron * 0.6));
  const { wide, deep } = legSizes(plan);
  const band: Space = { ...under, y0: stretcherUp, y1: stretcherUp + high };
  const rail = (id: string, space: Space, shows: Facing) =>
    layered(space, word(plan, `stretcher-${id}`, { role: 'rail', name: 'stretcher', shows }), {
      board,
      one,
      layers: sheets.apron.layers,
      thickness: t,
    });
  const middle = Math.round((under.z0 + under.z1) / 2) - Math.round(t / 2);
  const between = { ...band, x0: band.x0 + wide, x1: band.x1 - wide };
  const centre = { ...between, z0: middle, z1: middle + t };
  if (piece.stands === 'trestles' || piece.stands === 'panels') return rail('middle', centre, 'front');
  const side: Space = { ...band, z0: band.z0 + deep, z1: band.z1 - deep };
  const sides = [...rail('left', { ...side, x1: side.x0 + t }, 'right'), ...rail('right', { ...side, x0: side.x1 - t }, 'left')];
  if (piece.stretchers === 'H') return [...sides, ...rail('middle', { ...centre, x0: side.x0 + t, x1: side.x1 - t }, 'front')];
  return [
    ...sides,
    ...rail('front', { ...between, z0: between.z1 - t }, 'front'),
    ...rail('back', { ...between, z1: between.z0 + t }, 'front'),
  ];
};

type Drawn = { readonly parts: readonly Part[]; readonly motions: readonly Motion[] };

/** Drawers side by side behind where the front apron would be: a floor, boards between, and a tray in each. */
const drawerParts = (plan: Plan): Result<Drawn, PieceProblem> => {
  const { piece, apron, under, sheets } = plan;
  if (piece.drawers === 0 || piece.stands === 'trestles' || piece.stands === 'wall') return ok({ parts: [], motions: [] });
  const t = sheets.apron.one;
  const { wide } = legSizes(plan);
  const sideRail = piece.stands === 'panels' ? 0 : sheets.apron.thickness;
  const aside = isRound(plan) ? sideRail + sectionOf(piece.stick).width : Math.max(wide, sideRail);
  const [x0, x1] = [under.x0 + aside, under.x1 - aside];
  const space: Space = { x0, x1, y0: under.y1 - apron, y1: under.y1, z0: under.z0 + sheets.apron.thickness, z1: under.z1 };
  const floor = { ...space, y1: space.y0 + t };
  const each = Math.floor((x1 - x0 - (piece.drawers - 1) * t) / piece.drawers);
  const problem = lack('a drawer under the top', apron, 4 * sheets.drawer.one) ?? lack('drawers side by side', each, 4 * sheets.drawer.one);
  if (problem) return err(problem);
  const parts: Part[] = [
    ...layered(floor, word(plan, 'drawer-floor', { role: 'shelf', name: 'drawer runner', shows: 'up' }), {
      ...sheets.apron,
      layers: 1,
      thickness: t,
    }),
  ];
  const motions: Motion[] = [];
  for (let index = 0; index < piece.drawers; index += 1) {
    const from = x0 + index * (each + t);
    const last = index === piece.drawers - 1;
    const bay: Space = { ...space, x0: from, x1: last ? x1 : from + each, y0: floor.y1 };
    const made = insetDrawer(`${piece.id}/drawer-${index}`, bay, piece.grip, sheets.drawer, sheets.apron);
    if (!('motion' in made))
      return err({ code: 'does-not-fit', what: 'a drawer under the top', available: made.available, needed: made.needed });
    parts.push(...made.parts);
    motions.push(made.motion);
    if (!last) {
      const upright: Space = { ...bay, x0: bay.x1, x1: bay.x1 + t };
      parts.push(
        ...layered(upright, word(plan, `drawer-upright-${index}`, { role: 'divider', name: 'drawer upright', shows: 'right' }), {
          ...sheets.apron,
          layers: 1,
          thickness: t,
        }),
      );
    }
  }
  return ok({ parts, motions });
};

/** A top on the wall: a board against the wall, triangular brackets on it. One that folds is hinged to a strip over the board, and its
 *  brackets turn aside first. */
const onTheWall = (plan: Plan): Result<Drawn, PieceProblem> => {
  const { piece, outside, under, sheets, bracket } = plan;
  const t = sheets.leg.thickness;
  const low = under.y1 - bracket;
  const strip = piece.folds ? 2 * t : 0;
  const reach = Math.min(outside.z1 - t, Math.max(outside.z1 - t - Math.round(bracket / 8), 2 * t));
  const problem =
    lack('the brackets between floor and top', under.y1, bracket) ??
    lack('the brackets side by side', under.x1 - under.x0, piece.brackets * t) ??
    lack('a bracket', Math.min(reach, outside.z1 - strip), 4 * t) ??
    (piece.folds ? lack('brackets that fold aside', (under.x1 - under.x0) / piece.brackets, reach + t) : undefined);
  if (problem) return err(problem);
  const top: Space = { ...outside, y0: under.y1, z0: strip };
  const held = piece.folds ? ({ held: 'hinge' } as const) : {};
  const tops = layered(top, word(plan, 'top', { role: piece.folds ? 'door' : 'top', name: 'top', shows: 'up', ...held }), sheets.top);
  const fixed = piece.folds
    ? layered({ ...top, z0: 0, z1: strip }, word(plan, 'strip', { role: 'top', name: 'wall strip', shows: 'up' }), sheets.top)
    : [];
  const board: Space = { x0: under.x0, x1: under.x1, y0: low, y1: under.y1, z0: 0, z1: t };
  const wall = layered(board, word(plan, 'board', { role: 'back', name: 'wall board', shows: 'front' }), sheets.leg);
  // From the front: x runs from the bracket's point to the wall.
  const triangle: Ring = [
    [reach, 0],
    [reach, bracket],
    [0, bracket],
  ];
  const brackets = Array.from({ length: piece.brackets }, (_, index) => {
    const each = (under.x1 - under.x0 - t) / Math.max(1, piece.brackets - (piece.folds ? 0 : 1));
    const x0 = under.x0 + Math.round(index * each);
    const space: Space = { x0, x1: x0 + t, y0: low, y1: under.y1, z0: t, z1: t + reach };
    return layered(
      space,
      word(plan, `bracket-${index}`, { role: piece.folds ? 'door' : 'post', name: 'bracket', shows: 'right', outline: triangle, ...held }),
      sheets.leg,
    );
  });
  if (!piece.folds) return ok({ parts: [...wall, ...brackets.flat(), ...tops], motions: [] });
  const ids = (parts: readonly Part[]) => parts.map(({ id }) => id);
  const aside = ids(brackets.flat());
  const leaf = Math.min(12_000, strip);
  const motions: Motion[] = [
    ...brackets.map((parts, index): Motion => {
      const each = (under.x1 - under.x0 - t) / piece.brackets;
      const x1 = under.x0 + Math.round(index * each) + t;
      return {
        kind: 'swing',
        door: ids(parts)[0] as string,
        parts: ids(parts),
        aside: [],
        at: [x1, low, t],
        along: [0, 1, 0],
        angle: Math.PI / 2,
        hinge: { kind: 'paper', leaf: Math.min(12_000, Math.round(reach / 4)), length: bracket },
      };
    }),
    {
      kind: 'swing',
      door: ids(tops)[0] as string,
      parts: ids(tops),
      aside,
      at: [0, under.y1, strip],
      along: [1, 0, 0],
      angle: Math.PI / 2,
      hinge: { kind: 'paper', leaf, length: outside.x1 },
    },
  ];
  return ok({ parts: [...wall, ...fixed, ...brackets.flat(), ...tops], motions });
};

const tooSmall = (plan: Plan): PieceProblem | undefined => {
  const { under, apron, stretcherUp, piece, legWidth, sheets } = plan;
  const { wide, deep } = legSizes(plan);
  const stick = sectionOf(piece.stick);
  const inside = isRound(plan) ? 2 * (sheets.apron.thickness + stick.width) : 0;
  const t = sheets.apron.thickness;
  const needs: readonly (readonly [string, number, number])[] = [
    ['legs side by side', under.x1 - under.x0, Math.max(2 * wide, inside, 2 * t) + 2_000],
    [
      'legs one behind the other',
      under.z1 - under.z0,
      Math.max(2 * deep, inside, piece.stands === 'trestles' ? legWidth : 0, 2 * t) + 2_000,
    ],
    ['the aprons under the top', under.y1, apron + 1],
    ['the top above the floor', under.y1, piece.stands === 'trestles' ? 2 * legWidth + 1_000 : 1],
    [
      'the stretchers between floor and aprons',
      under.y1 - (piece.stands === 'trestles' ? legWidth : apron),
      piece.stretchers === 'none' ? 0 : stretcherUp + Math.max(2 * sheets.apron.one, Math.round(apron * 0.6)),
    ],
    ['an L and its board', piece.stands === 'L' ? legWidth : Number.POSITIVE_INFINITY, sheets.leg.thickness + 1],
    [
      'an apron beside its leg',
      (piece.stands === 'L' || (piece.stands === 'sticks' && !isRound(plan))) && apron > 0
        ? Math.min(wide, deep)
        : Number.POSITIVE_INFINITY,
      t,
    ],
  ];
  const [found] = needs.filter(([, available, needed]) => available < needed);
  return found && { code: 'does-not-fit', what: found[0], available: Math.max(0, found[1]), needed: found[2] };
};

const legsOf = (plan: Plan): readonly Part[] => {
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

/** Builds a table or desk from its decisions.
 *  Shape: piece, means → parts that fill the stated box to the micrometre. Errors: 'does-not-fit' for legs, aprons, drawers, brackets. */
export const buildTable = (piece: Table, means: Means): Result<Built, PieceProblem> => {
  const plan = planTable(piece, means);
  const { outside, under } = plan;
  if (under.y1 <= 0) return err({ code: 'too-small', direction: 'height', available: outside.y1, needed: outside.y1 - under.y1 + 1 });
  const wall = piece.stands === 'wall';
  const problem = wall ? undefined : tooSmall(plan);
  if (problem) return err(problem);
  const drawn = wall ? onTheWall(plan) : drawerParts(plan);
  if (!drawn.ok) return drawn;
  const parts = wall ? drawn.value.parts : [...topParts(plan), ...legsOf(plan), ...aprons(plan), ...stretchers(plan), ...drawn.value.parts];
  const low = wall ? under.y1 - plan.bracket : 0;
  const box = { min: [0, low, 0], max: [outside.x1, outside.y1, outside.z1] } as const;
  const clear = { min: [0, 0, 0], max: [0, 0, 0] } as const;
  return ok({ assembly: { parts, outside: box, clear, motions: drawn.value.motions }, bays: [], openings: [] });
};

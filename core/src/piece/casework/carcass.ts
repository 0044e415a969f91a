// µm, doll size. The panels round the clear space: sides, top, bottom, back, lining, base.
import type { Motion, Part } from '../../assembly/index.ts';
import { dollOf } from '../../measure/index.ts';
import { ellipseRing, type Ring } from '../../shape/index.ts';
import type { Sheeting } from '../family/means.ts';
import { layered, type PanelKind, roundIn, type Space, sectionOf, stickIn } from '../parts/panels.ts';
import type { CarcassPlan } from './plan.ts';

type Word = Omit<PanelKind, 'id'>;
export type Draw = (word: string, space: Space, kind: Word, sheeting: Sheeting) => readonly Part[];

export const drawerOf =
  (plan: CarcassPlan): Draw =>
  (word, space, kind, sheeting) =>
    layered(space, { ...kind, id: `${plan.piece.id}/${word}` }, sheeting);

const standsOnSides = ({ piece, base }: CarcassPlan): boolean => base === 0 || piece.base === 'plinth' || piece.base === 'toe-kick';

/** How far a toe-kick is cut into the sides' lower front corners: its depth with the board that closes it. */
const kickDepth = (plan: CarcassPlan): number => plan.setback + plan.sheets.plinth.thickness;

const cutsKick = ({ piece, base }: CarcassPlan): boolean => piece.base === 'toe-kick' && base > 0 && piece.corner === 'sides';

/** The outline of a side with its toe-kick, x running from the back. */
const kickedSide = (plan: CarcassPlan, space: Space, fromFront: boolean): Ring => {
  const [depth, height, kick] = [space.z1 - space.z0, space.y1 - space.y0, kickDepth(plan)];
  return fromFront
    ? [
        [kick, 0],
        [depth, 0],
        [depth, height],
        [0, height],
        [0, plan.base],
        [kick, plan.base],
      ]
    : [
        [0, 0],
        [depth - kick, 0],
        [depth - kick, plan.base],
        [depth, plan.base],
        [depth, height],
        [0, height],
      ];
};

const boxPanels = (plan: CarcassPlan, draw: Draw): readonly Part[] => {
  const { piece, body, sheets } = plan;
  const { thickness } = sheets.carcass;
  const behind = piece.back === 'over' ? sheets.back.thickness : 0;
  const full: Space = { ...body, z0: body.z0 + behind };
  const lid = piece.top === 'lid';
  const sides =
    piece.corner === 'sides'
      ? { ...full, y0: standsOnSides(plan) ? 0 : body.y0, y1: lid ? body.y1 - thickness : body.y1 }
      : { ...full, y0: body.y0 + thickness, y1: body.y1 - thickness };
  const across = piece.corner === 'sides' ? { ...full, x0: body.x0 + thickness, x1: body.x1 - thickness } : full;
  const over = lid ? { ...body } : across;
  const outline = (space: Space, fromFront: boolean) => (cutsKick(plan) ? { outline: kickedSide(plan, space, fromFront) } : {});
  return [
    ...draw(
      'side-left',
      { ...sides, x1: sides.x0 + thickness },
      { role: 'side', name: 'left side', shows: 'right', ...outline(sides, true) },
      sheets.carcass,
    ),
    ...draw(
      'side-right',
      { ...sides, x0: sides.x1 - thickness },
      { role: 'last side', name: 'right side', shows: 'left', ...outline(sides, false) },
      sheets.carcass,
    ),
    ...draw(
      lid ? 'lid' : 'top',
      { ...over, y0: body.y1 - thickness },
      lid ? { role: 'door', name: 'lid', shows: 'up', held: 'hinge' } : { role: 'top', name: 'top', shows: 'down' },
      sheets.carcass,
    ),
    ...draw('bottom', { ...across, y0: body.y0, y1: body.y0 + thickness }, { role: 'bottom', name: 'bottom', shows: 'up' }, sheets.carcass),
  ];
};

/** A lid turns about its back lower edge. */
export const lidMotion = (plan: CarcassPlan, parts: readonly Part[]): readonly Motion[] => {
  if (plan.piece.top !== 'lid') return [];
  const { body, sheets } = plan;
  const lids = parts.filter(({ id }) => id.startsWith(`${plan.piece.id}/lid`)).map(({ id }) => id);
  return [
    {
      kind: 'swing',
      door: lids[0] as string,
      parts: lids,
      aside: [],
      at: [body.x0, body.y1 - sheets.carcass.thickness, body.z0],
      along: [1, 0, 0],
      angle: -Math.PI / 2,
      hinge: { kind: 'paper', leaf: leafFor(body.z1 - body.z0), length: body.x1 - body.x0 },
    },
  ];
};

/** A paper hinge's leaf: a quarter of the door, 12 mm at most. Common practice, no source. */
export const leafFor = (width: number): number => Math.min(12_000, Math.max(2_000, Math.round(width / 4)));

const backPanel = (plan: CarcassPlan, draw: Draw): readonly Part[] => {
  const { piece, body, sheets } = plan;
  if (piece.back === 'none') return [];
  const { thickness } = sheets.carcass;
  const z1 = body.z0 + sheets.back.thickness;
  const lidded = piece.top === 'lid' ? thickness : 0;
  const space: Space =
    piece.back === 'inset'
      ? { x0: body.x0 + thickness, x1: body.x1 - thickness, y0: body.y0 + thickness, y1: body.y1 - thickness, z0: body.z0, z1 }
      : {
          x0: body.x0,
          x1: body.x1,
          y0: piece.corner === 'sides' && standsOnSides(plan) ? 0 : body.y0,
          y1: body.y1 - lidded,
          z0: body.z0,
          z1,
        };
  return draw('back', space, { role: 'back', name: 'back', shows: 'front' }, sheets.back);
};

/** A second wall inside the first: floor and ceiling lie on the outer ones, sides and back stand between them, the hollow behind. */
const liningPanels = (plan: CarcassPlan, draw: Draw): readonly Part[] => {
  const { piece, body, clear, sheets } = plan;
  if (!piece.lining) return [];
  const outer = sheets.carcass.thickness;
  const { thickness } = sheets.lining;
  const inner: Space = {
    x0: body.x0 + outer,
    x1: body.x1 - outer,
    y0: body.y0 + outer,
    y1: body.y1 - outer,
    z0: piece.back === 'none' ? body.z0 : body.z0 + sheets.back.thickness,
    z1: body.z1,
  };
  const between = { ...inner, y0: clear.y0, y1: clear.y1 };
  const back = clear.z0 - thickness;
  const lines = (word: string, name: string, space: Space, shows: Word['shows']) =>
    draw(`lining-${word}`, space, { role: 'lining', name: `inner ${name}`, shows }, sheets.lining);
  return [
    ...lines('bottom', 'floor', { ...inner, y1: clear.y0 }, 'up'),
    ...lines('top', 'ceiling', { ...inner, y0: clear.y1 }, 'down'),
    ...(piece.back === 'none' ? [] : lines('back', 'back', { ...between, z0: back, z1: clear.z0 }, 'front')),
    ...lines('left', 'left wall', { ...between, x0: clear.x0 - thickness, x1: clear.x0, z0: clear.z0 }, 'right'),
    ...lines('right', 'right wall', { ...between, x0: clear.x1, x1: clear.x1 + thickness, z0: clear.z0 }, 'left'),
  ];
};

const plinthPanels = (plan: CarcassPlan, draw: Draw): readonly Part[] => {
  const { body, base, setback, sheets, piece } = plan;
  const { thickness } = sheets.plinth;
  const behind = body.z0 + (piece.back === 'over' ? sheets.back.thickness : 0);
  const inset = piece.corner === 'sides' && !cutsKick(plan) ? sheets.carcass.thickness : 0;
  const strip: Space = {
    x0: body.x0 + inset,
    x1: body.x1 - inset,
    y0: 0,
    y1: base,
    z0: body.z1 - setback - thickness,
    z1: body.z1 - setback,
  };
  const word = (name: string, shows: Word['shows'] = 'front'): Word => ({ role: 'plinth', name, shows });
  const face = draw('plinth', strip, word(piece.base), sheets.plinth);
  // With sides to the floor one strip is enough; with the bottom running over, a frame stands under it.
  if (piece.corner === 'sides') return face;
  const ends = { ...strip, z0: behind + thickness, z1: strip.z0 };
  return [
    ...face,
    ...draw('plinth-back', { ...strip, z0: behind, z1: behind + thickness }, word('plinth back'), sheets.plinth),
    ...draw('plinth-left', { ...ends, x1: ends.x0 + thickness }, word('plinth end', 'right'), sheets.plinth),
    ...draw('plinth-right', { ...ends, x0: ends.x1 - thickness }, word('plinth end', 'left'), sheets.plinth),
  ];
};

const corners = (space: Space, width: number, depth: number): readonly (Space & { readonly word: string })[] =>
  (['left', 'right'] as const).flatMap((across) =>
    (['front', 'back'] as const).map((along) => ({
      ...space,
      word: `${across}-${along}`,
      ...(across === 'left' ? { x1: space.x0 + width } : { x0: space.x1 - width }),
      ...(along === 'back' ? { z1: space.z0 + depth } : { z0: space.z1 - depth }),
    })),
  );

/** Legs of stick or feet of stacked board under the four corners, set back from every side. */
const footParts = (plan: CarcassPlan): readonly Part[] => {
  const { piece, body, base, setback, sheets, means } = plan;
  const under: Space = { x0: body.x0 + setback, x1: body.x1 - setback, y0: 0, y1: base, z0: body.z0 + setback, z1: body.z1 - setback };
  if (piece.base === 'feet') {
    const side = dollOf(piece.foot, means.scale);
    return corners(under, side, side).flatMap(({ word, ...space }) =>
      layered(
        space,
        { id: `${piece.id}/foot-${word}`, role: 'foot', name: 'foot', shows: 'up' },
        { ...sheets.plinth, layers: plan.baseLayers, thickness: base },
      ),
    );
  }
  const stick = sectionOf(piece.leg);
  return corners(under, stick.width, stick.thickness).map(({ word, ...space }) => {
    const kind: PanelKind = { id: `${piece.id}/leg-${word}`, role: 'foot', name: 'leg', shows: 'right' };
    if (stick.section !== 'round') return stickIn(space, kind, piece.leg);
    const radius = stick.width / 2;
    return roundIn(space, { ...kind, shows: 'up' }, ellipseRing(radius, radius, radius), {
      stuff: 'stick',
      stock: piece.leg,
      length: base,
    });
  });
};

/** How much room legs and feet need, across and along. */
export const footRoom = ({ piece, means, base }: CarcassPlan): readonly [number, number] => {
  if (base === 0 || piece.base === 'plinth' || piece.base === 'toe-kick') return [0, 0];
  if (piece.base === 'feet') return [dollOf(piece.foot, means.scale) * 2, dollOf(piece.foot, means.scale) * 2];
  const stick = sectionOf(piece.leg);
  return [stick.width * 2, stick.thickness * 2];
};

const basePanels = (plan: CarcassPlan, draw: Draw): readonly Part[] => {
  if (plan.base === 0) return [];
  return plan.piece.base === 'plinth' || plan.piece.base === 'toe-kick' ? plinthPanels(plan, draw) : footParts(plan);
};

/** The panels round the clear space. */
export const carcassPanels = (plan: CarcassPlan): readonly Part[] => {
  const draw = drawerOf(plan);
  return [...boxPanels(plan, draw), ...backPanel(plan, draw), ...liningPanels(plan, draw), ...basePanels(plan, draw)];
};

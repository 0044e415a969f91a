// µm, doll size: lower left back corner at the origin, x right along the bed's length, y up, z towards the viewer.
import type { Assembly, Motion, Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf } from '../../measure/index.ts';
import { boardWithEdge, type Ring } from '../../shape/index.ts';
import type { StickName } from '../../stock/index.ts';
import type { Built } from '../kit/built.ts';
import { insetDrawer } from '../kit/drawer.ts';
import { bodyOf, type Means, type Sheeting, sheetingOf } from '../kit/means.ts';
import { type Facing, layered, type PanelKind, type Space, sectionOf, stickIn } from '../kit/panels.ts';
import type { PieceProblem } from '../kit/problem.ts';
import { BED_ROLES, type Bed, type BedRole, type EndBoard } from './bed.ts';

/** Even slats over a length: as many as keep every gap at most so large. Source: n = ceil((L − g) ÷ (w + g)), the true gap
 *  (L − n·w) ÷ (n + 1). */
export const evenSlats = (length: number, width: number, largestGap: number): { readonly count: number; readonly gap: number } => {
  const count = Math.max(0, Math.ceil((length - largestGap) / (width + largestGap)));
  return { count, gap: (length - count * width) / (count + 1) };
};

type Level = { readonly word: string; readonly lies: number };

type Plan = {
  readonly piece: Bed;
  readonly sheets: Readonly<Record<BedRole, Sheeting>>;
  /** The bed without its ladder; rails stand at its front and back, boards at its ends. */
  readonly frame: Space;
  /** Where mattresses lie: between ends and rails. */
  readonly bed: Space;
  readonly levels: readonly Level[];
  readonly recess: number;
  readonly rail: number;
  readonly baseDepth: number;
  readonly sizes: { readonly clear: number; readonly rungs: number; readonly slatGap: number; readonly mattress: number };
  readonly means: Means;
};

type Drawn = { readonly parts: readonly Part[]; readonly motions: readonly Motion[] };

const lack = (what: string, available: number, needed: number): PieceProblem | undefined =>
  available < needed ? { code: 'does-not-fit', what, available: Math.max(0, available), needed } : undefined;

/** The stick that slats rest on, along the rails. */
const CLEAT: StickName = 'square dowel, 3 mm';

const planBed = (piece: Bed, means: Means): Plan => {
  const doll = (measure: Bed['lies']) => dollOf(measure, means.scale);
  const sheets = Object.fromEntries(BED_ROLES.map((role) => [role, sheetingOf(piece.boards, piece.thick, role, means)])) as Plan['sheets'];
  // A bed must be as long as who sleeps in it, and as high as lets her sit on it.
  const length = bodyOf(piece.mattressLength, piece.school, means) + 2 * piece.play;
  const width = doll(piece.mattressWidth) + 2 * piece.play;
  const [end, rail] = [sheets.head.thickness, sheets.frame.thickness];
  const bed: Space = { x0: end, x1: end + length, y0: 0, y1: 0, z0: rail, z1: rail + width };
  const baseDepth = piece.base === 'board' ? sheets.base.thickness : sectionOf(piece.slat).thickness;
  const mattress = doll(piece.mattressThickness);
  const lies = bodyOf(piece.lies, piece.school, means);
  const clear = doll(piece.clear);
  const upper = piece.levels === 'loft' ? clear + baseDepth : lies + mattress + clear + baseDepth;
  const levels: readonly Level[] =
    piece.levels === 'one'
      ? [{ word: 'bed', lies }]
      : piece.levels === 'loft'
        ? [{ word: 'upper', lies: upper }]
        : [
            { word: 'lower', lies },
            { word: 'upper', lies: upper },
          ];
  const top = Math.max(...levels.map((level) => level.lies)) + doll(piece.recess);
  return {
    piece,
    sheets,
    frame: { x0: 0, x1: length + 2 * end, y0: 0, y1: top, z0: 0, z1: width + 2 * rail },
    bed,
    levels,
    recess: doll(piece.recess),
    rail: doll(piece.rail),
    baseDepth,
    sizes: { clear, rungs: doll(piece.rungs), slatGap: doll(piece.slatGap), mattress },
    means,
  };
};

const word = (plan: Plan, id: string, kind: Omit<PanelKind, 'id'>): PanelKind => ({ ...kind, id: `${plan.piece.id}/${id}` });

const railTop = (plan: Plan, level: Level): number => level.lies + plan.recess;
const railLow = (plan: Plan, level: Level): number => railTop(plan, level) - plan.rail;

/** The board at an end: from the floor where it is a head or foot board, else a rail across like the others. */
const endParts = (plan: Plan, which: 'head' | 'foot'): readonly Part[] => {
  const { piece, frame, bed, sheets, means } = plan;
  const left = which === 'head';
  const across: Space = left ? { ...frame, x1: bed.x0 } : { ...frame, x0: bed.x1 };
  const shows: Facing = left ? 'right' : 'left';
  const board = piece[which];
  const height = dollOf(board.height, means.scale);
  const top = plan.levels.at(-1) as Level;
  if (height > railTop(plan, top))
    return layered(
      { ...across, y1: height },
      word(plan, which, { role: 'side', name: `${which} board`, shows, ...shaped(board, frame.z1, height, plan) }),
      sheets.head,
    );
  return plan.levels.flatMap((level) =>
    layered(
      { ...across, y0: railLow(plan, level), y1: railTop(plan, level) },
      word(plan, `${which}-rail-${level.word}`, { role: left ? 'side' : 'last side', name: 'end rail', shows }),
      sheets.head,
    ),
  );
};

/** A board's shaped edge rises above the rails that are glued to it. */
const shaped = (board: EndBoard, width: number, height: number, plan: Plan): { outline?: Ring } =>
  board.edge === 'straight'
    ? {}
    : {
        outline: boardWithEdge(width, height, board.edge, dollOf(board.rise, plan.means.scale), railTop(plan, plan.levels.at(-1) as Level)),
      };

const reachesFloor = (plan: Plan, which: 'head' | 'foot'): boolean =>
  dollOf(plan.piece[which].height, plan.means.scale) > railTop(plan, plan.levels.at(-1) as Level);

/** Rails along both sides of every level; a back board takes the back rail's place and goes to the floor. */
const sideRails = (plan: Plan): readonly Part[] => {
  const { piece, frame, bed, sheets, means } = plan;
  const along: Space = { ...frame, x0: bed.x0, x1: bed.x1 };
  const front = plan.levels.flatMap((level) =>
    layered(
      { ...along, y0: railLow(plan, level), y1: railTop(plan, level), z0: bed.z1 },
      word(plan, `rail-front-${level.word}`, { role: 'rail', name: 'side rail', shows: 'front' }),
      sheets.frame,
    ),
  );
  const { backBoard } = piece;
  const height = backBoard ? dollOf(backBoard.height, means.scale) : 0;
  if (backBoard && height > railTop(plan, plan.levels.at(-1) as Level)) {
    const kind = word(plan, 'back', {
      role: 'back',
      name: 'back board',
      shows: 'front',
      ...shaped(backBoard, bed.x1 - bed.x0, height, plan),
    });
    return [...front, ...layered({ ...along, y1: height, z1: bed.z0 }, kind, sheets.frame)];
  }
  return [
    ...front,
    ...plan.levels.flatMap((level) =>
      layered(
        { ...along, y0: railLow(plan, level), y1: railTop(plan, level), z1: bed.z0 },
        word(plan, `rail-back-${level.word}`, { role: 'rail', name: 'side rail', shows: 'front' }),
        sheets.frame,
      ),
    ),
  ];
};

/** Posts stand inside the corners, under the lowest base or through every level to the topmost rail. */
const postSpaces = (plan: Plan): readonly (Space & { readonly word: string })[] => {
  const { bed, piece, levels } = plan;
  const stick = sectionOf(piece.post);
  const lowest = levels[0] as Level;
  const tall = piece.levels === 'one' ? lowest.lies - plan.baseDepth : railTop(plan, levels.at(-1) as Level);
  return (['head', 'foot'] as const).flatMap((end) =>
    reachesFloor(plan, end)
      ? []
      : (['front', 'back'] as const).map((side) => ({
          word: `${end}-${side}`,
          y0: 0,
          y1: tall,
          ...(end === 'head' ? { x0: bed.x0, x1: bed.x0 + stick.width } : { x0: bed.x1 - stick.width, x1: bed.x1 }),
          ...(side === 'back' ? { z0: bed.z0, z1: bed.z0 + stick.thickness } : { z0: bed.z1 - stick.thickness, z1: bed.z1 }),
        })),
  );
};

const posts = (plan: Plan): readonly Part[] =>
  postSpaces(plan).map(({ word: at, ...space }) =>
    stickIn(space, word(plan, `post-${at}`, { role: 'post', name: 'post', shows: 'right' }), plan.piece.post),
  );

/** How far posts that run through a level keep its base off both ends. */
const postInset = (plan: Plan): { readonly head: number; readonly foot: number } => {
  const width = plan.piece.levels === 'one' ? 0 : sectionOf(plan.piece.post).width;
  return { head: reachesFloor(plan, 'head') ? 0 : width, foot: reachesFloor(plan, 'foot') ? 0 : width };
};

const baseParts = (plan: Plan, level: Level): readonly Part[] => {
  const { bed, piece, sheets, baseDepth } = plan;
  const inset = postInset(plan);
  const lying: Space = { ...bed, x0: bed.x0 + inset.head, x1: bed.x1 - inset.foot, y0: level.lies - baseDepth, y1: level.lies };
  if (piece.base === 'board')
    return layered(lying, word(plan, `base-${level.word}`, { role: 'bottom', name: 'bed base', shows: 'up' }), sheets.base);
  const cleat = sectionOf(CLEAT);
  // Cleats stop short of posts that stand under the slats.
  const short = piece.levels === 'one' ? sectionOf(piece.post).width : 0;
  const run: Space = {
    ...lying,
    x0: lying.x0 + (reachesFloor(plan, 'head') ? 0 : short),
    x1: lying.x1 - (reachesFloor(plan, 'foot') ? 0 : short),
    y0: lying.y0 - cleat.width,
    y1: lying.y0,
  };
  const stick = sectionOf(piece.slat);
  const { count, gap } = evenSlats(lying.x1 - lying.x0, stick.width, plan.sizes.slatGap);
  return [
    stickIn(
      { ...run, z1: run.z0 + cleat.thickness },
      word(plan, `cleat-back-${level.word}`, { role: 'rail', name: 'cleat', shows: 'front' }),
      CLEAT,
    ),
    stickIn(
      { ...run, z0: run.z1 - cleat.thickness },
      word(plan, `cleat-front-${level.word}`, { role: 'rail', name: 'cleat', shows: 'front' }),
      CLEAT,
    ),
    ...Array.from({ length: count }, (_, index) => {
      const x0 = lying.x0 + Math.round((index + 1) * gap + index * stick.width);
      return stickIn(
        { ...lying, x0, x1: x0 + stick.width },
        word(plan, `slat-${level.word}-${index}`, { role: 'slat', name: 'slat', shows: 'up' }),
        piece.slat,
      );
    }),
  ];
};

/** A board on the floor, uprights between, and a tray in each place, under the bed and behind the front rail. */
const drawerParts = (plan: Plan): Result<Drawn, PieceProblem> => {
  const { piece, bed, frame, sheets } = plan;
  const level = plan.levels[0] as Level;
  if (piece.drawers === 0) return ok({ parts: [], motions: [] });
  const t = sheets.frame.one;
  const one: Sheeting = { ...sheets.frame, layers: 1, thickness: t };
  const post = sectionOf(piece.post);
  const head = reachesFloor(plan, 'head') ? 0 : post.width;
  const foot = reachesFloor(plan, 'foot') ? 0 : post.width;
  const cleats = piece.base === 'slats' ? sectionOf(CLEAT).width : 0;
  const space: Space = {
    x0: bed.x0 + head,
    x1: bed.x1 - foot,
    y0: 0,
    y1: Math.min(level.lies - plan.baseDepth - cleats, railLow(plan, level)),
    z0: bed.z0,
    z1: frame.z1,
  };
  const each = Math.floor((space.x1 - space.x0 - (piece.drawers + 1) * t) / piece.drawers);
  const problem =
    lack('drawers under the bed, in height', space.y1, 4 * sheets.drawer.one + t) ??
    lack('drawers side by side', each, 4 * sheets.drawer.one);
  if (problem) return err(problem);
  const parts: Part[] = [...layered({ ...space, y1: t }, word(plan, 'floor', { role: 'bottom', name: 'drawer floor', shows: 'up' }), one)];
  const motions: Motion[] = [];
  for (let index = 0; index <= piece.drawers; index += 1) {
    const from = index === piece.drawers ? space.x1 - t : space.x0 + index * (each + t);
    const upright: Space = { ...space, x0: from, x1: from + t, y0: t };
    parts.push(...layered(upright, word(plan, `upright-${index}`, { role: 'divider', name: 'drawer upright', shows: 'right' }), one));
    if (index === piece.drawers) break;
    const next = index === piece.drawers - 1 ? space.x1 - t : from + t + each;
    const bay: Space = { ...space, x0: from + t, x1: next, y0: t };
    const made = insetDrawer(`${piece.id}/drawer-${index}`, bay, piece.grip, sheets.drawer, sheets.frame);
    if (!('motion' in made))
      return err({ code: 'does-not-fit', what: 'a drawer under the bed', available: made.available, needed: made.needed });
    parts.push(...made.parts);
    motions.push(made.motion);
  }
  return ok({ parts, motions });
};

const RUNG: StickName = 'craft stick';

/** How far a ladder's foot stands before the bed, a quarter of its height, and how wide its sides are. */
const ladderSizes = (plan: Plan): { readonly reach: number; readonly wide: number; readonly high: number } => {
  const high = railTop(plan, plan.levels.at(-1) as Level);
  return { reach: Math.round(high / 4), wide: sectionOf(RUNG).width + 4_000, high };
};

/** Two sides that lean against the front rail, their upper ends cut upright to lie on it, and rungs between them. */
const ladder = (plan: Plan): Result<readonly Part[], PieceProblem> => {
  const { piece, frame, bed, sheets, sizes } = plan;
  if (piece.ladder === 'none') return ok([]);
  const { reach, wide, high } = ladderSizes(plan);
  const t = sheets.frame.one;
  const across = Math.round(Math.min(sizes.rungs * 1.5, (bed.x1 - bed.x0) / 3));
  const x0 = piece.ladder === 'left' ? bed.x0 : bed.x1 - across - 2 * t;
  const top = Math.min(plan.rail, Math.round(high / 3));
  const rung = sectionOf(RUNG);
  const count = Math.floor((high - rung.thickness) / sizes.rungs);
  const problem = lack('a ladder of rungs so far apart', high, 2 * sizes.rungs) ?? lack('a rung', across, 4 * rung.thickness);
  if (problem) return err(problem);
  // From the front, x towards the bed: the foot, and at the top a stretch upright against the rail.
  const outline: Ring = [
    [0, 0],
    [wide, 0],
    [wide + reach, high - top],
    [wide + reach, high],
    [reach, high],
  ];
  const sides = (['left', 'right'] as const).flatMap((side) => {
    const from = side === 'left' ? x0 : x0 + t + across;
    const space: Space = { x0: from, x1: from + t, y0: 0, y1: high, z0: frame.z1, z1: frame.z1 + reach + wide };
    return layered(space, word(plan, `ladder-${side}`, { role: 'post', name: 'ladder side', shows: 'right', outline }), {
      ...sheets.frame,
      layers: 1,
      thickness: t,
    });
  });
  const rungs = Array.from({ length: count }, (_, index) => {
    const y0 = (index + 1) * sizes.rungs - rung.thickness;
    // Midway between where the side's two leaning edges stand at its height.
    const inner = Math.min(wide + reach, wide + (reach * y0) / (high - top));
    const outer = (reach * (y0 + rung.thickness)) / high;
    const middle = Math.round((inner + outer) / 2);
    const z1 = frame.z1 + reach + wide - middle + Math.round(rung.width / 2);
    return stickIn(
      { x0: x0 + t, x1: x0 + t + across, y0, y1: y0 + rung.thickness, z0: z1 - rung.width, z1 },
      word(plan, `rung-${index}`, { role: 'slat', name: 'rung', shows: 'up' }),
      RUNG,
    );
  });
  return ok([...sides, ...rungs]);
};

const tooSmall = (plan: Plan): PieceProblem | undefined => {
  const { piece, levels, bed, rail, baseDepth, recess, sheets } = plan;
  const lowest = levels[0] as Level;
  const post = sectionOf(piece.post);
  const needsPosts = postSpaces(plan).length > 0;
  const cleat = piece.base === 'slats' ? sectionOf(CLEAT).width : 0;
  const [first, second] = levels;
  const widest = Math.max(dollOf(piece.head.height, plan.means.scale), dollOf(piece.foot.height, plan.means.scale));
  return (
    lack('the rails above the floor', lowest.lies + recess, rail) ??
    lack('the base between floor and mattress', lowest.lies, baseDepth + cleat + (needsPosts ? 1_000 : 0)) ??
    lack('the base behind its rail', rail, recess + baseDepth + cleat) ??
    lack('the posts along the bed', bed.x1 - bed.x0, 2 * post.width + 2_000) ??
    lack('the posts across the bed', bed.z1 - bed.z0, 2 * post.thickness + 2_000) ??
    (second && first
      ? lack('the upper bed above the lower one’s rails', railLow(plan, second), railTop(plan, first) + 1_000)
      : undefined) ??
    lack('the board at an end', widest === 0 ? sheets.head.thickness : widest, sheets.head.thickness)
  );
};

/** Builds a bed from its decisions.
 *  Shape: piece, means → parts; the space between rails and ends is the mattress and its play, to the micrometre.
 *  Errors: 'does-not-fit' for rails, base, posts, drawers, ladder. */
export const buildBed = (piece: Bed, means: Means): Result<Built, PieceProblem> => {
  const plan = planBed(piece, means);
  const problem = tooSmall(plan);
  if (problem) return err(problem);
  const drawers = drawerParts(plan);
  if (!drawers.ok) return drawers;
  const climbs = ladder(plan);
  if (!climbs.ok) return climbs;
  const parts = [
    ...plan.levels.flatMap((level) => baseParts(plan, level)),
    ...endParts(plan, 'head'),
    ...sideRails(plan),
    ...posts(plan),
    ...drawers.value.parts,
    ...endParts(plan, 'foot'),
    ...climbs.value,
  ];
  const { frame, bed } = plan;
  const highest = Math.max(
    frame.y1,
    ...(['head', 'foot'] as const).map((end) => dollOf(piece[end].height, means.scale)),
    piece.backBoard ? dollOf(piece.backBoard.height, means.scale) : 0,
  );
  const size = ladderSizes(plan);
  const top = plan.levels.at(-1) as Level;
  const assembly: Assembly = {
    parts,
    outside: { min: [0, lowestOf(plan), 0], max: [frame.x1, highest, frame.z1 + (piece.ladder === 'none' ? 0 : size.reach + size.wide)] },
    // What is held: the place of the mattress.
    clear: {
      min: [bed.x0 + postInset(plan).head, top.lies, bed.z0],
      max: [bed.x1 - postInset(plan).foot, top.lies + Math.max(1, plan.recess), bed.z1],
    },
    motions: drawers.value.motions,
  };
  return ok({ assembly, bays: [], openings: [] });
};

/** A bed whose rails reach the floor needs nothing below them. */
const lowestOf = (plan: Plan): number =>
  reachesFloor(plan, 'head') || reachesFloor(plan, 'foot') || postSpaces(plan).length > 0 || plan.piece.drawers > 0 || plan.piece.backBoard
    ? 0
    : railLow(plan, plan.levels[0] as Level);

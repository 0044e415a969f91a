// µm, doll size. The axis stands upright in the middle of the box; y up from the floor.
import type { Part, Role } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import { ellipseRing, type Ring } from '../../shape/index.ts';
import { PADDING } from '../../stock/index.ts';
import { layersFor, type Means, type Sheeting, sheetsFor } from '../family/means.ts';
import { lack, type PieceProblem, unless } from '../family/problem.ts';
import type { Built, SizeMark } from '../parts/built.ts';
import { sectionOf } from '../parts/panels.ts';
import { axisAt, dowel, frustumFlat, type RoundAxis, type RoundKind, roundPart, tubeStrip } from '../parts/round.ts';
import { ROUND_ROLES, type RoundRole, type Section, type Turned } from './turned.ts';

/** What stands so far: how high it is, what its upper face covers, the disc that a rim can go round, and how high all but stems reach. */
type Standing = {
  readonly y: number;
  readonly top: { readonly outer: number; readonly inner: number };
  readonly disc: { readonly y0: number; readonly outer: number } | null;
  readonly body: number;
};

type Making = {
  readonly id: string;
  readonly axis: RoundAxis;
  readonly lap: number;
  readonly sheets: Readonly<Record<RoundRole, Sheeting>>;
  readonly doll: (measure: Measure) => number;
};

type Made = Result<{ readonly parts: readonly Part[]; readonly now: Standing }, PieceProblem>;

/** What a section rests on must lie under it by at least this. */
const LEAST_REST = 200;

const rests = (what: string, was: Standing, outer: number, inner: number): PieceProblem | undefined =>
  was.y === 0 ? undefined : lack(what, Math.min(outer, was.top.outer) - Math.max(inner, was.top.inner), LEAST_REST);

const BOARD = (board: string) => ({ stuff: 'board' as const, stock: board, length: null });

const girth = (outer: number, inner = 0) => ({ outer, inner });

const half = (measure: Measure, { doll }: Making): number => Math.round(doll(measure) / 2);

/** A disc or ring, in as many layers as reach its height. */
const disc = (section: Section, was: Standing, making: Making, kind: RoundKind): Made => {
  const { disc: sheet } = making.sheets;
  const [outer, inner] = [half(section.across, making), half(section.hole, making)];
  const problem =
    lack('the ring round its hole', outer, inner + (inner > 0 ? Math.max(600, Math.round(sheet.one / 4)) : 500)) ??
    rests('a disc on what is below it', was, outer, inner);
  if (problem) return err(problem);
  const { layers } = layersFor(making.doll(section.height), sheet.one);
  const parts = Array.from({ length: layers }, (_, layer) =>
    roundPart(
      making.axis,
      [was.y + layer * sheet.one, was.y + (layer + 1) * sheet.one],
      girth(outer, inner),
      girth(outer, inner),
      layers === 1 ? kind : { ...kind, id: `${kind.id}~${layer + 1}`, name: `${kind.name}, layer ${layer + 1}` },
      BOARD(sheet.board),
    ),
  );
  const y = was.y + layers * sheet.one;
  return ok({ parts, now: { y, top: girth(outer, inner), disc: { y0: was.y, outer }, body: y } });
};

/** A strip or sector that is rolled, or a tube that was found. */
const shell = (section: Section, was: Standing, making: Making, kind: RoundKind): Made => {
  const { wall } = making.sheets;
  const height = making.doll(section.height);
  const found = section.kind === 'found tube';
  const low = half(section.across, making);
  const high = section.kind === 'cone' ? half(section.above, making) : low;
  const across = Math.round((wall.one * Math.hypot(height, low - high)) / height);
  const problem =
    lack('the wall within its tube', Math.min(low, high), across + 1_000) ??
    lack('a tube that is higher than its wall', height, wall.one) ??
    lack('a cone that is rolled rather than flat', height, Math.abs(low - high) * 0.4) ??
    rests('a tube on what is below it', was, low, low - across);
  if (problem) return err(problem);
  const flat =
    section.kind === 'cone' ? frustumFlat(low, high, height, wall.one, making.lap) : tubeStrip(2 * low, wall.one, height, making.lap);
  const part = roundPart(
    making.axis,
    [was.y, was.y + height],
    girth(low, low - across),
    girth(high, high - across),
    kind,
    found ? { stuff: 'found', stock: `tube, ${Math.round(low / 500)} mm across`, length: height } : { ...BOARD(wall.board), flat },
  );
  return ok({ parts: [part], now: { y: was.y + height, top: girth(high, high - across), disc: null, body: was.y + height } });
};

const stem = (section: Section, was: Standing, making: Making, kind: RoundKind): Made => {
  const radius = sectionOf(section.stick).width / 2;
  const height = making.doll(section.height);
  const problem = rests('a dowel on what is below it', was, radius, 0) ?? lack('a dowel that is longer than thick', height, 2 * radius);
  if (problem) return err(problem);
  const part = dowel(making.axis, [was.y, was.y + height], section.stick, kind);
  return ok({ parts: [part], now: { y: was.y + height, top: girth(radius), disc: null, body: was.body } });
};

/** A cone that hangs round what carries it: a disc that closes it above, bevelled to its slope, stands on the dowel. */
const shade = (section: Section, was: Standing, making: Making, kind: RoundKind): Made => {
  const { wall, disc: sheet } = making.sheets;
  const height = making.doll(section.height);
  const [low, high] = [half(section.across, making), half(section.above, making)];
  const across = Math.round((wall.one * Math.hypot(height, low - high)) / height);
  const t = sheet.one;
  const y1 = was.y + t;
  const problem =
    lack('the shade above what it stands on', y1 - was.body, height + 500) ??
    lack('the shade’s wall within it', Math.min(low, high), across + 2_000) ??
    lack('a shade that is rolled rather than flat', height, Math.max(Math.abs(low - high) * 0.4, 1.5 * t)) ??
    lack('the shade round its dowel', Math.min(low, high) - across, was.top.outer + 500);
  if (problem) return err(problem);
  const inside = high - across;
  const below = Math.round(inside + ((low - high) * t) / height);
  const cone = roundPart(
    making.axis,
    [y1 - height, y1],
    girth(low, low - across),
    girth(high, inside),
    { ...kind, role: 'frame' },
    {
      ...BOARD(wall.board),
      flat: frustumFlat(low, high, height, wall.one, making.lap),
    },
  );
  const carrier = roundPart(
    making.axis,
    [was.y, y1],
    girth(below),
    girth(inside),
    { id: `${kind.id}-disc`, role: 'shelf', name: 'disc in the shade' },
    BOARD(sheet.board),
  );
  return ok({ parts: [carrier, cone], now: { y: y1, top: girth(high), disc: null, body: y1 } });
};

/** A strip round the edge of the disc below, from its lower face upwards. */
const rim = (section: Section, was: Standing, making: Making, kind: RoundKind): Made => {
  const { wall } = making.sheets;
  const height = making.doll(section.height);
  const problem =
    unless('a disc for the rim to go round', was.disc !== null) ??
    lack('a rim higher than its disc', height, was.disc ? was.y - was.disc.y0 : 0);
  if (problem || !was.disc) return err(problem as PieceProblem);
  const { y0, outer: inner } = was.disc;
  const outer = inner + wall.one;
  const made = { ...BOARD(wall.board), flat: tubeStrip(2 * outer, wall.one, height, making.lap) };
  const part = roundPart(making.axis, [y0, y0 + height], girth(outer, inner), girth(outer, inner), kind, made);
  return ok({ parts: [part], now: { y: y0 + height, top: girth(outer, inner), disc: null, body: y0 + height } });
};

/** Blocks along the edge of what is below, as far out as that goes, with gaps between them as wide as they are. */
const merlons = (section: Section, was: Standing, making: Making, kind: RoundKind): Made => {
  const { disc: sheet } = making.sheets;
  const [outer, inner] = [Math.min(half(section.across, making), was.top.outer), half(section.hole, making)];
  const problem =
    lack('battlements as wide as their board', outer, inner + sheet.one) ??
    lack('battlements that stand apart', Math.round((Math.PI * outer) / section.count), sheet.one) ??
    lack('battlements that can be cut', making.axis.chords / section.count, 4) ??
    rests('battlements on what is below them', was, outer, inner);
  if (problem) return err(problem);
  const { layers } = layersFor(making.doll(section.height), sheet.one);
  // Their curves are stretches of the very circle that they stand on: one block, in the middle behind, turned by whole chords of it.
  const [far, near] = [outer, inner].map((radius) => ellipseRing(0, 0, radius, radius, making.axis.chords)) as [Ring, Ring];
  const long = 2 * Math.floor(far.length / section.count / 4);
  const from = far.length / 4 - long / 2;
  const outline: Ring = [...far.slice(from, from + long + 1), ...near.slice(from, from + long + 1).toReversed()];
  const region = { outline, holes: [] };
  const first = roundPart(making.axis, [was.y, was.y + sheet.one], girth(1), girth(1), kind, BOARD(sheet.board));
  const parts = Array.from({ length: section.count }, (_, number) => {
    const angle = (2 * Math.PI * Math.round((far.length * number) / section.count)) / far.length;
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    return Array.from({ length: layers }, (__, layer): Part => {
      const [x, y, z] = first.pose.origin;
      const pose = { origin: [x, y + layer * sheet.one, z] as const, u: [cos, 0, 0 - sin] as const, v: [0 - sin, 0, 0 - cos] as const };
      return { ...first, id: `${kind.id}-${number}~${layer + 1}`, region, centres: [], pose };
    });
  }).flat();
  const y = was.y + layers * sheet.one;
  return ok({ parts, now: { y, top: girth(outer, inner), disc: null, body: y } });
};

const pad = (section: Section, was: Standing, making: Making, kind: RoundKind): Made => {
  const [radius, height] = [half(section.across, making), making.doll(section.height)];
  const problem = rests('padding on what is below it', was, radius, 0) ?? lack('padding across', radius, 500);
  if (problem) return err(problem);
  const made = { stuff: 'pad' as const, stock: PADDING.name, length: null };
  const part = roundPart(making.axis, [was.y, was.y + height], girth(radius), girth(radius), kind, made);
  return ok({ parts: [part], now: { y: was.y + height, top: girth(radius), disc: null, body: was.y + height } });
};

const KINDS: Readonly<
  Record<
    Section['kind'],
    {
      readonly role: Role;
      readonly name: string;
      readonly make: (section: Section, was: Standing, making: Making, kind: RoundKind) => Made;
    }
  >
> = {
  disc: { role: 'bottom', name: 'disc', make: disc },
  tube: { role: 'side', name: 'tube', make: shell },
  'found tube': { role: 'found', name: 'tube, found', make: shell },
  cone: { role: 'side', name: 'cone', make: shell },
  stem: { role: 'post', name: 'dowel', make: stem },
  shade: { role: 'frame', name: 'shade', make: shade },
  rim: { role: 'border', name: 'rim', make: rim },
  merlons: { role: 'worktop', name: 'battlement', make: merlons },
  pad: { role: 'pad', name: 'pad', make: pad },
};

/** How far out a section reaches. */
const reachOf = (section: Section, making: Pick<Making, 'doll' | 'sheets'>): number => {
  const at = (measure: Measure): number => Math.round(making.doll(measure) / 2);
  if (section.kind === 'stem') return sectionOf(section.stick).width / 2;
  if (section.kind === 'rim') return 0;
  return section.kind === 'cone' || section.kind === 'shade' ? Math.max(at(section.across), at(section.above)) : at(section.across);
};

/** A disc bored for the dowel that stands in it: its end alone would hold nothing. The uppermost board of several; not a disc that would be all hole. */
const boredFor = (section: Section, disc: Part | undefined): Part | undefined => {
  if (disc?.stuff !== 'board' || disc.flat || disc.upper || disc.region.holes.length > 0 || disc.centres.length === 0) return undefined;
  const radius = sectionOf(section.stick).width / 2;
  const reach = Math.max(...disc.region.outline.map(([x]) => x));
  if (reach < 2 * radius) return undefined;
  const hole = [...ellipseRing(0, 0, radius)].reverse();
  return { ...disc, region: { ...disc.region, holes: [hole] } };
};

/** Builds something round from its sections, one on another.
 *  Shape: piece, means → discs of board, strips to roll, dowels. What touches all round has its chords in common. Errors: 'does-not-fit' for a
 *  section that rests on nothing, or whose wall, hole or shade has no room. */
export const buildRound = (piece: Turned, means: Means): Result<Built, PieceProblem> => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  const sheets = sheetsFor(piece, ROUND_ROLES, means);
  const reach = piece.sections.reduce((most, section, index) => {
    const below = piece.sections[index - 1];
    const rimmed = section.kind === 'rim' && below ? Math.round(doll(below.across) / 2) + sheets.wall.one : 0;
    return Math.max(most, reachOf(section, { doll, sheets }), rimmed);
  }, 0);
  const making: Making = { id: piece.id, axis: axisAt(reach, reach, reach), lap: piece.lap, sheets, doll };
  let now: Standing = { y: 0, top: girth(0), disc: null, body: 0 };
  const parts: Part[] = [];
  const marks: SizeMark[] = [];
  for (const [index, section] of piece.sections.entries()) {
    const { role, name, make } = KINDS[section.kind];
    const bored = section.kind === 'stem' ? boredFor(section, parts.at(-1)) : undefined;
    if (bored) parts[parts.length - 1] = bored;
    const was = bored ? { ...now, y: bored.pose.origin[1] } : now;
    const made = make(section, was, making, {
      id: `${piece.id}/section-${index}`,
      role: index > 0 && role === 'bottom' ? 'shelf' : role,
      name,
    });
    if (!made.ok) return made;
    parts.push(...made.value.parts);
    const [from, to] = section.kind === 'shade' ? [made.value.now.y - doll(section.height), made.value.now.y] : [was.y, made.value.now.y];
    if (to - from > 0 && section.kind !== 'rim')
      marks.push({ path: ['sections', String(index), 'height'], sight: 'front', way: 'up', from, to, at: 2 * reach });
    now = made.value.now;
  }
  const high = Math.max(...parts.map(({ pose, thickness }) => pose.origin[1] + thickness));
  const widest = Math.max(...parts.map(({ region, upper }) => Math.max(...[...region.outline, ...(upper?.outline ?? [])].map(([x]) => x))));
  const off = reach - widest;
  const outside = { min: [off, 0, off], max: [reach + widest, high, reach + widest] } as const;
  const clear = { min: [0, 0, 0], max: [0, 0, 0] } as const;
  return ok({ assembly: { parts, outside, clear, motions: [] }, bays: [], openings: [], marks });
};

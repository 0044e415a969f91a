// µm, doll size. Layers one on another: from the floor upwards, or from the wall forwards.
import type { Part } from '../../assembly/index.ts';
import { err, ok, type Result } from '../../kit/index.ts';
import { dollOf, type Measure } from '../../measure/index.ts';
import {
  areaOf,
  asSimple,
  bounds,
  common,
  figureRing,
  grown,
  less,
  movedRing,
  type Pose,
  type Region,
  type Ring,
  signedArea,
  type Vec3,
} from '../../shape/index.ts';
import { type Means, sheetsFor } from '../family/means.ts';
import { lack, type PieceProblem } from '../family/problem.ts';
import type { Built } from '../parts/built.ts';
import { STACK_ROLES, type Stack, type StackLayer } from './stack.ts';

/** The maker's own rings stretched over the box. */
const ownRegion = (rings: readonly Ring[], width: number, height: number): Region | undefined => {
  const { x0, y0, x1, y1 } = bounds(rings.flat());
  if (rings.length === 0 || x1 <= x0 || y1 <= y0) return undefined;
  const stretched = rings.map((ring) =>
    ring.map(([x, y]) => [Math.round(((x - x0) * width) / (x1 - x0)), Math.round(((y - y0) * height) / (y1 - y0))] as const),
  );
  const regions = asSimple(stretched);
  return regions.length === 1 ? regions[0] : undefined;
};

/** A piece's outline, filling its box from the origin. Nothing when its own points make no outline in one piece. */
export const outlineOfStack = (piece: Stack, doll: (measure: Measure) => number): Region | undefined => {
  const [width, height] = [doll(piece.width), doll(piece.height)];
  if (piece.outline === 'own') return ownRegion(piece.points, width, height);
  return { outline: figureRing(piece.outline, { width, height, corners: piece.corners, round: doll(piece.round) }), holes: [] };
};

const positive = (ring: Ring): Ring => (signedArea(ring) < 0 ? [...ring].reverse() : ring);

/** The regions of one layer. */
const layerRegions = (base: Region, layer: StackLayer, doll: (measure: Measure) => number): readonly Region[] => {
  const by = doll(layer.out) - doll(layer.in);
  const outer = grown(base, by);
  const rim = doll(layer.rim);
  return rim === 0 ? outer : outer.flatMap((region) => less(region, grown(base, by - rim)));
};

/** Parts smaller than this are crumbs of an offset, in µm². */
const CRUMB = 1_000_000;

/** An offset may part a layer; beyond so many bits it is no layer. */
const MOST_BITS = 40;

/** `full`: how far a layer without an opening stands out beyond the outline; what stands out no further lies on it all over. */
type Lying = { readonly regions: readonly Region[]; readonly from: number; readonly to: number; readonly full: number };

const poseAt = (lies: Stack['lies'], at: number): Pose =>
  lies === 'lies' ? { origin: [0, at, 0], u: [1, 0, 0], v: [0, 0, -1] } : { origin: [0, 0, at], u: [1, 0, 0], v: [0, 1, 0] };

/** Builds layers of an outline.
 *  Shape: piece, means → parts with true outlines and openings. Errors: 'does-not-fit' for an outline that is not in one piece, a layer of which its
 *  offset leaves nothing, one that rests on nothing, one that lies where the one beside it does. */
export const buildStack = (piece: Stack, means: Means): Result<Built, PieceProblem> => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  const sheets = sheetsFor(piece, STACK_ROLES, means);
  const base = outlineOfStack(piece, doll);
  if (!base) return err({ code: 'does-not-fit', what: 'an outline in one piece', available: 0, needed: 1 });
  const stacked: Lying[] = [];
  const parts: Part[] = [];
  for (const [index, layer] of piece.layers.entries()) {
    const name = `layer ${index + 1}`;
    const { board, one } = sheets[layer.board];
    const regions = layerRegions(base, layer, doll).filter((region) => areaOf([region]) > CRUMB);
    const last = stacked.at(-1);
    const beside = layer.level === 'beside' && last !== undefined;
    const from = beside ? last.from : (last?.to ?? 0);
    const under = stacked.filter(({ to }) => to === from);
    const below = under.flatMap((each) => each.regions);
    const by = doll(layer.out) - doll(layer.in);
    const lies = regions.length > 0 && under.some(({ full }) => by <= full);
    const problem =
      lack(`${name} after its offset`, regions.length, 1) ??
      lack(`${name} in no more bits than this`, MOST_BITS, regions.length) ??
      (from > 0 && !lies
        ? lack(
            `${name} on what is below it`,
            Math.min(...regions.map((region) => Math.round(Math.sqrt(areaOf(common(region, below)))))),
            1_000,
          )
        : undefined) ??
      (beside
        ? lack(
            `${name} beside the one before it`,
            0,
            Math.round(Math.sqrt(areaOf(regions.flatMap((region) => common(region, last.regions))) / 100)),
          )
        : undefined) ??
      (beside && from === 0 ? lack(`${name} on something below it`, 0, 1) : undefined);
    if (problem) return err(problem);
    const to = from + layer.boards * one;
    stacked.push({ regions, from, to: beside ? Math.max(to, last.to) : to, full: layer.rim === 0 ? by : -Infinity });
    for (const [number, region] of regions.entries()) {
      for (let sheet = 0; sheet < layer.boards; sheet += 1) {
        const several = layer.boards > 1 ? `, layer ${sheet + 1}` : '';
        parts.push({
          id: `${piece.id}/layer-${index}${regions.length > 1 ? `-${number}` : ''}${layer.boards > 1 ? `~${sheet + 1}` : ''}`,
          role: index === 0 ? 'bottom' : layer.rim !== 0 ? 'border' : 'shelf',
          name: `${layer.rim !== 0 ? 'rim' : piece.name}${several}`.slice(0, 60),
          stuff: 'board',
          stock: board,
          thickness: one,
          region: { outline: positive(region.outline), holes: region.holes },
          pose: poseAt(piece.lies, from + sheet * one),
          grain: 'any',
          held: 'glue',
          length: null,
          centres: [],
        });
      }
    }
  }
  const all = bounds(parts.flatMap(({ region }) => region.outline));
  const moved = parts.map((part): Part => {
    const home = (ring: Ring): Ring => movedRing(ring, -all.x0, -all.y0);
    const region = { outline: home(part.region.outline), holes: part.region.holes.map(home) };
    const [x, y, z] = part.pose.origin;
    return { ...part, region, pose: { ...part.pose, origin: piece.lies === 'lies' ? [x, y, all.y1 - all.y0] : [x, y, z] } };
  });
  const [wide, long, high] = [all.x1 - all.x0, all.y1 - all.y0, Math.max(...stacked.map(({ to }) => to))];
  const max: Vec3 = piece.lies === 'lies' ? [wide, high, long] : [wide, long, high];
  const outside = { min: [0, 0, 0], max } as const;
  const clear = { min: [0, 0, 0], max: [0, 0, 0] } as const;
  return ok({ assembly: { parts: moved, outside, clear, motions: [] }, bays: [], openings: [], marks: [] });
};

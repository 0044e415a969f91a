// µm, doll size. From a piece's parts and what they wear to its papers and its paint.
import type { Assembly, Inspection, Part } from '../assembly/index.ts';
import { areaOf, bounds, common, type Point, type Region } from '../shape/index.ts';
import { builtPapers, joinedSurfaces } from './built.ts';
import { chunksOf } from './chunks.ts';
import { type Dress, isTurnedAway, type Wear, wornBy } from './dress.ts';
import { artOn, type Dressed, finishOf, fitOn, isPaper, sameWear, wearKey } from './dressed.ts';
import { type Surface, surfacesOf } from './exposed.ts';
import type { Finish } from './finish.ts';
import { after } from './iso.ts';
import { atOrigin, type Panel, type Paper } from './paper.ts';
import { isBent, isEdge, stripsOf } from './strips.ts';
import { type WrappedFace, wrapOf } from './wrap.ts';

/** What covers a piece. */
export type Covering = {
  /** Every face; where the whole is covered once it is built, those that lie flush are one. */
  readonly surfaces: readonly Surface[];
  /** What each surface wears, by index. */
  readonly worn: readonly (Wear | undefined)[];
  readonly papers: readonly Paper[];
  readonly paints: readonly Paint[];
  /** The length of edges that show raw board, and their area: µm and µm². */
  readonly raw: { readonly length: number; readonly area: number };
};

/** Paint of one finish: the area that it covers, in µm², and millilitres for all its coats. */
export type Paint = { readonly finish: string; readonly area: number; readonly ml: number };

/** The papers of a part that is covered while it lies flat. */
const flatPapers = (dressed: Dressed, part: Part, mine: readonly WrappedFace[]): readonly Paper[] => {
  const { worn, finishes, outside } = dressed;
  const at = (id: string) => mine.find(({ surface }) => surface.id === id) as WrappedFace;
  const wearOf = ({ index }: WrappedFace) => worn[index];
  const papered = (placed: WrappedFace) => isPaper(finishOf(wearOf(placed), finishes));
  const [front, back] = [at('front'), at('back')];
  const edges = mine.filter(({ surface }) => isEdge(surface));
  const papers: Paper[] = [];
  const flaps: Panel[] = [];
  const rings: WrappedFace[][] = [];
  for (const edge of edges) {
    const ring = Number(/^edge (\d+)/.exec(edge.surface.id)?.[1]);
    rings[ring] = [...(rings[ring] ?? []), edge];
  }
  // The face that shows more is wrapped round the edges; the other is covered flush, over the flaps that turn in on it.
  const faces = [front, back]
    .filter((face) => papered(face) && face.surface.exposed.length > 0)
    .sort((a, b) => b.surface.area - a.surface.area);
  let wrapped: Wear | undefined;
  for (const main of faces) {
    const wear = wearOf(main) as Wear;
    const finish = finishOf(wear, finishes) as Finish;
    // Flaps go over edges that stand square to the face; those that slant wear strips.
    const over = finish.edges === 'wrapped' && !sameWear(wear, wrapped) && !part.upper && !part.flat;
    const goesOver = new Map(
      over ? edges.filter((edge) => sameWear(wearOf(edge), wear)).map((edge) => [edge.surface.id as string, edge]) : [],
    );
    const chunks =
      goesOver.size === 0
        ? []
        : chunksOf(rings.map((ring) => ring.map(({ surface }) => ({ id: surface.id, run: surface.run as NonNullable<Surface['run']> }))));
    const wrap = { part, chunks, main, other: main === front ? back : front, edges: goesOver, turn: finish.turn, turnedIn: [] as Region[] };
    const art = artOn(main.surface, part, wear, outside);
    const fit = fitOn(main.surface, art);
    for (const region of main.surface.exposed) {
      const { panels, scores } = wrapOf(wrap, region);
      flaps.push(...panels);
      papers.push({ how: 'cover', wear, panels, scores, art, fit });
    }
    if (over) wrapped = wear;
  }
  const wants = edges.filter((edge) => papered(edge) && finishOf(wearOf(edge), finishes)?.edges !== 'raw');
  const kinds = [...new Set(wants.map((edge) => wearKey(wearOf(edge))))];
  for (const kind of kinds) {
    const these = wants.filter((edge) => wearKey(wearOf(edge)) === kind);
    const follows = (edge: WrappedFace): WrappedFace | undefined => {
      const ring = rings.find((each) => each.includes(edge)) as WrappedFace[];
      const next = ring[(ring.indexOf(edge) + 1) % ring.length];
      // What bends or slants lies in no plane that the next strip could be folded from.
      return next && these.includes(next) && !part.upper && !isBent(edge.surface) ? next : undefined;
    };
    for (const { panels, scores } of stripsOf(these, flaps, follows)) {
      const first = panels[0] as Panel;
      const on = dressed.surfaces[first.surface] as Surface;
      const wear = worn[first.surface] as Wear;
      const art = artOn(on, part, wear, outside);
      papers.push({ how: 'strip', wear, panels, scores, art: after(first.place, art), fit: fitOn(on, art) });
    }
  }
  return papers;
};

/** µm² of one coat → millilitres: a square metre is 10¹² µm², and a litre covers `spread` of them. */
const millilitres = (area: number, { coats, spread }: Finish): number => (area / 1e12 / spread) * coats * 1000;

const paintsOf = ({ surfaces, worn, finishes }: Dressed): readonly Paint[] => {
  const areas = new Map<string, number>();
  surfaces.forEach((surface, index) => {
    const finish = finishOf(worn[index], finishes);
    if (finish?.how === 'paint') areas.set(finish.id, (areas.get(finish.id) ?? 0) + surface.area);
  });
  return [...areas].map(([id, area]) => ({ finish: id, area, ml: millilitres(area, finishes.get(id) as Finish) }));
};

/** Edges of board that show, not from behind or below, and that neither paint nor paper covers, where their part or its broad faces wear something. */
const rawEdges = ({ parts, surfaces, worn, finishes, outside }: Dressed, dress: Dress): Covering['raw'] => {
  const dressedParts = new Set(surfaces.flatMap(({ part }, index) => (finishOf(worn[index], finishes) ? [part] : [])));
  let [length, area] = [0, 0];
  surfaces.forEach((surface, index) => {
    const finish = finishOf(worn[index], finishes);
    const isRaw = !finish || (finish.how !== 'paint' && finish.edges === 'raw');
    if (!isEdge(surface) || !isRaw || !dressedParts.has(surface.part) || parts[surface.part]?.stuff !== 'board') return;
    if (isTurnedAway(dress, parts[surface.part] as Part, surface, outside)) return;
    for (const region of surface.exposed) {
      const { x0, x1 } = bounds(region.outline);
      length += x1 - x0;
    }
    area += areaOf(surface.exposed);
  });
  return { length, area };
};

/** What of a surface lies no higher than its finish goes. Bent edges are covered whole where any of them lies as low. */
const upTo = (surface: Surface, wear: Wear | undefined): Surface => {
  if (wear?.upTo == null || isBent(surface)) return surface;
  const { pose } = surface;
  const rise: Point = [pose.u[1], pose.v[1]];
  const steep = Math.hypot(...rise);
  const room = wear.upTo - pose.origin[1];
  if (steep < 1e-6) return room >= 0 ? surface : { ...surface, exposed: [], area: 0 };
  // The half-plane below the height, as a square that reaches beyond everything.
  const up: Point = [rise[0] / steep, rise[1] / steep];
  const across: Point = [up[1], -up[0]];
  const far = 1e7;
  const corner = (along: number, high: number): Point => [
    Math.round(up[0] * high + across[0] * along),
    Math.round(up[1] * high + across[1] * along),
  ];
  const below = { outline: [corner(-far, room / steep), corner(-far, -far), corner(far, -far), corner(far, room / steep)], holes: [] };
  const exposed = surface.exposed.flatMap((region) => common(region, [below]));
  return { ...surface, exposed, area: areaOf(exposed) };
};

/** What each surface wears, by index: the nearest choice. Sticks are painted or left; paper goes round them as tape does, and needs no pattern
 *  of ours. */
export const wornOn = (
  { parts, outside }: Assembly,
  surfaces: readonly Surface[],
  dress: Dress,
  finishes: ReadonlyMap<string, Finish>,
): readonly (Wear | undefined)[] =>
  surfaces.map((surface) => {
    const part = parts[surface.part] as Part;
    const wear = wornBy(dress, part, surface, outside);
    // What is rolled is papered outside and inside, not on the rim that its thickness makes.
    const plain = part.stuff !== 'board' || (part.flat !== undefined && !isEdge(surface));
    return plain && isPaper(finishOf(wear, finishes)) ? undefined : wear;
  });

/** Covers a piece.
 *  Shape: an assembly, its inspection, what it wears, the set's finishes and how large a net of each may be → its surfaces, papers and paint. Units: µm at doll size, millilitres.
 *  Laws: each face that wears paper is covered once, save where a flap lies under another paper; no paper lies where something is glued. */
export const coverPiece = (
  assembly: Assembly,
  inspection: Inspection,
  dress: Dress,
  finishes: ReadonlyMap<string, Finish>,
  roomFor: (finish: string) => { readonly width: number; readonly height: number },
): Covering => {
  const { parts, outside, motions } = assembly;
  const moving = new Set(motions.flatMap((motion) => motion.parts));
  const separate = surfacesOf(parts, inspection.contacts, inspection.boxes, moving);
  const worn = wornOn(assembly, separate, dress, finishes);
  const surfaces = separate.map((surface, index) => upTo(surface, worn[index]));
  const alone = { parts, surfaces, worn, finishes, outside };
  if (dress.when === 'built') {
    const joined = joinedSurfaces(alone, moving, (wear) => isPaper(finishOf(wear, finishes)));
    const dressed = { ...alone, ...joined };
    return { ...joined, papers: builtPapers(dressed, roomFor).map(atOrigin), paints: paintsOf(alone), raw: rawEdges(alone, dress) };
  }
  const byPart = parts.map((): WrappedFace[] => []);
  for (const [index, surface] of surfaces.entries()) byPart[surface.part]?.push({ surface, index });
  const papers = parts.flatMap((part, index) =>
    (byPart[index] as WrappedFace[]).some((placed) => isPaper(finishOf(alone.worn[placed.index], finishes)))
      ? flatPapers(alone, part, byPart[index] as WrappedFace[])
      : [],
  );
  return { surfaces, worn, papers: papers.map(atOrigin), paints: paintsOf(alone), raw: rawEdges(alone, dress) };
};

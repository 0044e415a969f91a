// µm. What a careful maker would notice about sticks, legs, slots and outlines.
import { type Box, boxOf, type Contact, outlineOf, type Part, runOf } from '../../assembly/index.ts';
import { dollUm, UM } from '../../measure/index.ts';
import { AXES, bounds, dot, normalOf, type Point, type Pose, type Ring, toSpace, type Vec3 } from '../../shape/index.ts';
import type { Finding } from './finding.ts';
import { idsOf, type Judged, mendPiece, tagged } from './judged.ts';

/** A stick bends by itself where it is held by nothing for more than so many times its thickness. Common practice, no source. */
const SLENDER = 70;

/** The contacts of each part, by its index. */
const touching = ({ inspection }: Judged): ReadonlyMap<number, readonly Contact[]> => {
  const found = new Map<number, Contact[]>();
  const note = (part: number, contact: Contact): void => {
    const known = found.get(part);
    if (known) known.push(contact);
    else found.set(part, [contact]);
  };
  for (const contact of inspection.contacts) {
    note(contact.a, contact);
    note(contact.b, contact);
  }
  return found;
};

/** From where to where a ring of a pose's plane reaches along a way. */
const reachOf = ({ origin, u, v }: Pose, ring: Ring, along: Vec3): readonly [number, number] => {
  const [at, across, up] = [dot(origin, along), dot(u, along), dot(v, along)];
  let [low, high] = [Infinity, -Infinity];
  for (const point of ring) {
    const value = at + point[0] * across + point[1] * up;
    if (value < low) low = value;
    if (value > high) high = value;
  }
  return [low, high];
};

/** The longest stretch of a stick that nothing touches. */
const longestFree = (contacts: readonly Contact[], part: Part): number => {
  const along = runOf(part);
  const through = dot(normalOf(part.pose), along) * part.thickness;
  const under = reachOf(part.pose, part.region.outline, along);
  const over = reachOf(part.pose, (part.upper ?? part.region).outline, along);
  const [start, end] = [Math.min(under[0], over[0] + through), Math.max(under[1], over[1] + through)];
  const held = contacts.map(({ plane, ring }) => reachOf(plane, ring, along)).sort((p, q) => p[0] - q[0]);
  let [reached, longest] = [start, 0];
  for (const [from, to] of held) {
    longest = Math.max(longest, from - reached);
    reached = Math.max(reached, to);
  }
  return Math.max(longest, end - reached);
};

export const slenderSticks = (judged: Judged): readonly Finding[] => {
  const { piece, built } = judged;
  let contacts: ReadonlyMap<number, readonly Contact[]> | undefined;
  const worst = new Map<string, { free: number; most: number; parts: number[] }>();
  built.assembly.parts.forEach((part, index) => {
    if (part.stuff !== 'stick' || part.length === null) return;
    const { x0, y0, x1, y1 } = bounds(part.region.outline);
    const section = part.region.outline.length > 12 ? Math.min(x1 - x0, y1 - y0) : part.thickness;
    const most = SLENDER * section;
    if (part.length <= most) return;
    contacts ??= touching(judged);
    const free = longestFree(contacts.get(index) ?? [], part);
    if (free <= most) return;
    const tag = tagged(judged, index);
    const known = worst.get(tag);
    worst.set(tag, { free: Math.max(free, known?.free ?? 0), most, parts: [...(known?.parts ?? []), index] });
  });
  return [...worst].map(
    ([part, { free, most, parts }]): Finding => ({
      code: 'stick-too-thin',
      severity: 'warning',
      part,
      numbers: { free: Math.round(free), most },
      where: { pieceId: piece.id, partIds: idsOf(built.assembly, parts) },
      mend: null,
    }),
  );
};

/** More than this off level is felt: a hundredth, about half a degree. Common practice, no source. */
const LEVEL = 0.01;

const isSeat = ({ id, name }: Part): boolean => /\bseat$/.test(name) || /\/seat(~\d+)?$/.test(id);

export const seatsNotLevel = (judged: Judged): readonly Finding[] =>
  judged.built.assembly.parts.flatMap((part, index): readonly Finding[] => {
    const n = normalOf(part.pose);
    const slope = Math.hypot(n[0], n[2]) / Math.max(1e-9, Math.abs(n[1]));
    if (!isSeat(part) || slope < LEVEL || slope > 1) return [];
    const { min, max } = boxOf(part);
    return [
      {
        code: 'seat-not-level',
        severity: 'warning',
        part: tagged(judged, index),
        numbers: { degrees: Math.round((Math.atan(slope) * 1800) / Math.PI) / 10, off: Math.round(max[1] - min[1] - part.thickness) },
        where: { pieceId: judged.piece.id, partIds: [part.id] },
        mend: null,
      },
    ];
  });

/** What stands so little above the floor was meant to stand on it. */
const NEAR_FLOOR = 3 * UM.mm;
/** A gap under a foot that paper would fill is none. */
const ROCKS = 0.15 * UM.mm;

const STANDING: ReadonlySet<Part['role']> = new Set(['post', 'foot', 'side', 'last side']);

/** Whether something lies under a part. */
const restsOn = ({ inspection }: Judged, index: number, low: number): boolean =>
  inspection.contacts.some(
    (contact) => (contact.a === index || contact.b === index) && outlineOf(contact).every((point) => Math.abs(point[1] - low) <= 20),
  );

export const unevenFeet = (judged: Judged): readonly Finding[] => {
  const { piece, built, inspection } = judged;
  const short = built.assembly.parts.flatMap((part, index) => {
    const low = (inspection.boxes[index] as Box).min[1];
    const off = STANDING.has(part.role) && low > ROCKS && low <= NEAR_FLOOR && !restsOn(judged, index, low);
    return off ? [{ index, low }] : [];
  });
  if (short.length === 0) return [];
  return [
    {
      code: 'feet-not-level',
      severity: 'warning',
      part: tagged(judged, (short[0] as (typeof short)[number]).index),
      numbers: { gap: Math.round(Math.max(...short.map(({ low }) => low))), feet: short.length },
      where: {
        pieceId: piece.id,
        partIds: idsOf(
          built.assembly,
          short.map(({ index }) => index),
        ),
      },
      mend: null,
    },
  ];
};

/** A foot that stands out beyond what it carries by less than this is not stumbled over. */
const STUMBLE = 0.5 * UM.mm;

export const legsOutside = (judged: Judged): readonly Finding[] => {
  const { piece, built, inspection } = judged;
  const { parts } = built.assembly;
  const tops = parts.flatMap((part, index) => (part.role === 'top' ? [inspection.boxes[index] as Box] : []));
  if (tops.length === 0) return [];
  const [x0, x1] = [Math.min(...tops.map(({ min }) => min[0])), Math.max(...tops.map(({ max }) => max[0]))];
  const [z0, z1] = [Math.min(...tops.map(({ min }) => min[2])), Math.max(...tops.map(({ max }) => max[2]))];
  const out = parts.flatMap((part, index) => {
    const { min, max } = inspection.boxes[index] as Box;
    const beyond = Math.max(x0 - min[0], max[0] - x1, z0 - min[2], max[2] - z1);
    return part.role === 'post' && min[1] < 1 && beyond > STUMBLE ? [{ index, beyond }] : [];
  });
  if (out.length === 0) return [];
  const beyond = Math.max(...out.map((each) => each.beyond));
  const mend = 'splay' in piece ? mendPiece(piece, 'stand-within', { splay: piece.inset }) : null;
  return [
    {
      code: 'leg-outside',
      severity: 'warning',
      part: tagged(judged, (out[0] as (typeof out)[number]).index),
      numbers: { beyond: Math.round(beyond), legs: out.length },
      where: {
        pieceId: piece.id,
        partIds: idsOf(
          built.assembly,
          out.map(({ index }) => index),
        ),
      },
      mend,
    },
  ];
};

/** A tab has this much play in its slot and no more, or what stands in it leans. Common practice, no source. */
const PLAY = 0.4 * UM.mm;

type Axis = 0 | 1 | 2;

/** How much larger a slot is than the part that goes through it, where one does. */
const playIn = (corners: readonly Point[] | readonly (readonly number[])[], axis: Axis, box: Box, other: Box): number | undefined => {
  if (other.min[axis] >= box.max[axis] || other.max[axis] <= box.min[axis]) return undefined;
  const across = AXES.filter((each) => each !== axis);
  const plays = across.map((each) => {
    const values = corners.map((corner) => corner[each] as number);
    return { low: Math.min(...values), high: Math.max(...values), min: other.min[each], max: other.max[each] };
  });
  // Through the slot goes what is inside it in at least one direction, and crosses its middle in the other.
  const inside = plays.some(({ low, high, min, max }) => min >= low && max <= high);
  const crosses = plays.every(({ low, high, min, max }) => min < (low + high) / 2 && max > (low + high) / 2);
  if (!inside || !crosses) return undefined;
  return Math.min(
    ...plays.filter(({ low, high, min, max }) => min >= low && max <= high).map(({ low, high, min, max }) => high - low - (max - min)),
  );
};

export const looseSlots = (judged: Judged): readonly Finding[] => {
  const { piece, built, inspection } = judged;
  const { parts } = built.assembly;
  const found = parts.flatMap((part, index) => {
    const axis = AXES.find((each) => Math.abs(normalOf(part.pose)[each]) > 1 - 1e-9);
    if (part.stuff !== 'board' || axis === undefined) return [];
    return part.region.holes.flatMap((hole) => {
      // Slots are narrow: openings that something merely stands in are none.
      const { x0, y0, x1, y1 } = bounds(hole);
      if (hole.length !== 4 || Math.min(x1 - x0, y1 - y0) > 3 * part.thickness) return [];
      const corners = hole.map((point) => toSpace(part.pose, point));
      return parts.flatMap((other, number) => {
        if (number === index || other.stuff !== 'board') return [];
        const play = playIn(corners, axis, inspection.boxes[index] as Box, inspection.boxes[number] as Box);
        return play !== undefined && play > PLAY ? [{ index: number, play }] : [];
      });
    });
  });
  if (found.length === 0) return [];
  const mend = 'play' in piece ? mendPiece(piece, 'tighten', { play: dollUm(200) }) : null;
  return [
    {
      code: 'slot-too-loose',
      severity: 'warning',
      part: tagged(judged, (found[0] as (typeof found)[number]).index),
      numbers: { play: Math.round(Math.max(...found.map(({ play }) => play))), most: PLAY, slots: found.length },
      where: {
        pieceId: piece.id,
        partIds: idsOf(
          built.assembly,
          found.map(({ index }) => index),
        ),
      },
      mend,
    },
  ];
};

// Sticks as they are marked and cut: what is glued where, and how their ends slant. µm, doll size.

import { outlineOf, type Part, runOf, type Slant, slantsOf, upperOf } from '../../assembly/index.ts';
import type { Template } from '../../print/index.ts';
import {
  bounds,
  common,
  dot,
  normalOf,
  type Point,
  type Region,
  type Ring,
  rectRing,
  signedArea,
  toSpace,
  type Vec3,
} from '../../shape/index.ts';
import type { DerivedSet, MadePiece } from '../derive/derive.ts';

export type StickGuide = Template['guides'][number];

/** What a part's template is drawn from: its region (a round stick's is its length by its diameter) and the guides on it. */
export type DrawnStick = Pick<Template, 'region' | 'guides' | 'centres'>;

/** A stick laid flat: along its run from its first point, across its broad side. What slants is seen as its broad face shows it. */
const alongStick = (
  part: Part,
): { readonly along: Vec3; readonly start: number; readonly width: number; readonly ends: readonly Ring[] } => {
  const along = runOf(part);
  const [low, high] = [part.region.outline, upperOf(part).outline].map((ring, index) =>
    ring.map((point) => toSpace(part.pose, point, index * part.thickness)),
  ) as [Vec3[], Vec3[]];
  const start = Math.min(...[...low, ...high].map((point) => dot(point, along)));
  const lies = Math.abs(dot(along, normalOf(part.pose))) < 0.5;
  const { x0, y0, x1, y1 } = bounds(part.region.outline);
  const isAlongX = Math.abs(dot(along, part.pose.u)) > 0.9;
  const width = !lies ? sectionOf(part) : isAlongX ? y1 - y0 : x1 - x0;
  const flat = (ring: readonly Vec3[]): Ring =>
    ring.map((point, index): Point => {
      const [x, y] = part.region.outline[index] as Point;
      return [Math.round(dot(point, along) - start), isAlongX ? y - y0 : x - x0];
    });
  return { along, start, width, ends: lies ? [flat(low), flat(high)] : [] };
};

/** How wide a stick is whose section is its region: across the shortest way. */
const sectionOf = (part: Part): number => {
  const { x0, y0, x1, y1 } = bounds(part.region.outline);
  return Math.min(x1 - x0, y1 - y0);
};

/** Where something is glued to a stick: from where to where, from the end that lies at nought, and what. */
export type StickMark = { readonly from: number; readonly to: number; readonly tag: string };

/** The marks on a stick, from one end to the other: those that say the same once. Glued all along it, or by its very end, needs none.
 *  Units: µm from the stick's long point. */
export const stickMarks = (made: MadePiece, index: number): readonly StickMark[] => {
  const part = made.assembly.parts[index] as Part;
  const { along, start } = alongStick(part);
  const length = part.length ?? 0;
  const marks = made.inspection.contacts.flatMap((contact): readonly StickMark[] => {
    const { a, b } = contact;
    if (a !== index && b !== index) return [];
    const spans = outlineOf(contact).map((point) => dot(point, along) - start);
    const [from, to] = [Math.max(0, Math.round(Math.min(...spans))), Math.min(length, Math.round(Math.max(...spans)))];
    return to - from < 200 || to - from > 0.9 * length ? [] : [{ from, to, tag: made.tags[a === index ? b : a] ?? '' }];
  });
  // What is glued all round, chord by chord, is one mark.
  const unique = new Map(marks.map((mark) => [`${mark.tag} ${Math.round(mark.from / 20)} ${Math.round(mark.to / 20)}`, mark]));
  return [...unique.values()].sort((p, q) => p.from - q.from || p.to - q.to);
};

/** A stick at true length, its slanting ends as they are cut, with a mark wherever something is glued to it. */
export const stickDrawn = (made: MadePiece, index: number, part: Part): DrawnStick => {
  const { width, ends } = alongStick(part);
  const length = part.length ?? 0;
  const [lower, upper] = ends;
  const drawn = upper && upper.length === 4 ? upper : undefined;
  const outline = drawn && signedArea(drawn) > 0 ? drawn : rectRing(0, 0, length, width);
  const region: Region = { outline, holes: [] };
  const guides = stickMarks(made, index).flatMap(({ from, to, tag }) =>
    common(region, [{ outline: rectRing(from, 0, to, width), holes: [] }]).map(
      (stretch): StickGuide => ({ face: 'front', region: stretch, glued: true, tag }),
    ),
  );
  // The cut on the face behind, where it runs elsewhere.
  const behind: StickGuide[] =
    lower && drawn && lower.some(([x], at) => Math.abs(x - (drawn[at]?.[0] ?? x)) > 100)
      ? [{ face: 'back', region: { outline: lower, holes: [] }, glued: false, tag: '' }]
      : [];
  return { region, guides: [...guides, ...behind], centres: [] };
};

/** Lengths of a stick that are cut and marked alike: their tag, how many there are, how their ends slant, and where something is glued. */
export type MarkedStick = {
  readonly tag: string;
  readonly name: string;
  readonly length: number;
  readonly count: number;
  readonly slants: readonly Slant[];
  readonly marks: readonly StickMark[];
};

/** How all pieces of one stick are cut and marked, in the order of their parts. */
export const markedSticks = ({ pieces }: DerivedSet, stick: string): readonly MarkedStick[] => {
  const found = new Map<string, MarkedStick>();
  for (const { made } of pieces) {
    made?.assembly.parts.forEach((part, index) => {
      if (part.stuff !== 'stick' || part.stock !== stick) return;
      const [tag, marks] = [made.tags[index] ?? '', stickMarks(made, index)];
      const key = `${tag} ${marks.map(({ from, to, tag: other }) => `${other} ${Math.round(from / 50)} ${Math.round(to / 50)}`).join()}`;
      const known = found.get(key);
      found.set(key, { tag, name: part.name, length: part.length ?? 0, slants: slantsOf(part), marks, count: (known?.count ?? 0) + 1 });
    });
  }
  return [...found.values()];
};

import { type Part, slantsOf } from '@parlor/core/assembly';
import type { BoardLayout } from '@parlor/core/cut';
import {
  arrangedIn,
  type DerivedPiece,
  type DerivedSet,
  describeFinding,
  type Finding,
  type Flat,
  findingsThere,
  type SetDocument,
  type Taking,
  takingsOf,
} from '@parlor/core/set';
import type { Point, Region } from '@parlor/core/shape';

const pair = ([x, y]: Point): number[] => [x, y];

const whereOf = ({ where }: Finding): string =>
  [where.pieceId, ...(where.bay ? [`bay ${where.bay.join('.') || 'whole front'}`] : []), ...(where.partIds ?? [])].join(', ');

const regionJson = ({ outline, holes }: Region) => ({ outline: outline.map(pair), holes: holes.map((hole) => hole.map(pair)) });

/** Ends and edges that are not cut square. */
const slantsJson = (part: Part) => {
  const slants = slantsOf(part);
  return slants.length === 0
    ? {}
    : {
        slants: slants.map(({ at, angle, long, short }) => ({
          at,
          degrees: Math.round((angle * 1800) / Math.PI) / 10,
          longUm: Math.round(long),
          shortUm: Math.round(short),
        })),
      };
};

const flatJson = ({ kind, tag, name, of, count, outlines, folds, tabs }: Flat) => ({
  ...{ kind, tag, name, of, count },
  outlines: outlines.map(regionJson),
  folds: folds.map(({ from, to, degrees }) => ({ from: pair(from), to: pair(to), ...(degrees === null ? {} : { degrees }) })),
  tabs: tabs.map((tab) => tab.map(pair)),
});

const takingJson = (taking: Taking) => {
  const { kind, name: what, count } = taking;
  if (kind !== 'besides') return { kind: kind === 'flat' ? taking.flat.kind : kind, tag: taking.tag, what, count };
  const { length, wide, grams } = taking.extra;
  return {
    ...{ kind, what, count, lengthUm: Math.round(length) },
    ...(wide === undefined ? {} : { widthUm: Math.round(wide) }),
    ...(grams === undefined ? {} : { grams }),
  };
};

const pieceJson = (takings: readonly Taking[], { id, name, made }: DerivedPiece) => ({
  id,
  name,
  flats: takings.flatMap((taking) => (taking.kind === 'flat' ? [flatJson(taking.flat)] : [])),
  takes: takings.map(takingJson),
  parts: (made?.assembly.parts ?? []).map((part, index) => ({
    id: part.id,
    tag: made?.tags[index] ?? '',
    name: part.name,
    stuff: part.stuff,
    stock: part.stock,
    thicknessUm: part.thickness,
    outline: part.region.outline.map(pair),
    holes: part.region.holes.map((hole) => hole.map(pair)),
    // Where edges slant the outline at full thickness is another; what is rolled is cut as something else.
    ...(part.upper && { upper: { outline: part.upper.outline.map(pair), holes: part.upper.holes.map((hole) => hole.map(pair)) } }),
    ...(part.flat && { flat: { outline: part.flat.region.outline.map(pair), thicknessUm: part.flat.thickness } }),
    ...(part.length === null ? {} : { lengthUm: Math.round(part.length) }),
    ...(part.scores && { scores: part.scores.map(([from, to]) => [pair(from), pair(to)]) }),
    ...(part.centres.length > 0 && { centres: part.centres.map(pair) }),
    ...slantsJson(part),
    // Adding nought turns the −0 of a turned axis into 0, so that equal poses are equal text.
    pose: {
      origin: part.pose.origin.map((value) => value + 0),
      u: part.pose.u.map((value) => value + 0),
      v: part.pose.v.map((value) => value + 0),
    },
  })),
});

const sheetsJson = (layouts: readonly BoardLayout[]) =>
  layouts.flatMap(({ board, layout }) =>
    layout.sheets.map(({ kind, placements }) => ({
      stock: board,
      name: kind.name,
      widthUm: kind.width,
      heightUm: kind.height,
      placements: placements.map(({ id, x, y, turn, mirrored }) => ({ partId: id, xUm: x, yUm: y, turn, mirrored })),
    })),
  );

/** The derived set as data for other programs; its shape is written down in docs/project-format.md. */
export const derivedJson = (document: SetDocument, derived: DerivedSet, layouts: readonly BoardLayout[]) => ({
  pieces: derived.pieces.map((piece) => pieceJson(takingsOf(document, derived, piece), piece)),
  sheets: sheetsJson(layouts),
  bounds: Object.fromEntries(layouts.map(({ board, layout }) => [board, layout.least])),
  findings: derived.pieces
    .flatMap((piece) => [...findingsThere(document, derived, piece), ...(arrangedIn(document, derived, piece.id)?.findings ?? [])])
    .map((finding) => {
      const { title, reason } = describeFinding(finding, document.units);
      return {
        code: finding.code,
        severity: finding.severity,
        where: whereOf(finding),
        message: `${title}. ${reason}`,
        numbers: finding.numbers,
      };
    }),
});

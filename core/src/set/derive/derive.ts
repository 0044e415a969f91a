// The whole way from a document to parts, for one piece after another; pieces that did not change are taken over.
import { type Assembly, type Inspection, inspect, type Order, orderOf, type Spliced, spliced, unitsOf } from '../../assembly/index.ts';
import { type CutGroup, cutList } from '../../cut/index.ts';
import { bodyOf, ownScale, scaleOf } from '../../doll/index.ts';
import { ok } from '../../kit/index.ts';
import { type Scale, timesSmaller } from '../../measure/index.ts';
import {
  type Bay,
  type Built,
  belongs,
  buildPiece,
  buildWithout,
  type Extra,
  hostOf,
  type Means,
  type PieceProblem,
  type PlaceAt,
  placesOf,
  rolesOf,
  type Sewing,
  type ShelfOf,
  type SizeMark,
  type StandingNet,
  type User,
} from '../../piece/index.ts';
import type { Rect, Vec3 } from '../../shape/index.ts';
import { clothThickness, hasNap, type StandIn, thicknessOf } from '../../stock/index.ts';
import type { Cutting, Piece, SetDocument } from '../document/document.ts';
import { fitsBoard } from '../findings/boardFindings.ts';
import type { Finding, Mend } from '../findings/finding.ts';
import { findingsOf, leftOutFinding, problemFinding } from '../findings/findings.ts';
import { partedBy } from '../findings/setAside.ts';
import { nearestThatStands } from './nearest.ts';
import { placeNamed } from './places.ts';
import { shelfAt, spaceOfShelf } from './shelves.ts';
import { thinnerBoard } from './thinnerBoard.ts';

/** What follows from one piece's decisions. */
export type DerivedPiece = {
  /** All that the piece depends on, as text: equal keys, equal pieces. */
  readonly key: string;
  readonly id: string;
  readonly name: string;
  readonly made: MadePiece | null;
  readonly problem: PieceProblem | null;
  readonly findings: readonly Finding[];
  /** Findings that the maker has set aside. */
  readonly aside: readonly Finding[];
};

export type MadePiece = {
  readonly assembly: Assembly;
  readonly bays: readonly Bay[];
  /** The openings of a face frame, in the assembly's x and y; none without one. */
  readonly openings: readonly Rect[];
  /** Decided sizes that stand on its drawings. */
  readonly marks: readonly SizeMark[];
  /** What is folded from paper, and what that takes besides. */
  readonly nets: readonly StandingNet[];
  readonly extras: readonly Extra[];
  /** What from the house could stand in for it. */
  readonly wanted: readonly StandIn[];
  /** What is sewn. */
  readonly sewing: Sewing | null;
  /** The point of it that comes to the middle of the place it lies, stands or hangs on. */
  readonly anchor: Vec3 | null;
  readonly inspection: Inspection;
  readonly groups: readonly CutGroup[];
  /** Parts that are joined of several because no sheet is as large. */
  readonly joined: readonly Spliced[];
  /** The roles from whose boards something of it is cut. */
  readonly roles: readonly string[];
  /** The tag of each part, by index. */
  readonly tags: readonly string[];
};

export type DerivedSet = { readonly scale: Scale; readonly pieces: readonly DerivedPiece[] };

/** The decisions about pieces as text; pieces are never written to. */
const texts = new WeakMap<Piece, string>();

/** What the means come to, as text: what it wears changes no part of it, and only a piece that follows the doll's body depends on her own scale. */
const textOf = (piece: Piece): string => {
  const known = texts.get(piece);
  if (known !== undefined) return known;
  const text = JSON.stringify({ ...piece, dress: undefined });
  texts.set(piece, text);
  return text;
};

const keyOf = (piece: Piece, { scale, body, boards, users, shelf, place, cloths }: Means, { trim, splice, joints }: Cutting): string =>
  JSON.stringify([
    textOf(piece),
    scale.doll / scale.real,
    piece.bodyScale === 'set' ? 0 : body.doll / body.real,
    boards.map((board) => [
      board.id,
      board.name,
      thicknessOf(board),
      board.grain,
      board.sheets.map(({ width, height }) => [width, height]),
    ]),
    trim,
    splice,
    joints,
    'fills' in piece && piece.fills ? (shelf?.(piece.fills) ?? null) : undefined,
    belongs(piece) && piece.on ? (place?.(piece.on) ?? null) : undefined,
    'cloths' in piece
      ? (cloths ?? []).map((cloth) => [cloth.id, clothThickness(cloth), cloth.width, cloth.kind, cloth.name, hasNap(cloth)])
      : undefined,
    users?.filter(({ uses }) => uses === 'all' || uses.includes(piece.id)).map((user) => [user.name, user.body]),
  ]);

const tagsOf = (groups: readonly CutGroup[], count: number): readonly string[] => {
  const tags: string[] = Array.from({ length: count }, () => '');
  for (const { tag, parts } of groups) for (const part of parts) tags[part] = tag;
  return tags;
};

/** Findings of a piece that was built without something: mends that decide about the piece would be made from what was built, and take out for good what
 *  was only left out. They come back once that is mended. */
const withoutMends = (isPart: boolean, findings: readonly Finding[]): readonly Finding[] =>
  isPart
    ? findings.map((finding) =>
        finding.mend && ['change-piece', 'put-cell', 'all'].includes(finding.mend.edit.kind) ? { ...finding, mend: null } : finding,
      )
    : findings;

/** From so many times smaller on what cannot be built is mostly better made otherwise. Common practice, no source. */
const TINY = 20;

const withSmallness = (finding: Finding, scale: Scale): Finding =>
  (finding.code === 'does-not-fit' || finding.code === 'cannot-be-built') && finding.mend === null && timesSmaller(scale) >= TINY
    ? { ...finding, tiny: true }
    : finding;

const derivePiece = (key: string, piece: Piece, means: Means, cutting: Cutting): DerivedPiece => {
  const named = { key, id: piece.id, name: piece.name };
  const whole = buildPiece(piece, means);
  const without = whole.ok ? null : buildWithout(piece, means, whole.error);
  const built = without?.ok ? ok(without.value.built) : whole;
  if (!built.ok) {
    const finding = problemFinding(piece, built.error);
    return {
      ...named,
      made: null,
      problem: built.error,
      findings: [withSmallness({ ...finding, mend: finding.mend ?? thinnerBoard(piece, means) }, means.scale)],
      aside: [],
    };
  }
  const left = without?.ok ? without.value.left : [];
  const made = madeOf(piece, built.value, means, cutting);
  const { assembly, inspection, groups, joined } = made;
  return {
    ...named,
    made,
    problem: null,
    ...partedBy(piece.aside, [
      ...left.map((each) => leftOutFinding(piece, each)),
      // What is judged is what stands: decisions about what was left out would be read into it.
      ...withoutMends(
        left.length > 0,
        findingsOf({
          piece: without?.ok ? without.value.piece : piece,
          means,
          trim: cutting.trim,
          built: { ...built.value, assembly },
          inspection,
          groups,
          joined,
        }),
      ),
    ]),
  };
};

/** What was built, joined where no sheet is as large, looked at and tagged. */
const madeOf = (piece: Piece, built: Built, means: Means, { trim, splice, joints }: Cutting): MadePiece => {
  const { boards } = means;
  const { bays, openings, marks, nets = [], extras = [], wanted = [], sewing = null, anchor = null } = built;
  const { assembly, spliced: joined } =
    splice === 'join' ? spliced(built.assembly, fitsBoard(boards, trim), joints) : { assembly: built.assembly, spliced: [] };
  const inspection = inspect(assembly);
  const groups = cutList(piece.mark, assembly.parts, (id) => boards.find((board) => board.id === id)?.grain === 'along');
  return {
    assembly,
    bays,
    openings,
    marks,
    nets,
    extras,
    wanted,
    sewing,
    anchor,
    inspection,
    groups,
    joined,
    roles: rolesOf(piece, means),
    tags: tagsOf(groups, assembly.parts.length),
  };
};

/** What the pieces of a set are made with. */
export const meansOf = (document: SetDocument): Means => ({
  scale: scaleOf(document.doll),
  body: ownScale(document.doll),
  boards: document.boards,
  cloths: document.cloths,
  users: [
    { name: document.doll.name, body: bodyOf(document.doll), uses: 'all' },
    ...document.company.map((doll): User => ({ name: doll.name, body: bodyOf(doll), uses: doll.uses })),
  ],
});

/** A piece that cannot be built as the nearest that can, with one decision otherwise; asked for when somebody looks at it. */
export type Instead = { readonly piece: Piece; readonly made: MadePiece; readonly mend: Mend };

export const insteadOf = (document: SetDocument, id: string): Instead | null => {
  const piece = document.pieces.find((each) => each.id === id);
  const means = meansOf(document);
  const nearest = piece ? nearestThatStands(piece, means) : null;
  return nearest && { piece: nearest.piece, made: madeOf(nearest.piece, nearest.built, means, document.cutting), mend: nearest.mend };
};

/** The order in which a piece that stands is put together; worked out when somebody asks, for it takes longer than all the rest. */
export const orderOfPiece = ({ assembly, inspection }: MadePiece): Order =>
  orderOf(assembly.parts, inspection.contacts, inspection.boxes, unitsOf(assembly.parts, assembly.motions), assembly.motions);

/** Finds places of pieces that stand, each piece's asked for once. */
const placeFinder = (document: SetDocument, made: ReadonlyMap<string, DerivedPiece>): NonNullable<Means['place']> => {
  const known = new Map<string, readonly PlaceAt[]>();
  const means = meansOf(document);
  return (wanted) => {
    const stands = made.get(wanted.piece)?.made;
    const has = document.pieces.find(({ id }) => id === wanted.piece);
    if (!stands || !has) return undefined;
    const places = known.get(has.id) ?? placesOf(has, stands.assembly, means);
    known.set(has.id, places);
    return placeNamed(places, wanted)?.space;
  };
};

/** The means by which pieces of a derived set are made, with the places that its other pieces have. */
export const meansFor = (document: SetDocument, { pieces }: DerivedSet): Means => ({
  ...meansOf(document),
  place: placeFinder(document, new Map(pieces.map((piece) => [piece.id, piece]))),
});

/** A set of one piece of another: that piece, and what it lies, hangs or stands on. It comes out there as it does in the whole set. */
export const onlyWithHost = (document: SetDocument, id: string): SetDocument => {
  const piece = document.pieces.find((each) => each.id === id);
  const host = piece && hostOf(piece);
  return { ...document, pieces: document.pieces.filter((each) => each.id === id || each.id === host) };
};

/** Derives a set from its document.
 *  Shape: document → a derived piece for each piece, in the same order. Pure; `previous` only saves work: a piece whose key has not
 *  changed is taken over as the very same object, so that what depends on it can be told by identity. */
export const derive = (document: SetDocument, previous?: DerivedSet): DerivedSet => {
  const scale = scaleOf(document.doll);
  const means = meansOf(document);
  const known = new Map(previous?.pieces.map((piece) => [piece.key, piece]));
  const one = (piece: Piece, by: Means): DerivedPiece => {
    const key = keyOf(piece, by, document.cutting);
    return known.get(key) ?? derivePiece(key, piece, by, document.cutting);
  };
  // What fills a shelf, lies or hangs somewhere comes after the pieces that have shelves and places.
  const first = new Map(document.pieces.flatMap((piece) => (hostOf(piece) !== null ? [] : [[piece.id, one(piece, means)] as const])));
  const shelf = (wanted: ShelfOf) => {
    const made = first.get(wanted.piece)?.made;
    const found = made ? shelfAt(made, wanted) : undefined;
    return found && spaceOfShelf(found);
  };
  const place = placeFinder(document, first);
  const pieces = document.pieces.map((piece) => first.get(piece.id) ?? one(piece, { ...means, shelf, place }));
  return { scale, pieces };
};

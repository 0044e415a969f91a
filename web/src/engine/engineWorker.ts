// The set that lies open is worked out here, off the page's thread: its pieces, what is to be cut from what, what is noticed, what covers it.

import '../noEval.ts';
import type { Order } from '@parlor/core/assembly';
import type { BoardJob, BoardLayout } from '@parlor/core/cut';
import { type OpeningForm, openingFor, type Room, type WallOpening, type WhichWall } from '@parlor/core/piece';
import {
  arrangedFindings,
  boardJobs,
  coverFindings,
  coverOne,
  cuttingFindings,
  type DerivedCovering,
  type DerivedPiece,
  type DerivedSet,
  derive,
  type Finding,
  type Instead,
  insteadOf,
  meansOf,
  orderOfPiece,
  type Piece,
  paperNeeds,
  type SetDocument,
  type StickKindJob,
  type Suited,
  stickJobs,
  suited,
} from '@parlor/core/set';
import { expose } from 'comlink';
import { derivedAlone, derivedLast, derivedOf, documentOf, elided, slim } from './deriving.ts';
import type { DocumentRef } from './documents.ts';

export type DeriveReply = {
  readonly scale: DerivedSet['scale'];
  readonly pieces: readonly (DerivedPiece | { readonly key: string })[];
};

/** What is to be cut: boards by their keys alone where they were told before. */
export type JobsReply = { readonly boards: readonly (BoardJob | { readonly key: string })[]; readonly sticks: readonly StickKindJob[] };

/** What went to the page, as it was worked out. */
let told: readonly DerivedPiece[] = [];
let toldJobs: ReadonlySet<string> = new Set();
let coverings: readonly DerivedCovering[] = [];

const covered = (document: SetDocument, piece: DerivedPiece): DerivedCovering | null => {
  const covering = coverOne(document, piece, coverings);
  if (covering) coverings = [...coverings.filter(({ id }) => id !== piece.id), covering];
  return covering;
};

/** Lets whoever has asked meanwhile be answered first. */
const breathe = (): Promise<void> => new Promise((go) => setTimeout(go));

const work = {
  /** Derives the set. `first` is the piece that is looked at: where several are new, that one is told as soon as it stands. `has` is the key of one that
   *  the page has from before. */
  derive: (
    ref: DocumentRef,
    first: string | null,
    has: string | null,
    onFirst: (piece: DerivedPiece, scale: DerivedSet['scale']) => void,
  ): DeriveReply => {
    const document = documentOf(ref);
    if (first !== null && !told.some(({ id }) => id === first)) {
      const { piece, scale } = derivedAlone(document, first);
      if (piece) {
        if (piece.key !== has) onFirst(slim(piece), scale);
        told = [...told, piece];
      }
    }
    const derived = derivedOf(document);
    const pieces = elided(derived.pieces, told).map((piece) => ('id' in piece ? slim(piece) : piece));
    told = derived.pieces;
    return { scale: derived.scale, pieces };
  },
  /** What is noticed about how the rooms of the set are arranged. */
  roomNotes: (ref: DocumentRef): readonly Finding[] => {
    const document = documentOf(ref);
    return arrangedFindings(document, derivedOf(document));
  },
  /** What is to be cut of the set. */
  jobs: (ref: DocumentRef): JobsReply => {
    const document = documentOf(ref);
    const derived = derivedOf(document);
    const boards = boardJobs(document, derived);
    const reply = boards.map((job) => (toldJobs.has(job.key) ? { key: job.key } : job));
    toldJobs = new Set(boards.map(({ key }) => key));
    return { boards: reply, sticks: stickJobs(document, derived) };
  },
  /** What a careful maker would notice about boards that are laid out. */
  cuttingNotes: (ref: DocumentRef, layouts: readonly BoardLayout[]): readonly Finding[] => {
    const document = documentOf(ref);
    return cuttingFindings(document, derivedOf(document), layouts);
  },
  /** What is noticed about the coverings of all pieces; it takes long, and others are answered in between. Null when the set was changed meanwhile. */
  coverNotes: async (ref: DocumentRef): Promise<readonly Finding[] | null> => {
    const document = documentOf(ref);
    const derived = derivedOf(document);
    const all: DerivedCovering[] = [];
    for (const piece of derived.pieces) {
      const covering = covered(document, piece);
      if (covering) all.push(covering);
      await breathe();
      if (derivedLast() !== derived) return null;
    }
    return coverFindings(document, derived, all, paperNeeds(document, derived, all));
  },
  /** A set that does not lie open, for its vignette; leaves what is known alone. */
  look: (document: SetDocument): DerivedSet => {
    const { scale, pieces } = derive(document);
    return { scale, pieces: pieces.map(slim) };
  },
  /** A piece as it is best begun in a set. */
  suit: (ref: DocumentRef, piece: Piece): Suited => suited(documentOf(ref), piece),
  /** An opening as it begins in a wall of a room, where it fits. */
  opening: (ref: DocumentRef, room: Room, which: WhichWall, form: OpeningForm): WallOpening =>
    openingFor(room, which, form, meansOf(documentOf(ref))),
  /** The nearest that stands to a piece that cannot be built. */
  instead: (ref: DocumentRef, pieceId: string): Instead | null => insteadOf(documentOf(ref), pieceId),
  /** The order of assembly of a piece that was derived, by its key; null when that has changed meanwhile. */
  order: (key: string): Order | null => {
    const made = derivedLast()?.pieces.find((piece) => piece.key === key)?.made;
    return made ? orderOfPiece(made) : null;
  },
  /** What covers one piece; null when it cannot be built. */
  cover: (ref: DocumentRef, pieceId: string): DerivedCovering | null => {
    const document = documentOf(ref);
    const piece = derivedOf(document).pieces.find(({ id }) => id === pieceId);
    return piece ? covered(document, piece) : null;
  },
};

export type EngineWork = typeof work;
expose(work);

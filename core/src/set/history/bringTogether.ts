// Two versions of a set that were made from one: what each hand did, and one document again.
import type { Board } from '../../stock/index.ts';
import type { Piece, SetDocument } from '../document/document.ts';
import type { Setting } from '../document/edit.ts';
import { type Difference, differences, partKey, type SetPart } from './differences.ts';

export type MergeSide = 'mine' | 'theirs';

/** A part in which two versions differ: what each hand did to it since the version both began from. `suggested` is the hand that
 *  changed it; where both did, mine. */
export type Strand = {
  readonly part: SetPart;
  readonly key: string;
  readonly title: string;
  readonly mine: Difference | null;
  readonly theirs: Difference | null;
  readonly suggested: MergeSide;
};

/** Compares two versions part by part, by the version that both began from. Where that one is no longer known, theirs stands for it, and
 *  every difference counts as mine. */
export const compareVersions = (base: SetDocument | null, mine: SetDocument, theirs: SetDocument): readonly Strand[] => {
  const from = base ?? theirs;
  const byKey = (list: readonly Difference[]) => new Map(list.map((each) => [partKey(each.part), each]));
  const [here, there] = [byKey(differences(from, mine, mine.units)), byKey(differences(from, theirs, mine.units))];
  return differences(theirs, mine, mine.units).map(({ part, title }): Strand => {
    const key = partKey(part);
    const [one, other] = [here.get(key) ?? null, there.get(key) ?? null];
    return { part, key, title, mine: one, theirs: other, suggested: one ? 'mine' : 'theirs' };
  });
};

type Named = { readonly id: string };

/** Theirs in their order, each taken from the hand that was chosen; what only mine has, behind. */
const chosenOf = <T extends Named>(mine: readonly T[], theirs: readonly T[], takesMine: (id: string) => boolean): readonly T[] => {
  const own = new Map(mine.map((each) => [each.id, each]));
  const shared = theirs.flatMap((each) => (takesMine(each.id) ? (own.get(each.id) ?? []) : each));
  const only = mine.filter(({ id }) => takesMine(id) && !theirs.some((each) => each.id === id));
  return [...shared, ...only];
};

/** Gives later pieces that share a mark the lowest free one. */
const withOwnMarks = (pieces: readonly Piece[]): readonly Piece[] => {
  const taken = new Set<number>();
  const all = new Set(pieces.map(({ mark }) => mark));
  return pieces.map((piece) => {
    let { mark } = piece;
    if (taken.has(mark)) {
      mark = 1;
      while (all.has(mark)) mark += 1;
      all.add(mark);
    }
    taken.add(mark);
    return mark === piece.mark ? piece : { ...piece, mark };
  });
};

/** Boards that pieces are cut from, but that were left out with the hand not chosen, come along. */
const withNeededBoards = (boards: readonly Board[], pieces: readonly Piece[], known: readonly Board[]): readonly Board[] => {
  const here = new Set(boards.map(({ id }) => id));
  const needed = new Set(pieces.flatMap((piece) => Object.values<string | null>(piece.boards).flatMap((id) => id ?? [])));
  const missing = [...needed].filter((id) => !here.has(id));
  return [...boards, ...missing.flatMap((id) => known.find((board) => board.id === id) ?? [])];
};

/** One document from two: for each part in which they differ, the version of the hand that `choose` names.
 *  Law: always mine gives my parts, always theirs gives their document; the result is a valid document whenever both are, but for
 *  the most pieces and boards a set may have, which two sets together can pass. */
export const bringTogether = (mine: SetDocument, theirs: SetDocument, choose: (key: string) => MergeSide): SetDocument => {
  const takes = (part: SetPart) => choose(partKey(part)) === 'mine';
  const setting = <K extends Setting>(key: K): SetDocument[K] => (takes({ kind: 'setting', setting: key }) ? mine[key] : theirs[key]);
  const pieces = withOwnMarks(chosenOf(mine.pieces, theirs.pieces, (id) => takes({ kind: 'piece', id })));
  const boards = chosenOf(mine.boards, theirs.boards, (id) => takes({ kind: 'board', id }));
  return {
    format: theirs.format,
    version: theirs.version,
    name: setting('name'),
    about: setting('about'),
    units: setting('units'),
    doll: setting('doll'),
    company: setting('company'),
    cloths: setting('cloths'),
    boards: withNeededBoards(boards.length > 0 ? boards : theirs.boards, pieces, [...theirs.boards, ...mine.boards]),
    palette: setting('palette'),
    finishes: setting('finishes'),
    booklets: setting('booklets'),
    cutting: setting('cutting'),
    printing: setting('printing'),
    pieces,
    layouts: setting('layouts'),
  };
};

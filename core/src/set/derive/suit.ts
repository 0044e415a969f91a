// A piece that is begun from a preset suits the set it comes to: its scale, its boards, its cloth.
import { type Field, type Piece, valueAt, withValueAt } from '../../piece/index.ts';
import {
  type Board,
  boardsToGet,
  EDGED_STICKS,
  ROUND_STICKS,
  STICK_NAMES,
  STICKS,
  type StickName,
  thicknessOf,
} from '../../stock/index.ts';
import type { SetDocument } from '../document/document.ts';
import { applyEdit } from '../document/edit.ts';
import type { Finding } from '../findings/finding.ts';
import { decisionsOf } from './decisions.ts';
import { type DerivedPiece, derive, meansOf } from './derive.ts';
import { nearestThatStands } from './nearest.ts';
import { cutFrom } from './thinnerBoard.ts';

/** A piece as it is best begun, and a board that the set has to get for it. */
export type Suited = { readonly piece: Piece; readonly board: Board | null };

/** Changes that are made one after the other, each on what the last one came to. */
const MOST_STEPS = 12;

/** How much is wrong: what cannot be built or cut counts before what a careful maker would only notice. */
const wrong = (findings: readonly Finding[]): number =>
  findings.reduce((sum, { severity }) => sum + (severity === 'error' ? 1_000 : severity === 'warning' ? 1 : 0), 0);

/** A set with nothing in it but one piece, and a board more where one is to be got. */
const alone = (document: SetDocument, { piece, board }: Suited): SetDocument => ({
  ...document,
  boards: board ? [...document.boards, board] : document.boards,
  pieces: [piece],
  layouts: [],
});

/** Thicker or thinner sticks that are allowed there, the nearest of them first, those of the same section before others. */
const sticksLike = (name: StickName, only: 'edged' | 'round' | undefined, way: 'thicker' | 'thinner'): readonly StickName[] => {
  const { section, thickness } = STICKS[name];
  const allowed = only === 'edged' ? EDGED_STICKS : only === 'round' ? ROUND_STICKS : STICK_NAMES;
  const other = (each: StickName): number => (STICKS[each].section === section ? 0 : 1);
  const by = (each: StickName): number => (way === 'thicker' ? STICKS[each].thickness - thickness : thickness - STICKS[each].thickness);
  return allowed.filter((each) => by(each) > 0).toSorted((a, b) => by(a) - by(b) || other(a) - other(b));
};

const withSticks = (piece: Piece, way: 'thicker' | 'thinner'): readonly Piece[] =>
  decisionsOf(piece).flatMap(({ path, kind }) =>
    kind.kind === 'stick'
      ? sticksLike(valueAt(piece, path) as StickName, kind.only, way).map((stick) => withValueAt(piece, path, stick))
      : [],
  );

const withLayers = (piece: Piece, one: number): readonly Piece[] =>
  decisionsOf(piece).flatMap(({ path, kind }) =>
    kind.kind === 'layers' ? [2, 3].map((layers) => withValueAt(piece, path, { doll: layers * one })) : [],
  );

/** Printed words as few as can be: their first line, or none. */
const withFewerWords = (piece: Piece): readonly Piece[] => {
  if (!('art' in piece) || piece.art.every(({ words }) => words === '')) return [];
  const art = (change: (words: string) => string): Piece => ({
    ...piece,
    art: piece.art.map((each) => ({ ...each, words: change(each.words) })),
  });
  return [art((words) => words.split('\n')[0] ?? ''), art(() => '')];
};

/** Fewer of what there are several of, and without what can be left away. */
const plainer = (piece: Piece): readonly Piece[] =>
  decisionsOf(piece).flatMap(({ path, kind }) => {
    const value = valueAt(piece, path);
    if (kind.kind === 'count' && Number(value) > Math.max(1, kind.min)) return [withValueAt(piece, path, Number(value) - 1)];
    if (kind.kind === 'optional' && value !== null) return [withValueAt(piece, path, null)];
    return kind.kind === 'yes' && value === true ? [withValueAt(piece, path, false)] : [];
  });

/** What may be decided otherwise without its being another piece, the gentlest first. */
function* otherwise(document: SetDocument, { piece, board }: Suited, findings: readonly Finding[]): Generator<Suited> {
  const before = alone(document, { piece, board });
  for (const { mend } of findings) {
    const after = mend && applyEdit(before, mend.edit).document;
    const got = after?.boards.at(-1);
    if (!after?.pieces[0] || !got || (board && after.boards !== before.boards)) continue;
    // What it is cut from may come to the set, behind what is there; of sheets and of what the whole set is cut from the maker decides.
    if (after.boards === before.boards) yield { piece: after.pieces[0], board };
    else if (after.boards.length > before.boards.length && got !== before.boards.at(-1)) yield { piece: after.pieces[0], board: got };
  }
  const one = thicknessOf(document.boards[0] as Board);
  const [sticks, layers] = [withSticks(piece, 'thicker'), withLayers(piece, one)];
  for (const each of [...sticks, ...layers, ...withFewerWords(piece)]) yield { piece: each, board };
  for (const each of sticks.flatMap((stick) => withLayers(stick, one))) yield { piece: each, board };
  if (board) return;
  const others = document.boards.slice(1).toSorted((a, b) => thicknessOf(b) - thicknessOf(a));
  for (const each of others) yield { piece: cutFrom(piece, each), board };
  for (const each of boardsToGet(document.boards)) yield { piece: cutFrom(piece, each), board: each };
  if (!findings.some(({ severity }) => severity === 'error')) return;
  for (const each of [...withSticks(piece, 'thinner'), ...plainer(piece)]) yield { piece: each, board };
  // Its own size stays as it is, and what is within it moves a little.
  const nearest = nearestThatStands(piece, meansOf(document), within);
  if (nearest) yield { piece: nearest.piece, board };
}

/** By so much, as a logarithm, what is within a piece may be otherwise than in its preset: by a third. */
const A_LITTLE = 0.3;

const within = (field: Field, far: number): boolean => far <= A_LITTLE && !(field.kind.kind === 'size' && field.kind.drives);

/** A piece as it is best begun in a set: with such of its mends, stouter sticks, layers, other boards, or fewer of its parts as leave less to notice.
 *  Shape: a set and a piece that is to come to it → the piece, the very same where nothing is wrong or nothing helps. `look` is the piece as
 *  it is derived in that set, where that is known. */
export const suited = (document: SetDocument, piece: Piece, look?: DerivedPiece): Suited => {
  const judged = (each: Suited) => {
    const findings = derive(alone(document, each)).pieces[0]?.findings ?? [];
    return { ...each, findings, wrong: wrong(findings) };
  };
  let now = look ? { piece, board: null, findings: look.findings, wrong: wrong(look.findings) } : judged({ piece, board: null });
  for (let step = 0; step < MOST_STEPS && now.wrong > 0; step += 1) {
    let best = now;
    for (const each of otherwise(document, now, now.findings)) {
      const tried = judged(each);
      if (tried.wrong < best.wrong) best = tried;
      if (best.wrong === 0) break;
    }
    if (best === now) break;
    now = best;
  }
  return { piece: now.piece, board: now.board };
};

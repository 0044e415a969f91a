// No control does nothing: whatever is shown of what is decided about a preset, some other value of it makes another piece, or another judgement of it.
import { describe, expect, it } from 'vitest';
import { buildPiece, type Field, type Piece, PRESETS, placesOf, rolesOf, shownFields, valueAt, withValueAt } from '../../piece/index.ts';
import { STICK_NAMES } from '../../stock/index.ts';
import { filledIn } from '../findings/wordList.ts';
import { derive, meansOf, readSet, type SetDocument } from '../index.ts';

const setOf = (piece: object): SetDocument => {
  const doll = { stature: 1_650_000, height: 290_000, standsFor: 'woman', scale: { by: 'ratio', ratio: 6 } };
  const boards = [{ id: 'usual' }, { id: 'thin', nominal: '3 mm' }];
  const read = readSet({ format: 'bashful-parlor-set', version: 1, doll, boards, pieces: [piece] });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

/** Other values of a field, from likely to telling ones. */
const others = ({ kind }: Field, value: unknown): readonly unknown[] => {
  switch (kind.kind) {
    case 'size':
    case 'doll-size': {
      const um = typeof value === 'object' && value !== null ? (value as { doll: number }).doll : Number(value ?? 0);
      const sizes = [Math.round(um * 1.3) + 20_000, Math.round(um * 0.7), kind.min, Math.round(um * 1.05) + 1_000];
      return sizes.map((each) => (typeof value === 'object' && value !== null ? { doll: each } : each));
    }
    case 'count':
      return [1, -1, 3, 5].map((more) => Number(value) + more).filter((each) => each >= kind.min && each <= kind.max);
    case 'choice':
      return kind.options.map((option) => option.value).filter((each) => each !== value);
    case 'yes':
      return [value !== true];
    case 'stick':
      return STICK_NAMES.filter((each) => each !== value);
    case 'board':
      return ['thin'];
    case 'layers':
      return [{ doll: 12_000 }];
    case 'optional':
      return value === null ? [kind.make, 20_000] : [null, 20_000];
    default:
      return [];
  }
};

/** What follows from a piece: what is built, what is judged, the places it has, its words. */
const built = (document: SetDocument, piece: Piece): string => JSON.stringify(buildPiece(piece, meansOf(document)));
const judged = (document: SetDocument, piece: Piece): string => {
  const [derived] = derive({ ...document, pieces: [piece] }).pieces;
  const words = piece.family === 'paper' ? piece.art.map((art) => filledIn(art.words, piece.seed)) : [];
  const places = derived?.made ? placesOf(piece, derived.made.assembly, meansOf(document)) : [];
  return JSON.stringify([derived?.findings, places, words]);
};

/** Decided for what is done with the piece, not for what it is: how a room is held together is told when it is put up. */
const TOLD_LATER = new Set(['room joined']);

const idle = (key: string): readonly string[] => {
  const document = setOf(PRESETS.find((each) => each.key === key)?.piece as object);
  const piece = document.pieces[0] as Piece;
  const [builtAsItIs, judgedAsItIs] = [built(document, piece), judged(document, piece)];
  return shownFields(piece, rolesOf(piece, meansOf(document))).flatMap((field) => {
    const tries = others(field, valueAt(piece, field.path)).map((value) => withValueAt(piece, field.path, value));
    const acts =
      tries.some((each) => built(document, each) !== builtAsItIs) || tries.some((each) => judged(document, each) !== judgedAsItIs);
    const name = `${piece.family} ${field.path.join('.')}`;
    return acts || tries.length === 0 || TOLD_LATER.has(name) ? [] : [`${name}, “${field.label}”`];
  });
};

describe('every field that is shown of a preset does something', () => {
  it.each(PRESETS.map(({ key }) => key))('%s', (key) => {
    expect(idle(key)).toEqual([]);
  });
});

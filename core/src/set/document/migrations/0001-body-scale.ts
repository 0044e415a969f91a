import type { Migration } from './migration.ts';

const NOW: Readonly<Record<string, string>> = { strict: 'set', 'by the doll': 'doll' };

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value);

const ofPiece = (piece: unknown): unknown => {
  if (!isFields(piece) || typeof piece['school'] !== 'string') return piece;
  const { school, ...rest } = piece;
  const bodyScale = NOW[String(school)];
  return bodyScale === undefined ? piece : { ...rest, bodyScale };
};

/** A piece's `school` (`strict`, `by the doll`) is its `bodyScale` (`set`, `doll`). */
export const bodyScale: Migration = (document) => {
  const { pieces } = document;
  return Array.isArray(pieces) ? { ...document, pieces: pieces.map(ofPiece) } : document;
};

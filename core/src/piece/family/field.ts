// What is decided about a piece, described once: the screens draw it, the history speaks of it, and the rule is found for it.
import type { TopEdge } from '../../shape/index.ts';

/** A field of a piece: the way to it in the document, what it is called, what it may be. Words are the trade's own. */
export type Field = {
  /** From the piece down: `worktop`, `left`. */
  readonly path: readonly string[];
  readonly label: string;
  readonly group: 'size' | 'shape' | 'build' | 'boards' | 'fittings';
  readonly kind: FieldKind;
  /** Shown only where it means something; everywhere when left out. */
  readonly when?: (piece: never) => boolean;
  readonly hint?: string;
};

export type FieldKind =
  /** A size of the real thing or the doll's. One that `drives` is an outer size in that direction, and stands on the drawing. */
  | { readonly kind: 'size'; readonly min: number; readonly max: number; readonly drives?: 'width' | 'height' | 'depth' }
  /** A size that is born doll-size: a gap, a clearance. */
  | { readonly kind: 'doll-size'; readonly min: number; readonly max: number }
  /** Several sizes, one after the other. */
  | { readonly kind: 'sizes'; readonly min: number; readonly max: number }
  | { readonly kind: 'count'; readonly min: number; readonly max: number }
  | { readonly kind: 'choice'; readonly options: readonly { readonly value: string; readonly label: string }[] }
  | { readonly kind: 'yes' }
  /** A stick; `only` those with edges, or round ones, where others cannot be joined. */
  | { readonly kind: 'stick'; readonly only?: 'edged' | 'round' }
  | { readonly kind: 'board' }
  /** A thickness that layers are glued up to; null is one board. */
  | { readonly kind: 'layers' }
  /** Something that is there or not; `make` is what it is when it comes. */
  | { readonly kind: 'optional'; readonly make: unknown };

export const choice = (...values: readonly (string | readonly [value: string, label: string])[]): FieldKind => ({
  kind: 'choice',
  options: values.map((each) => (typeof each === 'string' ? { value: each, label: each } : { value: each[0], label: each[1] })),
});

export const EDGE_WORDS: readonly (readonly [TopEdge, string])[] = [
  ['straight', 'straight'],
  ['arch', 'arch'],
  ['half-round', 'half-round'],
  ['battlements', 'battlements'],
];

/** What stands at the end of a path. */
export const valueAt = (from: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>(
    (value, key) => (typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[key] : undefined),
    from,
  );

/** The same with another value at the end of the path. */
export const withValueAt = <T>(from: T, path: readonly string[], value: unknown): T => {
  const [key, ...rest] = path;
  if (key === undefined) return value as T;
  if (Array.isArray(from)) return from.with(Number(key), withValueAt(from[Number(key)], rest, value)) as T;
  return { ...from, [key]: withValueAt((from as Record<string, unknown>)[key], rest, value) };
};

/** Whether a field means something for a piece or a bay as it is. */
export const isFieldShown = (field: Field, owner: unknown): boolean => field.when === undefined || field.when(owner as never);

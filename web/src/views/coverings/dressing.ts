// What the maker does with swatches, as edits.
import type { Part } from '@parlor/core/assembly';
import {
  type Art,
  contrastOf,
  type Finish,
  finishSchema,
  PATTERNS,
  type PatternName,
  sameAt,
  type Wear,
  type WornAt,
  withWear,
} from '@parlor/core/cover';
import { realUm, UM } from '@parlor/core/measure';
import type { Edit, Piece, SetDocument } from '@parlor/core/set';
import type { KeptPicture } from '../../state/index.ts';

/** Changes a finish, saying in words what is done. */
export type Change = (words: string, change: Partial<Finish>) => void;

/** What a touch on the model dresses. */
export const SCOPES = [
  { value: 'face', label: 'one face' },
  { value: 'part', label: 'the part' },
  { value: 'role', label: 'all of its kind' },
  { value: 'piece', label: 'the whole piece' },
] as const;
export type Scope = (typeof SCOPES)[number]['value'];

export const wearEdit = (piece: Piece, at: WornAt, wear: Omit<Wear, 'at'> | undefined): Edit => ({
  kind: 'change-piece',
  id: piece.id,
  change: { dress: withWear(piece.dress, at, wear) },
});

export const wearAt = (piece: Piece, at: WornAt): Wear | undefined => piece.dress.wears.find((wear) => sameAt(wear.at, at));

/** What a thing is dressed for, in words. */
export const atWords = (at: WornAt, parts: readonly Part[], tags: readonly string[]): string => {
  switch (at.kind) {
    case 'piece':
      return 'the whole piece';
    case 'role':
      return `every ${at.role}`;
    default: {
      const index = parts.findIndex(({ id }) => id === at.part);
      const name = index < 0 ? 'a part that is gone' : `${tags[index] ?? ''} ${parts[index]?.name ?? ''}`;
      if (at.kind === 'part') return name;
      return `${name}, ${at.face === 'front' ? 'shown face' : at.face === 'back' ? 'face behind' : 'an edge'}`;
    }
  }
};

export const changeFinish = ({ finishes }: SetDocument, id: string, change: Partial<Finish>): Edit => ({
  kind: 'change-set',
  change: { finishes: finishes.map((finish) => (finish.id === id ? { ...finish, ...change } : finish)) },
});

/** Takes a finish out of the tray, and off everything that wears it. */
export const dropFinish = ({ finishes, pieces }: SetDocument, id: string): Edit => ({
  kind: 'all',
  edits: [
    ...pieces
      .filter(({ dress }) => dress.wears.some(({ finish }) => finish === id))
      .map(
        ({ id: piece, dress }): Edit => ({
          kind: 'change-piece',
          id: piece,
          change: { dress: { ...dress, wears: dress.wears.filter(({ finish }) => finish !== id) } },
        }),
      ),
    { kind: 'change-set', change: { finishes: finishes.filter((finish) => finish.id !== id) } },
  ],
});

export const patternArt = (pattern: PatternName): Art => ({ kind: 'pattern', pattern, sizes: {}, inks: [], seed: 1 });

export const pictureArt = (kept: KeptPicture, name: string): Art => ({
  kind: 'picture',
  picture: { ...kept, name: name.slice(0, 120) },
  crop: { left: 0, right: 0, top: 0, bottom: 0 },
  quarters: 0,
  tiles: 'repeat',
  across: null,
});

/** The lightest colour of a palette, and the one that is read best on it. */
export const readable = (palette: SetDocument['palette']): { readonly ink: string; readonly ground: string } => {
  const by = (score: (colour: string) => number) =>
    palette.reduce((best, each) => (score(each.colour) > score(best.colour) ? each : best), palette[0] ?? { id: '', colour: '#ffffff' });
  const ground = by((colour) => contrastOf(colour, '#000000'));
  return { ground: ground.id, ink: by((colour) => contrastOf(colour, ground.colour)).id };
};

/** A sign of the usual size of a shop's name plate, to be written anew. */
export const signArt = (palette: SetDocument['palette']): Art => ({
  ...readable(palette),
  kind: 'sign',
  words: 'OPEN',
  face: 'name',
  align: 'middle',
  border: true,
  width: realUm(400 * UM.mm),
  height: realUm(200 * UM.mm),
});

const nameOf = (art: Art, palette: SetDocument['palette']): string => {
  switch (art.kind) {
    case 'plain':
      return palette.find(({ id }) => id === art.ink)?.name ?? 'paint';
    case 'pattern':
      return PATTERNS[art.pattern].label;
    case 'picture':
      return art.picture.name.replace(/\.[^.]*$/, '') || 'picture';
    case 'sign':
      return 'sign';
  }
};

/** A finish to begin with: paint of one colour, or paper that is printed. Pictures and signs stop at the edge of their face. */
export const newFinish = (art: Art, palette: SetDocument['palette']): Finish =>
  finishSchema.parse({
    id: crypto.randomUUID(),
    name: nameOf(art, palette).slice(0, 60),
    how: art.kind === 'plain' ? 'paint' : 'paper',
    art,
    ...(art.kind === 'picture' || art.kind === 'sign' ? { edges: 'raw' } : {}),
  });

/** The sizes of an art as they are decided, in µm of the real thing. */
export const realSizes = (art: Art & { kind: 'pattern' }): Readonly<Record<string, number>> =>
  Object.fromEntries(Object.entries(PATTERNS[art.pattern].sizes).map(([key, { usual }]) => [key, art.sizes[key] ?? usual * UM.mm]));

/** Sizes that bring a whole number of courses to a height, all made larger or smaller by the same share; null where they do already, where
 *  the pattern has none, or where bounds forbid it. */
export const wholeCourses = (
  art: Art,
  heightUm: number,
  scale: { readonly doll: number; readonly real: number },
): { readonly now: number; readonly whole: number; readonly sizes: Record<string, never> } | null => {
  if (art.kind !== 'pattern') return null;
  const pattern = PATTERNS[art.pattern];
  const real = realSizes(art);
  const course = pattern.course?.(real);
  if (!course) return null;
  const now = heightUm / ((course * scale.doll) / scale.real);
  const whole = Math.max(1, Math.round(now));
  const share = now / whole;
  if (Math.abs(share - 1) < 0.002) return null;
  const sizes = Object.fromEntries(Object.entries(real).map(([key, value]) => [key, Math.round(value * share)]));
  const fits = Object.entries(pattern.sizes).every(
    ([key, { min, max }]) => (sizes[key] as number) >= min * UM.mm && (sizes[key] as number) <= max * UM.mm,
  );
  return fits ? { now, whole, sizes: sizes as Record<string, never> } : null;
};

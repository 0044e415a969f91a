// Which face of a piece wears what.
import { z } from 'zod';
import type { Box, Part } from '../assembly/index.ts';
import { ROLES } from '../assembly/index.ts';
import { textField } from '../kit/index.ts';
import { type DollUm, dollField, UM } from '../measure/index.ts';
import type { Surface } from './exposed.ts';
import { type FaceId, looksTo } from './surface.ts';

/** What a finish is given to; the nearest wins: a face before its part, a part before its role, a role before the whole piece. */
export type WornAt =
  | { readonly kind: 'piece' }
  | { readonly kind: 'role'; readonly role: Part['role'] }
  | { readonly kind: 'part'; readonly part: string }
  | { readonly kind: 'face'; readonly part: string; readonly face: FaceId };

/** Which way a pattern runs: as it is drawn, a quarter turned, or along the grain of each part. */
export const RUNS = ['as drawn', 'turned', 'along the part'] as const;
export type Runs = (typeof RUNS)[number];

/** A finish of the tray, by its id, on something; null leaves it bare. `upTo` is how high above the piece's foot it goes, to a rail; null is all
 *  the way up. */
export type Wear = { readonly at: WornAt; readonly finish: string | null; readonly runs: Runs; readonly upTo: DollUm | null };

/** How a piece is dressed: flat parts before they stand or the whole once it is built, whether what stands against the wall and on the
 *  floor is covered too, and what is worn where. */
export type Dress = {
  readonly when: 'flat' | 'built';
  readonly behind: boolean;
  readonly underneath: boolean;
  readonly wears: readonly Wear[];
};

export const UNDRESSED: Dress = { when: 'flat', behind: false, underneath: false, wears: [] };

const faceId = z
  .string()
  .regex(/^(front|back|edge \d{1,4}\.\d{1,4})$/, 'A face is “front”, “back” or “edge 0.1”.') as unknown as z.ZodType<FaceId>;

const wearSchema: z.ZodType<Wear> = z.strictObject({
  at: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('piece') }),
    z.strictObject({ kind: z.literal('role'), role: z.enum(ROLES) }),
    z.strictObject({ kind: z.literal('part'), part: textField(200, 1) }),
    z.strictObject({ kind: z.literal('face'), part: textField(200, 1), face: faceId }),
  ]),
  finish: textField(60, 1).nullable(),
  runs: z.enum(RUNS).default('as drawn'),
  upTo: dollField({ min: 1 * UM.mm, max: 3 * UM.m })
    .nullable()
    .default(null),
});

export const dressSchema: z.ZodType<Dress> = z.strictObject({
  when: z.enum(['flat', 'built']).default('flat'),
  behind: z.boolean().default(false),
  underneath: z.boolean().default(false),
  wears: z.array(wearSchema).max(500).default([]),
});

export const sameAt = (a: WornAt, b: WornAt): boolean => {
  if (a.kind !== b.kind) return false;
  if (a.kind === 'role') return a.role === (b as typeof a).role;
  if (a.kind === 'part') return a.part === (b as typeof a).part;
  return a.kind === 'piece' || (a.part === (b as typeof a).part && a.face === (b as typeof a).face);
};

/** A dress in which something wears a finish, or undefined: what was chosen for it no longer counts, and what is around it does. */
export const withWear = (dress: Dress, at: WornAt, wear: Omit<Wear, 'at'> | undefined): Dress => {
  const others = dress.wears.filter((each) => !sameAt(each.at, at));
  return { ...dress, wears: wear ? [...others, { at, ...wear }] : others };
};

const RANK = { piece: 0, role: 1, part: 2, face: 3 } as const;

const isOn = (at: WornAt, part: Part, face: FaceId): boolean => {
  switch (at.kind) {
    case 'piece':
      return true;
    case 'role':
      return at.role === part.role;
    case 'part':
      return at.part === part.id;
    case 'face':
      return at.part === part.id && at.face === face;
  }
};

/** Boards of a room's wall are drawn as they are seen from inside: what lies behind looks out of the room. Their ids say what they are. */
const OUT_OF_ROOM = /\/wall-\d+(\/second)?( piece \d+)?$/;

/** Faces on the side that stands against the wall, on the one that stands on the floor, and those that look out of a room. */
export const isTurnedAway = (dress: Dress, part: Pick<Part, 'id'>, surface: Surface, outside: Box): boolean => {
  if (surface.id === 'back' && OUT_OF_ROOM.test(part.id)) return !dress.behind;
  const way = looksTo(surface);
  if (!way) return false;
  const { origin } = surface.pose;
  const behind = way[2] < -0.999 && origin[2] <= outside.min[2] + 1;
  const under = way[1] < -0.999 && origin[1] <= outside.min[1] + 1;
  return (behind && !dress.behind) || (under && !dress.underneath);
};

/** What a face wears: the nearest choice, and of equals the last; undefined where nothing was chosen or it stays bare. Only boards and
 *  sticks are dressed; a choice for one face holds wherever it looks to. */
export const wornBy = (dress: Dress, part: Part, surface: Surface, outside: Box): Wear | undefined => {
  if (part.stuff !== 'board' && part.stuff !== 'stick') return undefined;
  let best: Wear | undefined;
  for (const wear of dress.wears) {
    if (isOn(wear.at, part, surface.id) && (!best || RANK[wear.at.kind] >= RANK[best.at.kind])) best = wear;
  }
  if (!best || best.finish === null) return undefined;
  return best.at.kind !== 'face' && isTurnedAway(dress, part, surface, outside) ? undefined : best;
};

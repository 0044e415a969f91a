// µm, doll size. Whether those who live in a room can use what stands and hangs there: ways wide enough, room for straight legs, mirrors and hooks where
// they are of use.
import type { Assembly, Part } from '../../assembly/index.ts';
import { type Body, judge, proposed } from '../../doll/index.ts';
import { dollUm } from '../../measure/index.ts';
import { hungAt, type Means, sittingOn, type User } from '../../piece/index.ts';
import { besideIt, type RoomLayout, type RoomSpace, type StandingThing, shares, type WalkField, wayThrough } from '../../room/index.ts';
import { rectRing } from '../../shape/index.ts';
import type { Piece } from '../document/document.ts';
import type { Edit } from '../document/edit.ts';
import type { Finding } from '../findings/finding.ts';

/** A thing in the room with the piece that it is. */
export type Resident = { readonly standing: StandingThing; readonly piece: Piece; readonly assembly: Assembly };

const usersOf = ({ users = [] }: Means, piece: Piece): readonly User[] =>
  users.filter(({ uses }) => uses === 'all' || uses.includes(piece.id));

/** Things that she comes to, but only through a way that is narrower than she would walk. */
export const narrowWays = (
  space: RoomSpace,
  residents: readonly Resident[],
  way: WalkField,
  body: Body,
  doll: string,
): readonly Finding[] => {
  const wanted = judge('aisle', 0, body).low ?? body.shoulderBreadth;
  const wide = wayThrough(
    space,
    residents.map(({ standing }) => standing),
    { ...body, shoulderBreadth: wanted },
  );
  const never = new Set(way.unreached);
  const strait = new Set(wide.unreached.filter((id) => !never.has(id)));
  return residents
    .filter(({ piece }) => strait.has(piece.id))
    .map(({ piece }) => ({
      code: 'narrow-way',
      severity: 'note',
      thing: piece.name,
      doll,
      numbers: { wanted },
      where: { pieceId: piece.id },
      mend: null,
    }));
};

/** The space that legs which do not bend take before a seat; nothing where they do not stand out beyond it. */
const legsBefore = (
  piece: Piece,
  assembly: Assembly,
  means: Means,
  body: Body,
): { readonly part: Part; readonly out: number } | undefined => {
  const sitting = sittingOn(piece, assembly, means);
  if (!sitting) return undefined;
  const { level, deep, front, middle } = sitting;
  const out = Math.round(body.hip - deep);
  if (out <= 0) return undefined;
  const half = Math.round(body.hipBreadth / 2);
  const part: Part = {
    id: `${piece.id}/legs`,
    role: 'found',
    name: 'legs',
    stuff: 'found',
    stock: 'legs',
    thickness: Math.round(body.thighDepth),
    // Seen from above: its normal looks up.
    region: { outline: rectRing(Math.round(middle) - half, -front - out, Math.round(middle) + half, -front), holes: [] },
    pose: { origin: [0, level, 0], u: [1, 0, 0], v: [0, 0, -1] },
    grain: 'any',
    held: 'glue',
    length: null,
    centres: [],
  };
  return { part, out };
};

/** What stands where straight legs would be. */
export const legsInTheWay = (space: RoomSpace, residents: readonly Resident[], means: Means): readonly Finding[] =>
  residents.flatMap(({ piece, assembly, standing }) =>
    usersOf(means, piece)
      .filter(({ body }) => body.bends.hips && !body.bends.knees)
      .flatMap(({ name, body }): readonly Finding[] => {
        const legs = legsBefore(piece, assembly, means, body);
        if (!legs) return [];
        const taken = besideIt(assembly, standing.placed, space, [legs.part]);
        const other = residents.find((each) => each.piece !== piece && shares(taken, each.standing.body));
        if (!other && !shares(taken, space.shell)) return [];
        return [
          {
            code: 'legs-in-the-way',
            severity: 'warning',
            thing: piece.name,
            by: other?.piece.name ?? '',
            doll: name,
            numbers: { needed: legs.out },
            where: { pieceId: piece.id },
            mend: null,
          },
        ];
      }),
  );

/** Hung things that are too high or too low for those who use them; each is mended by hanging it otherwise. */
export const hungOtherwise = (
  residents: readonly Resident[],
  means: Means,
  layouts: readonly RoomLayout[],
  layout: RoomLayout | undefined,
): readonly Finding[] =>
  residents.flatMap(({ piece, assembly, standing: { placed } }) =>
    (placed.up === 0 ? [] : hungAt(piece, assembly, placed.up)).flatMap(({ rule, value }) =>
      usersOf(means, piece).flatMap(({ name, body }): readonly Finding[] => {
        const { off, verdict, low, high } = judge(rule, value, body);
        if (off === null) return [];
        const up = placed.up + proposed(rule, body) - value;
        const edit: Edit | null =
          layout && up >= 0
            ? {
                kind: 'change-set',
                change: {
                  layouts: layouts.map((each) =>
                    each.id === layout.id
                      ? {
                          ...each,
                          placed: each.placed.map((one) => (one.piece === piece.id ? { ...one, up: dollUm(Math.round(up)) } : one)),
                        }
                      : each,
                  ),
                },
              }
            : null;
        return [
          {
            code: 'does-not-suit',
            severity: verdict === 'wrong' ? 'warning' : 'note',
            rule,
            of: '',
            doll: name,
            off,
            numbers: { value, low: low ?? -1, high: high ?? -1 },
            where: { pieceId: piece.id },
            mend: edit && { kind: 'hang', detail: '', edit },
          },
        ];
      }),
    ),
  );

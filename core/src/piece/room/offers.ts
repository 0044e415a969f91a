// µm, doll size. What a room offers a body.
import type { Assembly } from '../../assembly/index.ts';
import type { Measure } from '../../measure/index.ts';
import type { Offer } from '../family/family.ts';
import type { Means } from '../family/means.ts';
import { asDoll, dollIn } from '../family/offers.ts';
import { offersThrough } from '../opening/offers.ts';
import { asRoom, type Room, type Shell, sideName } from './room.ts';
import type { Wall, WallOpening } from './wall.ts';

const FIELD = { doorHeight: 'height', doorWidth: 'width', sill: 'up' } as const;

/** What is in one wall, as it is offered; told by its number where there are several. */
const wallOffers = (
  wall: Wall,
  name: string,
  doll: (measure: Measure) => number,
  put: (wall: Wall) => Partial<Room>,
): readonly Offer<Room>[] =>
  wall.kind === 'open' || wall.kind === 'shop'
    ? []
    : wall.openings.flatMap((opening, index) => {
        const of = wall.openings.length > 1 ? `${name}, opening ${index + 1}` : name;
        return offersThrough(opening.form, doll(opening.height), doll(opening.width), doll(opening.up), of).map(
          (offer): Offer<Room> => ({
            ...offer,
            change: (to) => {
              const next = { ...opening, [FIELD[offer.rule as keyof typeof FIELD]]: asDoll(to) } as WallOpening;
              return put({ ...wall, openings: wall.openings.with(index, next) });
            },
          }),
        );
      });

/** What one shell of a room offers; `put` is the change of the room that changes it. */
const shellOffers = (
  room: Room,
  doll: (measure: Measure) => number,
  put: (change: Partial<Shell>) => Partial<Room>,
  of: string,
): readonly Offer<Room>[] => [
  { rule: 'wallHeight', value: doll(room.height), of, change: (to) => put({ height: asDoll(to) }) },
  ...room.walls.flatMap((wall, side) =>
    wallOffers(wall, `${sideName(room, side)}${of === '' ? '' : `, ${of}`}`, doll, (next) => put({ walls: room.walls.with(side, next) })),
  ),
  ...room.between
    .slice(0, room.cells - 1)
    .flatMap((wall, index) => wallOffers(wall, 'wall between', doll, (next) => put({ between: room.between.with(index, next) }))),
];

/** The height of its walls, and the doors and windows in them. */
export const roomOffers = (piece: Room, _: Assembly, means: Means): readonly Offer<Room>[] => {
  const doll = dollIn(means);
  return [
    ...shellOffers(piece, doll, (change) => change, ''),
    ...piece.shells.flatMap((joined, index) =>
      shellOffers(
        asRoom(piece, index + 1),
        doll,
        (change) => ({ shells: piece.shells.with(index, { ...joined, shell: { ...joined.shell, ...change } }) }),
        `shell ${index + 2}`,
      ),
    ),
  ];
};

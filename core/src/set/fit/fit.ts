// µm, doll size. Whether those who live in a set can use its pieces: what each piece offers a body, judged by the rules of fit.
import { type Assembly, boxOf, type Part } from '../../assembly/index.ts';
import { type Body, type Judgement, judge, proposed, type RuleName, seatRules } from '../../doll/index.ts';
import { type DollUm, dollOf, type Measure, realOf, UM } from '../../measure/index.ts';
import { asRoom, type Means, type Room, type Shell, sideName, type Wall, type WallOpening } from '../../piece/index.ts';
import type { Piece } from '../document/document.ts';
import type { PieceChange } from '../document/edit.ts';

/** What a piece offers a body: a size, and how it is changed to another. */
type Offer = {
  readonly rule: RuleName;
  readonly value: number;
  readonly of: string;
  readonly change: ((to: DollUm) => PieceChange) | null;
};

/** A verdict about one piece and one doll. */
export type Fit = Judgement & {
  readonly pieceId: string;
  readonly piece: string;
  /** Which part of it, when it has several: "the back wall’s door". */
  readonly of: string;
  readonly doll: string;
  /** The size that the rule would take, and the change that brings it. */
  readonly better: DollUm;
  readonly change: PieceChange | null;
};

const asDoll = (to: DollUm): Measure => ({ doll: to });

/** Tables lower than this, as the real thing, are not sat at; seats higher than this are climbed. */
const SAT_AT = 600 * UM.mm;

/** What is clear under a top towards its front, where knees go: at the best of three places. */
const clearUnder = (parts: readonly Part[], { max }: Assembly['outside']): number => {
  const boxes = parts.map(boxOf).filter(({ min }) => min[1] > max[1] * 0.3);
  const front = max[2] * 0.75;
  const clearAt = (x: number): number =>
    Math.min(
      max[1],
      ...boxes.filter((box) => box.min[0] < x && box.max[0] > x && box.min[2] < front && box.max[2] > front).map(({ min }) => min[1]),
    );
  return Math.max(...[0.3, 0.5, 0.7].map((share) => clearAt(max[0] * share)));
};

/** How deep a seat is before its back. */
const clearSeat = (parts: readonly Part[], level: number, front: number, middle: number): number => {
  const behind = parts
    .map(boxOf)
    .filter(
      ({ min, max }) => min[0] < middle && max[0] > middle && max[1] > level + 2_000 && max[1] - min[1] > max[2] - min[2] && max[2] < front,
    );
  return front - Math.max(0, ...behind.map(({ max }) => max[2]));
};

/** Where one sits on a seat: how high, how deep before its back, where its front edge is and where its middle. */
export const sittingOn = (
  piece: Piece & { family: 'seat' },
  { parts, outside: { max } }: Assembly,
  means: Means,
): { readonly level: number; readonly deep: number; readonly front: number; readonly middle: number } => {
  const level = dollOf(piece.seat, piece.bodyScale === 'set' ? means.scale : means.body);
  return { level, deep: clearSeat(parts, level, max[2], max[0] / 2 + 1), front: max[2], middle: max[0] / 2 };
};

const seatOffers = (piece: Piece & { family: 'seat' }, assembly: Assembly, means: Means, body: Body): readonly Offer[] => {
  const scale = piece.bodyScale === 'set' ? means.scale : means.body;
  const rules = seatRules(body);
  if (!rules) return [];
  const { level, deep } = sittingOn(piece, assembly, means);
  const more = dollOf(piece.depth, means.scale) - deep;
  // On a high stool the feet stand on its rungs.
  const rung = piece.rungs === null || realOf(piece.seat, scale) < SAT_AT || !body.bends.knees ? 0 : dollOf(piece.rungs, means.scale);
  return [
    {
      rule: rules.height,
      value: level - rung,
      of: rung > 0 ? 'over its rungs' : '',
      change: (to) => ({ seat: asDoll((to + rung) as DollUm) }),
    },
    { rule: rules.depth, value: deep, of: '', change: (to) => ({ depth: asDoll((to + more) as DollUm) }) },
  ];
};

const tableOffers = (piece: Piece & { family: 'table' }, assembly: Assembly, means: Means): readonly Offer[] => {
  const scale = piece.bodyScale === 'set' ? means.scale : means.body;
  if (realOf(piece.height, scale) < SAT_AT) return [];
  return [
    { rule: 'tableHeight', value: dollOf(piece.height, scale), of: '', change: (to) => ({ height: asDoll(to) }) },
    { rule: 'kneeRoom', value: clearUnder(assembly.parts, assembly.outside), of: '', change: null },
  ];
};

const bedOffers = (piece: Piece & { family: 'bed' }, means: Means): readonly Offer[] => {
  const scale = piece.bodyScale === 'set' ? means.scale : means.body;
  return [
    { rule: 'bedLength', value: dollOf(piece.mattressLength, scale), of: '', change: (to) => ({ mattressLength: asDoll(to) }) },
    { rule: 'bedWidth', value: dollOf(piece.mattressWidth, means.scale), of: '', change: (to) => ({ mattressWidth: asDoll(to) }) },
    ...(piece.levels === 'one'
      ? []
      : [
          {
            rule: 'headroom',
            value: dollOf(piece.clear, means.scale),
            of: 'under the upper bed',
            change: (to: DollUm) => ({ clear: asDoll(to) }),
          } as const,
        ]),
    ...(piece.ladder === 'none'
      ? []
      : [{ rule: 'rungs', value: dollOf(piece.rungs, means.scale), of: '', change: (to: DollUm) => ({ rungs: asDoll(to) }) } as const]),
  ];
};

const caseworkOffers = (piece: Piece & { family: 'casework' }, { parts, outside }: Assembly, means: Means): readonly Offer[] => {
  const high = outside.max[1];
  const real = (high * means.scale.real) / means.scale.doll;
  const shelves = parts.filter(({ role }) => role === 'shelf').map((part) => boxOf(part).max[1]);
  return [
    ...(piece.worktop && real > 700 * UM.mm && real < 1_200 * UM.mm
      ? [{ rule: 'worktop', value: high, of: '', change: (to: DollUm) => ({ height: asDoll(to) }) } as const]
      : []),
    ...(shelves.length > 0 ? [{ rule: 'reach', value: Math.max(...shelves), of: '', change: null } as const] : []),
  ];
};

const openingOffers = (form: string, height: number, width: number, up: number | null, of: string): readonly Omit<Offer, 'change'>[] =>
  form === 'door' || (form === 'arch' && up === 0)
    ? [
        { rule: 'doorHeight', value: height, of },
        { rule: 'doorWidth', value: width, of },
      ]
    : form === 'window' && up !== null
      ? [{ rule: 'sill', value: up, of }]
      : [];

const FIELD = { doorHeight: 'height', doorWidth: 'width', sill: 'up' } as const;

/** What is in one wall, as it is offered; told by its number where there are several. */
const wallOffers = (wall: Wall, name: string, doll: (measure: Measure) => number, put: (wall: Wall) => PieceChange): readonly Offer[] =>
  wall.kind === 'open' || wall.kind === 'shop'
    ? []
    : wall.openings.flatMap((opening, index) => {
        const of = wall.openings.length > 1 ? `${name}, opening ${index + 1}` : name;
        return openingOffers(opening.form, doll(opening.height), doll(opening.width), doll(opening.up), of).map(
          (offer): Offer => ({
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
  put: (change: Partial<Shell>) => PieceChange,
  of: string,
): readonly Offer[] => [
  { rule: 'wallHeight', value: doll(room.height), of, change: (to) => put({ height: asDoll(to) }) },
  ...room.walls.flatMap((wall, side) =>
    wallOffers(wall, `${sideName(room, side)}${of === '' ? '' : `, ${of}`}`, doll, (next) => put({ walls: room.walls.with(side, next) })),
  ),
  ...room.between
    .slice(0, room.cells - 1)
    .flatMap((wall, index) => wallOffers(wall, 'wall between', doll, (next) => put({ between: room.between.with(index, next) }))),
];

const roomOffers = (piece: Room, means: Means): readonly Offer[] => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
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

/** What a piece offers a body. */
const offersOf = (piece: Piece, assembly: Assembly, means: Means, body: Body): readonly Offer[] => {
  const doll = (measure: Measure): number => dollOf(measure, means.scale);
  switch (piece.family) {
    case 'seat':
      return seatOffers(piece, assembly, means, body);
    case 'table':
      return tableOffers(piece, assembly, means);
    case 'bed':
      return bedOffers(piece, means);
    case 'casework':
      return caseworkOffers(piece, assembly, means);
    case 'opening':
      return openingOffers(piece.form, doll(piece.height), doll(piece.width), null, '').map(
        (offer): Offer => ({
          ...offer,
          change: (to) => ({ [offer.rule === 'doorWidth' ? 'width' : 'height']: asDoll(to) }) as PieceChange,
        }),
      );
    case 'room':
      return roomOffers(piece, means);
    case 'stickwork':
      return piece.form === 'rack'
        ? [{ rule: 'railHeight', value: doll(piece.height), of: '', change: (to) => ({ height: asDoll(to) }) }]
        : [];
    default:
      return [];
  }
};

/** How a piece suits each doll who uses it.
 *  Shape: piece, assembly, means → a verdict for each size that a body meets, doll by doll. */
export const fitOf = (piece: Piece, assembly: Assembly, means: Means): readonly Fit[] =>
  (means.users ?? []).flatMap(({ name, body, uses }) =>
    uses !== 'all' && !uses.includes(piece.id)
      ? []
      : offersOf(piece, assembly, means, body).map(({ rule, value, of, change }): Fit => {
          const better = proposed(rule, body) as DollUm;
          return {
            ...judge(rule, value, body),
            pieceId: piece.id,
            piece: piece.name,
            of,
            doll: name,
            better,
            change: change?.(better) ?? null,
          };
        }),
  );

/** How high a table's top is over a seat, judged for each doll who uses both. */
export const seatUnder = (table: Piece, seat: Piece, means: Means): readonly Fit[] => {
  if (table.family !== 'table' || seat.family !== 'seat') return [];
  const over = (piece: { readonly bodyScale: Piece['bodyScale'] }) => (piece.bodyScale === 'set' ? means.scale : means.body);
  if (realOf(table.height, over(table)) < SAT_AT) return [];
  const low = dollOf(seat.seat, over(seat));
  const value = dollOf(table.height, over(table)) - low;
  return (means.users ?? []).flatMap(({ name, body, uses }) => {
    const both = uses === 'all' || (uses.includes(table.id) && uses.includes(seat.id));
    if (!both || !body.bends.hips) return [];
    const better = (proposed('tableOverSeat', body) + low) as DollUm;
    const change: PieceChange = { height: asDoll(better) };
    return [
      {
        ...judge('tableOverSeat', value, body),
        pieceId: table.id,
        piece: table.name,
        of: `with the ${seat.name}`,
        doll: name,
        better,
        change,
      },
    ];
  });
};

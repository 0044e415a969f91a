// What is decided about the families, what builds them, and what they may be started from: one line each.
import { alike } from '../assembly/index.ts';
import { ok, type Result } from '../kit/index.ts';
import { buildBed } from './bed/buildBed.ts';
import { BED_FIELDS } from './bed/fields.ts';
import { BED_PRESETS } from './bed/presets.ts';
import { buildCasework } from './casework/buildCasework.ts';
import type { Casework } from './casework/casework.ts';
import { mirroredCell } from './casework/cell.ts';
import { CASEWORK_FIELDS } from './casework/fields.ts';
import { CASEWORK_PRESETS } from './casework/presets.ts';
import { buildCloth } from './cloth/buildCloth.ts';
import { CLOTH_FIELDS } from './cloth/fields.ts';
import { CLOTH_PRESETS } from './cloth/presets.ts';
import { FAMILIES, type FamilyName, type Piece } from './families.ts';
import { buildFree } from './free/buildFree.ts';
import { FREE_FIELDS } from './free/fields.ts';
import type { Anchor, Free } from './free/free.ts';
import { FREE_PRESETS } from './free/presets.ts';
import type { Built } from './kit/built.ts';
import type { Field } from './kit/field.ts';
import type { Means } from './kit/means.ts';
import type { Preset } from './kit/preset.ts';
import type { PieceProblem } from './kit/problem.ts';
import { buildOdd } from './odd/buildOdd.ts';
import { ODD_FIELDS } from './odd/fields.ts';
import { ODD_PRESETS } from './odd/presets.ts';
import { buildOpening } from './opening/buildOpening.ts';
import { OPENING_FIELDS } from './opening/fields.ts';
import type { Opening } from './opening/opening.ts';
import { OPENING_PRESETS } from './opening/presets.ts';
import { buildGood } from './paper/buildGood.ts';
import { GOOD_FIELDS } from './paper/fields.ts';
import { GOOD_PRESETS } from './paper/presets.ts';
import { buildRoom } from './room/buildRoom.ts';
import { ROOM_FIELDS } from './room/fields.ts';
import { ROOM_PRESETS } from './room/presets.ts';
import { mirroredRoom } from './room/room.ts';
import { buildRound } from './round/buildRound.ts';
import { ROUND_FIELDS } from './round/fields.ts';
import { ROUND_PRESETS } from './round/presets.ts';
import { buildSeat } from './seat/buildSeat.ts';
import { SEAT_FIELDS } from './seat/fields.ts';
import { SEAT_PRESETS } from './seat/presets.ts';
import { buildShop } from './shop/buildShop.ts';
import { SHOP_FIELDS } from './shop/fields.ts';
import { SHOP_PRESETS } from './shop/presets.ts';
import { buildStack } from './stack/buildStack.ts';
import { STACK_FIELDS } from './stack/fields.ts';
import { STACK_PRESETS } from './stack/presets.ts';
import type { Stack } from './stack/stack.ts';
import { buildStickwork, LEANS } from './stickwork/buildStickwork.ts';
import { STICKWORK_FIELDS } from './stickwork/fields.ts';
import { STICKWORK_PRESETS } from './stickwork/presets.ts';
import { buildTable } from './table/buildTable.ts';
import { TABLE_FIELDS } from './table/fields.ts';
import { TABLE_PRESETS } from './table/presets.ts';
import { buildWall } from './wall/buildWall.ts';
import { WALL_FIELDS } from './wall/fields.ts';
import { WALL_PRESETS } from './wall/presets.ts';

const mirroredCasework = (piece: Casework): Casework => ({
  ...piece,
  front: mirroredCell(piece.front),
  worktop: piece.worktop && { ...piece.worktop, left: piece.worktop.right, right: piece.worktop.left },
  holes: piece.holes.map((hole) =>
    hole.panel === 'left' || hole.panel === 'right' ? { ...hole, panel: hole.panel === 'left' ? 'right' : 'left' } : hole,
  ),
});

const otherFace = (anchor: Anchor): Anchor => {
  const face = anchor.face === 'left' ? 'right' : anchor.face === 'right' ? 'left' : anchor.face;
  return { ...anchor, face };
};

const mirroredFree = (piece: Free): Free => ({
  ...piece,
  panels: piece.panels.map((panel) => ({
    ...panel,
    against: otherFace(panel.against),
    across: { from: otherFace(panel.across.to), to: otherFace(panel.across.from) },
    along: { from: otherFace(panel.along.from), to: otherFace(panel.along.to) },
  })),
});

/** Its own points are mirrored; every outline with a name is its own mirror image. */
const mirroredStack = (piece: Stack): Stack => ({
  ...piece,
  points: piece.points.map((ring) => ring.map(([x, y]) => [-x + 0, y] as const).toReversed()),
});

const mirroredOpening = (piece: Opening): Opening => ({ ...piece, hinge: piece.hinge === 'left' ? 'right' : 'left' });

const LADDER = { none: 'none', left: 'right', right: 'left' } as const;

type Building<P extends Piece> = {
  /** Each decision about a piece, described once. */
  readonly fields: readonly Field[];
  /** Decisions → parts. */
  readonly build: (piece: P, means: Means) => Result<Built, PieceProblem>;
  readonly presets: readonly Preset[];
  /** The piece as a looking-glass shows it. */
  readonly mirrored: (piece: P) => P;
  /** The drawing on which it is decided best, where that is not the front. */
  readonly sight?: (piece: P) => 'front' | 'side' | 'top';
};

const BUILDING: { readonly [F in FamilyName]: Building<Extract<Piece, { readonly family: F }>> } = {
  casework: { fields: CASEWORK_FIELDS, build: buildCasework, presets: CASEWORK_PRESETS, mirrored: mirroredCasework },
  table: { fields: TABLE_FIELDS, build: buildTable, presets: TABLE_PRESETS, mirrored: (piece) => piece },
  bed: {
    fields: BED_FIELDS,
    build: buildBed,
    presets: BED_PRESETS,
    mirrored: (piece) => ({ ...piece, head: piece.foot, foot: piece.head, ladder: LADDER[piece.ladder] }),
  },
  seat: { fields: SEAT_FIELDS, build: buildSeat, presets: SEAT_PRESETS, mirrored: (piece) => piece, sight: () => 'side' },
  stickwork: {
    fields: STICKWORK_FIELDS,
    build: buildStickwork,
    presets: STICKWORK_PRESETS,
    mirrored: (piece) => piece,
    sight: ({ form }) => (LEANS.has(form) ? 'side' : 'front'),
  },
  round: { fields: ROUND_FIELDS, build: buildRound, presets: ROUND_PRESETS, mirrored: (piece) => piece },
  stack: {
    fields: STACK_FIELDS,
    build: buildStack,
    presets: STACK_PRESETS,
    mirrored: mirroredStack,
    sight: ({ lies }) => (lies === 'lies' ? 'top' : 'front'),
  },
  wall: { fields: WALL_FIELDS, build: buildWall, presets: WALL_PRESETS, mirrored: (piece) => piece },
  opening: { fields: OPENING_FIELDS, build: buildOpening, presets: OPENING_PRESETS, mirrored: mirroredOpening },
  shop: {
    fields: SHOP_FIELDS,
    build: buildShop,
    presets: SHOP_PRESETS,
    mirrored: (piece) => piece,
    sight: ({ form }) => (form === 'counter' || form === 'awning' ? 'side' : 'front'),
  },
  room: { fields: ROOM_FIELDS, build: buildRoom, presets: ROOM_PRESETS, mirrored: mirroredRoom, sight: () => 'top' },
  paper: { fields: GOOD_FIELDS, build: buildGood, presets: GOOD_PRESETS, mirrored: (piece) => piece },
  cloth: {
    fields: CLOTH_FIELDS,
    build: buildCloth,
    presets: CLOTH_PRESETS,
    mirrored: (piece) => ({ ...piece, drops: { ...piece.drops, left: piece.drops.right, right: piece.drops.left } }),
  },
  odd: { fields: ODD_FIELDS, build: buildOdd, presets: ODD_PRESETS, mirrored: (piece) => piece },
  panels: { fields: FREE_FIELDS, build: buildFree, presets: FREE_PRESETS, mirrored: mirroredFree },
};

/** Every preset of every family, in the order of the table. */
export const PRESETS: readonly Preset[] = Object.values(BUILDING).flatMap(({ presets }) => presets);

/** What is decided about a piece of its family. */
export const fieldsOf = ({ family }: Pick<Piece, 'family'>): readonly Field[] => BUILDING[family].fields;

/** A piece as a looking-glass shows it. */
export const mirroredPiece = (piece: Piece): Piece => (BUILDING[piece.family] as unknown as Building<Piece>).mirrored(piece);

/** The drawing on which a piece is decided best. */
export const sightOf = (piece: Piece): 'front' | 'side' | 'top' =>
  (BUILDING[piece.family] as unknown as Building<Piece>).sight?.(piece) ?? 'front';

/** Builds a piece, whatever its family. */
export const buildPiece = (piece: Piece, means: Means): Result<Built, PieceProblem> => {
  const built = (BUILDING[piece.family] as unknown as Building<Piece>).build(piece, means);
  if (!built.ok) return built;
  const { assembly } = built.value;
  return ok({ ...built.value, assembly: { ...assembly, parts: assembly.parts.map(alike) } });
};

/** A piece made from a preset's decisions. */
export const fromPreset = (preset: Preset, id: string, mark: number): Piece => {
  const { family } = preset.piece as { family: FamilyName };
  return { ...FAMILIES[family].schema.parse(preset.piece), id, mark } as Piece;
};

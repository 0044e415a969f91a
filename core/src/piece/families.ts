// The one table of families. Each is a folder with the same few things; whoever wants a piece asks here and never for a family by name.
import type { z } from 'zod';
import type { Result } from '../kit/index.ts';
import { BED_ROLES, type Bed, bedSchema } from './bed/bed.ts';
import { buildBed } from './bed/buildBed.ts';
import { BED_FIELDS } from './bed/fields.ts';
import { BED_PRESETS } from './bed/presets.ts';
import { buildCasework } from './casework/buildCasework.ts';
import { BOARD_ROLES, type Casework, caseworkSchema, partsAbout } from './casework/casework.ts';
import { mirroredCell } from './casework/cell.ts';
import { CASEWORK_FIELDS } from './casework/fields.ts';
import { CASEWORK_PRESETS } from './casework/presets.ts';
import { buildFree } from './free/buildFree.ts';
import { FREE_FIELDS } from './free/fields.ts';
import { type Anchor, FREE_ROLES, type Free, freeSchema } from './free/free.ts';
import { FREE_PRESETS } from './free/presets.ts';
import type { Built } from './kit/built.ts';
import { type Field, valueAt } from './kit/field.ts';
import type { Means } from './kit/means.ts';
import type { Preset } from './kit/preset.ts';
import type { PieceProblem } from './kit/problem.ts';
import { buildTable } from './table/buildTable.ts';
import { TABLE_FIELDS } from './table/fields.ts';
import { TABLE_PRESETS } from './table/presets.ts';
import { TABLE_ROLES, type Table, tableSchema } from './table/table.ts';

/** A piece of a set: one of the families. */
export type Piece = Casework | Table | Bed | Free;
export type FamilyName = Piece['family'];

/** All that a family is. */
export type Family<P extends Piece = Piece> = {
  /** A piece as it may stand in a file. */
  readonly schema: z.ZodType<Omit<P, 'id' | 'mark'> & { readonly id?: string | undefined; readonly mark?: number | undefined }>;
  readonly roles: readonly string[];
  readonly fields: readonly Field[];
  readonly presets: readonly Preset[];
  /** Decisions → parts. */
  readonly build: (piece: P, means: Means) => Result<Built, PieceProblem>;
  /** About how many parts it has, before anything is built. */
  readonly partsAbout: (piece: Omit<P, 'id' | 'mark'>) => number;
  /** The piece as a looking-glass shows it. */
  readonly mirrored: (piece: P) => P;
};

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

const LADDER = { none: 'none', left: 'right', right: 'left' } as const;

export const FAMILIES: { readonly [F in FamilyName]: Family<Extract<Piece, { readonly family: F }>> } = {
  casework: {
    schema: caseworkSchema as unknown as Family<Casework>['schema'],
    roles: BOARD_ROLES,
    fields: CASEWORK_FIELDS,
    presets: CASEWORK_PRESETS,
    build: buildCasework,
    partsAbout,
    mirrored: mirroredCasework,
  },
  table: {
    schema: tableSchema as unknown as Family<Table>['schema'],
    roles: TABLE_ROLES,
    fields: TABLE_FIELDS,
    presets: TABLE_PRESETS,
    build: buildTable,
    partsAbout: ({ drawers }) => 20 + 12 * drawers,
    mirrored: (piece) => piece,
  },
  bed: {
    schema: bedSchema as unknown as Family<Bed>['schema'],
    roles: BED_ROLES,
    fields: BED_FIELDS,
    presets: BED_PRESETS,
    build: buildBed,
    partsAbout: ({ drawers, base, levels }) => 24 + 12 * drawers + (base === 'slats' ? 20 : 0) * (levels === 'bunk' ? 2 : 1),
    mirrored: (piece) => ({ ...piece, head: piece.foot, foot: piece.head, ladder: LADDER[piece.ladder] }),
  },
  panels: {
    schema: freeSchema as unknown as Family<Free>['schema'],
    roles: FREE_ROLES,
    fields: FREE_FIELDS,
    presets: FREE_PRESETS,
    build: buildFree,
    partsAbout: ({ panels }) => panels.length * 2,
    mirrored: mirroredFree,
  },
};

/** The family of a piece, as one that takes any piece of its own kind. */
export const familyOf = (piece: Pick<Piece, 'family'>): Family => FAMILIES[piece.family] as unknown as Family;

/** Every preset of every family, in the order of the table. */
export const PRESETS: readonly Preset[] = Object.values(FAMILIES).flatMap(({ presets }) => presets);

/** Builds a piece, whatever its family. */
export const buildPiece = (piece: Piece, means: Means): Result<Built, PieceProblem> => familyOf(piece).build(piece, means);

/** A piece made from a preset's decisions. */
export const fromPreset = (preset: Preset, id: string, mark: number): Piece => {
  const { family } = preset.piece as { family: FamilyName };
  return { ...FAMILIES[family].schema.parse(preset.piece), id, mark } as Piece;
};

/** The sizes of the real thing that drive a piece, in µm; those decided at doll size are left out. */
export const drivingSizes = (piece: Piece): readonly number[] =>
  familyOf(piece).fields.flatMap(({ kind, path }) => {
    const value = kind.kind === 'size' && kind.drives ? valueAt(piece, path) : undefined;
    return typeof value === 'number' ? [value] : [];
  });

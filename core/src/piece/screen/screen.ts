import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { TOP_EDGES } from '../../shape/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';
import { base, mm, side, some } from '../family/sizes.ts';

export const SCREEN_ROLES = ['panel'] as const;

export const screenSchema = z.strictObject({
  family: z.literal('screen'),
  ...pieceFields(SCREEN_ROLES),
  name: textField(80).default('folding screen'),
  /** How wide one panel is. */
  width: side.default(mm(450)),
  /** Floor to the highest point of a panel. */
  height: side.default(mm(1700)),
  /** How deep it stands, zigzag; as deep as its board is thick, or less, it stands flat. */
  depth: base.default(mm(200)),
  panels: z.number().int().min(2).max(8).default(3),
  edge: z.enum(TOP_EDGES).default('straight'),
  rise: some.default(mm(120)),
});

/** Panels of board that stand zigzag, each held to the next by hinges of paper. */
export type Screen = PieceOf<typeof screenSchema>;

export const screenModel = defineModel({ schema: screenSchema, roles: SCREEN_ROLES, partsAbout: ({ panels }) => 2 * panels });

import { z } from 'zod';
import { textField } from '../../kit/index.ts';
import { dollField, dollUm, UM } from '../../measure/index.ts';
import { pieceFields } from '../family/base.ts';
import { defineModel, type PieceOf } from '../family/model.ts';
import { base, mm, side, some } from '../family/sizes.ts';

export const SHOP_ROLES = ['carcass', 'front', 'trim'] as const;
export type ShopRole = (typeof SHOP_ROLES)[number];

export const SHOP_FORMS = ['counter', 'pillar', 'bay', 'awning', 'stand'] as const;
export type ShopForm = (typeof SHOP_FORMS)[number];

export const shopSchema = z.strictObject({
  family: z.literal('shop'),
  ...pieceFields(SHOP_ROLES),
  name: textField(80).default('counter'),
  form: z.enum(SHOP_FORMS).default('counter'),
  width: side.default(mm(1500)),
  height: side.default(mm(1200)),
  depth: side.default(mm(700)),
  /** Floor to where a counter's front begins to slant, a bay's window begins, an awning's slope ends. */
  low: base.default(mm(600)),
  /** How deep a counter's top is; how far a bay's cheeks run in to its front; how far a pillar's foot and head stand out. */
  top: base.default(mm(350)),
  /** Of clear sheet, of board, or nothing. */
  glazing: z.enum(['clear', 'board', 'open']).default('clear'),
  back: z.boolean().default(false),
  /** Strips on each face of a pillar, scallops of an awning's valance, slots of a stand. */
  count: z.number().int().min(0).max(30).default(3),
  /** How wide a strip is; how high a valance or what stands in a slot. */
  strip: some.default(mm(60)),
  /** How much wider a slot is than what stands in it, in both directions. */
  play: dollField({ min: 0, max: 5 * UM.mm }).default(dollUm(0.2 * UM.mm)),
});

/** Fittings of a shop: a counter whose front slants, a pillar faced with strips, a bay of a display window, an awning, a stand with slots. */
export type Shop = PieceOf<typeof shopSchema>;

export const shopModel = defineModel({
  schema: shopSchema,
  roles: SHOP_ROLES,
  partsAbout: ({ count }) => 12 + 3 * count,
});

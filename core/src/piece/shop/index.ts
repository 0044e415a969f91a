import { defineFamily } from '../family/family.ts';
import { buildShop } from './buildShop.ts';
import { SHOP_FIELDS } from './fields.ts';
import { SHOP_PRESETS } from './presets.ts';
import { type Shop, shopModel } from './shop.ts';

export const SHOP = defineFamily<Shop>({
  model: shopModel,
  fields: SHOP_FIELDS,
  presets: SHOP_PRESETS,
  build: buildShop,
  sight: ({ form }) => (form === 'counter' || form === 'awning' ? 'side' : 'front'),
});

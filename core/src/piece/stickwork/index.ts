import { defineFamily } from '../family/family.ts';
import { asDoll, dollIn } from '../family/offers.ts';
import { buildStickwork, LEANS } from './buildStickwork.ts';
import { STICKWORK_FIELDS } from './fields.ts';
import { STICKWORK_PRESETS } from './presets.ts';
import { type Stickwork, stickworkModel } from './stickwork.ts';

export const STICKWORK = defineFamily<Stickwork>({
  model: stickworkModel,
  fields: STICKWORK_FIELDS,
  presets: STICKWORK_PRESETS,
  build: buildStickwork,
  sight: ({ form }) => (LEANS.has(form) ? 'side' : 'front'),
  offers: ({ form, height }, _, means) =>
    form === 'rack' ? [{ rule: 'railHeight', value: dollIn(means)(height), of: '', change: (to) => ({ height: asDoll(to) }) }] : [],
});

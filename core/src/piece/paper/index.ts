import { differs } from '../family/changes.ts';
import { defineFamily } from '../family/family.ts';
import { buildGood } from './buildGood.ts';
import { GOOD_FIELDS } from './fields.ts';
import { type Good, paperModel } from './good.ts';
import { GOOD_PRESETS } from './presets.ts';

export const PAPER = defineFamily<Good>({
  model: paperModel,
  fields: GOOD_FIELDS,
  presets: GOOD_PRESETS,
  build: buildGood,
  changes: (was, is) => [
    ...differs('what is printed on it', was.art, is.art),
    ...differs('its colours', was.grounds, is.grounds),
    ...differs(is.fills ? 'the shelf that it fills' : 'it fills no shelf any more', was.fills, is.fills),
    ...differs('how thick its paper is', was.thickness, is.thickness),
  ],
});

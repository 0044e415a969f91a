import { differs } from '../family/changes.ts';
import { defineFamily } from '../family/family.ts';
import { buildOdd } from './buildOdd.ts';
import { ODD_FIELDS } from './fields.ts';
import { type OddThing, oddModel } from './odd.ts';
import { ODD_PRESETS } from './presets.ts';

export const ODD = defineFamily<OddThing>({
  model: oddModel,
  fields: ODD_FIELDS,
  presets: ODD_PRESETS,
  build: buildOdd,
  changes: (was, is) => [
    ...differs('its colours', was.grounds, is.grounds),
    ...differs(is.on ? 'what it stands on' : 'it stands on nothing any more', was.on, is.on),
    ...differs('how thick its paper is', was.thickness, is.thickness),
  ],
});

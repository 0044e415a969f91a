import { listChange } from '../family/changes.ts';
import { defineFamily } from '../family/family.ts';
import { fieldsWithin } from '../family/inner.ts';
import { buildRound } from './buildRound.ts';
import { ROUND_FIELDS, SECTION_FIELDS } from './fields.ts';
import { ROUND_PRESETS } from './presets.ts';
import { roundModel, type Turned } from './turned.ts';

export const ROUND = defineFamily<Turned>({
  model: roundModel,
  fields: ROUND_FIELDS,
  presets: ROUND_PRESETS,
  editors: { size: ['sections'] },
  build: buildRound,
  inner: ({ sections }) => fieldsWithin('sections', 'section', sections, SECTION_FIELDS),
  changes: (was, is) => listChange('sections', was.sections, is.sections),
});

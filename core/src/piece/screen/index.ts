import type { z } from 'zod';
import { defineFamily } from '../family/family.ts';
import { choice, EDGE_WORDS } from '../family/field.ts';
import { boardFields, count, size } from '../family/fields.ts';
import { presetsOf } from '../family/preset.ts';
import { buildScreen } from './buildScreen.ts';
import { type Screen, screenModel, type screenSchema } from './screen.ts';

const preset = presetsOf<z.input<typeof screenSchema>>('screen', 'walls');

/** Sizes of screens are common practice without source. */
export const SCREEN = defineFamily<Screen>({
  model: screenModel,
  fields: [
    { path: ['width'], label: 'One panel, wide', group: 'size', kind: size(10, 3_000) },
    { path: ['height'], label: 'Height', group: 'size', kind: size(10, 10_000, 'height') },
    {
      path: ['depth'],
      label: 'Stands so deep',
      group: 'size',
      kind: size(0, 3_000),
      hint: 'Zigzag, it stands by itself; at nought it stands flat.',
    },
    { path: ['panels'], label: 'Panels', group: 'shape', kind: count(2, 8) },
    { path: ['edge'], label: 'Upper edge', group: 'shape', kind: choice(...EDGE_WORDS) },
    {
      path: ['rise'],
      label: 'It rises by',
      group: 'shape',
      kind: size(1, 2_000),
      when: ((piece: Screen) => piece.edge === 'arch' || piece.edge === 'battlements') as (piece: never) => boolean,
    },
    ...boardFields({ panel: 'its panels' }),
  ],
  presets: [
    preset(
      'folding-screen',
      'Folding screen',
      'three panels on paper hinges, zigzag',
      'room divider partition changing dressing privacy paravent',
      {},
    ),
    preset('arched-screen', 'Arched screen', 'four panels with arched tops', 'room divider boudoir dressing changing', {
      panels: 4,
      width: '400 mm',
      height: '1800 mm',
      edge: 'arch',
      rise: '150 mm',
    }),
  ],
  build: buildScreen,
});

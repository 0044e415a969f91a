import { differs, listChange } from '../family/changes.ts';
import { defineFamily } from '../family/family.ts';
import { buildStack } from './buildStack.ts';
import { STACK_FIELDS } from './fields.ts';
import { STACK_PRESETS } from './presets.ts';
import { type Stack, stackModel } from './stack.ts';

/** Its own points are mirrored; every outline with a name is its own mirror image. */
const mirroredStack = (piece: Stack): Stack => ({
  ...piece,
  points: piece.points.map((ring) => ring.map(([x, y]) => [-x + 0, y] as const).toReversed()),
});

export const STACK = defineFamily<Stack>({
  model: stackModel,
  fields: STACK_FIELDS,
  presets: STACK_PRESETS,
  editors: { size: ['outline', 'layers'] },
  build: buildStack,
  mirrored: mirroredStack,
  sight: ({ lies }) => (lies === 'lies' ? 'top' : 'front'),
  changes: (was, is) => [...listChange('layers', was.layers, is.layers), ...differs('the points of its outline', was.points, is.points)],
});

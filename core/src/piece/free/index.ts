import { listChange } from '../family/changes.ts';
import { defineFamily } from '../family/family.ts';
import { buildFree } from './buildFree.ts';
import { FREE_FIELDS } from './fields.ts';
import { type Anchor, type Free, freeModel } from './free.ts';
import { FREE_PRESETS } from './presets.ts';

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

export const FREE = defineFamily<Free>({
  model: freeModel,
  fields: FREE_FIELDS,
  presets: FREE_PRESETS,
  editors: { size: ['panels'] },
  build: buildFree,
  mirrored: mirroredFree,
  changes: (was, is) => listChange('panels', was.panels, is.panels),
});

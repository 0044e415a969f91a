import { type Assembly, boxOf } from '../../assembly/index.ts';
import { defineFamily, type Hung } from '../family/family.ts';
import { buildWall } from './buildWall.ts';
import { WALL_THING_FIELDS } from './fields.ts';
import { WALL_PRESETS } from './presets.ts';
import { type WallThing, wallModel } from './wallThing.ts';

/** She looks into a mirror, reaches pegs and what stands on a shelf. */
const hung = ({ form, holds }: WallThing, { parts, outside }: Assembly, up: number): readonly Hung[] => {
  if (form === 'frame' && holds === 'mirror')
    return [
      { rule: 'mirrorTop', value: up + outside.max[1] },
      { rule: 'mirrorLow', value: up },
    ];
  if (form === 'pegs') {
    const pegs = parts.filter(({ name }) => name === 'peg').map((part) => boxOf(part).min[1]);
    return pegs.length > 0 ? [{ rule: 'hooks', value: Math.round(up + Math.min(...pegs)) }] : [];
  }
  return form === 'shelf' ? [{ rule: 'reach', value: up + outside.max[1] }] : [];
};

export const WALL = defineFamily<WallThing>({ model: wallModel, fields: WALL_THING_FIELDS, presets: WALL_PRESETS, build: buildWall, hung });

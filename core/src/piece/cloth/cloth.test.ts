import { describe, expect, it } from 'vitest';
import { cutLineOf } from '../../cloth/index.ts';
import { edgesAreWhole, unequalSeams } from '../../cloth/sewn.testing.ts';
import { scaleFromRatio } from '../../measure/index.ts';
import { buildPiece, fromPreset, type Means, PRESETS } from '../index.ts';
import { boardOf } from '../randomDecisions.testing.ts';

const PRESETS_OF_CLOTH = PRESETS.filter(({ kind }) => kind === 'cloth');

const means = (ratio: number): Means => ({ scale: scaleFromRatio(ratio), body: scaleFromRatio(ratio), boards: [boardOf(5_000)] });

describe('things of cloth', () => {
  it.each(PRESETS_OF_CLOTH.map((preset) => [preset.name, preset] as const))('%s is sewn as it was cut', (_, preset) => {
    for (const ratio of [3, 6]) {
      const built = buildPiece(fromPreset(preset, 'p', 1), means(ratio));
      if (!built.ok) throw new Error(JSON.stringify(built.error));
      const { sewing } = built.value;
      if (!sewing) throw new Error('nothing to sew');
      expect(edgesAreWhole(sewing.pattern)).toBe(true);
      expect(unequalSeams(sewing.pattern)).toEqual([]);
      for (const piece of sewing.pattern.pieces) expect(cutLineOf(piece).length).toBeGreaterThan(3);
    }
  });
});

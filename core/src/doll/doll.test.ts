import { describe, expect, it } from 'vitest';
import { dollUm, realUm, timesSmaller, UM } from '../measure/index.ts';
import { bounds } from '../shape/index.ts';
import { BODY, type Doll, dollSchema, figureOutline, nearestRatio, scaleOf } from './index.ts';

const doll = (over: Partial<Doll> = {}): Doll => ({
  ...dollSchema.parse({}),
  name: 'Pim',
  height: dollUm(29 * UM.cm),
  standsFor: 'woman',
  stature: realUm(162 * UM.cm),
  scale: { by: 'stature' },
  ...over,
});

describe('the doll', () => {
  it('gives a scale from her height and the stature of whom she stands for', () => {
    expect(timesSmaller(scaleOf(doll()))).toBeCloseTo(162 / 29, 9);
  });

  it('or the usual ratio that was chosen', () => {
    expect(timesSmaller(scaleOf(doll({ scale: { by: 'ratio', ratio: 6 } })))).toBe(6);
  });

  // Usual scales, common practice: 46 cm dolls as children 1:3, 29 cm as adults 1:6.
  it.each([
    [46, 138, 3],
    [29, 176, 6],
    [14, 165, 12],
  ])('a %i cm doll for a person of %i cm is nearest to 1:%i', (height, stature, ratio) => {
    expect(nearestRatio(doll({ height: dollUm(height * UM.cm), stature: realUm(stature * UM.cm) }))).toBe(ratio);
  });

  // Drillis & Contini 1966 as drawn in Winter, Biomechanics and Motor Control of Human Movement; recalled from memory.
  it('carries the published body fractions', () => {
    expect(BODY).toMatchObject({ ankle: 0.039, knee: 0.285, hip: 0.53, shoulder: 0.818, chin: 0.87, eye: 0.936 });
    expect(BODY.shoulder - BODY.upperArm - BODY.forearm - BODY.hand).toBeGreaterThan(BODY.knee);
  });

  it('draws a figure that stands on the floor, exactly as tall as she is, the same to both sides', () => {
    const box = bounds(figureOutline(290_000));
    expect(box.y0).toBe(0);
    expect(Math.abs(box.y1 - 290_000)).toBeLessThan(3_000);
    expect(Math.abs(box.x0 + box.x1)).toBeLessThan(1_500);
  });
});

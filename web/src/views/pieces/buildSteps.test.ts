import { PRESETS } from '@parlor/core/piece';
import { derive, type MadePiece, orderOfPiece, readSet } from '@parlor/core/set';
import { describe, expect, it } from 'vitest';
import { buildStepsOf, isOfLine, likeSteps } from './buildSteps.ts';

const stepsOf = (key: string) => {
  const piece = PRESETS.find((each) => each.key === key)?.piece;
  const read = readSet({ format: 'bashful-parlor-set', version: 1, pieces: [piece] });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  const made = derive(read.value).pieces[0]?.made as MadePiece;
  return buildStepsOf(made, orderOfPiece(made));
};

describe('the steps of a piece', () => {
  it.each(['chest', 'side-chair', 'night-stand', 'cot'])('of %s: each part once, alike ones in a row as one line', (key) => {
    const steps = stepsOf(key);
    const lines = likeSteps(steps);
    expect(lines.reduce((sum, { count }) => sum + count, 0)).toBe(steps.length);
    const main = steps.filter(({ of }) => of === null).flatMap(({ parts }) => parts);
    expect(new Set(main).size).toBe(main.length);
    for (const [index] of steps.entries()) expect(lines.filter((line) => isOfLine(line, index))).toHaveLength(1);
  });

  it('of four feet in two layers: the layers are glued on the table, the feet come whole', () => {
    const lines = likeSteps(stepsOf('chest')).map(({ step, count }) => `${count} × ${step.name}`);
    expect(lines.filter((line) => /foot|knob/.test(line))).toEqual([
      '4 × foot, layer 1',
      '4 × foot, layer 2',
      '4 × foot, whole',
      '4 × knob',
      '4 × knob',
    ]);
  });

  it('of a bench with boxes: a box is made on the table, all alike ones at once, and slides in whole', () => {
    const steps = stepsOf('bench-with-boxes');
    const lines = likeSteps(steps);
    const apart = lines.filter(({ step }) => step.of !== null);
    expect(apart.map(({ step }) => step.of)).toContain('drawer');
    expect(apart.filter(({ step }) => step.of === 'drawer').every(({ count }) => count === 3)).toBe(true);
    const whole = lines.filter(({ step }) => /drawer, whole/.test(step.name));
    expect(whole.map(({ count, step }) => `${count}${step.from}${step.glued}`)).toEqual(['3, from the front']);
    // Nothing of a box is left for the piece itself.
    expect(steps.filter(({ of, name }) => of === null && /^drawer (side|end|front|floor)/.test(name))).toEqual([]);
  });

  it('say to what a part is glued that stands there already', () => {
    const steps = stepsOf('chest');
    expect(steps[0]?.glued).toBe('');
    expect(steps.find(({ name }) => /left side/.test(name))?.glued).toMatch(/^, glued to .*(bottom|back)/);
    const knobs = likeSteps(steps).filter(({ step }) => /knob/.test(step.name));
    expect(knobs.reduce((sum, { count }) => sum + count, 0)).toBe(steps.filter(({ name }) => /knob/.test(name)).length);
    for (const { step } of knobs) expect(step.glued).toMatch(/glued to/);
  });
});

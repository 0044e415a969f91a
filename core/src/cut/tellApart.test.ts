// Different parts of a piece have different names, whatever the piece.
import { describe, expect, it } from 'vitest';
import { PRESETS } from '../piece/index.ts';
import { derive, readSet } from '../set/index.ts';

const groupsOf = (key: string) => {
  const piece = PRESETS.find((each) => each.key === key)?.piece;
  const read = readSet({ format: 'bashful-parlor-set', version: 1, name: 'alone', pieces: [piece] });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return derive(read.value).pieces[0]?.made?.groups ?? [];
};

describe('the names of parts', () => {
  it.each(PRESETS.map(({ key }) => key))('tell the parts of %s apart', (key) => {
    const names = groupsOf(key).flatMap(({ stuff, name }) => (stuff === 'found' ? [] : [name]));
    expect(names.filter((name, index) => names.indexOf(name) !== index)).toEqual([]);
  });

  it('say which way strips run, and which is the longer one', () => {
    expect(groupsOf('picture-frame').map(({ name }) => name)).toEqual(expect.arrayContaining(['lying frame strip', 'upright frame strip']));
    expect(groupsOf('side-chair').map(({ name }) => name)).toEqual(expect.arrayContaining(['longer rung', 'shorter rung']));
    expect(groupsOf('tiered-cake').map(({ name }) => name)).toEqual([
      'largest Cake in tiers',
      '2nd largest Cake in tiers',
      'smallest Cake in tiers',
    ]);
  });

  it('presets have a name each', () => {
    const names = PRESETS.map(({ name }) => name);
    expect(names.filter((name, index) => names.indexOf(name) !== index)).toEqual([]);
  });
});

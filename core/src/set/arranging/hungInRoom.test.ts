// Curtain rods in a room, against windows whose places were chosen: 900 mm wide, 300 mm from the left wall, rods 120 mm beyond the frame.
import { describe, expect, it } from 'vitest';
import { applyEdit, arrangedIn, derive, describeFinding, type Finding, readSet, type SetDocument } from '../index.ts';

const MM = { unit: 'mm', fine: false } as const;

const setWith = (from: number, beyond: number, placed: readonly object[] = [], more: readonly object[] = []): SetDocument => {
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    pieces: [
      {
        id: 'piece-1',
        family: 'room',
        name: 'room',
        width: '4000 mm',
        depth: '3000 mm',
        height: '2400 mm',
        walls: [{ openings: [{ form: 'window', from: `${from} mm`, up: '900 mm', width: '900 mm', height: '1000 mm' }] }],
      },
      {
        id: 'piece-2',
        family: 'cloth',
        name: 'curtains',
        form: 'curtain',
        height: '1200 mm',
        beyond: `${beyond} mm`,
        on: { piece: 'piece-1', at: 'window 0.0.0' },
      },
      ...more,
    ],
    layouts: [{ id: 'a', name: 'A', room: 'piece-1', placed }],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};
const clashes = (document: SetDocument): readonly Finding[] =>
  (arrangedIn(document, derive(document), 'piece-1')?.findings ?? []).filter(({ code }) => code === 'things-clash');

describe('what hangs at a window', () => {
  it('has room between the walls, or its rod is seen to run into the next one, and is cut short of it', () => {
    expect(clashes(setWith(1200, 120))).toEqual([]);
    const tight = setWith(250, 400);
    const [found, ...rest] = clashes(tight);
    expect(rest).toEqual([]);
    expect(describeFinding(found as Finding, MM).reason).toBe('curtains runs into the room’s own walls, or what is in them.');
    const edit = found?.mend?.edit;
    if (!edit) throw new Error('no mend');
    expect(clashes(applyEdit(tight, edit).document)).toEqual([]);
  });

  it('is told from a cupboard that stands as high beside the window', () => {
    const cupboard = { id: 'piece-3', family: 'casework', name: 'cupboard', width: '600 mm', height: '2300 mm', depth: '500 mm' };
    const at = (x: number) => [{ piece: 'piece-3', x: `${x} mm`, z: '45 mm' }];
    const beside = setWith(1200, 120, at(100), [cupboard]);
    expect(clashes(beside)).toEqual([]);
    const before = clashes(setWith(1200, 120, at(160), [cupboard]));
    expect(before.map((each) => describeFinding(each, MM).reason)).toContain('curtains and cupboard run into each other.');
  });
});

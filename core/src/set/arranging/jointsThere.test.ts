// A screen of one panel that no sheet is as large as, in a room: its joint is said to show, until something stands before it.
import { describe, expect, it } from 'vitest';
import { derive, describeFinding, type Finding, findingsThere, readSet, type SetDocument } from '../index.ts';

const A4 = { id: 'white', name: 'Foam board, white', nominal: '5 mm', sheets: ['A4'] };

type Stands = { readonly x: number; readonly z: number; readonly turn?: number };

const sized = (width: number, height: number, depth: number) => ({
  width: { doll: `${width} mm` },
  height: { doll: `${height} mm` },
  depth: { doll: `${depth} mm` },
});

/** A screen 360 mm wide and 200 high at doll size, so of two pieces, and a box 120 wide and 250 high. */
const setWith = (screen: Stands, box?: Stands): SetDocument => {
  const placed = [{ piece: 'screen', ...screen }, ...(box ? [{ piece: 'box', ...box }] : [])];
  const read = readSet({
    format: 'bashful-parlor-set',
    version: 1,
    boards: [A4, { ...A4, id: 'large', sheets: ['A1'] }],
    pieces: [
      {
        id: 'room',
        family: 'room',
        name: 'Room',
        ...sized(800, 400, 600),
        boards: { wall: 'large', floor: 'large' },
      },
      {
        id: 'screen',
        family: 'panels',
        name: 'Screen',
        ...sized(360, 200, 5),
        panels: [{ id: 'leaf', name: 'leaf', facing: 'front' }],
      },
      {
        id: 'box',
        family: 'casework',
        name: 'Cupboard',
        ...sized(120, 250, 40),
        boards: { carcass: 'large' },
      },
    ],
    layouts: [
      {
        id: 'l',
        name: 'l',
        room: 'room',
        chosen: true,
        placed: placed.map(({ x, z, ...each }) => ({ ...each, x: `${x} mm`, z: `${z} mm` })),
      },
    ],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
};

const joined = (document: SetDocument): Extract<Finding, { code: 'part-joined' }> => {
  const derived = derive(document);
  const piece = derived.pieces.find(({ id }) => id === 'screen');
  const found = piece && findingsThere(document, derived, piece).find(({ code }) => code === 'part-joined');
  if (found?.code !== 'part-joined') throw new Error(JSON.stringify(piece?.problem ?? piece?.findings));
  return found;
};

describe('a joint of a piece in its room', () => {
  it('shows where nothing stands before it', () => {
    for (const document of [
      setWith({ x: 400, z: 300 }),
      setWith({ x: 400, z: 300 }, { x: 260, z: 255 }),
      setWith({ x: 400, z: 300 }, { x: 517, z: 345 }),
    ]) {
      const found = joined(document);
      expect([found.before, found.numbers.open]).toEqual([[], 1]);
      expect(describeFinding(found, document.units).reason).toContain('One joint shows: put a trim over it.');
    }
  });

  it.each([0, 90, 180, 270])('is hidden by what stands before it, however the two are turned (%i°)', (turn) => {
    // The joint is 297 mm from the left end, its strip in front: it shows behind. Turned to the left as seen from above, x to the right, z to the viewer.
    const [cos, sin] = (
      [
        [1, 0],
        [0, 1],
        [-1, 0],
        [0, -1],
      ] as const
    )[turn / 90] ?? [1, 0];
    const [dx, dz] = [117 * cos - 45 * sin, -117 * sin - 45 * cos];
    const document = setWith({ x: 400, z: 300, turn }, { x: 400 + dx, z: 300 + dz, turn });
    const found = joined(document);
    expect([found.before, found.numbers.open]).toEqual([['Cupboard'], 0]);
    const { reason } = describeFinding(found, document.units);
    expect(reason).toContain('Cupboard hides a joint where it stands.');
    expect(reason).not.toContain('trim');
  });

  it('is hidden by the wall that its back is to', () => {
    const found = joined(setWith({ x: 400, z: 20 }));
    expect([found.before, found.numbers.open]).toEqual([['the room'], 0]);
  });
});

import { fromPreset, newWall, PRESETS, type Room } from '@parlor/core/piece';
import { regionArea } from '@parlor/core/shape';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asOwnPlan, meetingOf, wallBroken, wallGone, wallLong, wallOut, wallTo, withMeeting } from './shells.ts';

const room = (key: string): Room => fromPreset(PRESETS.find((each) => each.key === key) as (typeof PRESETS)[number], 'r', 1) as Room;

const SQUARE: Room['points'] = [
  [0, 0],
  [4000, 0],
  [4000, 3000],
  [0, 3000],
];

const areaOf = (points: Room['points']): number => Math.abs(regionArea({ outline: points, holes: [] }));

describe('walls of a plan of its own', () => {
  it('move out of the room and in, and take their corners along the walls that they meet', () => {
    expect(wallOut(SQUARE, 0, 500)).toEqual([
      [0, -500],
      [4000, -500],
      [4000, 3000],
      [0, 3000],
    ]);
    expect(wallOut(SQUARE, 1, -1000)).toEqual([
      [0, 0],
      [3000, 0],
      [3000, 3000],
      [0, 3000],
    ]);
    // Out and in again is where it was; a rectangle gains its length by what it moves (plane geometry).
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 3 }), fc.integer({ min: -900, max: 900 }), (wall, by) => {
        const moved = wallOut(SQUARE, wall, by);
        expect(areaOf(moved) - areaOf(SQUARE)).toBeCloseTo(by * wallLong(SQUARE, wall), 3);
        expect(wallOut(moved, wall, -by)).toEqual(SQUARE);
      }),
    );
  });

  it('of a bay keep their slant', () => {
    const { points } = room('bay-room');
    const moved = wallOut(points, 2, 100_000);
    const slope = (list: Room['points'], index: number): number => {
      const [a, b] = [list[index], list[index + 1]] as [readonly [number, number], readonly [number, number]];
      return (b[1] - a[1]) / (b[0] - a[0]);
    };
    expect(slope(moved, 1)).toBeCloseTo(slope(points, 1), 4);
    expect(slope(moved, 3)).toBeCloseTo(slope(points, 3), 4);
  });

  it('are made as long as is typed by moving the next one', () => {
    const longer = wallTo(SQUARE, 0, 5000);
    expect(wallLong(longer, 0)).toBe(5000);
    expect(wallLong(longer, 1)).toBe(3000);
    expect(wallLong(wallTo(SQUARE, 3, 2000), 3)).toBe(2000);
    // Where the next one runs on in its line only the corner between them moves.
    const broken = wallBroken({ ...room('l-room'), points: SQUARE }, 0).points as Room['points'];
    expect(wallTo(broken, 0, 2500)).toEqual([[0, 0], [2500, 0], ...SQUARE.slice(1)]);
  });

  it('are broken in two and taken away, what is in the others with them', () => {
    const own = room('l-room');
    const broken = { ...own, ...wallBroken(own, 0) } as Room;
    expect([broken.points.length, broken.walls.length, broken.corners.length]).toEqual([7, 7, 7]);
    expect(broken.walls[0]).toEqual(own.walls[0]);
    expect(broken.walls[2]).toEqual(own.walls[1]);
    expect(areaOf(broken.points)).toBe(areaOf(own.points));
    const again = { ...broken, ...wallGone(broken, 0) } as Room;
    expect(again.points).toEqual(own.points);
    expect(again.walls).toEqual(own.walls);
  });

  it('begin as the rectangle that the room was, at its real size', () => {
    expect(asOwnPlan(room('three-walls'), (measure) => measure as number)).toMatchObject({
      plan: 'own',
      pointsAre: 'real',
      points: [
        [0, 0],
        [3_000_000, 0],
        [3_000_000, 2_400_000],
        [0, 2_400_000],
      ],
    });
  });
});

describe('what stands between two shells', () => {
  it('is one’s wall, the other’s, both or nothing, and what was in a wall stays until it is one again', () => {
    const joined = room('joined-room');
    expect(meetingOf(joined, 0)).toBe('open');
    for (const meeting of ['left', 'right', 'both', 'open'] as const) {
      for (const joint of [0, 1]) {
        const next = { ...joined, ...withMeeting(joined, joint, meeting) };
        expect(meetingOf(next, joint)).toBe(meeting);
        expect(meetingOf(next, 1 - joint)).toBe('open');
      }
    }
    const walled = { ...joined, ...withMeeting(joined, 0, 'both') };
    expect(walled.walls[0]).toEqual(joined.walls[0]);
    expect({ ...walled, ...withMeeting(walled, 0, 'both') }).toEqual(walled);
    expect(newWall().kind).toBe('wall');
  });
});

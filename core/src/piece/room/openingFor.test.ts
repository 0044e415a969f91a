import { describe, expect, it } from 'vitest';
import { dollUm, scaleFromRatio, UM } from '../../measure/index.ts';
import { fromPreset, type Means, newWall, OPENING_FORMS, openingFor, PRESETS, type Room } from '../index.ts';
import { boardOf } from '../randomDecisions.testing.ts';
import { buildRoom } from './buildRoom.ts';

const meansAt = (ratio: number, thickness: number): Means => {
  const scale = scaleFromRatio(ratio);
  return { scale, body: scale, boards: [boardOf(thickness)] };
};
const rooms = PRESETS.filter(({ kind }) => kind === 'rooms').map((each) => [each.key, fromPreset(each, 'p', 1) as Room] as const);
const put = (room: Room, wall: number, opening: ReturnType<typeof openingFor>): Room => ({
  ...room,
  walls: Array.from({ length: Math.max(4, room.walls.length) }, (_, index) => {
    const each = room.walls[index] ?? newWall();
    return index === wall ? { ...each, openings: [...each.openings, opening] } : each;
  }),
});
const plain = (width: number, height: number): Room => {
  const three = rooms.find(([key]) => key === 'three-walls')?.[1] as Room;
  const doll = (mm: number) => ({ doll: dollUm(mm * UM.mm) });
  return {
    ...three,
    width: doll(width),
    depth: doll(width),
    height: doll(height),
    walls: [newWall(), newWall(), newWall({ kind: 'open' }), newWall()],
  };
};

describe('what is put into a wall', () => {
  it('begins as it is usual where there is room for that', () => {
    const opening = openingFor(plain(500, 420), { wall: 0 }, 'window', meansAt(6, 5_000));
    expect([opening.width, opening.height, opening.from]).toEqual([900_000, 1_200_000, 600_000]);
  });

  it('fits whatever wall of any preset it is put into, at 1:6 and 1:12', () => {
    const missed: string[] = [];
    for (const [ratio, thickness] of [
      [6, 5_000],
      [12, 3_000],
    ] as const)
      for (const [key, room] of rooms.filter(([, each]) => each.shells.length === 0)) {
        const means = meansAt(ratio, thickness);
        if (!buildRoom(room, means).ok) continue;
        const count = room.plan === 'own' ? room.points.length : 4;
        for (let wall = 0; wall < count; wall += 1) {
          if (!['wall', 'removable'].includes((room.walls[wall] ?? newWall()).kind)) continue;
          const form = OPENING_FORMS[(wall + count + ratio) % OPENING_FORMS.length] as (typeof OPENING_FORMS)[number];
          if (!buildRoom(put(room, wall, openingFor(room, { wall }, form, means)), means).ok)
            missed.push(`${key} wall ${wall} ${form} 1:${ratio}`);
        }
      }
    expect(missed).toEqual([]);
  });

  it('is smaller in a small wall, and beside what is there already', () => {
    const means = meansAt(6, 5_000);
    const small = plain(90, 120);
    for (const form of OPENING_FORMS)
      expect(buildRoom(put(small, 0, openingFor(small, { wall: 0 }, form, means)), means).ok, form).toBe(true);
    let room = plain(600, 420);
    for (let count = 0; count < 4; count += 1) {
      room = put(room, 0, openingFor(room, { wall: 0 }, 'window', means));
      expect(buildRoom(room, means).ok, `window ${count + 1}`).toBe(true);
    }
  });
});

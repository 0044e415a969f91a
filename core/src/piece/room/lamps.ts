// µm, doll size. Where a wall's lamps are.
import type { Point } from '../../shape/index.ts';
import type { RoomPlan } from './plan.ts';
import type { Wall } from './wall.ts';

const lampAt = (fromLeft: boolean, length: number, along: number): number => (fromLeft ? along : length - along);

/** The middles of a wall's lamps along it and up, and how thick each is. */
export const lampsIn = (
  { doll }: RoomPlan,
  { lights }: Wall,
  length: number,
): readonly { readonly at: Point; readonly across: number }[] =>
  lights
    ? Array.from({ length: lights.count }, (_, index) => ({
        at: [lampAt(lights.end === 'left', length, doll(lights.from) + index * doll(lights.apart)), doll(lights.up)] as const,
        across: lights.across,
      }))
    : [];

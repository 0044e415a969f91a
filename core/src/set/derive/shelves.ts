// µm, doll size. The shelves of a piece: the clear spaces between the boards of its bays, on which things can stand.
import type { Assembly, Box, Inspection, Part } from '../../assembly/index.ts';
import type { Bay, ShelfOf, ShelfSpace } from '../../piece/index.ts';

/** A shelf: the bay it is in, which gap of it from below, and its space. */
export type ShelfAt = { readonly bay: readonly number[]; readonly gap: number; readonly box: Box };

const HOLDS = new Set(['open', 'shelves', 'door']);

/** A piece that stands, as far as its shelves are asked for. */
type Shelved = { readonly bays: readonly Bay[]; readonly assembly: Assembly; readonly inspection: Inspection };

/** Boards that lie across a bay and carry what stands on them. */
const carries = (part: Part, box: Box, bay: Box): boolean =>
  part.role === 'shelf' &&
  box.min[0] <= bay.min[0] + 1 &&
  box.max[0] >= bay.max[0] - 1 &&
  box.min[1] > bay.min[1] - 1 &&
  box.max[1] < bay.max[1] + 1 &&
  box.min[2] < bay.max[2] &&
  box.max[2] > bay.min[2];

/** The shelves of a piece that stands, bay by bay, from below: only bays with nothing more divided in them. */
export const shelvesOf = ({ bays, assembly, inspection }: Shelved): readonly ShelfAt[] =>
  bays.flatMap(({ path, kind, space }): readonly ShelfAt[] => {
    const leaf = !bays.some((other) => other.path.length > path.length && path.every((step, index) => other.path[index] === step));
    if (!leaf || !HOLDS.has(kind)) return [];
    const bay: Box = { min: [space.x0, space.y0, space.z0], max: [space.x1, space.y1, space.z1] };
    const boards = assembly.parts
      .map((part, index) => [part, inspection.boxes[index] as Box] as const)
      .filter(([part, box]) => carries(part, box, bay))
      .map(([, box]) => [box.min[1], box.max[1], box.max[2]] as const)
      .sort((a, b) => a[0] - b[0]);
    const levels: [from: number, to: number][] = [];
    let low = bay.min[1];
    for (const [under, over] of boards) {
      if (under > low) levels.push([low, under]);
      low = Math.max(low, over);
    }
    if (bay.max[1] > low) levels.push([low, bay.max[1]]);
    return levels.map(([from, to], gap) => ({
      bay: path,
      gap,
      box: { min: [bay.min[0], from, bay.min[2]], max: [bay.max[0], to, bay.max[2]] },
    }));
  });

/** The shelf that a good was told to fill; nothing where there is none. */
export const shelfAt = (made: Shelved, { bay, gap }: Pick<ShelfOf, 'bay' | 'gap'>): ShelfAt | undefined =>
  shelvesOf(made).find(
    (each) => each.gap === gap && each.bay.length === bay.length && each.bay.every((step, index) => step === bay[index]),
  );

export const spaceOfShelf = ({ box: { min, max } }: ShelfAt): ShelfSpace => ({
  width: max[0] - min[0],
  height: max[1] - min[1],
  depth: max[2] - min[2],
});

/** Where the copies of a good stand in the piece whose shelf they fill: from the shelf's left, their fronts at its front edge. */
export const placeOnShelf = ({ box: { min, max } }: ShelfAt, { outside }: Assembly): readonly [number, number, number] => [
  min[0],
  min[1],
  Math.max(min[2], max[2] - outside.max[2]),
];

// µm, doll size. Boards put into spaces, by what they are called within their piece.
import type { Part, Role } from '../../assembly/index.ts';
import type { Point, Ring } from '../../shape/index.ts';
import type { Sheeting } from '../family/means.ts';
import { type Facing, layered, type PanelKind, type Space } from './panels.ts';

export type Put = (
  id: string,
  what: readonly [role: Role, name: string, shows: Facing],
  space: Space,
  sheet: Sheeting,
  more?: Pick<PanelKind, 'held' | 'outline' | 'holes' | 'centres'>,
) => readonly Part[];

/** Puts boards for a piece. */
export const putFor =
  (piece: string): Put =>
  (id, [role, name, shows], space, sheet, more = {}) =>
    layered(space, { id: `${piece}/${id}`, role, name, shows, ...more }, sheet);

/** One board of a role that may be glued up of several. */
export const single = (sheet: Sheeting): Sheeting => ({ ...sheet, layers: 1, thickness: sheet.one });

/** The strips of a frame round an opening, in the plane of x and y: mitred, or butted with the upper and lower ones across. */
export const frameStrips = (
  put: Put,
  id: string,
  box: Space,
  border: number,
  corners: 'mitred' | 'butted',
  sheet: Sheeting,
): readonly Part[] => {
  const [w, h] = [box.x1 - box.x0, box.y1 - box.y0];
  const what = (name: string) => ['border', name, 'front'] as const;
  const inner = { y0: box.y0 + border, y1: box.y1 - border };
  const lying: Ring = [
    [0, 0],
    [w, 0],
    [w - border, border],
    [border, border],
  ];
  const turned = (ring: Ring): Ring => ring.map(([x, y]): Point => [w - x, border - y]);
  const standing: Ring = [
    [0, 0],
    [border, border],
    [border, h - border],
    [0, h],
  ];
  const mirrored = (ring: Ring): Ring => ring.map(([x, y]): Point => [border - x, y]).toReversed();
  const mitred = corners === 'mitred';
  const shape = (outline: Ring) => (mitred ? { outline } : {});
  const upright = mitred ? { y0: box.y0, y1: box.y1 } : inner;
  return [
    ...put(`${id}-below`, what('frame strip'), { ...box, y1: inner.y0 }, sheet, shape(lying)),
    ...put(`${id}-above`, what('frame strip'), { ...box, y0: inner.y1 }, sheet, shape(turned(lying))),
    ...put(`${id}-left`, what('frame strip'), { ...box, ...upright, x1: box.x0 + border }, sheet, shape(standing)),
    ...put(`${id}-right`, what('frame strip'), { ...box, ...upright, x0: box.x1 - border }, sheet, shape(mirrored(standing))),
  ];
};

// What is sewn, as it hangs and lies in a room.
import { type Mesh, meshOf, type SewingPattern } from '@parlor/core/cloth';
import { type Arranged, colourOfCloth, type DerivedSet, type SetDocument } from '@parlor/core/set';
import { toSpace } from '@parlor/core/shape';
import type { Drape } from '../../ui/index.ts';

/** The meshes of a pattern: they are the same wherever it hangs. */
const known = new WeakMap<SewingPattern, readonly (Mesh & { readonly role: 'main' | 'second' })[]>();

const meshesOf = (pattern: SewingPattern) => {
  const found =
    known.get(pattern) ??
    pattern.patches.flatMap((patch) => {
      const role = pattern.pieces[patch.piece]?.role;
      return role === 'main' || role === 'second' ? [{ ...meshOf(patch), role }] : [];
    });
  known.set(pattern, found);
  return found;
};

/** All cloth of an arranged room, patch by patch, in mm. */
export const drapesOf = (document: SetDocument, derived: DerivedSet, { sewn }: Arranged): readonly Drape[] =>
  sewn.flatMap(({ piece, frame }): readonly Drape[] => {
    const thing = document.pieces.find(({ id }) => id === piece);
    const sewing = derived.pieces.find(({ id }) => id === piece)?.made?.sewing;
    if (!thing || !('cloths' in thing) || !sewing) return [];
    const colours = {
      main: colourOfCloth(document, thing.cloths.main),
      second: colourOfCloth(document, thing.cloths.second ?? thing.cloths.main),
    };
    return sewing.copies.flatMap(([dx, dy, dz]) =>
      meshesOf(sewing.pattern).map(({ space, triangles, role }): Drape => {
        const corners = new Float32Array(space.length * 3);
        space.forEach(([x, y, z], index) => {
          const [a, b, c] = toSpace(frame, [x + dx, y + dy], z + dz);
          corners.set([a / 1000, b / 1000, c / 1000], index * 3);
        });
        return { corners, triangles: triangles.flat(), colour: colours[role] };
      }),
    );
  });

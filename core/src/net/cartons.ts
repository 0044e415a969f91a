// µm, doll size. Boxes that close: their nets by the sizes of the middle of the paper, as they are folded round a front, a bottom, a girth.
import { ABOVE, BELOW, type Draft, draftOf, FAR, flapOf, rect, SQUARE } from './draft.ts';
import type { Net } from './net.ts';

/** Four walls in a row from the front, the last glued to the first. Gives the faces' numbers. */
const girth = (draft: Draft, names: readonly [string, string, string], width: number, depth: number, height: number, tab: number) => {
  const right = draft.hang([0, 1], names[0], flapOf(height, depth), SQUARE);
  const back = draft.hang([right, FAR], names[1], flapOf(height, width), SQUARE);
  const left = draft.hang([back, FAR], names[2], flapOf(height, depth), SQUARE);
  draft.meet([left, FAR], [0, 3], tab);
  return { right, back, left };
};

/** How far in from their corners flaps begin that go inside others, so that they do not catch. Common practice, no source. */
const EASE = 0.08;

/** A carton that is tucked shut above and below: walls round the front, lids on the back, dust flaps on the sides. Its lids are closed and not glued.
 *  Shape: width × depth × height of the middle of the paper, how deep tabs are, how deep the lids are tucked in → the net. */
export const cartonNet = (width: number, depth: number, height: number, tab: number, tuck: number): Net => {
  const draft = draftOf('front', rect(width, height));
  const { right, back, left } = girth(draft, ['right', 'back', 'left'], width, depth, height, tab);
  const dust = Math.min(depth * 0.7, width * 0.48);
  const slant = depth * EASE;
  for (const [where, end] of [
    ['top', ABOVE],
    ['bottom', BELOW],
  ] as const) {
    const over = where === 'top' ? 'above' : 'below';
    draft.hang([right, end], `right flap ${over}`, flapOf(depth, dust, slant, slant), SQUARE, { step: end === ABOVE ? 20 : 10 });
    draft.hang([left, end], `left flap ${over}`, flapOf(depth, dust, slant, slant), SQUARE, { step: end === ABOVE ? 20 : 10 });
    const lid = draft.hang([back, end], where, flapOf(width, depth), SQUARE, { step: end === ABOVE ? 22 : 12 });
    const deep = Math.min(tuck, height * 0.45);
    draft.hang([lid, FAR], `tuck ${over}`, flapOf(width, deep, width * EASE, width * EASE), SQUARE, { step: end === ABOVE ? 21 : 11 });
    draft.meet([lid, FAR], [0, end === ABOVE ? 2 : 0]);
  }
  return steady(draft.net());
};

/** Walls are folded first, one after the other; what has a step of its own comes after them. */
const steady = (net: Net): Net => ({
  ...net,
  hinges: net.hinges.map((hinge, index) => ({ ...hinge, step: hinge.step ?? index - net.hinges.length })),
});

/** A sleeve round a tray, open at both ends. */
export const sleeveNet = (width: number, length: number, height: number, tab: number): Net => {
  const draft = draftOf('top', rect(width, length));
  girth(draft, ['right', 'underside', 'left'], width, height, length, tab);
  return draft.net();
};

/** A bag: a front, a back, sides with a fold in the middle, a bottom over flaps. */
export const bagNet = (width: number, depth: number, height: number, tab: number): Net => {
  const draft = draftOf('front', rect(width, height));
  const half = depth / 2;
  const gusset = (on: readonly [number, number], name: string) => {
    const first = draft.hang(on, name, flapOf(height, half), SQUARE);
    return [first, draft.hang([first, FAR], name, flapOf(height, half), 0, { how: 'valley' })] as const;
  };
  const right = gusset([0, 1], 'right');
  const back = draft.hang([right[1], FAR], 'back', flapOf(height, width), SQUARE);
  const left = gusset([back, FAR], 'left');
  draft.meet([left[1], FAR], [0, 3], tab);
  const deep = Math.min(half, width * 0.45);
  for (const face of [...right, ...left]) draft.hang([face, BELOW], 'flap', flapOf(half, deep), SQUARE, { step: 10 });
  const bottom = draft.hang([back, BELOW], 'bottom', flapOf(width, depth), SQUARE, { step: 11 });
  draft.meet([0, 0], [bottom, FAR], tab);
  return steady(draft.net());
};

/** A box whose lid hangs on its back wall. The lid's walls go into the box, or over it where it is larger.
 *  Shape: bottom, height, the lid's walls, how much larger (or smaller, negative) the lid is on each side → the net. */
export const hingedNet = (width: number, depth: number, height: number, tab: number, walls: number, wider: number): Net => {
  const draft = draftOf('bottom', rect(width, depth));
  // As it lies with its outside up, the back wall is below, the front above, and right is right.
  const back = draft.hang([0, 0], 'back', flapOf(width, height), SQUARE, { step: 1 });
  const right = draft.hang([0, 1], 'right', flapOf(depth, height), SQUARE, { step: 0 });
  const front = draft.hang([0, 2], 'front', flapOf(width, height), SQUARE, { step: 1 });
  const left = draft.hang([0, 3], 'left', flapOf(depth, height), SQUARE, { step: 0 });
  draft.meet([right, ABOVE], [front, BELOW], tab);
  draft.meet([right, BELOW], [back, ABOVE], tab);
  draft.meet([left, BELOW], [front, ABOVE], tab);
  draft.meet([left, ABOVE], [back, BELOW], tab);
  const lidFlap = [
    [width + wider, 0],
    [-wider, 0],
    [-wider, depth + wider],
    [width + wider, depth + wider],
  ] as const;
  const lid = draft.hang([back, FAR], 'lid', lidFlap, SQUARE, { step: 6 });
  const inset = wider < 0 ? walls * 0.2 : 0;
  const lidFront = draft.hang([lid, FAR], 'lid front', flapOf(draft.lengthOf([lid, FAR]), walls, inset, inset), SQUARE, { step: 5 });
  const lidRight = draft.hang([lid, BELOW], 'lid side', flapOf(draft.lengthOf([lid, BELOW]), walls, 0, inset), SQUARE, { step: 4 });
  const lidLeft = draft.hang([lid, ABOVE], 'lid side', flapOf(draft.lengthOf([lid, ABOVE]), walls, inset, 0), SQUARE, { step: 4 });
  if (wider >= 0) {
    draft.meet([lidRight, ABOVE], [lidFront, BELOW], tab);
    draft.meet([lidLeft, BELOW], [lidFront, ABOVE], tab);
  }
  return draft.net();
};

/** A strip that folds up at both ends: the handle of a bag, glued in at its ends. */
export const handleNet = (across: number, up: number, wide: number): Net => {
  const draft = draftOf('handle', rect(across, wide));
  draft.hang([0, 1], 'handle', flapOf(wide, up), SQUARE);
  draft.hang([0, 3], 'handle', flapOf(wide, up), SQUARE);
  return draft.net();
};

// µm, doll size. What is flat, or folds flat: leaves, covers, pockets, maps, strips in a row.
import { ABOVE, BELOW, draftOf, FAR, type Flap, flapOf, rect, SQUARE } from './draft.ts';
import type { Net, NetRing } from './net.ts';

/** One face that is only cut out, printed behind too where that has a name. */
export const sheetNet = (name: string, outline: NetRing, behind?: string, holes: readonly NetRing[] = []): Net =>
  draftOf(name, outline, { ...(behind !== undefined && { behind }), holes }).net();

/** A leaf that is folded once: the right half in front, the left one behind it. */
export const leafNet = (width: number, height: number, outside: readonly [string, string], inside: readonly [string, string]): Net => {
  const draft = draftOf(outside[1], rect(width, height), { behind: inside[0] });
  draft.hang([0, 3], outside[0], flapOf(height, width), Math.PI, { behind: inside[1] });
  return draft.net();
};

/** A pocket: a front, a back that is folded up behind it and glued at its sides, and a flap above that is shut or stands open.
 *  Shape: width × height, how deep tabs are, how deep the flap is (0 for none), whether it is shut → the net. */
export const pocketNet = (width: number, height: number, tab: number, flap: number, shut: boolean): Net => {
  const draft = draftOf('front', rect(width, height));
  const back = draft.hang([0, 0], 'back', flapOf(width, height), Math.PI, { step: 0 });
  draft.meet([back, BELOW], [0, 3], tab);
  draft.meet([back, ABOVE], [0, 1], tab);
  const ease = Math.min(flap, width * 0.3);
  if (flap > 0)
    draft.hang([0, 2], 'flap', flapOf(width, flap, ease, ease), shut ? Math.PI : 0, {
      step: 1,
      ...(shut ? {} : { how: 'valley' as const }),
    });
  return draft.net();
};

/** A cover: back, spine, front, with turn-ins all round where it is glued round boards. Turn-ins are as deep as `turn`; their corners are cut off.
 *  The spine stays where it lies. */
export const coverNet = (width: number, height: number, spine: number, turn: number): Net => {
  const draft = draftOf('spine', rect(spine, height));
  const front = draft.hang([0, 1], 'front cover', flapOf(height, width), SQUARE, { step: 2 });
  const back = draft.hang([0, 3], 'back cover', flapOf(height, width), SQUARE, { step: 2 });
  if (turn > 0) {
    const flat = { step: 1 } as const;
    const ends = { step: 0 } as const;
    draft.hang([0, 0], 'turn-in', flapOf(spine, turn), Math.PI, ends);
    draft.hang([0, 2], 'turn-in', flapOf(spine, turn), Math.PI, ends);
    for (const face of [front, back]) {
      draft.hang([face, BELOW], 'turn-in', flapOf(width, turn, 0, turn), Math.PI, ends);
      draft.hang([face, ABOVE], 'turn-in', flapOf(width, turn, turn, 0), Math.PI, ends);
      draft.hang([face, FAR], 'turn-in', flapOf(height, turn, turn, turn), Math.PI, flat);
    }
  }
  return draft.net();
};

/** A sheet folded in fields, to and fro across and then to and fro up: a map. All fields are one panel. */
export const foldedSheetNet = (name: string, width: number, height: number, across: number, up: number, behind?: string): Net => {
  const [w, h] = [width / across, height / up];
  const more = { ...(behind !== undefined && { behind }) };
  const draft = draftOf(name, rect(w, h), more);
  const turn = (number: number): number => (number % 2 === 0 ? Math.PI : -Math.PI);
  let column = 0;
  for (let c = 0; c < across; c += 1) {
    if (c > 0)
      column = draft.hang([column, c === 1 ? 1 : FAR], name, flapOf(h, w), turn(c - 1), {
        step: up + c,
        between: c % 2 === 1 ? 2 * up - 2 : 0,
        ...more,
      });
    let below = column;
    for (let r = 1; r < up; r += 1) {
      // Each column is folded up from its lowest field, all of them at once.
      const on = r > 1 ? FAR : c === 0 ? 2 : ABOVE;
      below = draft.hang([below, on], name, flapOf(w, h), turn(r - 1), { step: r, ...more });
    }
  }
  return draft.net();
};

/** Fields side by side that stand on one line, each with its own width and height: the spines of a row of books. */
export const rowNet = (fields: readonly { readonly name: string; readonly width: number; readonly height: number }[]): Net => {
  const [first, ...others] = fields;
  const draft = draftOf(first?.name ?? '', rect(first?.width ?? 0, first?.height ?? 0));
  let last = 0;
  for (const { name, width, height } of others) {
    const flap: Flap = [
      [height, 0],
      [0, 0],
      [0, width],
      [height, width],
    ];
    last = draft.hang([last, last === 0 ? 1 : FAR], name, flap, 0, { how: 'plain' });
  }
  return draft.net();
};

/** A strip folded into a ring on a regular polygon, and glued by a tab. Source: the interior angles of a regular polygon; a strip of six equal sides
 *  makes a hexagon (common practice). */
export const ringNet = (sides: number, side: number, height: number, tab: number): Net => {
  const draft = draftOf('side 1', rect(side, height));
  let last = 0;
  for (let number = 2; number <= sides; number += 1)
    last = draft.hang([last, number === 2 ? 1 : FAR], `side ${number}`, flapOf(height, side), (2 * Math.PI) / sides);
  draft.meet([last, FAR], [0, 3], tab);
  return draft.net();
};

/** A folder: a front, a narrow side, a back with a tongue that stands out beyond the front for its name. */
export const folderNet = (width: number, height: number, depth: number, tongue: number): Net => {
  const draft = draftOf('front', rect(width, height));
  const spine = draft.hang([0, 3], 'spine', flapOf(height, depth), SQUARE);
  const back = draft.hang([spine, FAR], 'back', flapOf(height, width), SQUARE);
  // It hangs on the upper half of the back's far side, whose way runs downwards from above.
  const flap: Flap = [
    [height, 0],
    [0, 0],
    [height * 0.12, tongue],
    [height * 0.42, tongue],
    [height * 0.5, 0],
  ];
  draft.hang([back, FAR], 'tongue', flap, 0, { how: 'plain' });
  return draft.net();
};

/** An awning: a roof that slopes from the wall to its valance, two cheeks, and flaps that are glued to the wall.
 *  Shape: width, how far it stands out, how high above its lower edge it begins, how deep the valance hangs, tabs → the net. */
export const awningNet = (width: number, depth: number, height: number, valance: number, tab: number): Net => {
  const rise = height - valance;
  const slope = Math.hypot(depth, rise);
  const lean = Math.atan2(rise, depth);
  const draft = draftOf('roof', rect(width, slope));
  const reach = [depth * Math.cos(lean), depth * Math.sin(lean)] as const;
  if (valance > 0) draft.hang([0, 0], 'valance', flapOf(width, valance), Math.PI / 2 - lean);
  const right = draft.hang([0, 1], 'right cheek', [[slope, 0], [0, 0], reach], SQUARE);
  const left = draft.hang(
    [0, 3],
    'left cheek',
    [
      [slope, 0],
      [0, 0],
      [slope - reach[0], reach[1]],
    ],
    SQUARE,
  );
  const ease = Math.min(tab, rise / 3);
  draft.hang([0, 2], 'wall flap', flapOf(width, Math.min(tab, rise * 0.6), tab / 2, tab / 2), lean + Math.PI / 2);
  draft.hang([right, 2], 'wall flap', flapOf(rise, Math.min(tab, depth * 0.6), ease, ease), SQUARE);
  draft.hang([left, 1], 'wall flap', flapOf(rise, Math.min(tab, depth * 0.6), ease, ease), SQUARE);
  return draft.net();
};

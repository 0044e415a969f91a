// What tells two versions of a set apart, part by part and in words: for the history, and for two hands on one set.
import { dequal } from 'dequal/lite';
import type { Units } from '../../measure/index.ts';
import type { SetDocument } from '../document/document.ts';
import { SETTINGS, type Setting } from '../document/edit.ts';
import { changeOfBoard, changeOfPiece, changeOfSetting } from './wordsOfChange.ts';

/** A part of a document that two versions are compared by, and chosen by. */
export type SetPart = { readonly kind: 'setting'; readonly setting: Setting } | { readonly kind: 'board' | 'piece'; readonly id: string };

/** How a part differs: what it is called, and what was changed, one line for each change. */
export type Difference = {
  readonly part: SetPart;
  readonly title: string;
  readonly kind: 'changed' | 'added' | 'taken away';
  readonly words: readonly string[];
};

type Named = { readonly id: string; readonly name: string };

const listed = <T extends Named>(
  kind: 'board' | 'piece',
  before: readonly T[],
  after: readonly T[],
  wordsOf: (was: T, is: T) => readonly string[],
): readonly Difference[] => {
  const later = new Map(after.map((each) => [each.id, each]));
  const earlier = new Set(before.map(({ id }) => id));
  const old = before.flatMap((was): readonly Difference[] => {
    const is = later.get(was.id);
    const part = { kind, id: was.id };
    if (!is) return [{ part, title: was.name, kind: 'taken away', words: [] }];
    return dequal(was, is) ? [] : [{ part, title: is.name, kind: 'changed', words: wordsOf(was, is) }];
  });
  const fresh = after.filter(({ id }) => !earlier.has(id));
  return [...old, ...fresh.map(({ id, name }): Difference => ({ part: { kind, id }, title: name, kind: 'added', words: [] }))];
};

/** How `after` differs from `before`.
 *  Shape: two documents → a difference for each setting, board and piece that is not the same; none when they are equal but for the
 *  order of pieces. Sizes in the words are shown in `units`. */
export const differences = (before: SetDocument, after: SetDocument, units: Units = after.units): readonly Difference[] => [
  ...SETTINGS.filter((setting) => !dequal(before[setting], after[setting])).map((setting): Difference => {
    const { title, words } = changeOfSetting(setting, before, after, units);
    return { part: { kind: 'setting', setting }, title, kind: 'changed', words };
  }),
  ...listed('board', before.boards, after.boards, (was, is) => changeOfBoard(was, is, units)),
  ...listed('piece', before.pieces, after.pieces, (was, is) => changeOfPiece(was, is, units)),
];

/** A text by which the same part is known in several comparisons. */
export const partKey = (part: SetPart): string => (part.kind === 'setting' ? part.setting : `${part.kind} ${part.id}`);

/** A difference as one line: `Bookcase: height 1800 mm → 1676.5 mm`. */
export const describeDifference = ({ title, kind, words }: Difference): string => {
  const name = title || 'without a name';
  return kind === 'changed' ? `${name}: ${words.join(', ')}` : `${name} ${kind}`;
};

/** A whole change in one line, for a list of revisions; at most three of its parts are named. */
export const describeChange = (before: SetDocument, after: SetDocument): string => {
  const lines = differences(before, after).map(describeDifference);
  if (lines.length === 0) return 'nothing changed';
  return lines.length > 3 ? `${lines.slice(0, 2).join('; ')}; and ${lines.length - 2} more` : lines.join('; ');
};

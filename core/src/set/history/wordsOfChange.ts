// A change of one part of a set in a person's words.
import { dequal } from 'dequal/lite';
import { scaleOf } from '../../doll/index.ts';
import { assertNever } from '../../kit/index.ts';
import { type DollUm, showLength, timesSmaller, type Units } from '../../measure/index.ts';
import { changesOf, type Field, fieldsOf, isFieldShown, valueAt } from '../../piece/index.ts';
import { percentOf } from '../../print/index.ts';
import { type Board, PAPERS, PRINTERS, stockWords } from '../../stock/index.ts';
import type { Piece, SetDocument } from '../document/document.ts';
import type { Setting } from '../document/edit.ts';

type Fields<T> = readonly (readonly [field: keyof T & string, word: string, show: (value: T) => string])[];

/** `word before → after` for each listed field that differs. */
const fieldChanges = <T>(fields: Fields<T>, was: T, is: T): readonly string[] =>
  fields.filter(([field]) => !dequal(was[field], is[field])).map(([, word, show]) => `${word} ${show(was)} → ${show(is)}`);

const quoted = (text: string): string => (text === '' ? 'none' : `“${text}”`);

const ratio = (document: SetDocument): string => `1 : ${Number(timesSmaller(scaleOf(document.doll)).toFixed(2))}`;

type Doll = SetDocument['doll'];

const bendsText = (bends: Doll['bends']): string =>
  Object.entries(bends)
    .flatMap(([joint, bent]) => (bent ? [joint] : []))
    .join(', ') || 'nothing';

const STANDS_WORDS = { alone: 'by herself', leaning: 'leaning', stand: 'with a stand' } as const;

const dollChanges = (before: SetDocument, after: SetDocument, units: Units): readonly string[] => [
  ...fieldChanges<Doll>(
    [
      ['name', 'name', ({ name }) => quoted(name)],
      ['height', 'height', ({ height }) => showLength(height, units)],
      ['standsFor', 'stands for', ({ standsFor }) => standsFor],
      ['stature', 'stature', ({ stature }) => showLength(stature, units)],
      ['bends', 'bends', ({ bends }) => bendsText(bends)],
      ['stands', 'stands', ({ stands }) => STANDS_WORDS[stands]],
      ['measures', 'measured on her', ({ measures }) => String(Object.keys(measures).length)],
    ],
    before.doll,
    after.doll,
  ),
  ...(ratio(before) === ratio(after) ? [] : [`scale ${ratio(before)} → ${ratio(after)}`]),
];

/** Only sticks that the maker said something about. */
const sticksText = (sticks: SetDocument['cutting']['sticks'], size: (um: DollUm) => string): string =>
  Object.entries(sticks)
    .map(
      ([name, wish]) =>
        `${name} ${size(wish.length)}${wish.joins ? ', joined where too short' : ''}${wish.rests.length > 0 ? ` and ${wish.rests.map(size).join(', ')} that lie there` : ''}`,
    )
    .join('; ') || 'as usual';

/** One size where all four edges are trimmed alike. */
const trimText = ({ left, right, bottom, top }: SetDocument['cutting']['trim'], size: (um: DollUm) => string): string =>
  new Set([left, right, bottom, top]).size === 1
    ? size(left)
    : `left ${size(left)}, right ${size(right)}, bottom ${size(bottom)}, top ${size(top)}`;

const unitsText = ({ unit, fine }: Units): string => `${unit}${fine ? ', fine' : ''}`;

/** What was added to a list, taken from it and changed in it, by name. */
const itemChanges = (was: readonly { readonly id: string; readonly name: string }[], is: typeof was): readonly string[] => {
  const before = new Map(was.map((each) => [each.id, each]));
  const after = new Set(is.map(({ id }) => id));
  return [
    ...is.flatMap((each) => {
      const old = before.get(each.id);
      return old ? (dequal(old, each) ? [] : [`${quoted(each.name)} changed`]) : [`${quoted(each.name)} added`];
    }),
    ...was.filter(({ id }) => !after.has(id)).map(({ name }) => `${quoted(name)} taken away`),
  ];
};

/** The words for a setting that differs, and what it is called. */
export const changeOfSetting = (
  setting: Setting,
  before: SetDocument,
  after: SetDocument,
  units: Units,
): { readonly title: string; readonly words: readonly string[] } => {
  const size = (lengthUm: number) => showLength(lengthUm, units);
  switch (setting) {
    case 'name':
      return { title: 'The name of the set', words: [`${quoted(before.name)} → ${quoted(after.name)}`] };
    case 'about':
      return { title: 'What the set is', words: [after.about === '' ? 'now blank' : `now ${quoted(after.about)}`] };
    case 'units':
      return { title: 'Units', words: [`${unitsText(before.units)} → ${unitsText(after.units)}`] };
    case 'doll':
      return { title: 'The doll', words: orElse(dollChanges(before, after, units), 'how the scale is taken') };
    case 'company':
      return { title: 'Who else lives there', words: orElse(itemChanges(before.company, after.company), 'their order') };
    case 'layouts':
      return { title: 'How rooms are arranged', words: orElse(itemChanges(before.layouts, after.layouts), 'their order') };
    case 'cloths':
      return { title: 'Cloth at hand', words: orElse(itemChanges(before.cloths, after.cloths), 'their order') };
    case 'palette':
      return { title: 'The palette', words: orElse(itemChanges(before.palette, after.palette), 'its order') };
    case 'finishes':
      return { title: 'The swatch tray', words: orElse(itemChanges(before.finishes, after.finishes), 'its order') };
    case 'booklets':
      return { title: 'Booklets', words: orElse(itemChanges(before.booklets, after.booklets), 'their order') };
    case 'cutting':
      return {
        title: 'Cutting',
        words: fieldChanges<SetDocument['cutting']>(
          [
            ['gap', 'knife gap', ({ gap }) => size(gap)],
            ['trim', 'trim', ({ trim }) => trimText(trim, size)],
            ['kerf', 'saw cut', ({ kerf }) => size(kerf)],
            ['sticks', 'sticks', ({ sticks }) => sticksText(sticks, size)],
            ['keep', 'offcuts kept from', ({ keep }) => size(keep)],
            ['cut', 'sheets cut', ({ cut }) => String(cut.length)],
            ['pinned', 'parts laid by hand', ({ pinned }) => String(pinned.reduce((sum, { parts }) => sum + parts.length, 0))],
            ['splice', 'parts larger than a sheet', ({ splice }) => (splice === 'join' ? 'joined' : 'left')],
            ['joints', 'joints of upright parts', ({ joints }) => (joints === 'best' ? 'wherever it is best' : joints)],
            ['together', 'parts kept together', ({ together }) => String(together.flat().length)],
            ['wishes', 'what counts', ({ wishes }) => `${wishes.first}, then ${wishes.next}`],
            ['mode', 'cuts', ({ mode }) => (mode === 'straight' ? 'from edge to edge' : 'anywhere')],
          ],
          before.cutting,
          after.cutting,
        ),
      };
    case 'printing':
      return {
        title: 'Printing',
        words: fieldChanges<SetDocument['printing']>(
          [
            ['paper', 'paper', ({ paper }) => PAPERS[paper].name],
            ['margin', 'margin', ({ margin }) => size(margin)],
            ['overlap', 'overlap', ({ overlap }) => size(overlap)],
            [
              'sides',
              'sides',
              ({ sides }) => ({ one: 'one', long: 'both, over the long edge', short: 'both, over the short edge' })[sides],
            ],
            ['printer', 'printer', ({ printer: { kind, x, y } }) => `${PRINTERS[kind].name}, makes ${percentOf(x)} × ${percentOf(y)}`],
          ],
          before.printing,
          after.printing,
        ),
      };
    default:
      return assertNever(setting);
  }
};

const orElse = (words: readonly string[], otherwise: string): readonly string[] => (words.length > 0 ? words : [otherwise]);

const sheetNames = ({ sheets }: Board): string =>
  sheets
    .map(({ name, price, atHand }) =>
      [name, ...(price === null ? [] : [`at ${price}`]), ...(atHand === 0 ? [] : [`${atHand} at hand`])].join(' '),
    )
    .join(', ');

export const changeOfBoard = (was: Board, is: Board, units: Units): readonly string[] => {
  const thickness = (lengthUm: number | null) => (lengthUm === null ? 'not measured' : showLength(lengthUm, { ...units, fine: true }));
  const words = fieldChanges<Board>(
    [
      ['name', 'name', ({ name }) => quoted(name)],
      ['nominal', 'label', ({ nominal }) => thickness(nominal)],
      ['measured', 'as measured', ({ measured }) => thickness(measured)],
      ['grain', 'grain', ({ grain }) => grain],
      ['faces', 'faces', ({ faces }) => faces],
      ['sheets', 'sheets', sheetNames],
      [
        'offcuts',
        'offcuts',
        ({ offcuts }) =>
          offcuts.length === 0
            ? 'none'
            : offcuts.map(({ width, height }) => `${showLength(width, units)} × ${showLength(height, units)}`).join(', '),
      ],
    ],
    was,
    is,
  );
  return orElse(words, 'changed');
};

/** A decided size as it was typed: of the real thing, or the doll's. */
const sizeText = (value: unknown, units: Units): string =>
  typeof value === 'number' ? showLength(value, units) : `${showLength((value as { doll: number }).doll, units)} at doll size`;

/** What a field says, in words. */
const fieldText = ({ kind }: Field, value: unknown, units: Units): string => {
  if (value === null || value === undefined) return 'none';
  switch (kind.kind) {
    case 'size':
    case 'layers':
      return sizeText(value, units);
    case 'sizes':
      return (value as readonly unknown[]).map((each) => sizeText(each, units)).join(', ');
    case 'doll-size':
      return showLength(value as number, { ...units, fine: true });
    case 'choice':
      return kind.options.find((option) => option.value === value)?.label ?? String(value);
    case 'yes':
      return value ? 'yes' : 'no';
    case 'optional':
      return 'there';
    case 'stick':
      return stockWords(String(value), units);
    case 'count':
    case 'board':
      return String(value);
    default:
      return assertNever(kind);
  }
};

/** Board by board would be a long list; boards and layers are named as wholes. */
const isBoards = ({ group }: Field): boolean => group === 'boards';

const ownFields = (was: Piece, is: Piece, units: Units): readonly string[] => {
  const fields = fieldsOf(is);
  // A switch and the size that comes with it may share a path; it is said once.
  const said = new Set<string>();
  // A field of one family means nothing to a piece that was of another.
  const shown = (field: Field): boolean => isFieldShown(field, is) || (was.family === is.family && isFieldShown(field, was));
  return fields.flatMap((field): readonly string[] => {
    const [before, after] = [valueAt(was, field.path), valueAt(is, field.path)];
    const key = field.path.join('.');
    if (isBoards(field) || said.has(key) || dequal(before, after) || !shown(field)) return [];
    if (field.kind.kind === 'optional' && before !== null && after !== null) return [];
    said.add(key);
    return [`${field.label.toLowerCase()} ${fieldText(field, before, units)} → ${fieldText(field, after, units)}`];
  });
};

export const changeOfPiece = (was: Piece, is: Piece, units: Units): readonly string[] => {
  const name = was.name === is.name ? [] : [`name ${quoted(was.name)} → ${quoted(is.name)}`];
  const boards = dequal(was.boards, is.boards) && dequal(was.thick, is.thick) ? [] : ['its boards'];
  const dress = [...(dequal(was.dress, is.dress) ? [] : ['what it wears']), ...(dequal(was.aside, is.aside) ? [] : ['notes set aside'])];
  return orElse([...name, ...ownFields(was, is, units), ...boards, ...changesOf(was, is), ...dress], 'its details');
};

// What a file names that is not in it. The application itself lets such things be (a finish taken out of the tray may be worn yet); whoever plans a
// file is told, for otherwise a misspelt name would quietly print as nothing.

import { inkColour } from '../../cover/index.ts';
import { isRoom } from '../../piece/index.ts';
import type { Piece, SetDocument } from './document.ts';
import type { ReadIssue } from './readSet.ts';

type List = { readonly word: string; readonly ids: readonly string[] };

/** Which list a field's words are looked up in, by the field's name; nothing for fields that name nothing. */
const listsOf = (document: SetDocument): ((key: string, within: string) => List | undefined) => {
  const colours: List = { word: 'colour', ids: document.palette.map(({ id }) => id) };
  const finishes: List = { word: 'finish', ids: document.finishes.map(({ id }) => id) };
  const rooms: List = { word: 'room', ids: document.pieces.filter(isRoom).map(({ id }) => id) };
  const cloths: List = { word: 'cloth', ids: document.cloths.map(({ id }) => id) };
  return (key, within) => {
    // What stood in a room and was taken out of the set may stand in its layouts yet.
    if (within === 'layouts') return key === 'room' ? rooms : undefined;
    if (['ink', 'inks', 'ground', 'grounds'].includes(key)) return colours;
    if (within !== 'pieces') return undefined;
    return key === 'finish' ? finishes : key === 'cloth' || key === 'lining' ? cloths : undefined;
  };
};

type Stranger = { readonly path: string; readonly id: string; readonly list: List };

const told = ({ path, id, list: { word, ids } }: Stranger): ReadIssue => ({
  path,
  message:
    ids.length === 0
      ? `There is no ${word} with the id “${id}”; this set has none.`
      : `There is no ${word} with the id “${id}”; there are ${ids.slice(0, 30).join(', ')}.`,
});

function* walk(value: unknown, path: string, listFor: (key: string) => List | undefined): Generator<Stranger> {
  if (typeof value !== 'object' || value === null) return;
  for (const [key, each] of Object.entries(value)) {
    const here = Array.isArray(value) ? `${path}[${key}]` : `${path}.${key}`;
    const list = Array.isArray(value) ? undefined : listFor(key);
    const named: readonly (readonly [path: string, id: unknown])[] = Array.isArray(each)
      ? each.map((one, at) => [`${here}[${at}]`, one])
      : [[here, each]];
    for (const [at, id] of named) if (list && typeof id === 'string' && !list.ids.includes(id)) yield { path: at, id, list };
    yield* walk(each, here, listFor);
  }
}

const all = (document: SetDocument): readonly Stranger[] => {
  const listOf = listsOf(document);
  return (['finishes', 'booklets', 'pieces', 'layouts'] as const).flatMap((within) => [
    ...walk(document[within], within, (key) => listOf(key, within)),
  ]);
};

/** Names in a document that stand for nothing in it, each with its path and the names that there are. */
export const strangersIn = (document: SetDocument): readonly ReadIssue[] => all(document).map(told);

const wornHere = (piece: Piece, known: ReadonlySet<string>): Piece => {
  const here = (finish: string | null): boolean => finish === null || known.has(finish);
  const dress = { ...piece.dress, wears: piece.dress.wears.filter(({ finish }) => here(finish)) };
  if (!('art' in piece)) return { ...piece, dress };
  return { ...piece, dress, art: piece.art.map((art) => (here(art.finish) ? art : { ...art, finish: null })) };
};

const MOST_COLOURS = 60;

/** A document as it goes into a file: without layouts of rooms that are gone and without what wears a finish that is gone; a colour that was wiped off the
 *  palette and is used yet stands on it again, as it was shown. What is printed, cut and seen stays the same. */
export const tidied = (document: SetDocument): SetDocument => {
  const ids = new Set(document.pieces.map(({ id }) => id));
  const known = new Set(document.finishes.map(({ id }) => id));
  const rest = {
    ...document,
    layouts: document.layouts.filter(({ room }) => ids.has(room)),
    pieces: document.pieces.map((piece) => wornHere(piece, known)),
  };
  const lost = new Set(all(rest).flatMap(({ id, list }) => (list.word === 'colour' ? [id] : [])));
  const again = [...lost].map((id) => ({ id, name: id.slice(0, 40), colour: inkColour([], id) }));
  return { ...rest, palette: [...rest.palette, ...again].slice(0, MOST_COLOURS) };
};

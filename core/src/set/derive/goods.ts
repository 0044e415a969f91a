// µm, doll size. From small goods to what is printed for them, and to what stands there folded.
import { inkColour, type Look } from '../../cover/index.ts';
import { seededRandom } from '../../kit/index.ts';
import { dollOf } from '../../measure/index.ts';
import { artFor, type Good, type OddThing, type PrintedArt, panelNames, type StandingNet } from '../../piece/index.ts';
import { type Drawing, drawNet, imposed, type NetSheet, type PanelLook } from '../../print/index.ts';
import { PRINT_STOCK_NAMES, type PrintStock } from '../../stock/index.ts';
import type { SetDocument } from '../document/document.ts';
import { filledIn } from '../findings/wordList.ts';
import { contrastInk } from './contrastInk.ts';
import { looksOf } from './coverings.ts';
import type { DerivedPiece, DerivedSet } from './derive.ts';

/** A net with all that is printed on it, and the copies that it is printed for: places in the net's own list. */
export type GoodSheet = {
  readonly piece: string;
  readonly key: string;
  readonly net: StandingNet;
  readonly copies: readonly number[];
  readonly sheet: NetSheet;
};

/** What is printed of a piece: a small good has art on its panels, a mixed thing only colours. */
type Printed = Pick<Good, 'mark' | 'name' | 'seed' | 'art' | 'grounds'>;

const asPrinted = (piece: Good | OddThing): Printed => ('art' in piece ? piece : { ...piece, seed: piece.mark, art: [] });

/** Whether one copy may look different from the next. */
const varies = ({ art, grounds }: Printed): boolean => grounds.length > 1 || art.some(({ words }) => words.includes('{'));

const chosen = <T>(list: readonly T[], seed: number): T | undefined => list[Math.floor(seededRandom(seed * 7_919 + 13)() * list.length)];

type Setting = { readonly document: SetDocument; readonly derived: DerivedSet; readonly looks: ReadonlyMap<string, Look> };

const panelLook = ({ document, derived, looks }: Setting, art: PrintedArt, panel: string, over: string | null, seed: number): PanelLook => {
  const ground = art.ground === null ? over : inkColour(document.palette, art.ground);
  return {
    panel,
    across: art.across,
    ground,
    look: (art.finish !== null && looks.get(art.finish)) || null,
    motif: art.motif,
    lines: filledIn(art.words, seed).split('\n'),
    face: art.face,
    align: art.align,
    ink: art.ink === null ? contrastInk(ground) : inkColour(document.palette, art.ink),
    high: art.high === null ? null : dollOf(art.high, derived.scale),
    turn: art.turn,
  };
};

/** Leaves of a plant are green, or of the second of its colours. */
const LEAF = 'green leaf';
const GREEN = '#6b8a4a';

const sheetOf = (setting: Setting, piece: Printed, net: StandingNet, index: number, copy: number): NetSheet => {
  const number = net.copies[copy]?.number ?? 0;
  const seed = piece.seed * 1_009 + number;
  const ground = net.name === LEAF ? piece.grounds[1] : net.name === 'pot' ? piece.grounds[0] : chosen(piece.grounds, seed);
  const over = ground === undefined ? (net.name === LEAF ? GREEN : null) : inkColour(setting.document.palette, ground);
  const own = panelNames(net).flatMap((panel, at): readonly PanelLook[] => {
    const art = artFor(piece.art, panel);
    // Backs of books in one strip are books of their own: each has its title and its colour.
    const apart = art !== undefined && art.panel !== panel;
    const its = apart ? seed * 31 + at : seed;
    const wears = apart ? chosen(piece.grounds, its) : undefined;
    const beneath = wears === undefined ? over : inkColour(setting.document.palette, wears);
    return art ? [panelLook(setting, art, panel, beneath, its)] : [];
  });
  const pages = net.name === 'pages' ? ['fore-edge', 'head', 'foot'].map((panel) => pageEdge(panel)) : [];
  const { doll, real } = setting.derived.scale;
  return {
    tag: `${piece.mark}-${index + 1}`,
    name: `${piece.name}: ${net.name}`,
    net: net.net,
    pose: net.copies[copy]?.pose ?? { origin: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] },
    on: net.on,
    ground: net.name === 'pages' || net.name.startsWith('board of') || net.name.startsWith('leaf') ? null : over,
    looks: [...own, ...pages.filter(({ panel }) => !own.some((look) => look.panel === panel))],
    cells: net.cells,
    tears: net.tears,
    seed,
    number,
    real: doll / real,
  };
};

/** What the edges of pages look like, where nothing else is decided. */
const pageEdge = (panel: string): PanelLook => ({
  panel,
  across: [],
  ground: null,
  look: null,
  motif: 'page edges',
  lines: [],
  face: 'text',
  align: 'middle',
  ink: '#6b6278',
  high: null,
  turn: 0,
});

/** All that is printed for one piece: a sheet for each net, or for each copy of it where no two look alike. */
export const sheetsOfGood = (document: SetDocument, derived: DerivedSet, { id, made }: DerivedPiece): readonly GoodSheet[] => {
  const piece = document.pieces.find((each) => each.id === id);
  if (!piece || !('grounds' in piece) || !made) return [];
  const setting: Setting = { document, derived, looks: looksOf(document, derived) };
  const printed = asPrinted(piece);
  const each = varies(printed);
  return made.nets.flatMap((net, index): readonly GoodSheet[] => {
    const groups = each ? net.copies.map((_, copy) => [copy]) : [net.copies.map((_, copy) => copy)];
    return groups.map((copies) => ({
      piece: id,
      key: `${net.key} ${copies[0]}`,
      net,
      copies,
      sheet: sheetOf(setting, printed, net, index, copies[0] ?? 0),
    }));
  });
};

/** What is printed for the small goods of a set, every copy by itself. */
export const printedGoods = (document: SetDocument, derived: DerivedSet, pieces: readonly string[] | null): readonly Drawing[] =>
  derived.pieces
    .filter(({ id }) => pieces === null || pieces.includes(id))
    .flatMap((piece) => sheetsOfGood(document, derived, piece))
    .flatMap(({ sheet, copies }) => {
      const drawing = drawNet(sheet);
      return copies.map(() => drawing);
    });

/** What a good takes of one kind of paper: its nets, the pages that they fill by themselves, and the pages that all small goods of the set fill together. */
export type GoodPaper = { readonly on: PrintStock; readonly nets: number; readonly pages: number; readonly together: number };

/** The paper that a good takes, kind by kind, as many sheets as pages are printed. */
export const paperOfGood = (document: SetDocument, derived: DerivedSet, id: string): readonly GoodPaper[] => {
  const rules = { ...document.printing, sides: 'one' as const };
  const [own, all] = [printedGoods(document, derived, [id]), printedGoods(document, derived, null)];
  return PRINT_STOCK_NAMES.flatMap((on): readonly GoodPaper[] => {
    const pick = (drawings: readonly Drawing[]) => drawings.filter((drawing) => (drawing.on ?? 'plain') === on);
    const mine = pick(own);
    if (mine.length === 0) return [];
    const count = (drawings: readonly Drawing[]): number => imposed(drawings, rules, '').pages.length;
    return [{ on, nets: mine.length, pages: count(mine), together: count(pick(all)) }];
  });
};

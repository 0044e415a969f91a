// µm, doll size. What a careful maker would notice about small goods of paper, before they are printed.
import { dollOf, dollUm, UM } from '../../measure/index.ts';
import type { Net } from '../../net/index.ts';
import { artFor, type Good, type PrintedArt, panelNames, paperOf, type StandingNet } from '../../piece/index.ts';
import { fittedWords, LINE_HEIGHT, panelAcross, panelsOf, textWidth, wordRoom } from '../../print/index.ts';
import { AXES, bounds, dot } from '../../shape/index.ts';
import type { Finding } from './finding.ts';
import { type Judged, mendPiece } from './judged.ts';
import { smallPart } from './smallPart.ts';
import { filledIn } from './wordList.ts';

const at = (piece: Good) => ({ pieceId: piece.id });

/** Folds closer than so many thicknesses crush instead of folding. Common practice, no source. */
const FOLD = 3;

/** How far a face reaches from each line that it folds at: the least of all, and whose it is. */
const tightest = (net: Net): { readonly name: string; readonly deep: number } | undefined => {
  let found: { readonly name: string; readonly deep: number } | undefined;
  for (const { child, parent, from, to, angle, how } of net.hinges) {
    if (how === 'rolled' || how === 'plain' || Math.abs(angle) < 0.2) continue;
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const long = Math.hypot(dx, dy);
    for (const face of [child, parent]) {
      const { name = '', outline = [] } = net.faces[face] ?? {};
      const deep = Math.max(...outline.map(([x, y]) => Math.abs((x - from[0]) * dy - (y - from[1]) * dx) / long));
      if (!found || deep < found.deep) found = { name, deep };
    }
  }
  return found;
};

const tooThick = (piece: Good, nets: readonly StandingNet[]): readonly Finding[] => {
  const paper = paperOf(piece);
  const [worst] = nets
    .flatMap(({ net }) => tightest(net) ?? [])
    .filter(({ deep }) => deep < FOLD * paper)
    .sort((a, b) => a.deep - b.deep);
  if (!worst) return [];
  const thinner = piece.on === 'plain' || piece.thickness !== null ? null : mendPiece(piece, 'thinner-paper', { on: 'plain' });
  return [
    {
      code: 'too-thick-to-fold',
      severity: 'warning',
      panel: worst.name,
      numbers: { fold: Math.round(worst.deep), paper },
      where: at(piece),
      mend: thinner,
    },
  ];
};

/** What is narrower cannot be cut and held. Common practice, no source. */
const LEAST_STRIP = 2_000;

const tooNarrow = (piece: Good, nets: readonly StandingNet[]): readonly Finding[] => {
  const [worst] = nets
    .map(({ name, net }) => {
      const { x0, y0, x1, y1 } = bounds(net.faces.flatMap(({ outline }) => outline));
      return { name, width: Math.round(Math.min(x1 - x0, y1 - y0)) };
    })
    .filter(({ width }) => width < LEAST_STRIP)
    .sort((a, b) => a.width - b.width);
  return worst
    ? [
        {
          code: 'strip-too-narrow',
          severity: 'warning',
          net: worst.name,
          numbers: { width: worst.width, least: LEAST_STRIP },
          where: at(piece),
          mend: null,
        },
      ]
    : [];
};

const LIDDED = new Set(['lidded box', 'case', 'drawer box', 'tube', 'flat box']);

/** A lid that is no looser than this on each side does not go on; glue and folds take that much. Common practice, no source. */
const LEAST_PLAY = 100;
const GOOD_PLAY = dollUm(0.3 * UM.mm);

const tooTight = (piece: Good): readonly Finding[] =>
  LIDDED.has(piece.form) && piece.play < LEAST_PLAY
    ? [
        {
          code: 'lid-too-tight',
          severity: 'warning',
          numbers: { play: piece.play, least: LEAST_PLAY },
          where: at(piece),
          mend: mendPiece(piece, 'loosen', { play: GOOD_PLAY }),
        },
      ]
    : [];

const withArt = (piece: Good, panel: string, change: Partial<PrintedArt>): readonly PrintedArt[] =>
  piece.art.map((each) => (each.panel === panel ? { ...each, ...change } : each));

/** Panels on which art stands on its head once it is folded: where it was turned round, or laid across from one that is folded over. */
const upsideDown = (piece: Good, nets: readonly StandingNet[]): readonly Finding[] =>
  piece.art.flatMap((art): readonly Finding[] => {
    for (const { net, copies } of nets) {
      const pose = copies[0]?.pose;
      if (!pose) continue;
      const names = [art.panel, ...art.across];
      const frame = panelAcross(net, pose, names, art.turn);
      if (!frame) continue;
      const wrong = panelsOf(net, pose).find(
        ({ name, up, looks }) =>
          names.includes(name) && Math.abs(looks[1]) < 0.7 && dot([...up, 0] as never, [...frame.up, 0] as never) < -0.5,
      );
      if (!wrong) continue;
      const own = wrong.name === art.panel;
      const mend = mendPiece(
        piece,
        'turn-art',
        { art: withArt(piece, art.panel, own ? { turn: 0 } : { across: art.across.filter((name) => name !== wrong.name) }) },
        own ? '' : wrong.name,
      );
      return [{ code: 'art-upside-down', severity: 'warning', panel: wrong.name, numbers: {}, where: at(piece), mend }];
    }
    return [];
  });

/** Letters lower than this are blurred on paper that is folded and handled. Common practice, no source. */
const LEAST_LETTER = 1_200;

const tooSmall = (judged: Judged, piece: Good, nets: readonly StandingNet[]): readonly Finding[] => {
  const found = nets.flatMap((net) =>
    panelNames(net).flatMap((panel) => {
      const art = artFor(piece.art, panel);
      const lines = filledIn(art?.words ?? '', piece.seed).split('\n');
      const pose = net.copies[0]?.pose;
      if (!art || !pose || lines.every((each) => each.trim() === '')) return [];
      const behind = net.net.faces.some((face) => face.behind === panel);
      const frame = panelAcross(net.net, pose, [panel, ...art.across], art.turn, behind);
      if (!frame) return [];
      const [across, up] = net.cells;
      const [x0, y0, x1, y1] = wordRoom(art.motif, frame.width / across, frame.height / up, frame.round && across === 1);
      const high = art.high === null ? y1 - y0 : Math.min(y1 - y0, dollOf(art.high, judged.means.scale) * LINE_HEIGHT * lines.length);
      const { size } = fittedWords(
        lines.map((line) => textWidth(line, 1)),
        { width: x1 - x0, height: high },
      );
      return size < LEAST_LETTER ? [{ panel, size: Math.round(size) }] : [];
    }),
  );
  const [worst] = found.sort((a, b) => a.size - b.size);
  return worst
    ? [
        {
          code: 'words-too-small',
          severity: 'warning',
          paper: `${worst.panel} of ${piece.name}`,
          numbers: { size: worst.size, least: LEAST_LETTER },
          where: at(piece),
          mend: null,
        },
      ]
    : [];
};

const onShelf = ({ means }: Judged, piece: Good): readonly Finding[] => {
  if (!piece.fills) return [];
  const shelf = means.shelf?.(piece.fills);
  if (!shelf)
    return [
      {
        code: 'no-such-shelf',
        severity: 'error',
        numbers: {},
        where: at(piece),
        mend: mendPiece(piece, 'off-shelf', { fills: null }),
      },
    ];
  const doll = (value: Good['width']): number => dollOf(value, means.scale);
  const [height, depth] = [
    doll(piece.height),
    piece.form === 'book' ? doll(piece.width) : piece.form === 'can' ? doll(piece.width) : doll(piece.depth),
  ];
  const object = piece.form;
  return [
    ...(height > shelf.height
      ? [
          {
            code: 'shelf-gap-too-low' as const,
            severity: 'warning' as const,
            object,
            numbers: { gap: shelf.height, needed: height },
            where: at(piece),
            mend: mendPiece(piece, 'lower', { height: { doll: dollUm(Math.floor(shelf.height * 0.95)) } }),
          },
        ]
      : []),
    ...(depth > shelf.depth
      ? [
          {
            code: 'shelf-too-shallow' as const,
            severity: 'warning' as const,
            object,
            numbers: { depth: shelf.depth, needed: depth },
            where: at(piece),
            mend: null,
          },
        ]
      : []),
  ];
};

/** Of copies that differ by chance the first few stand for all. */
const FEW = 8;

const few = (nets: readonly StandingNet[]): readonly StandingNet[] =>
  nets.filter((net, index) => nets.slice(0, index).filter(({ name }) => name === net.name).length < FEW);

/** All that there is to notice about a small good. */
export const goodFindings = (judged: Judged<Good>): readonly Finding[] => {
  const { piece, built } = judged;
  const nets = built.nets ?? [];
  const some = nets.length > 3 * FEW ? few(nets.slice(0, 6 * FEW)) : nets;
  const each = built.assembly.parts.length;
  const { max } = built.assembly.outside;
  const one = each === 1 ? max : undefined;
  return [
    ...onShelf(judged, piece),
    ...tooThick(piece, nets),
    ...tooNarrow(piece, nets),
    ...tooTight(piece),
    ...upsideDown(piece, some),
    ...tooSmall(judged, piece, some),
    ...smallPart(piece, one ?? sizeOfOne(judged)),
  ];
};

/** The size of the first copy. */
const sizeOfOne = ({ inspection, built }: Judged): readonly number[] => {
  const [first] = built.assembly.parts.keys();
  const box = inspection.boxes[first ?? 0];
  return box ? AXES.map((axis) => box.max[axis] - box.min[axis]) : [Infinity, Infinity, Infinity];
};

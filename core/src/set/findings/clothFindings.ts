// µm, doll size. What a careful maker would notice about cloth before it is cut, and about things that lie, stand or hang on others.

import { cutSizeOf } from '../../cloth/index.ts';
import { dollOf, dollUm, inWorld, UM } from '../../measure/index.ts';
import { belongs, type ClothThing, clothFor, type OddThing, sizesOfCloth } from '../../piece/index.ts';
import { AXES } from '../../shape/index.ts';
import { CLOTH_KINDS, thicknessOf } from '../../stock/index.ts';
import type { Finding } from './finding.ts';
import { type Judged, mendPiece } from './judged.ts';
import { smallPart } from './smallPart.ts';

const at = (piece: { readonly id: string }) => ({ pieceId: piece.id });

const TURNED: ReadonlySet<ClothThing['form']> = new Set(['cushion', 'box cushion', 'bolster', 'bag', 'comforter', 'quilt', 'pet bed']);

/** Turned inside out, a thing needs to be so many times as wide as what is sewn in on one side. Common practice, no source. */
const SEAMS = 4;

const withinSeams = (piece: ClothThing, size: readonly number[]): readonly Finding[] => {
  if (!TURNED.has(piece.form) || piece.way === 'felt') return [];
  const flat =
    piece.form === 'bag'
      ? Math.min(size[0] as number, size[1] as number)
      : piece.form === 'box cushion'
        ? Math.min(...size)
        : Math.min(size[0] as number, size[2] as number);
  if (flat >= SEAMS * piece.seam) return [];
  const narrower = Math.floor(flat / SEAMS / 100) * 100;
  return [
    {
      code: 'within-seams',
      severity: 'warning',
      numbers: { size: Math.round(flat), seam: piece.seam },
      where: at(piece),
      mend: narrower >= UM.mm ? mendPiece(piece, 'narrow-seams', { seam: dollUm(narrower) }) : null,
    },
  ];
};

/** Cloth of a curtain to its rod, in hundredths. Common practice, no source: one and a half times to two and a half. */
const FULL = 150;

const skimpy = (piece: ClothThing, rod: number): readonly Finding[] =>
  piece.form === 'curtain' && piece.fullness < FULL
    ? [
        {
          code: 'curtain-skimpy',
          severity: piece.fullness < 100 ? 'error' : 'warning',
          numbers: { cloth: Math.round((rod * piece.fullness) / 100), rod },
          where: at(piece),
          mend: mendPiece(piece, 'fuller', { fullness: 200 }),
        },
      ]
    : [];

/** Cloth keeps clear of the floor by so much. Common practice, no source. */
const CLEAR = 3 * UM.mm;

const onFloor = ({ means, built }: Judged, piece: ClothThing): readonly Finding[] => {
  const place = piece.on ? means.place?.(piece.on) : undefined;
  if (!place || place.above === null) return [];
  const hangs = piece.form === 'curtain' || piece.form === 'blind';
  // A window's measures begin at the lower edge of its frame; its rod hangs above the upper one.
  const from = hangs ? place.above + place.depth : place.above;
  const down = built.anchor?.[1] ?? 0;
  if (down <= from) return [];
  const over = Math.round(down - from);
  const key = hangs ? 'height' : 'drop';
  const now = dollOf(piece[key], means.scale);
  const shorter = inWorld(
    { doll: dollUm(Math.max(2 * UM.mm, now - over - CLEAR)) },
    typeof piece[key] === 'number' ? 'real' : 'doll',
    means.scale,
  );
  return [
    {
      code: 'reaches-floor',
      severity: 'warning',
      numbers: { over, above: Math.round(from) },
      where: at(piece),
      mend: hangs && piece.form === 'blind' && piece.fits ? null : mendPiece(piece, 'shorten', { [key]: shorter }),
    },
  ];
};

const tooNarrow = ({ means, built }: Judged, piece: ClothThing): readonly Finding[] => {
  const pieces = built.sewing?.pattern.pieces ?? [];
  const found = (['main', 'second'] as const).flatMap((role): readonly Finding[] => {
    const cloth = clothFor(means.cloths, role === 'second' ? (piece.cloths.second ?? piece.cloths.main) : piece.cloths.main);
    const its = pieces.filter((each) => each.role === role);
    // Along the grain cloth is as long as was bought; across it no wider than it is.
    const needed = Math.max(
      0,
      ...its.map((each) => (each.anyWay || cloth.kind === 'felt' ? Math.min(...cutSizeOf(each)) : cutSizeOf(each)[0])),
    );
    if (needed <= cloth.width) return [];
    const wider =
      means.cloths?.find(({ id, kind, width }) => id !== cloth.id && kind === cloth.kind && width >= needed) ??
      means.cloths?.find(({ id, width }) => id !== cloth.id && width >= needed);
    return [
      {
        code: 'cloth-too-narrow',
        severity: 'warning',
        cloth: cloth.name,
        numbers: { width: cloth.width, needed },
        where: at(piece),
        mend: wider ? mendPiece(piece, 'other-cloth', { cloths: { ...piece.cloths, [role]: wider.id } }, wider.name) : null,
      },
    ];
  });
  return found.slice(0, 1);
};

const glueThrough = (piece: ClothThing): readonly Finding[] =>
  piece.way === 'glued' && (piece.form === 'mattress cover' || ((piece.form === 'quilt' || piece.form === 'comforter') && piece.layers > 0))
    ? [{ code: 'glue-through', severity: 'note', numbers: {}, where: at(piece), mend: null }]
    : [];

const frays = ({ means }: Judged, piece: ClothThing): readonly Finding[] => {
  const cloth = clothFor(means.cloths, piece.cloths.main);
  if (piece.way !== 'felt' || !CLOTH_KINDS[cloth.kind].frays) return [];
  const wide = dollOf(piece.width, means.scale);
  const felt = means.cloths?.find(({ kind, width }) => !CLOTH_KINDS[kind].frays && width >= wide);
  return [
    {
      code: 'cloth-frays',
      severity: 'warning',
      cloth: cloth.name,
      numbers: {},
      where: at(piece),
      mend: felt
        ? mendPiece(piece, 'other-cloth', { cloths: { ...piece.cloths, main: felt.id } }, felt.name)
        : mendPiece(piece, 'turn-in', { way: 'glued' }),
    },
  ];
};

/** Panels that are folded on one another need a gap as wide as one is thick with its cloth and batting. Source: plane geometry. */
const stiff = ({ means }: Judged, piece: ClothThing): readonly Finding[] => {
  if (piece.form !== 'quilt' || piece.panels === 1) return [];
  const sizes = sizesOfCloth(piece, means);
  const needed = Math.round(sizes.sheets.panel.thickness + piece.layers * piece.loft + 2 * sizes.cloth);
  return piece.gap < needed
    ? [
        {
          code: 'quilt-folds-not',
          severity: 'warning',
          numbers: { gap: piece.gap, needed },
          where: at(piece),
          mend: mendPiece(piece, 'widen-fold', { gap: dollUm(Math.ceil(needed / 500) * 500) }),
        },
      ]
    : [];
};

/** A mattress is off by more than this share of what its bed is made for. Common practice, no source. */
const OFF = 0.2;

const notAsThick = ({ means, built }: Judged, piece: ClothThing): readonly Finding[] => {
  const place = piece.on ? means.place?.(piece.on) : undefined;
  if (piece.form !== 'mattress cover' || place?.kind !== 'mattress' || place.thick === 0) return [];
  const height = built.assembly.outside.max[1];
  if (Math.abs(height - place.thick) <= OFF * place.thick) return [];
  const board = means.boards.find(({ id }) => id === piece.boards.panel) ?? means.boards[0];
  const layers = Math.min(8, Math.max(0, Math.round((place.thick - (board ? thicknessOf(board) : 0)) / piece.loft)));
  return [
    {
      code: 'mattress-off',
      severity: 'note',
      numbers: { height, bed: place.thick },
      where: at(piece),
      mend: layers === piece.layers ? null : mendPiece(piece, 'batting', { layers }, String(layers)),
    },
  ];
};

/** All that there is to notice about a thing of cloth. */
export const clothFindings = (judged: Judged<ClothThing>): readonly Finding[] => {
  const { piece, built } = judged;
  const { max } = built.assembly.outside;
  const one = [max[0], max[1] / (piece.form === 'curtain' || piece.form === 'blind' ? 1 : piece.count), max[2]];
  return [
    ...withinSeams(piece, one),
    ...skimpy(piece, max[0]),
    ...onFloor(judged, piece),
    ...tooNarrow(judged, piece),
    ...frays(judged, piece),
    ...stiff(judged, piece),
    ...notAsThick(judged, piece),
    ...glueThrough(piece),
    ...smallPart(piece, one),
  ];
};

/** Higher on its table than the table is high: it tips, and a lamp shines in the eyes of who sits there. Common practice, no source. */
const onPlace = ({ means, built }: Judged, piece: OddThing): readonly Finding[] => {
  const place = piece.on ? means.place?.(piece.on) : undefined;
  if (!place || place.above === null) return [];
  const { max } = built.assembly.outside;
  const over = Math.max(max[0] - place.width, max[2] - place.depth);
  return [
    ...(max[1] > place.above
      ? [
          {
            code: 'too-tall-for-place' as const,
            severity: 'warning' as const,
            numbers: { height: max[1], above: Math.round(place.above) },
            where: at(piece),
            mend:
              piece.form === 'lamp' || piece.form === 'plant'
                ? mendPiece(piece, 'lower', { height: { doll: dollUm(Math.round(place.above * 0.75)) } })
                : null,
          },
        ]
      : []),
    ...(over > 0
      ? [
          {
            code: 'wider-than-place' as const,
            severity: 'warning' as const,
            numbers: { over: Math.round(over) },
            where: at(piece),
            mend: null,
          },
        ]
      : []),
  ];
};

/** All that there is to notice about a found or mixed thing. */
export const oddFindings = (judged: Judged<OddThing>): readonly Finding[] => {
  const { piece, inspection } = judged;
  const own = inspection.boxes.slice(0, Math.max(1, Math.round(inspection.boxes.length / piece.count)));
  const size = AXES.map((axis) => Math.max(...own.map(({ max }) => max[axis])) - Math.min(...own.map(({ min }) => min[axis])));
  return [...onPlace(judged, piece), ...smallPart(piece, size)];
};

/** What was to lie, stand or hang somewhere that is not there any more. */
export const placeGone = ({ piece, means }: Judged): readonly Finding[] =>
  belongs(piece) && piece.on !== null && !means.place?.(piece.on)
    ? [{ code: 'place-gone', severity: 'error', numbers: {}, where: at(piece), mend: mendPiece(piece, 'off-place', { on: null }) }]
    : [];

// µm. What a careful maker would notice about the boards a piece is cut from, and about its joints.
import { cutThicknessOf, type Part } from '../../assembly/index.ts';
import type { CutGroup, Trim } from '../../cut/index.ts';
import { dollOf, UM } from '../../measure/index.ts';
import { boardFor, type Casework, isTrim, layersFor } from '../../piece/index.ts';
import { bounds } from '../../shape/index.ts';
import { asSold, type Board, thicknessOf, USUAL_SHEETS, type UsualSheet } from '../../stock/index.ts';
import type { Finding, Mend } from './finding.ts';
import { idsOf, type Judged, tagged } from './judged.ts';

const fits = (
  group: Pick<CutGroup, 'width' | 'height' | 'grained'>,
  sheet: { readonly width: number; readonly height: number },
  trim: Trim,
): boolean => {
  const [across, along] = [
    Math.min(sheet.width, sheet.height) - trim.left - trim.right,
    Math.max(sheet.width, sheet.height) - trim.bottom - trim.top,
  ];
  return (group.width <= across && group.height <= along) || (!group.grained && group.height <= across && group.width <= along);
};

/** Whether some sheet of a part's board takes so much of it, its grain kept. */
export const fitsBoard =
  (boards: readonly Board[], trim: Trim) =>
  (part: Part, width: number, height: number): boolean => {
    const board = boards.find(({ id }) => id === part.stock);
    const grained = board?.grain === 'along' && part.grain !== 'any';
    const [across, along] = grained && part.grain === 'x' ? [height, width] : [width, height];
    return board?.sheets.some((sheet) => fits({ width: across, height: along, grained }, sheet, trim)) ?? true;
  };

const addSheet = (board: Board, sheet: UsualSheet): Mend => ({
  kind: 'add-sheet',
  detail: sheet.name,
  edit: { kind: 'change-board', id: board.id, change: { sheets: [...board.sheets, asSold(sheet)] } },
});

export const largerThanBoard = ({ piece, means, groups, built, trim }: Judged): readonly Finding[] =>
  groups.flatMap((group): readonly Finding[] => {
    const board = group.stuff === 'board' ? means.boards.find(({ id }) => id === group.stock) : undefined;
    if (!board || board.sheets.some((sheet) => fits(group, sheet, trim))) return [];
    const helps = [...USUAL_SHEETS].sort((a, b) => a.width * a.height - b.width * b.height).find((sheet) => fits(group, sheet, trim));
    return [
      {
        code: 'part-larger-than-board',
        severity: 'error',
        part: `${group.tag} ${group.name}`,
        board: board.name,
        numbers: { width: group.width, height: group.height },
        where: { pieceId: piece.id, partIds: idsOf(built.assembly, group.parts) },
        mend: helps ? addSheet(board, helps) : null,
      },
    ];
  });

/** Parts that had to be joined but for trim, which is laid end to end as it comes; what hides their joints, and the sheet from which they could be cut whole. */
export const partsJoined = ({ piece, means, trim, built, joined }: Judged): readonly Finding[] =>
  joined.flatMap(({ part: id, name, pieces, strips, behind, open, layered }): readonly Finding[] => {
    const mine = built.assembly.parts.filter((part) => pieces.includes(part.id));
    const [first] = mine as [Part];
    if (isTrim(piece, first)) return [];
    const board = means.boards.find((each) => each.id === first.stock) as Board;
    const { x0, y0, x1, y1 } = bounds(mine.flatMap(({ region }) => region.outline));
    const fitsUsual = (sheet: UsualSheet): boolean => fitsBoard([{ ...board, sheets: [asSold(sheet)] }], trim)(first, x1 - x0, y1 - y0);
    const helps = [...USUAL_SHEETS].sort((a, b) => a.width * a.height - b.width * b.height).find(fitsUsual);
    return [
      {
        code: 'part-joined',
        severity: 'note',
        part: name,
        board: board.name,
        behind,
        layered,
        before: [],
        numbers: { pieces: pieces.length, strips: strips.length, open: open.length },
        where: { pieceId: piece.id, partIds: [id, ...pieces, ...strips] },
        mend: helps ? addSheet(board, helps) : null,
      },
    ];
  });

/** A strip of board under twice its thickness crumbles under the knife. Common practice, no source. */
const NARROW = 2;

/** Trim that is glued down along its whole length may be narrower: half the board, and no less than this. Common practice, no source. */
const TRIM = 0.5;
const LEAST_TRIM = 2 * UM.mm;

export const tooNarrow = ({ piece, built, groups }: Judged): readonly Finding[] =>
  groups.flatMap((group): readonly Finding[] => {
    const first = built.assembly.parts[group.parts[0] as number] as Part;
    const least = isTrim(piece, first) ? Math.max(LEAST_TRIM, TRIM * group.thickness) : NARROW * group.thickness;
    const width = Math.min(group.width, group.height);
    if (group.stuff !== 'board' || first.role === 'fitting' || width >= least) return [];
    const where = { pieceId: piece.id, partIds: idsOf(built.assembly, group.parts) };
    return [
      { code: 'part-too-narrow', severity: 'note', part: `${group.tag} ${group.name}`, numbers: { width, least }, where, mend: null },
    ];
  });

/** Layers come in whole boards; what they are off the wanted thickness is said from a fifth of a millimetre on. */
export const layersOff = ({ piece, means }: Judged): readonly Finding[] =>
  Object.entries(piece.thick as Readonly<Record<string, Casework['width'] | null>>).flatMap(([role, thick]): readonly Finding[] => {
    if (thick === null) return [];
    const board = boardFor(piece.boards, role, means.boards);
    const wanted = dollOf(thick, means.scale);
    const { layers, error } = layersFor(wanted, thicknessOf(board));
    if (Math.abs(error) < 0.2 * UM.mm) return [];
    return [
      {
        code: 'layers-off',
        severity: 'note',
        part: role,
        numbers: { wanted, gets: wanted + error, layers },
        where: { pieceId: piece.id },
        mend: null,
      },
    ];
  });

/** Less glue than a square of the board's thickness holds nothing. Common practice, no source. */
export const littleJoints = (judged: Judged): readonly Finding[] => {
  const { piece, built, inspection } = judged;
  const area = built.assembly.parts.map(() => 0);
  for (const contact of inspection.contacts) {
    area[contact.a] = (area[contact.a] as number) + contact.area;
    area[contact.b] = (area[contact.b] as number) + contact.area;
  }
  return built.assembly.parts.flatMap((part, index): readonly Finding[] => {
    const [has, least] = [area[index] as number, cutThicknessOf(part) ** 2];
    if (part.held !== 'glue' || part.stuff !== 'board' || part.role === 'fitting' || has === 0 || has >= least) return [];
    return [
      {
        code: 'little-joint',
        severity: 'warning',
        part: tagged(judged, index),
        numbers: { area: Math.round(has), least },
        where: { pieceId: piece.id, partIds: [part.id] },
        mend: null,
      },
    ];
  });
};

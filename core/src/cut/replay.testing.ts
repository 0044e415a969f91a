// A checker that shares no code with the cutting: it has a table, pieces of board on it, a knife and a rule. It cuts what the steps say and
// looks at what lies there in the end.

type Piece = { readonly x: number; readonly y: number; readonly width: number; readonly height: number };

type Fallen = Piece & { readonly piece: number; readonly becomes: string; readonly part: string | null };

type Step = {
  readonly piece: number;
  readonly way: 'across' | 'along';
  readonly setting: number;
  readonly off: Fallen;
  readonly stays: Fallen;
};

/** What the hand holds after all cuts: each part with its size, and where on the sheet it came from; or what went wrong. */
export const replay = (
  sheet: { readonly width: number; readonly height: number },
  gap: number,
  steps: readonly Step[],
  named: ReadonlyMap<number, string> = new Map(),
): { readonly parts: ReadonlyMap<string, Piece>; readonly faults: readonly string[] } => {
  const table = new Map<number, Piece>([[0, { x: 0, y: 0, width: sheet.width, height: sheet.height }]]);
  const parts = new Map<string, Piece>();
  const faults: string[] = [];
  const name = (piece: number, id: string): void => {
    const lies = table.get(piece);
    if (!lies) faults.push(`${id} is not on the table`);
    else if (parts.has(id)) faults.push(`${id} was cut twice`);
    else parts.set(id, lies);
  };
  for (const { piece, way, setting, off, stays } of steps) {
    const board = table.get(piece);
    if (!board) {
      faults.push(`piece ${piece} is not on the table`);
      continue;
    }
    const trim = off.becomes === 'trim' || stays.becomes === 'trim';
    const knife = trim ? 0 : gap;
    const side = way === 'across' ? board.width : board.height;
    if (setting <= 0 || setting > side) faults.push(`the rule lies at ${setting} on a side of ${side}`);
    const rest = Math.max(0, side - setting - knife);
    const [near, far]: [Piece, Piece] =
      way === 'across'
        ? [
            { ...board, width: setting },
            { ...board, x: board.x + setting + knife, width: rest },
          ]
        : [
            { ...board, height: setting },
            { ...board, y: board.y + setting + knife, height: rest },
          ];
    table.delete(piece);
    table.set(off.piece, near);
    table.set(stays.piece, far);
    for (const { piece: number, becomes, part } of [off, stays]) if (becomes === 'part' && part !== null) name(number, part);
  }
  for (const [piece, id] of named) name(piece, id);
  return { parts, faults };
};

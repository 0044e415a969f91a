import type { BoardLayout, Sheet } from '@parlor/core/cut';
import type { Units } from '@parlor/core/measure';
import { itemsFor, letAllGo, partsById, pinPart, rulesOf, tickCut } from '@parlor/core/set';
import { thicknessOf } from '@parlor/core/stock';
import { useMemo, useState } from 'react';
import { layOutAgain, stopLayingOut, stopSearching, useAppSelector, useEdit, useSet, useUnits } from '../../state/index.ts';
import { Button, Patience, useLong } from '../../ui/index.ts';
import { CutPlayer } from './CutPlayer.tsx';
import { CutSheets } from './CutSheets.tsx';
import { useCarrying } from './layingByHand.ts';
import type { SheetPart } from './onSheet.ts';
import { PickedPart } from './PickedPart.tsx';
import { SheetDrawing } from './SheetDrawing.tsx';
import type { Parts } from './SheetTable.tsx';

const filled = (sheets: readonly Sheet[], parts: Parts): number => {
  const area = (list: readonly { width: number; height: number }[]) => list.reduce((sum, { width, height }) => sum + width * height, 0);
  const cut = sheets.flatMap(({ placements }) => placements.flatMap(({ id }) => parts.get(id) ?? []));
  return Math.round((100 * area(cut)) / Math.max(1, area(sheets.map(({ kind }) => kind))));
};

const money = (amount: number): string => (Number.isInteger(amount) ? String(amount) : amount.toFixed(2));

const Board = ({
  laid,
  name,
  parts,
  units,
  most,
  thickness,
}: {
  readonly laid: BoardLayout;
  readonly name: string;
  readonly parts: Parts;
  readonly units: Units;
  readonly most: number;
  readonly thickness: number;
}) => {
  const [cutting, setCutting] = useState<number | null>(null);
  const { sheets, least, price, leastPrice } = laid.layout;
  const document = useSet();
  const edit = useEdit();
  const { set, layoutsFrom, from } = useAppSelector((state) => state.derived);
  // What is ticked must be what was planned for the set as it is now.
  const fresh = layoutsFrom === document && from === document;
  const tick = (sheet: Sheet) => {
    if (set && board)
      edit(
        `a sheet of ${board.name} cut`,
        tickCut(document, set, board, sheet, () => crypto.randomUUID()),
      );
  };
  const [picked, setPicked] = useState<string | null>(null);
  const board = document.boards.find(({ id }) => id === laid.board);
  const items = useMemo(
    () => new Map(set && board ? itemsFor(document, set, board).map((item) => [item.id, item] as const) : []),
    [document, set, board],
  );
  const { carried, take } = useCarrying(sheets, items, rulesOf(document), setPicked, (sheet, placement) => {
    if (!board) return;
    const part = parts.get(placement.id);
    edit(
      `${part?.tag} ${part?.name} laid by hand`,
      pinPart(document, board, sheet, placement, () => crypto.randomUUID()),
    );
  });
  const pinned = sheets.reduce((sum, sheet) => sum + (sheet.pinned?.parts.length ?? 0), 0);
  const open = cutting === null ? undefined : sheets[cutting];
  const count = `${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'}`;
  return (
    <section aria-label={name} className="mb-7" data-board={laid.board}>
      <header className="flex flex-wrap items-baseline justify-between gap-x-4 mb-2">
        <h3 className="text-pencil">{name}</h3>
        <p className="text-note" data-testid="bound">
          <strong>{count}</strong>;{' '}
          {sheets.length === least ? `${least} is the least possible` : `at least ${least} ${least === 1 ? 'is' : 'are'} needed`} ·{' '}
          {filled(sheets, parts)} % used
          {price !== null && price > 0 && (
            <>
              {' '}
              · costs <strong>{money(price)}</strong>
              {leastPrice !== null && leastPrice >= price - 1e-6
                ? ', the least possible'
                : leastPrice !== null && `, at least ${money(leastPrice)}`}
            </>
          )}
        </p>
      </header>
      <div className="grid grid-cols-2 xl:grid-cols-3 gap-4">
        {sheets.map((sheet, index) => (
          <SheetDrawing
            key={`${laid.key.length} ${index}`}
            sheet={sheet}
            number={index + 1}
            parts={parts}
            units={units}
            most={most}
            thickness={thickness}
            straight={document.cutting.mode === 'straight'}
            picked={picked}
            carried={carried}
            onTake={fresh ? (event, placement) => take(event, sheet, placement) : null}
            onPick={setPicked}
            onCut={() => setCutting(index)}
            onDone={fresh ? () => tick(sheet) : null}
          />
        ))}
      </div>
      {picked !== null && board && parts.has(picked) && fresh && (
        <PickedPart
          key={picked}
          board={board}
          part={parts.get(picked) as SheetPart}
          parts={parts}
          id={picked}
          sheets={sheets}
          items={items}
          onClose={() => setPicked(null)}
        />
      )}
      {pinned > 0 && (
        <p className="text-note text-graphite mt-2 flex flex-wrap items-center gap-x-3">
          {pinned} {pinned === 1 ? 'part lies' : 'parts lie'} where you laid {pinned === 1 ? 'it' : 'them'}; the rest lies round.
          <Button look="quiet" onClick={() => edit(`all parts of ${name} let go`, letAllGo(document, laid.board))}>
            let all go
          </Button>
        </p>
      )}
      <CutSheets board={laid.board} parts={parts} units={units} />
      {open && cutting !== null && (
        <CutPlayer
          sheet={open}
          title={`${name}, sheet ${cutting + 1}: the order of cuts`}
          parts={parts}
          units={units}
          onClose={() => setCutting(null)}
        />
      )}
    </section>
  );
};

/** The sheets of every board, with what lies on them and how near to the least possible they are. */
export const Sheets = () => {
  const { boards, cutting } = useSet();
  const units = useUnits();
  const { set, layouts, layoutsFrom, layingOut, searching } = useAppSelector((state) => state.derived);
  const long = useLong(layingOut === 'under way');
  const longSearch = useLong(searching);
  const parts = useMemo(() => (set ? partsById(set) : new Map()) as Parts, [set]);
  // All boards are drawn to one scale, the largest sheet as wide as its column.
  const most = Math.max(1, ...layouts.flatMap(({ layout }) => layout.sheets.map(({ kind }) => kind.width)));
  const total = layouts.reduce((sum, { layout }) => sum + layout.sheets.length, 0);
  return (
    <div aria-busy={layingOut === 'under way'} data-sheets={layingOut === 'under way' ? 'laying out' : searching ? 'searching' : 'found'}>
      <header className="mb-5">
        <h2 className="text-head">
          {layoutsFrom === null
            ? 'Laying out …'
            : total === 0
              ? 'Nothing to cut yet'
              : `${total} ${total === 1 ? 'sheet' : 'sheets'} to cut`}
        </h2>
        <p className="text-graphite">
          {total === 0
            ? 'Add a piece, and its parts lie down here.'
            : cutting.mode === 'straight'
              ? 'what follows · every cut runs from edge to edge'
              : 'what follows · each part is cut round by itself'}
        </p>
      </header>
      {longSearch && <Patience what="looking for better layouts" onStop={stopSearching} />}
      {long && <Patience what="laying out the boards" onStop={stopLayingOut} />}
      {layingOut === 'stopped' && (
        <p className="flex flex-wrap items-center gap-3 mb-4">
          Stopped: the boards below are those of before your last change.
          <Button onClick={layOutAgain}>Lay them out</Button>
        </p>
      )}
      {boards
        .filter(({ id }) => !layouts.some(({ board }) => board === id))
        .map(({ id }) => (
          <CutSheets key={id} board={id} parts={parts} units={units} />
        ))}
      {layouts.map((laid) => (
        <Board
          key={laid.board}
          laid={laid}
          name={boards.find(({ id }) => id === laid.board)?.name ?? laid.board}
          parts={parts}
          units={units}
          most={most}
          thickness={thicknessOf(boards.find(({ id }) => id === laid.board) ?? (boards[0] as (typeof boards)[number]))}
        />
      ))}
    </div>
  );
};

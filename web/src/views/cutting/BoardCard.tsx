import { UM } from '@parlor/core/measure';
import type { SetDocument } from '@parlor/core/set';
import { type SheetType, USUAL_SHEETS } from '@parlor/core/stock';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useEdit, useSet } from '../../state/index.ts';
import { Button, Choice, cx, GrainHelp, SizeField, TextField, ThicknessHelp } from '../../ui/index.ts';

type Board = SetDocument['boards'][number];

const GRAIN = [
  { value: 'none', label: 'no grain' },
  { value: 'along', label: 'grain along the sheet' },
] as const;

const useChangeBoard = (board: Board) => {
  const edit = useEdit();
  return (words: string, change: Partial<Board>) => edit(`${words} of ${board.name}`, { kind: 'change-board', id: board.id, change });
};

/** Sheets the board is sold in: a touch has them at hand or puts them away; one kind must stay. */
const SheetChoice = ({ board }: { readonly board: Board }) => {
  const change = useChangeBoard(board);
  const own = board.sheets.filter((sheet) => !USUAL_SHEETS.some(({ name }) => name === sheet.name));
  const all: readonly SheetType[] = [...USUAL_SHEETS, ...own];
  const has = (sheet: SheetType) => board.sheets.some(({ name }) => name === sheet.name);
  const toggle = (sheet: SheetType) =>
    change(`${sheet.name} sheets`, { sheets: all.filter((each) => (each.name === sheet.name ? !has(each) : has(each))) });
  return (
    <fieldset className="flex flex-wrap gap-1.5">
      <legend className="text-small text-graphite mb-0.5">Sheets at hand</legend>
      {all.map((sheet) => (
        <button
          key={sheet.name}
          type="button"
          aria-pressed={has(sheet)}
          disabled={has(sheet) && board.sheets.length === 1}
          onClick={() => toggle(sheet)}
          className={cx(
            'min-h-touch px-3 rounded-slip border text-note',
            has(sheet) ? 'bg-sprig border-moss text-ink' : 'border-tab text-graphite hover:bg-oat',
          )}
        >
          {has(sheet) ? '✓ ' : ''}
          {sheet.name}
        </button>
      ))}
    </fieldset>
  );
};

const OwnSheet = ({ board }: { readonly board: Board }) => {
  const change = useChangeBoard(board);
  const [width, setWidth] = useState(300 * UM.mm);
  const [height, setHeight] = useState(400 * UM.mm);
  const add = () => {
    const name = `own ${board.sheets.length + 1}`;
    change('a sheet size of one’s own', {
      sheets: [...board.sheets, { name, width: width as SheetType['width'], height: height as SheetType['height'] }],
    });
  };
  return (
    <details>
      <summary className="text-note underline underline-offset-4 decoration-dotted min-h-touch flex items-center">another size</summary>
      <div className="flex gap-4 items-end max-w-md pb-2">
        <SizeField label="Sheet, one side" world="doll" lengthUm={width} min={20 * UM.mm} max={3 * UM.m} onChange={setWidth} />
        <SizeField label="Sheet, other side" world="doll" lengthUm={height} min={20 * UM.mm} max={3 * UM.m} onChange={setHeight} />
        <Button onClick={add}>add</Button>
      </div>
    </details>
  );
};

/** A board at hand: what it says it is, what it measures, in which sheets it comes. */
export const BoardCard = ({ board }: { readonly board: Board }) => {
  const { boards, pieces } = useSet();
  const edit = useEdit();
  const change = useChangeBoard(board);
  const used = board.id === boards[0]?.id || pieces.some((piece) => Object.values<string | null>(piece.boards).includes(board.id));
  return (
    <section aria-label={board.name} className="border border-tab rounded-soft p-4 pt-2.5 space-y-2 bg-leaf/60">
      <div className="flex items-end gap-3">
        <div className="flex-1 min-w-0">
          <TextField label="Board" value={board.name} onChange={(name) => change('the name', { name })} />
        </div>
        <Button
          look="quiet"
          className="px-3!"
          disabled={used}
          title={used ? 'Pieces are cut from it' : 'Put this board away'}
          aria-label={`Put ${board.name} away`}
          onClick={() => edit(`${board.name} put away`, { kind: 'remove-board', id: board.id })}
        >
          <Trash2 size={18} />
        </Button>
      </div>
      <div className="grid grid-cols-2 gap-5">
        <SizeField
          fine
          label="Labelled thickness"
          world="doll"
          lengthUm={board.nominal}
          min={200}
          max={60 * UM.mm}
          onChange={(nominal) => change('the thickness on the label', { nominal: nominal as Board['nominal'] })}
        />
        <div>
          <SizeField
            fine
            label="Measured thickness"
            help={<ThicknessHelp />}
            world="doll"
            lengthUm={board.measured ?? board.nominal}
            min={200}
            max={60 * UM.mm}
            onChange={(measured) => change('the measured thickness', { measured: measured as Board['nominal'] })}
            hint={board.measured === null ? 'Measure ten in a stack, divide by ten.' : undefined}
          />
          {board.measured !== null && (
            <button
              type="button"
              className="text-small underline min-h-touch"
              onClick={() => change('the measured thickness', { measured: null })}
            >
              not measured: use the label
            </button>
          )}
        </div>
      </div>
      <SheetChoice board={board} />
      <OwnSheet board={board} />
      <Choice label="Grain" help={<GrainHelp />} value={board.grain} options={GRAIN} onChange={(grain) => change('the grain', { grain })} />
    </section>
  );
};

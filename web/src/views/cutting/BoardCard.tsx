import { UM } from '@parlor/core/measure';
import type { SetDocument } from '@parlor/core/set';
import { Trash2 } from 'lucide-react';
import { useEdit, useSet } from '../../state/index.ts';
import { Button, Choice, GrainHelp, SizeField, TextField, ThicknessHelp } from '../../ui/index.ts';
import { Offcuts, SheetTypes, useChangeBoard } from './AtHand.tsx';

type Board = SetDocument['boards'][number];

const GRAIN = [
  { value: 'none', label: 'no grain' },
  { value: 'along', label: 'grain along the sheet' },
] as const;

const FACES = [
  { value: 'alike', label: 'alike' },
  { value: 'different', label: 'one is for show' },
] as const;

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
      <SheetTypes board={board} />
      <Offcuts board={board} />
      <Choice label="Grain" help={<GrainHelp />} value={board.grain} options={GRAIN} onChange={(grain) => change('the grain', { grain })} />
      <Choice
        label="Its two faces"
        value={board.faces}
        options={FACES}
        onChange={(faces) => change('its faces', { faces })}
        hint={board.faces === 'alike' ? 'Shaped parts may be cut lying on their face.' : 'Every part is cut with that face up.'}
      />
    </section>
  );
};

import { formatNumber, UM } from '@parlor/core/measure';
import type { SetDocument } from '@parlor/core/set';
import { rectRing } from '@parlor/core/shape';
import { asSold, type Offcut, type OffcutShape, outlineOfOffcut, type SheetType, USUAL_SHEETS } from '@parlor/core/stock';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { useEdit, useUnits } from '../../state/index.ts';
import { Button, NumberField, Picker, SizeField } from '../../ui/index.ts';

type Board = SetDocument['boards'][number];

export const useChangeBoard = (board: Board) => {
  const edit = useEdit();
  return (words: string, change: Partial<Board>) => edit(`${words} of ${board.name}`, { kind: 'change-board', id: board.id, change });
};

const Away = ({ name, disabled, onClick }: { readonly name: string; readonly disabled?: boolean; readonly onClick: () => void }) => (
  <Button look="quiet" className="px-2.5!" aria-label={`Without ${name}`} disabled={disabled ?? false} onClick={onClick}>
    <X size={16} />
  </Button>
);

/** The sizes a board is bought in: what one costs, and how many lie there. */
export const SheetTypes = ({ board }: { readonly board: Board }) => {
  const change = useChangeBoard(board);
  const { sheets } = board;
  const put = (index: number, part: Partial<SheetType>) =>
    change(`${sheets[index]?.name} sheets`, { sheets: sheets.map((sheet, at) => (at === index ? { ...sheet, ...part } : sheet)) });
  const others = USUAL_SHEETS.filter(({ name }) => !sheets.some((sheet) => sheet.name === name));
  return (
    <fieldset>
      <legend className="text-small text-graphite">Sheets it comes in</legend>
      <ul>
        {sheets.map((sheet, index) => (
          <li key={sheet.name} className="grid grid-cols-[1fr_5rem_5rem_auto] gap-x-4 items-end border-b border-dashed border-tab pb-1">
            <span className="font-hand text-pencil self-center">{sheet.name}</span>
            <NumberField
              label="price of one"
              blank
              value={sheet.price}
              min={0}
              max={1_000_000}
              onChange={(price) => put(index, { price })}
            />
            <NumberField
              label="at hand"
              whole
              value={sheet.atHand}
              min={0}
              max={999}
              onChange={(atHand) => put(index, { atHand: atHand ?? 0 })}
            />
            <Away
              name={`${sheet.name} sheets`}
              disabled={sheets.length === 1}
              onClick={() => change(`${sheet.name} sheets`, { sheets: sheets.filter((each) => each !== sheet) })}
            />
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-1.5 mt-2">
        {others.map((usual) => (
          <button
            key={usual.name}
            type="button"
            onClick={() => change(`${usual.name} sheets`, { sheets: [...sheets, asSold(usual)] })}
            className="min-h-touch px-3 rounded-slip border border-dashed border-tab text-note text-graphite hover:bg-oat"
          >
            + {usual.name}
          </button>
        ))}
      </div>
      <OwnSize
        words="another size"
        labels={['Sheet, one side', 'Sheet, other side']}
        shaped={false}
        onAdd={(width, height) =>
          change('a sheet size of one’s own', { sheets: [...sheets, asSold({ name: ownName(sheets), width, height })] })
        }
      />
    </fieldset>
  );
};

const ownName = (sheets: readonly SheetType[]): string => {
  let number = 1;
  while (sheets.some(({ name }) => name === `own ${number}`)) number += 1;
  return `own ${number}`;
};

type Size = SheetType['width'];

const SHAPES = [
  { value: 'whole', label: 'a rectangle' },
  { value: 'corner', label: 'a corner is missing' },
  { value: 'triangle', label: 'a triangle' },
  { value: 'round', label: 'round' },
] as const satisfies readonly { readonly value: OffcutShape['kind']; readonly label: string }[];

/** What an offcut looks like, small, lying as it is typed. */
const OffcutPicture = ({ offcut }: { readonly offcut: Offcut }) => {
  const { width, height } = offcut;
  const ring = outlineOfOffcut(offcut) ?? rectRing(0, 0, width, height);
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="h-6 max-w-16 mr-2 overflow-visible" aria-hidden="true">
      <polygon
        points={ring.map(([x, y]) => `${x},${height - y}`).join(' ')}
        fill="var(--paper)"
        stroke="var(--graphite)"
        strokeWidth={1.2}
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
};

const OwnSize = ({
  words,
  labels,
  shaped,
  onAdd,
}: {
  readonly words: string;
  readonly labels: readonly [string, string];
  /** Whether it may be another shape than a rectangle. */
  readonly shaped: boolean;
  readonly onAdd: (width: Size, height: Size, shape: OffcutShape) => void;
}) => {
  const [kind, setKind] = useState<OffcutShape['kind']>('whole');
  const [missing, setMissing] = useState({ width: 60 * UM.mm, height: 60 * UM.mm });
  const [width, setWidth] = useState(200 * UM.mm);
  const [height, setHeight] = useState(300 * UM.mm);
  return (
    <details>
      <summary className="text-note underline underline-offset-4 decoration-dotted min-h-touch flex items-center">{words}</summary>
      <div className="flex gap-4 items-end max-w-md pb-2">
        <SizeField label={labels[0]} world="doll" lengthUm={width} min={20 * UM.mm} max={3 * UM.m} onChange={setWidth} />
        <SizeField label={labels[1]} world="doll" lengthUm={height} min={20 * UM.mm} max={3 * UM.m} onChange={setHeight} />
        <Button
          onClick={() =>
            onAdd(
              width as Size,
              height as Size,
              kind === 'corner' ? { kind, width: missing.width as Size, height: missing.height as Size } : { kind },
            )
          }
        >
          <Plus size={16} /> add
        </Button>
      </div>
      {shaped && (
        <div className="grid grid-cols-3 gap-4 items-end max-w-md pb-2">
          <Picker label="its shape" value={kind} options={SHAPES} onChange={(value) => setKind(value as OffcutShape['kind'])} />
          {kind === 'corner' && (
            <>
              <SizeField
                label="missing, across"
                world="doll"
                lengthUm={missing.width}
                min={20 * UM.mm}
                max={3 * UM.m}
                onChange={(across) => setMissing({ ...missing, width: across })}
              />
              <SizeField
                label="missing, along"
                world="doll"
                lengthUm={missing.height}
                min={20 * UM.mm}
                max={3 * UM.m}
                onChange={(along) => setMissing({ ...missing, height: along })}
              />
            </>
          )}
        </div>
      )}
    </details>
  );
};

/** What was left over from other work: it is cut from first. */
export const Offcuts = ({ board }: { readonly board: Board }) => {
  const change = useChangeBoard(board);
  const units = useUnits();
  const show = (um: number) => formatNumber(um, units).text;
  const { offcuts } = board;
  return (
    <fieldset>
      <legend className="text-small text-graphite">Offcuts, used first</legend>
      {offcuts.length > 0 && (
        <ul className="flex flex-wrap gap-x-4">
          {offcuts.map((offcut) => (
            <li key={offcut.id} className="flex items-center font-hand text-pencil">
              <OffcutPicture offcut={offcut} />
              {show(offcut.width)} × {show(offcut.height)} {units.unit}
              <Away
                name={`the offcut of ${show(offcut.width)} × ${show(offcut.height)}`}
                onClick={() => change('an offcut', { offcuts: offcuts.filter((each) => each !== offcut) })}
              />
            </li>
          ))}
        </ul>
      )}
      <OwnSize
        words="an offcut more"
        labels={['Offcut, across', board.grain === 'along' ? 'Offcut, along the grain' : 'Offcut, along']}
        shaped
        onAdd={(width, height, shape) => change('an offcut', { offcuts: [...offcuts, { id: crypto.randomUUID(), width, height, shape }] })}
      />
    </fieldset>
  );
};

import { dollUm, showLength, UM } from '@parlor/core/measure';
import type { Good } from '@parlor/core/piece';
import { type PieceChange, shelvesOf } from '@parlor/core/set';
import { PRINT_STOCKS } from '@parlor/core/stock';
import { useAppSelector, useScale, useUnits } from '../../state/index.ts';
import { Check, Picker, SizeField } from '../../ui/index.ts';
import { Fields } from './Fields.tsx';
import { Grounds } from './Grounds.tsx';

type Put = (words: string, change: Partial<Good>) => void;

/** Which shelf of which piece it fills. */
const Fills = ({ good, onChange }: { readonly good: Good; readonly onChange: Put }) => {
  const set = useAppSelector((state) => state.derived.set);
  const units = useUnits();
  const shelves = (set?.pieces ?? []).flatMap(({ id, name, made }) =>
    made && id !== good.id
      ? shelvesOf(made)
          .slice(0, 40)
          .map(({ bay, gap, box }, index) => ({
            value: JSON.stringify({ piece: id, bay, gap }),
            label: `${name}, shelf ${index + 1}: ${showLength(box.max[0] - box.min[0], units)} wide, ${showLength(box.max[1] - box.min[1], units)} high`,
          }))
      : [],
  );
  if (shelves.length === 0 && !good.fills) return null;
  return (
    <Picker
      label="It fills a shelf"
      value={good.fills ? JSON.stringify({ piece: good.fills.piece, bay: good.fills.bay, gap: good.fills.gap }) : ''}
      options={[{ value: '', label: 'no, as many as are said' }, ...shelves]}
      onChange={(value) => onChange(`the shelf of ${good.name}`, { fills: value === '' ? null : JSON.parse(value) })}
    />
  );
};

/** What is decided about a good besides what is printed on it. */
export const Decided = ({ good, onChange }: { readonly good: Good; readonly onChange: Put }) => {
  const scale = useScale();
  if (!scale) return null;
  return (
    <Fields
      piece={good}
      scale={scale}
      folded={[
        ['shape', 'Its shape, and several of them'],
        ['build', 'Its paper', <Thickness key="thickness" good={good} onChange={onChange} />],
        ['boards', 'Boards'],
      ]}
      onChange={onChange as (words: string, change: PieceChange) => void}
    >
      <Fills good={good} onChange={onChange} />
      <div className="mt-2">
        <Grounds good={good} onChange={onChange} />
      </div>
    </Fields>
  );
};

/** How thick its paper is, where that was measured. */
const Thickness = ({ good, onChange }: { readonly good: Good; readonly onChange: Put }) => (
  <div>
    <Check
      checked={good.thickness !== null}
      onChange={(on) => onChange(`the paper of ${good.name}`, { thickness: on ? dollUm(PRINT_STOCKS[good.on].thickness) : null })}
    >
      its thickness was measured
    </Check>
    {good.thickness !== null && (
      <SizeField
        label="Paper, thick (ten sheets, divided)"
        world="doll"
        lengthUm={good.thickness}
        min={20}
        max={2 * UM.mm}
        fine
        onChange={(um) => onChange(`the thickness of the paper of ${good.name}`, { thickness: dollUm(um) })}
      />
    )}
  </div>
);

import { type Measure, type RealUm, type Scale, showLength, UM } from '@parlor/core/measure';
import { type Field, layersFor, valueAt } from '@parlor/core/piece';
import { EDGED_STICKS, ROUND_STICKS, STICK_NAMES, stockWords, thicknessOf } from '@parlor/core/stock';
import { Minus, Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { useSet } from '../state/index.ts';
import { Button } from './Button.tsx';
import { Check } from './Check.tsx';
import { Choice } from './Choice.tsx';
import { BackHelp, CornerHelp, DoorHelp, HoldHelp } from './helps.tsx';
import { MeasureField } from './MeasureField.tsx';
import { Picker } from './Picker.tsx';
import { SizeField } from './SizeField.tsx';

type Props = {
  readonly field: Field;
  /** What the field belongs to: a piece, or a bay. */
  readonly owner: object;
  readonly scale: Scale;
  readonly onChange: (words: string, path: readonly string[], value: unknown) => void;
};

const STICKS_OF = { any: STICK_NAMES, edged: EDGED_STICKS, round: ROUND_STICKS } as const;

const HELPS: Readonly<Record<string, ReactNode>> = {
  'Hold true': <HoldHelp />,
  'Which panel runs over': <CornerHelp />,
  'The back': <BackHelp />,
  It: <DoorHelp />,
};

/** A number of things, one more or one less. */
const Count = ({
  label,
  value,
  min,
  max,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly onChange: (value: number) => void;
}) => (
  <div role="group" aria-label={label}>
    <span className="text-small text-graphite" aria-hidden="true">
      {label}
    </span>
    <div className="flex items-center gap-1">
      <Button
        look="quiet"
        className="px-2.5!"
        disabled={value <= min}
        aria-label={`${label}: one less`}
        onClick={() => onChange(value - 1)}
      >
        <Minus size={16} />
      </Button>
      <output className="font-hand text-pencil min-w-6 text-center" aria-live="polite">
        {value}
      </output>
      <Button
        look="quiet"
        className="px-2.5!"
        disabled={value >= max}
        aria-label={`${label}: one more`}
        onClick={() => onChange(value + 1)}
      >
        <Plus size={16} />
      </Button>
    </div>
  </div>
);

/** Several sizes in a row, each changed where it stands. */
const Sizes = ({
  label,
  sizes,
  scale,
  min,
  max,
  onChange,
}: {
  readonly label: string;
  readonly sizes: readonly Measure[];
  readonly scale: Scale;
  readonly min: number;
  readonly max: number;
  readonly onChange: (sizes: readonly Measure[]) => void;
}) => (
  <fieldset className="col-span-2">
    <legend className="text-small text-graphite">{label}</legend>
    <div className="grid grid-cols-2 gap-x-6 gap-y-1">
      {sizes.map((size, index) => (
        <div key={index} className="flex items-end gap-1">
          <div className="flex-1 min-w-0">
            <MeasureField
              label={`${label}, ${index + 1}`}
              measure={size}
              scale={scale}
              min={min}
              max={max}
              onChange={(next) => onChange(sizes.with(index, next))}
            />
          </div>
          <Button
            look="quiet"
            className="px-2!"
            disabled={sizes.length <= 1}
            aria-label={`${label}, ${index + 1}: take it out`}
            onClick={() => onChange(sizes.toSpliced(index, 1))}
          >
            <Minus size={15} />
          </Button>
        </div>
      ))}
      <div className="self-end">
        <Button look="quiet" disabled={sizes.length >= 20} onClick={() => onChange([...sizes, sizes.at(-1) ?? ((100 * UM.mm) as RealUm)])}>
          <Plus size={15} /> another height
        </Button>
      </div>
    </div>
  </fieldset>
);

const BoardPicker = ({
  label,
  value,
  first,
  onChange,
}: {
  readonly label: string;
  readonly value: string | null;
  readonly first: boolean;
  readonly onChange: (id: string | null) => void;
}) => {
  const { boards, units } = useSet();
  const named = boards.map((board) => ({
    value: board.id,
    label: `${board.name}, ${showLength(thicknessOf(board), { ...units, fine: true })}`,
  }));
  return (
    <Picker
      label={label}
      value={value ?? (first ? (boards[0]?.id ?? '') : '')}
      options={first ? named : [{ value: '', label: 'the same' }, ...named]}
      onChange={(id) => onChange(id === '' ? null : id)}
    />
  );
};

/** A thickness to glue up to, with what whole boards come to. */
const Layers = ({
  label,
  value,
  owner,
  path,
  scale,
  onChange,
}: {
  readonly label: string;
  readonly value: Measure | null;
  readonly owner: object;
  readonly path: readonly string[];
  readonly scale: Scale;
  readonly onChange: (value: Measure | null) => void;
}) => {
  const { boards, units } = useSet();
  const role = path.at(-1) as string;
  const chosen = valueAt(owner, ['boards', role]) ?? Object.values(valueAt(owner, ['boards']) as object)[0];
  const board = boards.find(({ id }) => id === chosen) ?? boards[0];
  const one = board ? thicknessOf(board) : 5_000;
  const fine = (um: number) => showLength(um, { ...units, fine: true });
  if (value === null)
    return (
      <Button look="quiet" className="self-end justify-start text-note" onClick={() => onChange({ doll: (2 * one) as never })}>
        <Plus size={15} /> {label} …
      </Button>
    );
  const wanted = typeof value === 'number' ? Math.round((value * scale.doll) / scale.real) : value.doll;
  const { layers, error } = layersFor(wanted, one);
  return (
    <div className="flex items-end gap-1">
      <div className="flex-1 min-w-0">
        <MeasureField
          label={label}
          measure={value}
          scale={scale}
          min={0.2 * UM.mm}
          max={500 * UM.mm}
          hint={`${layers} × ${fine(one)}${error === 0 ? '' : `, ${fine(Math.abs(error))} ${error > 0 ? 'over' : 'under'}`}`}
          onChange={onChange}
        />
      </div>
      <Button look="quiet" className="px-2! mb-5" aria-label={`${label}: one board again`} onClick={() => onChange(null)}>
        <Minus size={15} />
      </Button>
    </div>
  );
};

const StickPicker = ({
  label,
  value,
  names,
  onChange,
}: {
  readonly label: string;
  readonly value: string;
  readonly names: readonly string[];
  readonly onChange: (name: string) => void;
}) => {
  const { units } = useSet();
  return (
    <Picker
      label={label}
      value={value}
      options={names.map((name) => ({ value: name, label: stockWords(name, units) }))}
      onChange={onChange}
    />
  );
};

/** One decision, drawn by what it may be. */
export const Decision = ({ field, owner, scale, onChange }: Props) => {
  const { kind, label, path, hint } = field;
  const value = valueAt(owner, path);
  const set = (next: unknown) => onChange(label.toLowerCase(), path, next);
  switch (kind.kind) {
    case 'size':
      return (
        <MeasureField label={label} measure={value as Measure} scale={scale} min={kind.min} max={kind.max} hint={hint} onChange={set} />
      );
    case 'sizes':
      return <Sizes label={label} sizes={value as readonly Measure[]} scale={scale} min={kind.min} max={kind.max} onChange={set} />;
    case 'doll-size':
      return (
        <SizeField
          label={`${label}, at doll size`}
          world="doll"
          lengthUm={value as number}
          min={kind.min}
          max={kind.max}
          fine
          onChange={set}
        />
      );
    case 'count':
      return <Count label={label} value={value as number} min={kind.min} max={kind.max} onChange={set} />;
    case 'choice':
      return kind.options.length > 4 ? (
        <Picker label={label} value={value as string} options={kind.options} onChange={set} />
      ) : (
        <Choice label={label} help={HELPS[label]} value={value as string} options={kind.options} onChange={set} {...(hint && { hint })} />
      );
    case 'yes':
      return (
        <Check checked={value as boolean} onChange={set}>
          {label}
        </Check>
      );
    case 'optional':
      return (
        <Check checked={value !== null} onChange={(there) => set(there ? kind.make : null)}>
          {label}
        </Check>
      );
    case 'stick':
      return <StickPicker label={label} value={value as string} names={STICKS_OF[kind.only ?? 'any']} onChange={set} />;
    case 'board':
      return (
        <BoardPicker
          label={label}
          value={value as string | null}
          first={Object.keys(valueAt(owner, ['boards']) as object)[0] === path[1]}
          onChange={set}
        />
      );
    case 'layers':
      return <Layers label={label} value={value as Measure | null} owner={owner} path={path} scale={scale} onChange={set} />;
  }
};

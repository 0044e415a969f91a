import { type Finish, USUAL_TRIM, usualSupply } from '@parlor/core/cover';
import { type DollUm, dollUm, UM } from '@parlor/core/measure';
import { PRINT_STOCK_NAMES, PRINT_STOCKS } from '@parlor/core/stock';
import { Check, Choice, NumberField, SizeField } from '../../ui/index.ts';
import type { Change } from './dressing.ts';

const SUPPLY = [
  { value: 'printed', label: 'my printer' },
  { value: 'sheets', label: 'sheets' },
  { value: 'roll', label: 'a roll' },
] as const;

export const STOCKS = PRINT_STOCK_NAMES.map((value) => ({ value, label: PRINT_STOCKS[value].name }));

const SEAMS = [
  { value: 'edges', label: 'edge to edge' },
  { value: 'trim', label: 'under a trim' },
] as const;

const Side = ({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: DollUm;
  readonly onChange: (value: DollUm) => void;
}) => <SizeField label={label} world="doll" lengthUm={value} min={20 * UM.mm} max={3 * UM.m} onChange={(um) => onChange(dollUm(um))} />;

const Price = ({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
}) => <NumberField label={label} value={value} min={0} max={1e6} blank onChange={onChange} />;

/** What hides the seams of paper that is laid in strips. */
const Trim = ({ value, onChange }: { readonly value: DollUm | null; readonly onChange: (value: DollUm | null) => void }) => (
  <div className="flex flex-wrap items-end gap-3">
    <Choice
      label="Where strips meet"
      value={value === null ? 'edges' : 'trim'}
      options={SEAMS}
      onChange={(way) => onChange(way === 'trim' ? USUAL_TRIM : null)}
    />
    {value !== null && (
      <SizeField
        label="The trim is wide"
        world="doll"
        lengthUm={value}
        min={1 * UM.mm}
        max={60 * UM.mm}
        onChange={(um) => onChange(dollUm(um))}
      />
    )}
  </div>
);

/** Where paper or film comes from, and how much of it lies there. */
export const SupplyFields = ({ finish, change }: { readonly finish: Finish; readonly change: Change }) => {
  const { supply } = finish;
  const put = (next: Finish['supply']) => change(`where ${finish.name} comes from`, { supply: next });
  return (
    <>
      <Choice label="It comes from" value={supply.kind} options={SUPPLY} onChange={(kind) => put(usualSupply(kind))} />
      {supply.kind === 'printed' && (
        <Choice label="Printed on" value={supply.on} options={STOCKS} onChange={(on) => put({ ...supply, on })} />
      )}
      {supply.kind === 'printed' && (finish.art.kind === 'sign' || finish.art.kind === 'picture') && (
        <Check checked={supply.both} onChange={(both) => put({ ...supply, both })}>
          on both sides, for what hangs and is seen from behind
        </Check>
      )}
      {supply.kind === 'sheets' && (
        <div className="grid grid-cols-4 gap-3">
          <Side label="Wide" value={supply.width} onChange={(width) => put({ ...supply, width })} />
          <Side label="High" value={supply.height} onChange={(height) => put({ ...supply, height })} />
          <NumberField
            label="At hand"
            value={supply.atHand}
            min={0}
            max={999}
            whole
            onChange={(value) => put({ ...supply, atHand: value ?? 0 })}
          />
          <Price label="Price of one" value={supply.price} onChange={(price) => put({ ...supply, price })} />
        </div>
      )}
      {supply.kind === 'roll' && (
        <div className="grid grid-cols-3 gap-3">
          <Side label="Wide" value={supply.width} onChange={(width) => put({ ...supply, width })} />
          <SizeField
            label="At hand"
            world="doll"
            lengthUm={supply.atHand}
            min={0}
            max={100 * UM.m}
            onChange={(um) => put({ ...supply, atHand: dollUm(um) })}
          />
          <Price label="Price of a metre" value={supply.price} onChange={(price) => put({ ...supply, price })} />
        </div>
      )}
      {supply.kind !== 'printed' && <Trim value={supply.trim} onChange={(trim) => put({ ...supply, trim })} />}
    </>
  );
};

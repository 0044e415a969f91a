import { dollUm, showLength, UM } from '@parlor/core/measure';
import type { Room } from '@parlor/core/piece';
import { PAPERS, USUAL_SHEETS } from '@parlor/core/stock';
import { useState } from 'react';
import { useUnits } from '../../state/index.ts';
import { Button, Picker } from '../../ui/index.ts';

const SHEETS = [
  ...Object.values(PAPERS).map(({ name, width, height }) => ({ name: `${name} page`, width, height })),
  { name: '12 × 12 in paper', width: dollUm(12 * UM.in), height: dollUm(12 * UM.in) },
  ...USUAL_SHEETS.filter(({ name }) => name !== 'A4').map(({ name, width, height }) => ({ name: `${name} board`, width, height })),
];

const WAYS = SHEETS.flatMap(({ name, width, height }) =>
  width === height
    ? [{ label: name, long: width }]
    : [
        { label: `${name}, its long side`, long: height },
        { label: `${name}, its short side`, long: width },
      ],
);

const SIDES = [
  { value: 'width', label: 'width' },
  { value: 'depth', label: 'depth' },
  { value: 'height', label: 'height' },
] as const;

type Props = { readonly room: Room; readonly name: string; readonly onChange: (words: string, change: Partial<Room>) => void };

/** A room's size taken from a paper or a board, so that one covers a wall, or one makes it, without a joint. */
export const AsWide = ({ room, name, onChange }: Props) => {
  const units = useUnits();
  const [side, setSide] = useState<(typeof SIDES)[number]['value']>('width');
  const [way, setWay] = useState(0);
  const { long } = WAYS[way] as (typeof WAYS)[number];
  if (room.plan === 'own') return null;
  return (
    <details className="mt-1" data-group="as-wide">
      <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
        As large as a paper or a board
      </summary>
      <div className="flex flex-wrap items-end gap-2 pb-2">
        <div className="w-32">
          <Picker label="The room’s" value={side} options={SIDES} onChange={(value) => setSide(value as typeof side)} />
        </div>
        <div className="min-w-52 flex-1">
          <Picker
            label="as large as"
            value={String(way)}
            options={WAYS.map(({ label }, index) => ({ value: String(index), label }))}
            onChange={(value) => setWay(Number(value))}
          />
        </div>
        <Button onClick={() => onChange(`the ${side} of ${name}, as a paper`, { [side]: { doll: long } })}>
          make it {showLength(long, units)}
        </Button>
      </div>
    </details>
  );
};

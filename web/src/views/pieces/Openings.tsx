import { type Measure, type RealUm, realUm, type Scale, UM } from '@parlor/core/measure';
import type { Casework } from '@parlor/core/piece';
import type { MadePiece } from '@parlor/core/set';
import { Plus, Trash2 } from 'lucide-react';
import { useDerivedPiece } from '../../state/index.ts';
import { Button, Check, MeasureField } from '../../ui/index.ts';
import { useChangePiece } from './useChangePiece.ts';

type Opening = NonNullable<NonNullable<Casework['frame']>['openings']>[number];

const FRESH: Opening = {
  x: (50 * UM.mm) as RealUm,
  y: (50 * UM.mm) as RealUm,
  width: (300 * UM.mm) as RealUm,
  height: (300 * UM.mm) as RealUm,
};

const SIDES = [
  ['x', 'from the left', 0],
  ['y', 'from below', 0],
  ['width', 'wide', UM.mm],
  ['height', 'high', UM.mm],
] as const;

/** The openings as they stand over the bays, as sizes of the real thing to begin with. */
const asTheyStand = (made: MadePiece | null | undefined, scale: Scale): readonly Opening[] => {
  const real = (um: number) => realUm((um * scale.real) / scale.doll);
  const frame = made?.assembly.parts.find(({ role }) => role === 'frame');
  const [left, low] = frame ? frame.pose.origin : [0, 0];
  const found = (made?.openings ?? []).map(
    ({ x0, y0, x1, y1 }): Opening => ({ x: real(x0 - left), y: real(y0 - low), width: real(x1 - x0), height: real(y1 - y0) }),
  );
  return found.length > 0 ? found : [FRESH];
};

/** Where a face frame opens: over the bays by itself, or where the maker says. */
export const Openings = ({ piece, scale }: { readonly piece: Casework; readonly scale: Scale }) => {
  const change = useChangePiece(piece);
  const made = useDerivedPiece(piece.id)?.made;
  if (!piece.frame) return null;
  const { openings } = piece.frame;
  const put = (words: string, next: readonly Opening[] | null) => change(words, ['frame', 'openings'], next);
  return (
    <div className="col-span-2 space-y-2">
      <Check checked={openings === null} onChange={(own) => put('where the frame opens', own ? null : asTheyStand(made, scale))}>
        The frame’s openings stand centred on the bays
      </Check>
      {openings?.map((opening, index) => (
        <fieldset key={index} className="border border-tab rounded-soft p-3 pt-1">
          <legend className="text-small text-graphite px-1">opening {index + 1}</legend>
          <div className="grid grid-cols-2 gap-x-6 gap-y-1">
            {SIDES.map(([side, word, least]) => (
              <MeasureField
                key={side}
                label={`Opening ${index + 1}, ${word}`}
                measure={opening[side]}
                scale={scale}
                min={least}
                max={3 * UM.m}
                onChange={(next: Measure) => put('an opening of the frame', openings.with(index, { ...opening, [side]: next }))}
              />
            ))}
          </div>
          <Button look="quiet" disabled={openings.length === 1} onClick={() => put('an opening taken away', openings.toSpliced(index, 1))}>
            <Trash2 size={15} /> take it away
          </Button>
        </fieldset>
      ))}
      {openings && (
        <Button look="quiet" onClick={() => put('an opening', [...openings, FRESH])}>
          <Plus size={15} /> an opening
        </Button>
      )}
    </div>
  );
};

import { showLength, UM } from '@parlor/core/measure';
import { type EvenRow, evenRows, type Gap, gapsOf, type Placement, withGap } from '@parlor/core/room';
import type { Arranged } from '@parlor/core/set';
import { useSet, useUnits } from '../../state/index.ts';
import { Button, SizeField } from '../../ui/index.ts';

type Props = {
  readonly arranged: Arranged;
  /** The thing in hand. */
  readonly placed: Placement;
  readonly name: string;
  readonly onPlace: (words: string, ...placed: readonly Placement[]) => void;
};

const WAY_WORDS: Readonly<Record<Gap['way'], string>> = {
  left: 'on the left',
  right: 'on the right',
  back: 'behind',
  front: 'in front',
};

const ALONG: Readonly<Record<EvenRow['along'], string>> = { x: 'left to right', z: 'back to front' };

const rowWords = ({ ends, placed }: EvenRow): string =>
  ends === 'stay' ? 'between the two ends' : placed.length === 1 ? 'halfway' : 'from wall to wall';

/** How far the thing in hand stands from what is next to it, to be typed; and the row it stands in, spaced evenly. */
export const Distances = ({ arranged: { space, standing }, placed, name, onPlace }: Props) => {
  const { pieces } = useSet();
  const units = useUnits();
  const gaps = gapsOf(space, standing, placed.piece);
  const rows = evenRows(space, standing, placed.piece);
  const nextTo = (to: string | null): string => (to === null ? 'the wall or edge' : (pieces.find(({ id }) => id === to)?.name ?? ''));
  return (
    <fieldset className="w-full" data-testid="distances">
      <legend className="text-small text-graphite mb-1">How far {name} stands from what is next to it</legend>
      <div className="grid grid-cols-2 gap-x-6 gap-y-1 items-end">
        {gaps.map((gap) => (
          <SizeField
            key={gap.way}
            label={`to ${nextTo(gap.to)}, ${WAY_WORDS[gap.way]}`}
            world="doll"
            lengthUm={gap.gap}
            min={0}
            max={5 * UM.m}
            onChange={(wanted) => onPlace(`${name} moved`, withGap(placed, gap, wanted))}
          />
        ))}
      </div>
      {(['x', 'z'] as const).map((along) => {
        const ways = rows.filter((row) => row.along === along);
        const count = ways[0]?.placed.length ?? 0;
        return (
          count > 0 && (
            <div key={along} className="flex flex-wrap gap-x-1 items-center">
              <span className="text-small text-graphite">
                Evenly {ALONG[along]}
                {count > 1 && `, ${count === 2 ? 'both' : `all ${count}`}`}:
              </span>
              {ways.map((row) => (
                <Button
                  key={row.ends}
                  look="quiet"
                  className="px-2.5!"
                  onClick={() => onPlace(count === 1 ? `${name} moved` : `${count} things spaced evenly`, ...row.placed)}
                >
                  {rowWords(row)} <span className="font-hand text-graphite">{showLength(row.gap, units)}</span>
                </Button>
              ))}
            </div>
          )
        );
      })}
    </fieldset>
  );
};

import { type DollUm, type Measure, type RealUm, type Scale, UM } from '@parlor/core/measure';
import { type Casework, HOLE_PANELS, type Hole } from '@parlor/core/piece';
import { Plus, Trash2 } from 'lucide-react';
import { useMemo } from 'react';
import { useDerivedPiece } from '../../state/index.ts';
import { Button, MeasureField, Picker, SizeField } from '../../ui/index.ts';
import { useChangePiece } from './useChangePiece.ts';

const FRESH: Hole = {
  panel: 'top',
  what: 'lamp',
  across: (100 * UM.mm) as RealUm,
  up: (100 * UM.mm) as RealUm,
  diameter: (5 * UM.mm) as DollUm,
};

const named = (values: readonly string[]) => values.map((value) => ({ value, label: value }));

/** Every panel that stands, by its tag and name; the sides by the words that files use for them. */
const usePanels = (piece: Casework): readonly { readonly value: string; readonly label: string }[] => {
  const made = useDerivedPiece(piece.id)?.made;
  return useMemo(() => {
    const known = named(HOLE_PANELS);
    if (!made) return known;
    const moves = new Set(made.assembly.motions.flatMap(({ parts }) => parts));
    const found = new Map(
      made.assembly.parts.flatMap(({ id, stuff, held, role, name }, index): [string, string][] => {
        const word = (id.slice(piece.id.length + 1).split('~')[0] as string).replace(/^side-/, '');
        return stuff === 'board' && held === 'glue' && role !== 'fitting' && !moves.has(id)
          ? [[word, `${made.tags[index]} ${name.replace(/, layer \d+$/, '')}`]]
          : [];
      }),
    );
    return [...found].map(([value, label]) => ({ value, label }));
  }, [made, piece.id]);
};

/** Holes in the panels: where a lamp pokes through, where the switch is reached, where a wire runs. */
export const Holes = ({ piece, scale }: { readonly piece: Casework; readonly scale: Scale }) => {
  const change = useChangePiece(piece);
  const panels = usePanels(piece);
  const put = (words: string, holes: readonly Hole[]) => change(words, ['holes'], holes);
  const with_ = (index: number, part: Partial<Hole>) => piece.holes.map((hole, each) => (each === index ? { ...hole, ...part } : hole));
  return (
    <div className="col-span-2 space-y-3">
      {piece.holes.map((hole, index) => (
        <fieldset key={index} className="border border-tab rounded-soft p-3 pt-1">
          <legend className="text-small text-graphite px-1">hole {index + 1}</legend>
          <div className="grid grid-cols-2 gap-x-6 gap-y-1 items-start">
            <Picker
              label="For a"
              value={hole.what}
              options={named(['lamp', 'switch', 'wire'])}
              onChange={(what) => put('what a hole is for', with_(index, { what: what as Hole['what'] }))}
            />
            <Picker
              label="In the panel"
              value={hole.panel}
              options={panels}
              onChange={(panel) => put('where a hole is', with_(index, { panel }))}
            />
            <MeasureField
              label={`Hole ${index + 1}, from the left`}
              measure={hole.across}
              scale={scale}
              min={0}
              max={2 * UM.m}
              onChange={(across: Measure) => put('where a hole is', with_(index, { across }))}
            />
            <MeasureField
              label={`Hole ${index + 1}, from below`}
              measure={hole.up}
              scale={scale}
              min={0}
              max={2 * UM.m}
              onChange={(up: Measure) => put('where a hole is', with_(index, { up }))}
            />
            <SizeField
              label={`Hole ${index + 1} across, at doll size`}
              world="doll"
              fine
              lengthUm={hole.diameter}
              min={0.5 * UM.mm}
              max={60 * UM.mm}
              onChange={(um) => put('how wide a hole is', with_(index, { diameter: um as DollUm }))}
            />
            <Button
              look="quiet"
              className="self-end justify-self-start"
              onClick={() => put('a hole taken away', piece.holes.toSpliced(index, 1))}
            >
              <Trash2 size={15} /> take it away
            </Button>
          </div>
        </fieldset>
      ))}
      <div>
        <Button look="quiet" disabled={piece.holes.length >= 20} onClick={() => put('a hole', [...piece.holes, FRESH])}>
          <Plus size={15} /> a hole for a lamp, a switch, a wire
        </Button>
        {piece.holes.some(({ what }) => what === 'lamp') && (
          <p className="text-small text-graphite mt-1">
            Only lamps on cells, never on the mains; keep button cells out of children’s reach, and pierce with the point away from the
            hand.
          </p>
        )}
      </div>
    </div>
  );
};

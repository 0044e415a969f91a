import { bareUnit, showLength, UM } from '@parlor/core/measure';
import type { RuleFit, SetDocument } from '@parlor/core/set';
import { Ruler } from 'lucide-react';
import { useState } from 'react';
import { fitRuleThere, useEdit, useSet, useUnits } from '../../state/index.ts';
import { Button, Choice, Sheet } from '../../ui/index.ts';

const GRIDS = [
  { value: 'mm', label: 'whole millimetres', um: UM.mm },
  { value: 'in', label: 'sixteenths of an inch', um: UM.in / 16 },
] as const;
type Grid = (typeof GRIDS)[number]['value'];

const umOf = (grid: Grid): number => GRIDS.find(({ value }) => value === grid)?.um ?? UM.mm;

type Found = { readonly of: SetDocument; readonly grid: Grid; readonly fit: RuleFit | 'failed' };

const verdict = ({ sizes, before, after }: RuleFit): string => {
  if (before === sizes) return 'Every cut lands on it as it is.';
  if (after === sizes) return `All ${sizes} cut sizes land on it then; now ${before} do.`;
  if (after === before) return `${before} of ${sizes} cut sizes land on it, and no small change brings more there.`;
  return `${after} of ${sizes} cut sizes land on it then, where ${before} do now; the boards’ own thickness keeps the others off.`;
};

const Proposal = ({ fit, onApply }: { readonly fit: RuleFit; readonly onApply: () => void }) => {
  const units = useUnits();
  const show = (um: number) => showLength(um, { ...units, fine: true });
  return (
    <div className="space-y-3" data-testid="rule-fit">
      <p>{verdict(fit)}</p>
      {fit.changes.length > 0 && (
        <table className="w-full">
          <caption className="sr-only">What would change, at doll size</caption>
          <thead>
            <tr className="text-small text-graphite text-left border-b border-tab">
              <th className="font-normal py-1">at doll size</th>
              <th className="font-normal text-right">now</th>
              <th className="font-normal text-right">then</th>
              <th className="font-normal text-right">difference</th>
            </tr>
          </thead>
          <tbody>
            {fit.changes.map(({ label, from, to }) => (
              <tr key={label} className="border-b border-dashed border-tab">
                <th scope="row" className="font-normal text-left py-1.5">
                  {label}
                </th>
                <td className="text-right">{show(from)}</td>
                <td className="text-right font-semibold">{show(to)}</td>
                <td className="text-right text-graphite">
                  {to > from ? '+' : '−'} {show(Math.abs(to - from))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {fit.edit && (
        <Button look="main" onClick={onApply}>
          Change it so
        </Button>
      )}
    </div>
  );
};

/** Proposes the smallest change of the driving sizes that puts every cut on the rule; nothing changes until it is asked for. */
export const FitRule = ({ pieceId }: { readonly pieceId: string }) => {
  const document = useSet();
  const units = useUnits();
  const edit = useEdit();
  const [open, setOpen] = useState(false);
  const [grid, setGrid] = useState<Grid>(bareUnit(units) === 'in' ? 'in' : 'mm');
  const [found, setFound] = useState<Found | null>(null);
  const piece = document.pieces.find(({ id }) => id === pieceId);
  const look = (wanted: Grid) => {
    setGrid(wanted);
    setFound(null);
    fitRuleThere(document, pieceId, umOf(wanted))
      .catch(() => 'failed' as const)
      .then((fit) => setFound({ of: document, grid: wanted, fit }));
  };
  const fresh = found && found.of === document && found.grid === grid ? found.fit : null;
  return (
    <>
      <Button
        look="quiet"
        className="mt-1"
        onClick={() => {
          setOpen(true);
          look(grid);
        }}
      >
        <Ruler size={16} /> make every cut land on the rule
      </Button>
      <Sheet title="Every cut on the rule" open={open} onOpenChange={setOpen}>
        <div className="space-y-4">
          <Choice label="The rule shows" value={grid} options={GRIDS} onChange={look} />
          {fresh === null && <p className="font-hand text-graphite">trying sizes near by …</p>}
          {fresh === 'failed' && <p role="alert">That could not be worked out; this is a fault of the program.</p>}
          {fresh !== null && fresh !== 'failed' && (
            <Proposal
              fit={fresh}
              onApply={() => {
                if (fresh.edit) edit(`${piece?.name ?? ''} brought onto the rule`, fresh.edit);
                setOpen(false);
              }}
            />
          )}
        </div>
      </Sheet>
    </>
  );
};

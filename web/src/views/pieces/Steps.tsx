import { cx } from '../../ui/index.ts';
import { type BuildStep, isOfLine, likeSteps } from './buildSteps.ts';

type Props = { readonly steps: readonly BuildStep[]; readonly step: number | null; readonly onStep: (step: number | null) => void };

/** The order of assembly as a list; a step that is touched is shown on the model. */
export const Steps = ({ steps, step, onStep }: Props) => {
  const lines = likeSteps(steps);
  if (lines.length === 0) return null;
  return (
    <details className="mt-2" data-testid="steps">
      <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
        How it goes together, in {lines.length === 1 ? 'one step' : `${lines.length} steps`}
      </summary>
      <ol className="space-y-0.5 pb-3">
        {lines.map((each, line) => {
          const { first, count } = each;
          const { of, tag, name, from, glued, mind } = each.step;
          const isCurrent = step !== null && isOfLine(each, step);
          const isApart = lines[0]?.step.of !== null;
          return (
            <li key={first}>
              {isApart && (line === 0 || of !== lines[line - 1]?.step.of) && (
                <p className="pt-2 pl-10 text-graphite">{of === null ? 'then the piece itself' : `on the table, by itself: ${of}`}</p>
              )}
              <button
                type="button"
                aria-current={isCurrent ? 'step' : undefined}
                onClick={() => onStep(isCurrent ? null : first)}
                className={cx(
                  'w-full text-left min-h-9 px-2 py-1 rounded-slip flex gap-2 items-baseline',
                  isCurrent ? 'bg-sprig' : 'hover:bg-oat',
                )}
              >
                <span className="font-hand text-graphite w-6 text-right shrink-0">{line + 1}</span>
                <span>
                  {count > 1 && `${count} × `}
                  <span className="font-hand">{tag}</span> {name}
                  <span className="text-graphite">
                    {from}
                    {glued}
                  </span>
                  {mind && <span className="block text-small text-graphite">{mind}</span>}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
      <p className="text-small text-graphite pb-2">
        Dry fit everything before any glue. New blade, metal rule, cut away from your hand; a grown-up cuts for children. Hot glue burns.
        What the packet says goes before what stands here.
      </p>
    </details>
  );
};

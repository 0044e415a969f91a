import { cx } from '../../ui/index.ts';
import type { BuildStep } from './buildSteps.ts';

type Props = { readonly steps: readonly BuildStep[]; readonly step: number | null; readonly onStep: (step: number | null) => void };

/** The order of assembly as a list; a step that is touched is shown on the model. */
export const Steps = ({ steps, step, onStep }: Props) => (
  <details className="mt-2" data-testid="steps">
    <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
      How it goes together, in {steps.length} steps
    </summary>
    <ol className="space-y-0.5 pb-3">
      {steps.map(({ tag, name, from, mind }, index) => (
        <li key={index}>
          <button
            type="button"
            aria-current={index === step ? 'step' : undefined}
            onClick={() => onStep(index === step ? null : index)}
            className={cx(
              'w-full text-left min-h-9 px-2 py-1 rounded-slip flex gap-2 items-baseline',
              index === step ? 'bg-sprig' : 'hover:bg-oat',
            )}
          >
            <span className="font-hand text-graphite w-6 text-right shrink-0">{index + 1}</span>
            <span>
              <span className="font-hand">{tag}</span> {name}
              <span className="text-graphite">{from}</span>
              {mind && <span className="block text-small text-graphite">{mind}</span>}
            </span>
          </button>
        </li>
      ))}
    </ol>
    <p className="text-small text-graphite pb-2">
      Dry fit everything before any glue. New blade, metal rule, cut away from your hand; a grown-up cuts for children. Hot glue burns. What
      the packet says goes before what stands here.
    </p>
  </details>
);

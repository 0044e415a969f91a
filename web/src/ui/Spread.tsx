import type { ReactNode } from 'react';
import { cx } from './cx.ts';

type Props = { readonly left: ReactNode; readonly right: ReactNode; readonly leftLabel: string; readonly rightLabel: string };

/** The open workbook: on the left what the maker decides, on the right what follows. Upright on a tablet the pages lie one below the
 *  other. */
export const Spread = ({ left, right, leftLabel, rightLabel }: Props) => (
  <div className="h-full lg:grid lg:grid-cols-[minmax(0,1fr)_minmax(0,1.06fr)] max-lg:overflow-y-auto bg-leaf rounded-l-leaf shadow-leaf">
    <section
      aria-label={leftLabel}
      tabIndex={0}
      className={cx(
        'bg-paper rounded-l-leaf min-h-0 min-w-0 p-6 pr-9 lg:overflow-y-auto relative',
        'lg:bg-[linear-gradient(to_right,transparent_calc(100%-44px),color-mix(in_srgb,var(--tab)_55%,transparent))]',
      )}
    >
      {left}
    </section>
    <section
      aria-label={rightLabel}
      tabIndex={0}
      className="min-h-0 min-w-0 p-6 pl-9 lg:overflow-y-auto relative lg:bg-[linear-gradient(to_left,transparent_calc(100%-30px),color-mix(in_srgb,var(--tab)_38%,transparent))]"
    >
      {right}
    </section>
  </div>
);

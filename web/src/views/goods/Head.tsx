import { showLength } from '@parlor/core/measure';
import type { ReactNode } from 'react';
import { useSet, useUnits } from '../../state/index.ts';
import { canDrawModel, NoModel } from '../../ui/index.ts';

/** What it is and for whom, how large it comes out, and the place where it is seen in three dimensions. */
export const Head = ({
  name,
  size,
  children,
}: {
  readonly name: string;
  readonly size: readonly number[];
  readonly children: ReactNode;
}) => {
  const { doll } = useSet();
  const units = useUnits();
  return (
    <>
      <header className="flex items-start justify-between gap-4">
        <div>
          <h2 className="text-head">
            {name}, for {doll.name || 'the doll'}
          </h2>
          <p className="text-graphite">what follows</p>
        </div>
        <p className="bg-oat rounded-full px-4 py-1.5 text-note whitespace-nowrap" data-testid="verdict">
          {size.map((um) => showLength(um, { ...units, fine: true })).join(' × ')}
        </p>
      </header>
      <div className={canDrawModel() ? 'relative h-80 shrink-0' : 'relative'}>{canDrawModel() ? children : <NoModel />}</div>
    </>
  );
};

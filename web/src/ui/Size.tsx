import { showLength } from '@parlor/core/measure';
import { pointedAt, useAppDispatch, useUnits } from '../state/index.ts';

type Props = { readonly lengthUm: number; readonly world: 'real' | 'doll' };

/** A size that follows and is not typed; pointed at, it lights up on the twin rule. */
export const Size = ({ lengthUm, world }: Props) => {
  const units = useUnits();
  const dispatch = useAppDispatch();
  return (
    <span
      className="whitespace-nowrap rounded-nick hover:bg-sprig"
      onMouseEnter={() => dispatch(pointedAt({ world, lengthUm }))}
      onMouseLeave={() => dispatch(pointedAt(null))}
    >
      {showLength(lengthUm, units)}
    </span>
  );
};

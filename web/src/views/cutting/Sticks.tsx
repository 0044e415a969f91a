import type { CutStick } from '@parlor/core/cut';
import { boughtSticks } from '@parlor/core/cut';
import { formatNumber, showLength, type Units } from '@parlor/core/measure';
import { partOfPiece, partsById, roundedEnd, type StickPlan, slantWords } from '@parlor/core/set';
import { STICKS, stockWords } from '@parlor/core/stock';
import { useMemo } from 'react';
import { tagPointed, useAppDispatch, useAppSelector, useSet, useUnits } from '../../state/index.ts';
import type { Parts } from './SheetTable.tsx';

const mm = (um: number) => um / 1000;

/** A stick as it lies on the table: its pieces from the left, what is cut off hatched, what is left pale. */
const StickDrawing = ({
  stick,
  plan,
  parts,
  kerf,
  longest,
  units,
}: {
  readonly stick: CutStick;
  readonly plan: StickPlan;
  readonly parts: Parts;
  readonly kerf: number;
  readonly longest: number;
  readonly units: Units;
}) => {
  const dispatch = useAppDispatch();
  const pointed = useAppSelector((state) => state.ui.tag);
  const { width, section } = STICKS[plan.stick];
  // What lies there from other work is shorter, and has straight ends.
  const rest = stick.from !== null;
  const length = rest ? stick.pieces.reduce((sum, piece) => sum + piece.length + kerf, stick.rest - kerf) : plan.length;
  const end = rest ? 0 : roundedEnd(plan.stick);
  const high = Math.max(9, mm(width));
  const round = section === 'flat' ? (rest ? 0 : high / 2) : section === 'round' ? 1.5 : 0;
  let at = end > 0 ? end + kerf : 0;
  const pieces = stick.pieces.map((piece) => {
    const from = at;
    at += piece.length + kerf;
    return { ...piece, from, part: parts.get(partOfPiece(piece.id)) };
  });
  const words = pieces.map(({ part, length: long }) => `${part?.tag} ${showLength(long, units)}`).join(', ');
  return (
    <svg
      viewBox={`-1 -1 ${mm(longest) + 2} ${high + 2}`}
      className="block w-full"
      role="img"
      aria-label={`${words}; ${showLength(stick.rest, units)} left`}
    >
      <rect
        width={mm(length)}
        height={high}
        rx={round}
        fill="var(--paper)"
        stroke="var(--graphite)"
        strokeWidth={0.5}
        strokeDasharray="2 1.4"
      />
      {pieces.map(({ id, from, length: long, part }) => {
        const lit = part?.tag === pointed;
        return (
          <g key={id} onMouseEnter={() => dispatch(tagPointed(part?.tag ?? null))} onMouseLeave={() => dispatch(tagPointed(null))}>
            <title>{`${part?.tag} ${part?.name}, ${showLength(long, units)}`}</title>
            <rect
              x={mm(from)}
              width={mm(long)}
              height={high}
              fill={lit ? 'var(--sprig)' : 'var(--oat)'}
              stroke={lit ? 'var(--moss)' : 'var(--ink)'}
              strokeWidth={0.5}
            />
            {mm(long) > 14 && (
              <text
                x={mm(from + long / 2)}
                y={high / 2}
                fontSize={5.4}
                textAnchor="middle"
                dominantBaseline="central"
                fill="var(--ink)"
                className="font-hand"
              >
                {part?.tag}
                {mm(long) > 32 ? ` · ${formatNumber(long, units).text}` : ''}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
};

/** Where each length is marked before it is glued: how far from its end what is glued there begins and ends. */
const Marks = ({ plan: { stick, marked }, units }: { readonly plan: StickPlan; readonly units: Units }) => (
  <details className="mt-2">
    <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
      how each is cut and marked
    </summary>
    <table className="w-full text-body">
      <caption className="sr-only">
        Lengths of {stockWords(stick, units)}, their ends, and where something is glued, from the long point
      </caption>
      <tbody>
        {marked.map(({ tag, name, length, slants, marks, count }) => (
          <tr key={`${tag} ${marks.map(({ from }) => from).join()}`} className="border-b border-dashed border-tab align-top">
            <th scope="row" className="font-normal text-left py-1 pr-3">
              <span className="font-hand">{tag}</span> {name}
              {count > 1 && <span className="text-graphite"> × {count}</span>}
            </th>
            <td className="py-1 pr-3 whitespace-nowrap text-right">{showLength(length, units)}</td>
            <td className="py-1 text-note text-graphite">
              {[
                ...slantWords(slants, units),
                ...marks.map(({ from, to, tag: other }) => `${other} from ${showLength(from, units)} to ${showLength(to, units)}`),
              ].join(' · ') || 'square ends, glued along or by its end'}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  </details>
);

/** Sticks of one kind that are cut alike are drawn once, with how many there are. */
const alike = (sticks: readonly CutStick[], parts: Parts): readonly { readonly stick: CutStick; readonly count: number }[] => {
  const kinds = new Map<string, { stick: CutStick; count: number }>();
  for (const stick of sticks) {
    const key = `${stick.from ?? ''} ${stick.pieces.map(({ id, length }) => `${parts.get(partOfPiece(id))?.tag} ${length}`).join(' ')}`;
    const known = kinds.get(key);
    if (known) known.count += 1;
    else kinds.set(key, { stick, count: 1 });
  }
  return [...kinds.values()];
};

const Plan = ({
  plan,
  parts,
  kerf,
  longest,
  units,
}: {
  readonly plan: StickPlan;
  readonly parts: Parts;
  readonly kerf: number;
  readonly longest: number;
  readonly units: Units;
}) => {
  const { sticks, least, tooLong } = plan.layout;
  const fresh = boughtSticks(plan.layout).length;
  return (
    <section aria-label={stockWords(plan.stick, units)} className="mb-5" data-stick={plan.stick}>
      <header className="flex flex-wrap items-baseline justify-between gap-x-4 mb-1">
        <h3 className="text-pencil">{stockWords(plan.stick, units)}</h3>
        {sticks.length > 0 && (
          <p className="text-note">
            <strong>
              {fresh} of {showLength(plan.length, units)}
            </strong>
            ; {fresh === least ? `${least} is the least possible` : `at least ${least} are needed`}
            {tooLong.length > 0 && ', without what is too long'}
            {sticks.length > fresh && ` · ${sticks.length - fresh} from what lies there`}
          </p>
        )}
      </header>
      {tooLong.length > 0 && (
        <p className="font-hand text-body text-rose border-l-3 border-rose pl-3 mb-2">
          Longer than a stick: {[...new Set(tooLong.map((id) => `${parts.get(id)?.tag} ${parts.get(id)?.name}`))].join(', ')}. Take a longer
          one, or join two over a sleeve.
        </p>
      )}
      <ul className="space-y-1.5">
        {alike(sticks, parts).map(({ stick, count }) => (
          <li key={stick.pieces.map(({ id }) => id).join()} className="grid grid-cols-[2.6rem_1fr] items-center">
            <span className="font-hand text-note text-graphite">{count} ×</span>
            <StickDrawing stick={stick} plan={plan} parts={parts} kerf={kerf} longest={longest} units={units} />
          </li>
        ))}
      </ul>
      <Marks plan={plan} units={units} />
    </section>
  );
};

/** The sticks of the set, kind by kind, with what is cut from each. */
export const Sticks = () => {
  const units = useUnits();
  const { cutting } = useSet();
  const { set, sticks } = useAppSelector((state) => state.derived);
  const parts = useMemo(() => (set ? partsById(set) : new Map()) as Parts, [set]);
  if (sticks.length === 0) return null;
  const longest = Math.max(...sticks.map(({ length }) => length));
  const total = sticks.reduce((sum, { layout }) => sum + layout.sticks.length, 0);
  return (
    <div className="mt-8">
      <header className="mb-4">
        <h2 className="text-head">
          {total} {total === 1 ? 'stick' : 'sticks'} to cut
        </h2>
        <p className="text-graphite">rounded ends come off first</p>
      </header>
      {sticks.map((plan) => (
        <Plan key={plan.stick} plan={plan} parts={parts} kerf={cutting.kerf} longest={longest} units={units} />
      ))}
    </div>
  );
};

import { showLength } from '@parlor/core/measure';
import { type ClothPlan, clothPlans, colourOfCloth, lyingLine } from '@parlor/core/set';
import { type ReactNode, useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { useAppSelector, useSet, useUnits } from '../../state/index.ts';

const path = (ring: readonly (readonly [number, number])[], high: number): string =>
  `M${ring.map(([x, y]) => `${(x / 1000).toFixed(2)} ${((high - y) / 1000).toFixed(2)}`).join('L')}Z`;

const LEAST_WORD = 3.2;

/** Cloth of one width and length, with what lies on it. */
const Lying = ({
  plan,
  places,
  width,
  height,
  label,
}: {
  readonly plan: ClothPlan;
  readonly places: ClothPlan['laid']['places'];
  readonly width: number;
  readonly height: number;
  readonly label: string;
}) => {
  const colour = colourOfCloth(useSet(), plan.cloth.id);
  const room = Math.max(width, height) * 0.012;
  const drawn: ReactNode[] = places.map(({ id, x, y, width: w, height: h, turned }) => {
    const tag = id.split(' ')[0] ?? '';
    const cut = plan.cuts.find((each) => each.tag === tag);
    if (!cut) return null;
    const size = Math.min(h / 1000 / 2, w / 1000 / (tag.length * 0.62), width / 1000 / 28);
    const [cx, cy] = [(x + w / 2) / 1000, (height - y - h / 2) / 1000];
    return (
      <g key={id} data-lies={id}>
        <path
          d={path(lyingLine(cut, x, y, turned), height)}
          className="fill-paper/75 stroke-ink"
          strokeWidth="1.2"
          vectorEffect="non-scaling-stroke"
        >
          <title>{`${tag} ${cut.name}`}</title>
        </path>
        {size > (LEAST_WORD * width) / 1000 / 400 && (
          <text x={cx} y={cy} fontSize={size} textAnchor="middle" dominantBaseline="central" className="fill-ink font-hand">
            {tag}
          </text>
        )}
      </g>
    );
  });
  return (
    <svg
      viewBox={`${-room / 1000} ${-room / 1000} ${(width + 2 * room) / 1000} ${(height + 2 * room) / 1000}`}
      className="w-full max-h-96"
      preserveAspectRatio="xMinYMin meet"
      role="img"
      aria-label={label}
    >
      <rect
        width={width / 1000}
        height={height / 1000}
        fill={colour}
        className="stroke-tab"
        strokeWidth="1"
        vectorEffect="non-scaling-stroke"
      />
      {drawn}
      <g className="stroke-graphite" strokeWidth="1">
        <line x1={0} x2={0} y1={0} y2={height / 1000} strokeDasharray="2 4" vectorEffect="non-scaling-stroke" />
        <line x1={width / 1000} x2={width / 1000} y1={0} y2={height / 1000} strokeDasharray="2 4" vectorEffect="non-scaling-stroke" />
      </g>
    </svg>
  );
};

const One = ({ plan }: { readonly plan: ClothPlan }) => {
  const units = useUnits();
  const { setId } = useParams();
  const { cloth, laid, cuts } = plan;
  const lies = laid.places.length + laid.rests.reduce((sum, { places }) => sum + places.length, 0);
  const short = cloth.length !== null && laid.length > cloth.length ? laid.length - cloth.length : 0;
  return (
    <section aria-label={cloth.name} className="space-y-2" data-plan={cloth.id}>
      <h3 className="text-lead font-semibold">{cloth.name}</h3>
      <p data-testid="cloth-needs">
        {laid.length > 0
          ? `${showLength(laid.length, units)} of it, ${showLength(cloth.width, units)} wide`
          : 'Nothing of the length: all lies on scraps'}
        , for {lies} {lies === 1 ? 'piece' : 'pieces'}
        {laid.length > 0 && (
          <span className="text-graphite">
            {laid.length <= laid.least ? '; less is not possible' : `; ${showLength(laid.least, units)} is the least that could be`}
          </span>
        )}
        .{short > 0 && <span className="text-rose"> {showLength(short, units)} more than is at hand.</span>}
      </p>
      {laid.rests.map(({ rest, places }) => (
        <Lying
          key={rest.id}
          plan={plan}
          places={places}
          width={rest.width}
          height={rest.height}
          label={`A scrap of ${cloth.name}, ${showLength(rest.width, units)} × ${showLength(rest.height, units)}, with ${places.length} on it`}
        />
      ))}
      {laid.places.length > 0 && (
        <Lying
          plan={plan}
          places={laid.places}
          width={cloth.width}
          height={laid.length}
          label={`${cloth.name}, ${laid.places.length} pieces on ${showLength(laid.length, units)}`}
        />
      )}
      {laid.tooWide.length > 0 && <p className="text-rose">Too wide for it: {laid.tooWide.join(', ')}.</p>}
      <details>
        <summary className="min-h-touch flex items-center text-note underline underline-offset-4 decoration-dotted">
          what is cut, {cuts.length} {cuts.length === 1 ? 'kind' : 'kinds'}
        </summary>
        <table className="text-note">
          <tbody>
            {cuts.map(({ tag, name, piece, count, size: [w, h] }) => (
              <tr key={tag} className="border-b border-dotted border-tab">
                <td className="pr-3 py-0.5 font-hand">{tag}</td>
                <td className="pr-3">
                  <Link to={`/sets/${setId}/goods/${piece}`} className="underline underline-offset-4 decoration-dotted">
                    {name}
                  </Link>
                </td>
                <td className="pr-3 text-right tabular-nums">{count} ×</td>
                <td className="text-right tabular-nums whitespace-nowrap">
                  {showLength(w, units)} × {showLength(h, units)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </section>
  );
};

/** How what is sewn lies on its cloths: the grain upwards, selvages at the sides, scraps first. */
export const ClothPlans = () => {
  const set = useSet();
  const derived = useAppSelector((state) => state.derived.set);
  const plans = useMemo(() => (derived ? clothPlans(set, derived) : []), [set, derived]);
  if (plans.length === 0) return null;
  return (
    <section aria-label="Cloth" className="mt-8 space-y-6" data-testid="cloth-plans">
      <h2 className="text-head">Cloth</h2>
      <p className="text-note text-graphite -mt-4">The grain runs upwards, selvages are dotted. Pieces lie by the rectangles round them.</p>
      {plans.map((plan) => (
        <One key={plan.cloth.id} plan={plan} />
      ))}
    </section>
  );
};

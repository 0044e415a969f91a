import { BODY } from '@parlor/core/doll';
import { dollUm, realUm, type Scale, showLength, toDoll, UM } from '@parlor/core/measure';
import { useSet, useUnits } from '../../state/index.ts';
import { Figure, Size } from '../../ui/index.ts';
import { Postures } from './Postures.tsx';
import { Suits } from './Suits.tsx';

/** Heights that touch the body, real sizes from interior-design handbooks (Panero & Zelnik; Neufert), recalled from memory. The share of
 *  stature, where there is one, is the body's own measure (see BODY). */
const TOUCHED = [
  { name: 'chair seat', real: 450 * UM.mm, share: BODY.knee, body: 'the knee' },
  { name: 'table top', real: 740 * UM.mm, share: null, body: '' },
  { name: 'kitchen worktop', real: 910 * UM.mm, share: null, body: '' },
  { name: 'window sill, at most', real: 1000 * UM.mm, share: BODY.eye, body: 'the eyes' },
  { name: 'door leaf', real: 2032 * UM.mm, share: null, body: '' },
  { name: 'ceiling', real: 2438 * UM.mm, share: null, body: '' },
] as const;

const Table = ({ scale, own }: { readonly scale: Scale; readonly own: Scale }) => {
  const { doll } = useSet();
  return (
    <table className="w-full text-body">
      <caption className="sr-only">What the scale means for things in a room</caption>
      <thead>
        <tr className="text-left text-small text-graphite border-b border-tab">
          <th className="font-normal py-1.5">real thing</th>
          <th className="font-normal text-right">real</th>
          <th className="font-normal text-right">by the scale</th>
          <th className="font-normal text-right">by the doll</th>
        </tr>
      </thead>
      <tbody>
        {TOUCHED.map(({ name, real, share, body }) => (
          <tr key={name} className="border-b border-dashed border-tab">
            <th scope="row" className="text-left font-normal py-2">
              {name}
            </th>
            <td className="text-right">
              <Size world="real" lengthUm={real} />
            </td>
            <td className="text-right font-semibold">
              <Size world="doll" lengthUm={toDoll(realUm(real), scale)} />
            </td>
            <td className="text-right">
              <Size world="doll" lengthUm={share === null ? toDoll(realUm(real), own) : dollUm(doll.height * share)} />
              <span className="block text-small text-graphite">{share === null ? 'own ratio' : body}</span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
};

const Pair = () => {
  const { doll } = useSet();
  const units = useUnits();
  const [person, small] = [doll.stature / 1000, doll.height / 1000];
  const width = person * 1.35;
  const words = `${doll.name}, ${showLength(doll.height, units)}, beside the person the doll stands for, ${showLength(doll.stature, units)}`;
  return (
    <svg viewBox={`0 ${-person * 1.1} ${width} ${person * 1.2}`} className="w-full h-[340px]" role="img" aria-label={words}>
      <line x1={width * 0.04} x2={width * 0.96} y1="0" y2="0" stroke="var(--tab)" strokeWidth={person * 0.006} />
      <Figure heightUm={doll.stature} x={width * 0.34} floor={0} fill="var(--oat)" />
      <Figure heightUm={doll.height} x={width * 0.72} floor={0} />
      <g className="font-hand" fill="var(--graphite)" textAnchor="middle" fontSize={person * 0.05}>
        <text x={width * 0.34} y={-person * 1.035}>
          {doll.standsFor}, {showLength(doll.stature, units)}
        </text>
        <text x={width * 0.72} y={-small - person * 0.03}>
          {doll.name}, {showLength(doll.height, units)}
        </text>
      </g>
    </svg>
  );
};

/** What follows from the doll: the figure beside the person, and what both schools of scale make of things that touch the body. */
export const Consequences = ({ scale, ratio }: { readonly scale: Scale; readonly ratio: number }) => {
  const { doll } = useSet();
  const own: Scale = { doll: doll.height, real: doll.stature };
  return (
    <div className="space-y-4">
      <header>
        <h2 className="text-head">1 : {Number(ratio.toFixed(2))}</h2>
        <p className="text-graphite">what follows</p>
      </header>
      <Pair />
      <Postures />
      <Table scale={scale} own={own} />
      <p className="text-small text-graphite">
        Body measures from stature after Drillis &amp; Contini, recalled; measure your own doll where it matters.
      </p>
      <Suits />
    </div>
  );
};

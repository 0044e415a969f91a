import { RULES, type Verdict } from '@parlor/core/doll';
import { type BodyFit, fitOf, goodWords, meansOf, seatUnder } from '@parlor/core/set';
import { Check, CircleAlert, TriangleAlert } from 'lucide-react';
import { useMemo } from 'react';
import { useAppSelector, useEdit, useSet, useUnits } from '../../state/index.ts';
import { cx, Size } from '../../ui/index.ts';

const SIGNS: Readonly<Record<Verdict, typeof Check>> = { good: Check, odd: TriangleAlert, wrong: CircleAlert };

const useFits = (): readonly BodyFit[] => {
  const document = useSet();
  const derived = useAppSelector((state) => state.derived.set);
  return useMemo(() => {
    const means = meansOf(document);
    const alone = document.pieces.flatMap((piece) => {
      const made = derived?.pieces.find(({ id }) => id === piece.id)?.made;
      return made ? fitOf(piece, made.assembly, means) : [];
    });
    const pairs = document.pieces.flatMap((table) => document.pieces.flatMap((seat) => seatUnder(table, seat, means)));
    return [...alone, ...pairs];
  }, [document, derived]);
};

const Line = ({ fit }: { readonly fit: BodyFit }) => {
  const units = useUnits();
  const edit = useEdit();
  const rule = RULES[fit.rule];
  const Sign = SIGNS[fit.verdict];
  const why = fit.off === null ? '' : fit.off === 'low' ? rule.low : rule.high;
  const { change } = fit;
  return (
    <tr className="border-b border-dashed border-tab align-top" data-fit={fit.verdict}>
      <td className="py-2 pr-2">
        <Sign size={16} className={cx('inline', fit.verdict === 'good' ? 'text-moss' : 'text-rose')} aria-label={fit.verdict} />
      </td>
      <th scope="row" className="text-left font-normal py-2">
        {rule.what}
        {fit.of && <span className="text-graphite">, {fit.of}</span>}
        <span className="block text-small text-graphite">
          {fit.doll}: {goodWords(fit.low, fit.high, units)} suits {rule.against}
        </span>
        {why && <span className="block font-hand text-rose">{why}</span>}
      </th>
      <td className="py-2 pl-2 text-right whitespace-nowrap">
        <Size world="doll" lengthUm={fit.value} />
        {change && fit.verdict !== 'good' && (
          <button
            type="button"
            className="block ml-auto min-h-touch underline underline-offset-4 decoration-2 font-hand"
            onClick={() => edit(`${rule.what} of ${fit.piece} for ${fit.doll}`, { kind: 'change-piece', id: fit.pieceId, change })}
          >
            by the doll: <Size world="doll" lengthUm={fit.better} />
          </button>
        )}
      </td>
    </tr>
  );
};

/** Whether they can live with what is in the set: every size that a body meets, piece by piece, what is not good first. */
export const Suits = () => {
  const fits = useFits();
  const { doll, company } = useSet();
  const stiff = [doll, ...company].flatMap(({ name, bends }) => (bends.hips ? [] : [name]));
  const bad = fits.filter(({ verdict }) => verdict !== 'good').length;
  const order: readonly Verdict[] = ['wrong', 'odd', 'good'];
  const names = [...new Set(fits.map(({ pieceId }) => pieceId))];
  const grave = (id: string): number =>
    Math.min(...fits.filter(({ pieceId }) => pieceId === id).map(({ verdict }) => order.indexOf(verdict)));
  if (fits.length === 0) return null;
  return (
    <section aria-label="Whether it suits them" data-testid="suits">
      <h2 className="text-head">Can they live there?</h2>
      <p className="text-graphite">
        {bad === 0
          ? 'Every size that a body meets suits who uses it.'
          : `${fits.length - bad} of ${fits.length} sizes suit those who use them.`}
      </p>
      {stiff.map((name) => (
        <p key={name} className="font-hand text-graphite">
          {name} sits on nothing, for her hips do not bend: seats are left out for her.
        </p>
      ))}
      {names
        .sort((a, b) => grave(a) - grave(b))
        .map((id) => {
          const mine = fits.filter(({ pieceId }) => pieceId === id).sort((a, b) => order.indexOf(a.verdict) - order.indexOf(b.verdict));
          return (
            <details key={id} open={grave(id) < 2} className="mt-1">
              <summary className="min-h-touch flex items-center gap-2 font-semibold">
                {mine[0]?.piece}
                <span className="font-normal text-graphite text-note">
                  {grave(id) === 2 ? 'suits' : grave(id) === 1 ? 'is a little odd' : 'does not suit'}
                </span>
              </summary>
              <table className="w-full text-note">
                <tbody>
                  {mine.map((fit) => (
                    <Line key={`${fit.rule} ${fit.of} ${fit.doll}`} fit={fit} />
                  ))}
                </tbody>
              </table>
            </details>
          );
        })}
      <p className="text-small text-graphite mt-2">
        Bands from interior-design handbooks (Panero &amp; Zelnik; Neufert) over mean statures, recalled from memory; where there is no
        source, common practice.
      </p>
    </section>
  );
};

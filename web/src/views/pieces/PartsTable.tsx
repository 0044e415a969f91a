import { formatNumber } from '@parlor/core/measure';
import { type MadePiece, slantWords } from '@parlor/core/set';
import { stockWords } from '@parlor/core/stock';
import { Link, useParams } from 'react-router';
import { pointedAt, tagPointed, useAppDispatch, useAppSelector, useUnits } from '../../state/index.ts';
import { cx } from '../../ui/index.ts';

/** The parts to cut, grouped; a row that is pointed at lights its parts in the drawing and the model. */
export const PartsTable = ({ made }: { readonly made: MadePiece }) => {
  const { setId } = useParams();
  const units = useUnits();
  const dispatch = useAppDispatch();
  const pointed = useAppSelector((state) => state.desk.tag);
  const show = (lengthUm: number) => formatNumber(lengthUm, units).text;
  const light = (tag: string | null, lengthUm = 0) => {
    dispatch(tagPointed(tag));
    dispatch(pointedAt(tag === null ? null : { world: 'doll', lengthUm }));
  };
  return (
    <table className="w-full text-body" data-testid="parts">
      <caption className="sr-only">Parts to cut, at doll size</caption>
      <thead>
        <tr className="text-small text-graphite text-left border-b border-tab">
          <th className="font-normal py-1 w-11">
            <span className="sr-only">tag</span>
          </th>
          <th className="font-normal">part</th>
          <th className="font-normal text-right w-8">cut</th>
          <th className="font-normal text-right" colSpan={3}>
            doll size, {units.unit}
          </th>
        </tr>
      </thead>
      <tbody>
        {made.groups.map(({ tag, name, width, height, parts, stuff, stock, length, slants }) => (
          <tr
            key={tag}
            data-tag={tag}
            className={cx('border-b border-dashed border-tab', pointed === tag && 'bg-sprig')}
            onMouseEnter={() => light(tag, Math.max(width, height))}
            onMouseLeave={() => light(null)}
          >
            <td className="py-1.5 pr-2">
              <button
                type="button"
                aria-label={`${tag}: show it in the drawings`}
                className="relative inline-grid place-items-center min-w-9 h-7 px-1 border-2 border-ink rounded-nick font-hand text-body before:absolute before:-inset-2 before:content-['']"
                onFocus={() => light(tag, Math.max(width, height))}
                onBlur={() => light(null)}
                onClick={() => light(tag, Math.max(width, height))}
              >
                {tag}
              </button>
            </td>
            <th scope="row" className="font-normal text-left pr-2">
              {stuff === 'board' || stuff === 'clear' || stuff === 'pad' ? (
                <Link
                  to={`/sets/${setId}/printing?find=${tag}`}
                  title="its page to print"
                  className="inline-block min-h-6 underline decoration-dotted decoration-1 underline-offset-4 decoration-tab hover:decoration-moss hover:text-moss"
                >
                  {name}
                  <span className="sr-only">: its page to print</span>
                </Link>
              ) : (
                name
              )}
              {stuff !== 'board' && (
                <span className="block text-small text-graphite">
                  {stockWords(stock, units)}
                  {length === null ? '' : ', long'}
                </span>
              )}
              {slantWords(slants, units).map((words) => (
                <span key={words} className="block text-small text-graphite">
                  {words}
                </span>
              ))}
            </th>
            <td className="text-right">{parts.length}</td>
            {stuff === 'board' || stuff === 'clear' || stuff === 'pad' ? (
              <>
                <td className="text-right pl-2 whitespace-nowrap w-12">{show(width)}</td>
                <td className="text-center px-0.5 text-graphite w-4">×</td>
                <td className="text-right whitespace-nowrap w-12">{show(height)}</td>
              </>
            ) : (
              <td className="text-right pl-2 whitespace-nowrap" colSpan={3}>
                {length === null ? <span className="text-graphite">found</span> : show(Math.round(length))}
              </td>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
};

import type { CutGroup } from '@parlor/core/cut';
import { formatNumber } from '@parlor/core/measure';
import { slantWords, type Taking } from '@parlor/core/set';
import { stockWords } from '@parlor/core/stock';
import { Link, useParams } from 'react-router';
import { pointedAt, tagPointed, useAppDispatch, useAppSelector, useUnits } from '../../state/index.ts';
import { cx } from '../../ui/index.ts';

/** What is cut by an outline, and has a page. */
const hasPage = ({ stuff }: CutGroup): boolean => stuff === 'board' || stuff === 'clear' || stuff === 'pad';

const Name = ({ group: { tag, name, stuff, stock, length, slants }, paged }: { readonly group: CutGroup; readonly paged: boolean }) => {
  const { setId } = useParams();
  const units = useUnits();
  return (
    <th scope="row" className="font-normal text-left pr-2">
      {paged ? (
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
  );
};

/** Parts alike; pointed at, the row lights them in the drawing and the model. */
const PartRow = ({ group }: { readonly group: CutGroup }) => {
  const units = useUnits();
  const dispatch = useAppDispatch();
  const pointed = useAppSelector((state) => state.ui.tag);
  const { tag, width, height, length, parts } = group;
  const paged = hasPage(group);
  const show = (lengthUm: number) => formatNumber(lengthUm, units).text;
  const light = (on: boolean) => {
    dispatch(tagPointed(on ? tag : null));
    dispatch(pointedAt(on ? { world: 'doll', lengthUm: Math.max(width, height) } : null));
  };
  return (
    <tr
      data-tag={tag}
      className={cx('border-b border-dashed border-tab', pointed === tag && 'bg-sprig')}
      onMouseEnter={() => light(true)}
      onMouseLeave={() => light(false)}
    >
      <td className="py-1.5 pr-2">
        <button
          type="button"
          aria-label={`${tag}: show it in the drawings`}
          className="relative inline-grid place-items-center min-w-9 h-7 px-1 border-2 border-ink rounded-nick font-hand text-body before:absolute before:-inset-2 before:content-['']"
          onFocus={() => light(true)}
          onBlur={() => light(false)}
          onClick={() => light(true)}
        >
          {tag}
        </button>
      </td>
      <Name group={group} paged={paged} />
      <td className="text-right">{parts.length}</td>
      {paged ? (
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
  );
};

/** A hinge of paper, tape, wire: nothing that is seen by itself in the drawings. */
const BesidesRow = ({ taking }: { readonly taking: Extract<Taking, { kind: 'flat' | 'besides' }> }) => {
  const units = useUnits();
  const show = (lengthUm: number): string => formatNumber(Math.round(lengthUm), units).text;
  const { flat, extra } = taking.kind === 'flat' ? { flat: taking.flat, extra: undefined } : { flat: undefined, extra: taking.extra };
  const [width, height] = flat ? [flat.width, flat.height] : [extra?.length ?? 0, extra?.wide ?? 0];
  return (
    <tr className="border-b border-dashed border-tab">
      <td className="py-1.5 pr-2 font-hand">{flat?.tag}</td>
      <th scope="row" className="font-normal text-left pr-2">
        {taking.name}
        {flat && <span className="block text-small text-graphite">{flat.of}</span>}
      </th>
      <td className="text-right">{extra?.grams === undefined && taking.count}</td>
      <td className="text-right pl-2 whitespace-nowrap" colSpan={3}>
        {extra?.grams === undefined
          ? [width, height]
              .filter((each) => each > 0)
              .map(show)
              .join(' × ')
          : `${extra.grams} g`}
      </td>
    </tr>
  );
};

/** What a piece takes: its parts by group, then what is folded or bought besides. */
export const PartsTable = ({ takings }: { readonly takings: readonly Taking[] }) => (
  <table className="w-full text-body" data-testid="parts">
    <caption className="sr-only">What it takes, at doll size</caption>
    <thead>
      <tr className="text-small text-graphite text-left border-b border-tab">
        <th className="font-normal py-1 w-11">
          <span className="sr-only">tag</span>
        </th>
        <th className="font-normal">part</th>
        <th className="font-normal text-right w-8">cut</th>
        <th className="font-normal text-right" colSpan={3}>
          doll size, {useUnits().unit}
        </th>
      </tr>
    </thead>
    <tbody>
      {takings.map((taking) =>
        taking.kind === 'flat' || taking.kind === 'besides' ? (
          <BesidesRow
            key={taking.kind === 'flat' ? `${taking.tag} ${taking.flat.width} ${taking.flat.height}` : taking.name}
            taking={taking}
          />
        ) : (
          <PartRow key={taking.tag} group={taking.group} />
        ),
      )}
    </tbody>
  </table>
);

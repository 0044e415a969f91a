import type { Sheet } from '@parlor/core/cut';
import { formatNumber, type Units } from '@parlor/core/measure';
import { type BoardLayout, partsById } from '@parlor/core/set';
import { useMemo } from 'react';
import { layOutAgain, stopLayingOut, tagPointed, useAppDispatch, useAppSelector, useSet, useUnits } from '../../state/index.ts';
import { Button, Patience, useLong } from '../../ui/index.ts';
import { type Parts, SheetTable } from './SheetTable.tsx';

const filled = (sheets: readonly Sheet[], parts: Parts): number => {
  const area = (list: readonly { width: number; height: number }[]) => list.reduce((sum, { width, height }) => sum + width * height, 0);
  const cut = sheets.flatMap(({ placements }) => placements.flatMap(({ id }) => parts.get(id) ?? []));
  return Math.round((100 * area(cut)) / Math.max(1, area(sheets.map(({ kind }) => kind))));
};

const sizes = ({ width, height }: { readonly width: number; readonly height: number }, units: Units): string =>
  `${formatNumber(width, units).text} × ${formatNumber(height, units).text} ${units.unit}`;

const SheetDrawing = ({
  sheet,
  number,
  parts,
  units,
  most,
}: {
  readonly sheet: Sheet;
  readonly number: number;
  readonly parts: Parts;
  readonly units: Units;
  readonly most: number;
}) => {
  const dispatch = useAppDispatch();
  const pointed = useAppSelector((state) => state.desk.tag);
  const mm = (um: number) => um / 1000;
  const { width, height } = sheet.kind;
  const stroke = mm(most) * 0.002;
  return (
    <figure className="min-w-0">
      <svg
        viewBox={`${-stroke} ${-stroke} ${mm(width) + 2 * stroke} ${mm(height) + 2 * stroke}`}
        style={{ width: `${(width / most) * 100}%` }}
        className="block"
        role="img"
        aria-label={`Sheet ${number}, ${sheet.kind.name}: ${sheet.placements.map(({ id }) => parts.get(id)?.tag).join(', ')}`}
      >
        <rect width={mm(width)} height={mm(height)} fill="var(--paper)" stroke="var(--graphite)" strokeWidth={stroke} />
        {sheet.placements.map(({ id, x, y, rotated }) => {
          const part = parts.get(id);
          if (!part) return null;
          const [w, h] = rotated ? [part.height, part.width] : [part.width, part.height];
          const [px, py] = [mm(x), mm(height - y - h)];
          const size = Math.min(mm(Math.min(w, h)) * 0.62, mm(Math.max(w, h)) * 0.3, mm(most) * 0.042);
          const lit = part.tag === pointed;
          return (
            <g key={id} onMouseEnter={() => dispatch(tagPointed(part.tag))} onMouseLeave={() => dispatch(tagPointed(null))}>
              <title>{`${part.tag} ${part.name}, ${sizes(part, units)}`}</title>
              <rect
                x={px}
                y={py}
                width={mm(w)}
                height={mm(h)}
                fill={lit ? 'var(--sprig)' : 'var(--oat)'}
                stroke={lit ? 'var(--moss)' : 'var(--ink)'}
                strokeWidth={stroke}
              />
              <text
                x={px + mm(w) / 2}
                y={py + mm(h) / 2}
                fontSize={size}
                textAnchor="middle"
                dominantBaseline="central"
                fill="var(--ink)"
                className="font-hand"
                transform={h > w * 1.6 ? `rotate(-90 ${px + mm(w) / 2} ${py + mm(h) / 2})` : undefined}
              >
                {part.tag}
              </text>
            </g>
          );
        })}
      </svg>
      <figcaption className="text-small text-graphite mt-1">
        {number} · {sheet.kind.name}
        <br />
        largest rest {sizes(sheet.offcut, units)}
      </figcaption>
      <SheetTable sheet={sheet} parts={parts} units={units} number={number} />
    </figure>
  );
};

const Board = ({
  laid,
  name,
  parts,
  units,
  most,
}: {
  readonly laid: BoardLayout;
  readonly name: string;
  readonly parts: Parts;
  readonly units: Units;
  readonly most: number;
}) => {
  const { sheets, least } = laid.layout;
  const count = `${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'}`;
  return (
    <section aria-label={name} className="mb-7" data-board={laid.board}>
      <header className="flex flex-wrap items-baseline justify-between gap-x-4 mb-2">
        <h3 className="text-pencil">{name}</h3>
        <p className="text-note" data-testid="bound">
          <strong>{count}</strong>;{' '}
          {sheets.length === least ? `${least} is the least possible` : `at least ${least} ${least === 1 ? 'is' : 'are'} needed`} ·{' '}
          {filled(sheets, parts)} % used
        </p>
      </header>
      <div className="grid grid-cols-2 xl:grid-cols-3 gap-4">
        {sheets.map((sheet, index) => (
          <SheetDrawing key={`${laid.key.length} ${index}`} sheet={sheet} number={index + 1} parts={parts} units={units} most={most} />
        ))}
      </div>
    </section>
  );
};

/** The sheets of every board, with what lies on them and how near to the least possible they are. */
export const Sheets = () => {
  const { boards } = useSet();
  const units = useUnits();
  const { set, layouts, layoutsFrom, layingOut } = useAppSelector((state) => state.derived);
  const long = useLong(layingOut === 'under way');
  const parts = useMemo(() => (set ? partsById(set) : new Map()) as Parts, [set]);
  // All boards are drawn to one scale, the largest sheet as wide as its column.
  const most = Math.max(1, ...layouts.flatMap(({ layout }) => layout.sheets.map(({ kind }) => kind.width)));
  const total = layouts.reduce((sum, { layout }) => sum + layout.sheets.length, 0);
  return (
    <div aria-busy={layingOut === 'under way'}>
      <header className="mb-5">
        <h2 className="text-head">
          {layoutsFrom === null
            ? 'Laying out …'
            : total === 0
              ? 'Nothing to cut yet'
              : `${total} ${total === 1 ? 'sheet' : 'sheets'} to cut`}
        </h2>
        <p className="text-graphite">
          {total === 0 ? 'Add a piece, and its parts lie down here.' : 'what follows · every cut runs from edge to edge'}
        </p>
      </header>
      {long && <Patience what="laying out the boards" onStop={stopLayingOut} />}
      {layingOut === 'stopped' && (
        <p className="flex flex-wrap items-center gap-3 mb-4">
          Stopped: the boards below are those of before your last change.
          <Button onClick={layOutAgain}>Lay them out</Button>
        </p>
      )}
      {layouts.map((laid) => (
        <Board
          key={laid.board}
          laid={laid}
          name={boards.find(({ id }) => id === laid.board)?.name ?? laid.board}
          parts={parts}
          units={units}
          most={most}
        />
      ))}
    </div>
  );
};

import { formatNumber, type Units } from '@parlor/core/measure';
import { type CutSheet, untickCut } from '@parlor/core/set';
import { Undo2 } from 'lucide-react';
import { useEdit, useSet } from '../../state/index.ts';
import { Button } from '../../ui/index.ts';
import type { Parts } from './SheetTable.tsx';

const mm = (um: number) => um / 1000;

const Done = ({ sheet, parts, units }: { readonly sheet: CutSheet; readonly parts: Parts; readonly units: Units }) => {
  const document = useSet();
  const edit = useEdit();
  const tags = sheet.parts.map(({ id }) => parts.get(id)?.tag ?? 'a part that is gone');
  const stale = sheet.parts.filter(({ id, width, height }) => parts.get(id)?.width !== width || parts.get(id)?.height !== height);
  return (
    <li className="flex items-center gap-3 py-1 border-b border-dashed border-tab">
      <svg viewBox={`0 0 ${mm(sheet.width)} ${mm(sheet.height)}`} className="h-14 shrink-0" aria-hidden="true">
        <rect width={mm(sheet.width)} height={mm(sheet.height)} fill="var(--steel)" opacity={0.4} />
        {sheet.parts.map(({ id, x, y, turn, width, height }) => {
          const [w, h] = turn % 2 === 1 ? [height, width] : [width, height];
          return (
            <rect
              key={id}
              x={mm(x)}
              y={mm(sheet.height - y - h)}
              width={mm(w)}
              height={mm(h)}
              fill="var(--sprig)"
              stroke="var(--moss)"
              strokeWidth={mm(sheet.height) * 0.008}
            />
          );
        })}
      </svg>
      <p className="text-note flex-1 min-w-0">
        {sheet.name === 'offcut'
          ? `an offcut of ${formatNumber(sheet.width, units).text} × ${formatNumber(sheet.height, units).text} ${units.unit}`
          : sheet.name}
        : {tags.slice(0, 8).join(', ')}
        {tags.length > 8 && ` and ${tags.length - 8} more`}
        {stale.length > 0 && (
          <span className="font-hand text-rose">
            {' '}
            {stale.length} {stale.length === 1 ? 'part has' : 'parts have'} another size now, and {stale.length === 1 ? 'is' : 'are'} laid
            out again.
          </span>
        )}
      </p>
      <Button look="quiet" onClick={() => edit('a sheet not cut after all', untickCut(document, sheet))}>
        <Undo2 size={16} /> not cut after all
      </Button>
    </li>
  );
};

/** Sheets that are cut already: they are planned no more. */
export const CutSheets = ({ board, parts, units }: { readonly board: string; readonly parts: Parts; readonly units: Units }) => {
  const { cutting } = useSet();
  const done = cutting.cut.filter((sheet) => sheet.board === board);
  if (done.length === 0) return null;
  return (
    <section aria-label="Sheets that are cut" data-testid="cut-sheets" className="mt-3">
      <h4 className="text-note text-graphite">already cut</h4>
      <ul>
        {done.map((sheet) => (
          <Done key={sheet.id} sheet={sheet} parts={parts} units={units} />
        ))}
      </ul>
    </section>
  );
};

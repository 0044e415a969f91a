import type { Page } from '@parlor/core/print';
import { memo } from 'react';
import { Marks, mm } from '../../ui/index.ts';

/** A page as it will be printed, drawn from the very marks that the PDF is written from. Paper stays white at night. */
export const PageDrawing = memo(({ page, number }: { readonly page: Page; readonly number: number }) => (
  <figure className="min-w-0">
    <svg
      viewBox={`0 0 ${mm(page.width)} ${mm(page.height)}`}
      className="w-full bg-sheet shadow-leaf font-text"
      role="img"
      aria-label={`Page ${number}: ${page.title}`}
      data-page={number}
    >
      <Marks marks={page.marks} height={page.height} />
    </svg>
    <figcaption className="text-small text-graphite mt-1 truncate" title={page.title}>
      {number} · {page.title}
    </figcaption>
  </figure>
));

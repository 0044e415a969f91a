import type { SetDocument } from '@parlor/core/set';
import { PRINT_STOCKS } from '@parlor/core/stock';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useCallback, useId, useState } from 'react';
import { Link } from 'react-router';
import { type PageInfo, type PagesReply, tagPointed, useAppDispatch, useSet } from '../../state/index.ts';
import { Button, Check, MarginNotes, notesOf, Sheet, useArrows } from '../../ui/index.ts';
import { PagePicture } from './PagePicture.tsx';

/** The piece that a part belongs to, found by the number that its tag begins with. */
const pieceOf = ({ pieces }: SetDocument, tag: string): string | undefined =>
  pieces.find(({ mark }) => String(mark) === /^\d+/.exec(tag)?.[0])?.id;

/** The parts that a page shows, each the way to where it is made. */
const PartsOf = ({ parts }: { readonly parts: readonly string[] }) => {
  const document = useSet();
  const dispatch = useAppDispatch();
  return parts.map((tag) => {
    const piece = pieceOf(document, tag);
    return piece ? (
      <Link
        key={tag}
        to={`../pieces/${piece}`}
        relative="path"
        aria-label={`${tag}: where it is made`}
        onClick={() => dispatch(tagPointed(tag))}
        className="inline-grid place-items-center min-w-7 h-7 font-hand underline underline-offset-2 decoration-1 hover:text-moss"
      >
        {tag}
      </Link>
    ) : (
      <span key={tag} className="font-hand">
        {tag}
      </span>
    );
  });
};

const Meta = ({ page }: { readonly page: PageInfo }) => (
  <>
    {page.on !== 'plain' && <span className="bg-oat rounded-nick px-1">{PRINT_STOCKS[page.on].name}</span>}
    {page.ink > 0.005 && <span title="The share of the page that is solid ink">ink {Math.round(page.ink * 100)} %</span>}
  </>
);

/** One page held up close; the arrows turn to the next. */
const Close = ({
  pages,
  made,
  index,
  onGo,
  onClose,
}: {
  readonly pages: readonly PageInfo[];
  readonly made: number;
  readonly index: number;
  readonly onGo: (index: number) => void;
  readonly onClose: () => void;
}) => {
  const page = pages[index] as PageInfo;
  const last = pages.length - 1;
  useArrows(useCallback((by: 1 | -1) => onGo(Math.max(0, Math.min(last, index + by))), [index, last, onGo]));
  return (
    <Sheet wide title={`Page ${index + 1} of ${pages.length}`} open onOpenChange={(open) => !open && onClose()}>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 mb-3 text-note" role="group" aria-label="Turn the pages">
        <Button look="quiet" className="px-2.5!" aria-label="The page before" disabled={index === 0} onClick={() => onGo(index - 1)}>
          <ChevronLeft size={18} />
        </Button>
        <Button look="quiet" className="px-2.5!" aria-label="The next page" disabled={index === last} onClick={() => onGo(index + 1)}>
          <ChevronRight size={18} />
        </Button>
        <span>{page.title}</span>
        <span className="flex flex-wrap gap-x-2">
          <PartsOf parts={page.parts} />
        </span>
        <Meta page={page} />
      </div>
      <PagePicture
        key={`${made} ${index}`}
        made={made}
        index={index}
        size={page}
        label={`Page ${index + 1}, close: ${page.title}`}
        className="max-w-3xl mx-auto"
      />
    </Sheet>
  );
};

/** Whether a page shows a part that is looked for: by its tag, or a word of its title. */
const shows = (page: PageInfo, sought: string): boolean => {
  const words = sought.trim().toLowerCase();
  return words === '' || page.parts.some((tag) => tag.toLowerCase() === words) || page.title.toLowerCase().includes(words);
};

type Props = {
  readonly reply: PagesReply;
  /** The pages that are to be printed, by index. */
  readonly chosen: ReadonlySet<number>;
  readonly onChoose: (chosen: ReadonlySet<number>) => void;
  /** What is looked for at first: the tag of a part whose page was asked for. */
  readonly find: string;
};

/** The pages, each with a box to tick, what is on it, and the way to its parts. */
export const PageShelf = ({ reply, chosen, onChoose, find }: Props) => {
  const { made, pages, findings } = reply;
  const [sought, setSought] = useState(find);
  const [close, setClose] = useState<number | null>(null);
  const search = useId();
  const toggle = (index: number) => {
    const next = new Set(chosen);
    if (!next.delete(index)) next.add(index);
    onChoose(next);
  };
  const found = pages.flatMap((page, index) => (shows(page, sought) ? [{ page, index }] : []));
  const all = chosen.size === pages.length;
  return (
    <>
      {findings.length > 0 && <MarginNotes notes={notesOf(findings)} label="What to look at before printing" className="mb-4" />}
      {pages.length > 1 && (
        <div className="flex flex-wrap items-end gap-x-4 gap-y-1 mb-3">
          <div>
            <label htmlFor={search} className="flex text-small text-graphite">
              Find a part
            </label>
            <input
              id={search}
              type="search"
              value={sought}
              placeholder="1A, back …"
              autoComplete="off"
              onChange={({ target }) => setSought(target.value)}
              className="font-hand text-lead w-36 min-h-touch bg-transparent text-ink border-b-2 border-dotted border-tab hover:border-moss"
            />
          </div>
          <Button look="quiet" onClick={() => onChoose(new Set(all ? [] : pages.keys()))}>
            {all ? 'none of them' : 'all of them'}
          </Button>
          {sought.trim() !== '' && found.length > 0 && (
            <Button look="quiet" onClick={() => onChoose(new Set(found.map(({ index }) => index)))}>
              only these {found.length}
            </Button>
          )}
        </div>
      )}
      {found.length === 0 && pages.length > 0 && <p className="font-hand text-lead">No page shows “{sought.trim()}”.</p>}
      <div className="grid grid-cols-2 2xl:grid-cols-3 gap-4">
        {found.map(({ page, index }) => (
          <figure key={`${made} ${index}`} className="min-w-0">
            <button
              type="button"
              className="block w-full cursor-zoom-in"
              aria-label={`Page ${index + 1}: ${page.title}. Look at it closely`}
              onClick={() => setClose(index)}
            >
              <PagePicture made={made} index={index} size={page} label={`Page ${index + 1}: ${page.title}`} />
            </button>
            <figcaption className="text-small text-graphite">
              <Check checked={chosen.has(index)} onChange={() => toggle(index)}>
                <span className="truncate" title={page.title}>
                  page {index + 1}
                  {page.title === page.parts.join(' ') ? '' : ` · ${page.title}`}
                </span>
              </Check>
              <span className="flex flex-wrap gap-x-2 gap-y-0.5">
                <PartsOf parts={page.parts} />
                <Meta page={page} />
              </span>
            </figcaption>
          </figure>
        ))}
      </div>
      {close !== null && pages[close] && <Close pages={pages} made={made} index={close} onGo={setClose} onClose={() => setClose(null)} />}
    </>
  );
};

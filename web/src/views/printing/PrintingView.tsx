import { showLength, UM } from '@parlor/core/measure';
import { SIDES, type Sides } from '@parlor/core/print';
import type { PagesWanted } from '@parlor/core/set';
import { FileArchive, FileDown, Slice } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { noticed, type PageFormat, StoppedSearch, stopPress, useAppDispatch, useSet, useUnits, writtenThere } from '../../state/index.ts';
import { Button, Check, Choice, Patience, SizeField, Spread, saveAs, useLong } from '../../ui/index.ts';
import { CutFiles } from './CutFiles.tsx';
import { LineKey } from './LineKey.tsx';
import { PageShelf } from './PageShelf.tsx';
import { PrinterCard } from './PrinterCard.tsx';
import { type MadePages, usePages } from './usePages.ts';
import { type Printing, usePrinting } from './usePrinting.ts';

const PAPER = [
  { value: 'a4', label: 'A4' },
  { value: 'letter', label: 'Letter' },
] as const;

const WHAT = [
  { value: 'templates', label: 'templates' },
  { value: 'coverings', label: 'coverings' },
  { value: 'patterns', label: 'sewing patterns' },
  { value: 'all', label: 'everything' },
] as const;

/** What the address asks for; templates when it asks for nothing. */
const whatIs = (asked: string | null): PagesWanted['what'] => WHAT.find(({ value }) => value === asked)?.value ?? 'templates';

const SIDE_WORDS: Readonly<Record<Sides, string>> = { one: 'one', long: 'both, long edge', short: 'both, short edge' };
const SIDE_OPTIONS = SIDES.map((value) => ({ value, label: SIDE_WORDS[value] }));

const PieceChoice = ({ wanted, onChange }: { readonly wanted: PagesWanted; readonly onChange: (wanted: PagesWanted) => void }) => {
  const { pieces } = useSet();
  const all = pieces.map(({ id }) => id);
  const chosen = wanted.pieces ?? all;
  const toggle = (id: string) => {
    const next = all.filter((each) => (each === id ? !chosen.includes(id) : chosen.includes(each)));
    onChange({ ...wanted, pieces: next.length === all.length ? null : next });
  };
  return (
    <fieldset className="min-w-0">
      <legend className="text-small text-graphite">Of these pieces</legend>
      {pieces.map(({ id, name, mark }) => (
        <Check key={id} checked={chosen.includes(id)} onChange={() => toggle(id)}>
          <span className="font-hand">{mark}</span>
          <span className="truncate">{name || 'no name yet'}</span>
        </Check>
      ))}
    </fieldset>
  );
};

const FILES = { pdf: { end: 'pdf', type: 'application/pdf' }, svgs: { end: 'zip', type: 'application/zip' } } as const;

const NAMES = { templates: 'templates', coverings: 'coverings', patterns: 'patterns', all: 'pages' } as const;

type DownloadProps = {
  readonly what: PagesWanted['what'];
  readonly made: MadePages | null;
  readonly chosen: ReadonlySet<number>;
  /** The last page comes first: for printers that lay each page on the one before, face up. */
  readonly lastFirst: boolean;
};

/** The chosen pages as one PDF, or as an SVG for each. */
const Download = ({ what, made, chosen, lastFirst }: DownloadProps) => {
  const dispatch = useAppDispatch();
  const [written, setWritten] = useState<number | null>(null);
  const long = useLong(written !== null);
  const reply = made !== null && typeof made !== 'string' ? made : null;
  const which = [...chosen].sort((a, b) => (lastFirst ? b - a : a - b));
  const download = async (format: PageFormat) => {
    if (!reply) return;
    // What was on its way when it was stopped comes too late.
    let going = true;
    setWritten(0);
    try {
      const bytes = await writtenThere(reply.made, which, format, (count) => going && setWritten(count));
      if (bytes) saveAs(`${NAMES[what]}.${FILES[format].end}`, FILES[format].type, bytes);
    } catch (problem) {
      const text =
        problem instanceof StoppedSearch
          ? 'Stopped; nothing was written.'
          : 'The pages could not be written. Try again; if it keeps failing, please tell the program’s makers.';
      dispatch(noticed({ text, action: null }));
    } finally {
      going = false;
      setWritten(null);
    }
  };
  if (long) return <Patience what={`page ${written} of ${which.length}`} done={written ?? 0} of={which.length} onStop={stopPress} />;
  const none = written !== null || which.length === 0;
  const all = !reply || which.length === reply.pages.length;
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button look="main" className="text-lead!" disabled={none} onClick={() => void download('pdf')}>
        <FileDown size={20} />
        {all ? 'Download the pages (PDF)' : `Download ${which.length} of ${reply.pages.length} pages (PDF)`}
      </Button>
      <Button look="quiet" disabled={none} onClick={() => void download('svgs')}>
        <FileArchive size={18} />
        each as SVG, zipped
      </Button>
    </div>
  );
};

type DecidedProps = Omit<DownloadProps, 'lastFirst'> & { readonly wanted: PagesWanted; readonly onWanted: (wanted: PagesWanted) => void };

const Decided = ({ wanted, onWanted, made, chosen, what }: DecidedProps) => {
  const [lastFirst, setLastFirst] = useState(false);
  const { printing, change } = usePrinting();
  const [cutting, setCutting] = useState(false);
  const units = useUnits();
  return (
    <div className="space-y-5 max-w-md">
      <header>
        <h1 className="text-title">Pages to print</h1>
        <p className="text-graphite">what to print, on what · what you decide</p>
      </header>
      <Choice label="Paper" value={printing.paper} options={PAPER} onChange={(paper) => change('the paper', { paper })} />
      <PrinterCard />
      <Choice label="Print" value={wanted.what} options={WHAT} onChange={(what) => onWanted({ ...wanted, what })} />
      <PieceChoice wanted={wanted} onChange={onWanted} />
      <Download what={what} made={made} chosen={chosen} lastFirst={lastFirst} />
      {wanted.what !== 'patterns' && (
        <Button look="quiet" className="-ml-3" onClick={() => setCutting(true)}>
          <Slice size={18} />
          files for a cutting machine, SVG or DXF
        </Button>
      )}
      {cutting && wanted.what !== 'patterns' && <CutFiles wanted={wanted} onClose={() => setCutting(false)} />}
      <p className="font-hand text-body text-rose border-l-3 border-rose pl-3">
        Print at 100 %, not “fit to page”. Then lay a rule on the bar: it must say{' '}
        {showLength(units.unit === 'in' ? 4 * UM.in : 100 * UM.mm, units)} both ways.
      </p>
      <details>
        <summary className="cursor-pointer text-note text-moss min-h-touch content-center">
          order, overlap of tiles, both sides of the paper
        </summary>
        <div className="space-y-4 pt-2">
          <Check checked={lastFirst} onChange={setLastFirst}>
            the last page first: for printers that lay pages face up
          </Check>
          <div className="max-w-52">
            <SizeField
              label="Overlap of tiles"
              world="doll"
              lengthUm={printing.overlap}
              min={5 * UM.mm}
              max={40 * UM.mm}
              onChange={(overlap) => change('the overlap', { overlap: overlap as Printing['overlap'] })}
            />
          </div>
          <Choice
            label="Sides of the paper"
            value={printing.sides}
            options={SIDE_OPTIONS}
            onChange={(sides) => change('the sides of the paper', { sides })}
          />
          <p className="text-note text-graphite">
            On both sides, a template shows the pencil lines of the face behind on its back; the crosses in the corners must lie on one
            another.
          </p>
        </div>
      </details>
      <LineKey />
    </div>
  );
};

const Pages = ({
  made,
  chosen,
  onChoose,
  onAgain,
  find,
}: {
  readonly made: MadePages | null;
  readonly chosen: ReadonlySet<number>;
  readonly onChoose: (chosen: ReadonlySet<number>) => void;
  readonly onAgain: () => void;
  readonly find: string;
}) => {
  const long = useLong(made === null);
  const pages = made !== null && typeof made !== 'string' ? made.pages : [];
  const count = pages.length;
  const inky = pages.reduce((sum, { ink }) => sum + ink, 0);
  const title = made === null ? 'Making up the pages …' : count === 0 ? 'No pages' : `${count} ${count === 1 ? 'page' : 'pages'}`;
  return (
    <div aria-busy={made === null}>
      <header className="mb-4">
        <h2 className="text-head" data-testid="page-count">
          {title}
        </h2>
        <p className="text-graphite">
          {made !== null && count === 0
            ? 'There is nothing to print yet: add a piece, or choose one on the left.'
            : `what follows · each as it leaves the printer${inky > 0.3 ? ` · ink for ${inky.toFixed(1)} solid pages` : ''}`}
        </p>
      </header>
      {long && <Patience what="making up the pages" onStop={stopPress} />}
      {typeof made === 'string' && (
        <div className="space-y-3">
          <p>
            {made === 'stopped' ? 'Stopped before the pages were made up.' : 'Making up the pages failed; this is a fault of the program.'}
          </p>
          <Button onClick={onAgain}>Make them up again</Button>
        </div>
      )}
      {made !== null && typeof made !== 'string' && <PageShelf key={find} reply={made} chosen={chosen} onChoose={onChoose} find={find} />}
    </div>
  );
};

/** What to print and on what; and the real pages. */
export const PrintingView = () => {
  const document = useSet();
  const [search] = useSearchParams();
  const [wanted, setWanted] = useState<PagesWanted>({ pieces: null, what: whatIs(search.get('print')) });
  const [again, setAgain] = useState(0);
  const made = usePages(document, wanted, again);
  const number = made !== null && typeof made !== 'string' ? made.made : 0;
  const count = made !== null && typeof made !== 'string' ? made.pages.length : 0;
  // All pages are printed until some are chosen; what was chosen of other pages says nothing about these.
  const [choice, setChoice] = useState<{ readonly of: number; readonly chosen: ReadonlySet<number> } | null>(null);
  const chosen = useMemo(
    () => (choice && choice.of === number ? choice.chosen : new Set(Array.from({ length: count }, (_, index) => index))),
    [choice, number, count],
  );
  return (
    <Spread
      leftLabel="What you decide about printing"
      rightLabel="The pages"
      left={<Decided wanted={wanted} onWanted={setWanted} made={made} chosen={chosen} what={wanted.what} />}
      right={
        <Pages
          made={made}
          chosen={chosen}
          onChoose={(next) => setChoice({ of: number, chosen: next })}
          onAgain={() => setAgain(again + 1)}
          find={search.get('find') ?? ''}
        />
      }
    />
  );
};

import { showLength, UM } from '@parlor/core/measure';
import type { Page } from '@parlor/core/print';
import type { SetDocument, Wanted } from '@parlor/core/set';
import { FileDown } from 'lucide-react';
import { useEffect, useState } from 'react';
import { noticed, pagesThere, pdfThere, Stopped, stopPress, useAppDispatch, useEdit, useSet, useUnits } from '../../state/index.ts';
import { Button, Check, Choice, MarginHelp, Patience, SizeField, Spread, saveAs, useLong } from '../../ui/index.ts';
import { LineKey } from './LineKey.tsx';
import { PageDrawing } from './PageDrawing.tsx';

type Printing = SetDocument['printing'];

const PAPER = [
  { value: 'a4', label: 'A4' },
  { value: 'letter', label: 'Letter' },
] as const;

const WHAT = [
  { value: 'templates', label: 'templates' },
  { value: 'coverings', label: 'coverings' },
  { value: 'all', label: 'everything' },
] as const;

type Made = { readonly document: SetDocument; readonly wanted: Wanted; readonly pages: readonly Page[] | 'stopped' | 'failed' };

/** The pages of the wanted pieces, worked out anew whenever set or wish changes, or when asked `again`; null while that goes on. */
const usePages = (document: SetDocument, wanted: Wanted, again: number): Made['pages'] | null => {
  const [made, setMade] = useState<Made | null>(null);
  useEffect(() => {
    let current = again >= 0;
    setMade(null);
    void pagesThere(document, wanted)
      .catch((problem: unknown) => (problem instanceof Stopped ? 'stopped' : 'failed'))
      .then((pages) => current && setMade({ document, wanted, pages }));
    return () => {
      current = false;
    };
  }, [document, wanted, again]);
  return made && made.document === document && made.wanted === wanted ? made.pages : null;
};

const PieceChoice = ({ wanted, onChange }: { readonly wanted: Wanted; readonly onChange: (wanted: Wanted) => void }) => {
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

const Download = ({ wanted, count }: { readonly wanted: Wanted; readonly count: number }) => {
  const document = useSet();
  const dispatch = useAppDispatch();
  const [written, setWritten] = useState<number | null>(null);
  const long = useLong(written !== null);
  const download = async () => {
    setWritten(0);
    try {
      saveAs(
        `${wanted.what === 'coverings' ? 'coverings' : wanted.what === 'templates' ? 'templates' : 'pages'}.pdf`,
        'application/pdf',
        await pdfThere(document, wanted, setWritten),
      );
    } catch (problem) {
      const text =
        problem instanceof Stopped
          ? 'Stopped; no PDF was written.'
          : 'The PDF could not be written. Try again; if it keeps failing, please tell the program’s makers.';
      dispatch(noticed({ text, action: null }));
    } finally {
      setWritten(null);
    }
  };
  if (long) return <Patience what={`page ${written} of ${count}`} done={written ?? 0} of={count} onStop={stopPress} />;
  return (
    <Button look="main" className="text-lead!" disabled={written !== null || count === 0} onClick={() => void download()}>
      <FileDown size={20} />
      Download the pages (PDF)
    </Button>
  );
};

const Decided = ({
  wanted,
  onWanted,
  count,
}: {
  readonly wanted: Wanted;
  readonly onWanted: (wanted: Wanted) => void;
  readonly count: number;
}) => {
  const { printing } = useSet();
  const units = useUnits();
  const edit = useEdit();
  const change = (words: string, part: Partial<Printing>) =>
    edit(words, { kind: 'change-set', change: { printing: { ...printing, ...part } } });
  return (
    <div className="space-y-5 max-w-md">
      <header>
        <h1 className="text-title">Pages to print</h1>
        <p className="text-graphite">what to print, on what · what you decide</p>
      </header>
      <Choice label="Paper" value={printing.paper} options={PAPER} onChange={(paper) => change('the paper', { paper })} />
      <div className="grid grid-cols-2 gap-5">
        <SizeField
          label="Printer’s margin"
          help={<MarginHelp />}
          world="doll"
          lengthUm={printing.margin}
          min={3 * UM.mm}
          max={25 * UM.mm}
          onChange={(margin) => change('the margin', { margin: margin as Printing['margin'] })}
        />
        <SizeField
          label="Overlap of tiles"
          world="doll"
          lengthUm={printing.overlap}
          min={5 * UM.mm}
          max={40 * UM.mm}
          onChange={(overlap) => change('the overlap', { overlap: overlap as Printing['overlap'] })}
        />
      </div>
      <Choice label="Print" value={wanted.what} options={WHAT} onChange={(what) => onWanted({ ...wanted, what })} />
      <PieceChoice wanted={wanted} onChange={onWanted} />
      <Download wanted={wanted} count={count} />
      <p className="font-hand text-body text-rose border-l-3 border-rose pl-3">
        Print at 100 %, not “fit to page”. Then lay a rule on the bar: it must say {showLength(100 * UM.mm, units)}
        {units.unit === 'mm' ? '' : ' (100 mm)'} both ways.
      </p>
      <LineKey />
    </div>
  );
};

const ALL: Wanted = { pieces: null, what: 'templates' };

const Pages = ({ pages, onAgain }: { readonly pages: Made['pages'] | null; readonly onAgain: () => void }) => {
  const long = useLong(pages === null);
  const count = Array.isArray(pages) ? pages.length : 0;
  const title = pages === null ? 'Making up the pages …' : count === 0 ? 'No pages' : `${count} ${count === 1 ? 'page' : 'pages'}`;
  return (
    <div aria-busy={pages === null}>
      <header className="mb-4">
        <h2 className="text-head" data-testid="page-count">
          {title}
        </h2>
        <p className="text-graphite">
          {pages !== null && count === 0
            ? 'There is nothing to print yet: add a piece, or choose one on the left.'
            : 'what follows · each as it leaves the printer'}
        </p>
      </header>
      {long && <Patience what="making up the pages" onStop={stopPress} />}
      {typeof pages === 'string' && (
        <div className="space-y-3">
          <p>
            {pages === 'stopped' ? 'Stopped before the pages were made up.' : 'Making up the pages failed; this is a fault of the program.'}
          </p>
          <Button onClick={onAgain}>Make them up again</Button>
        </div>
      )}
      <div className="grid grid-cols-2 2xl:grid-cols-3 gap-4">
        {Array.isArray(pages) &&
          pages.map((page: Page, index) => <PageDrawing key={`${page.title} ${index}`} page={page} number={index + 1} />)}
      </div>
    </div>
  );
};

/** What to print and on what; and the real pages. */
export const PrintingView = () => {
  const document = useSet();
  const [wanted, setWanted] = useState<Wanted>(ALL);
  const [again, setAgain] = useState(0);
  const pages = usePages(document, wanted, again);
  return (
    <Spread
      leftLabel="What you decide about printing"
      rightLabel="The pages"
      left={<Decided wanted={wanted} onWanted={setWanted} count={Array.isArray(pages) ? pages.length : 0} />}
      right={<Pages pages={pages} onAgain={() => setAgain(again + 1)} />}
    />
  );
};

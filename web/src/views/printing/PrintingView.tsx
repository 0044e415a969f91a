import { showLength, UM } from '@parlor/core/measure';
import type { Page } from '@parlor/core/print';
import type { SetDocument, Wanted } from '@parlor/core/set';
import { FileDown } from 'lucide-react';
import { useEffect, useState } from 'react';
import { noticed, useAppDispatch, useEdit, useSet, useUnits, workshop } from '../../state/index.ts';
import { Button, Choice, SizeField, Spread, saveAs } from '../../ui/index.ts';
import { LineKey } from './LineKey.tsx';
import { PageDrawing } from './PageDrawing.tsx';

type Printing = SetDocument['printing'];

const PAPER = [
  { value: 'a4', label: 'A4' },
  { value: 'letter', label: 'Letter' },
] as const;

/** The pages of the wanted pieces, worked out anew whenever set or wish changes; null while that goes on. */
const usePages = (document: SetDocument, wanted: Wanted): readonly Page[] | null => {
  const [found, setFound] = useState<{ readonly document: SetDocument; readonly wanted: Wanted; readonly pages: readonly Page[] } | null>(
    null,
  );
  useEffect(() => {
    let current = true;
    void workshop.pages(document, wanted).then((pages) => current && setFound({ document, wanted, pages }));
    return () => {
      current = false;
    };
  }, [document, wanted]);
  return found && found.document === document && found.wanted === wanted ? found.pages : null;
};

const PieceChoice = ({ wanted, onChange }: { readonly wanted: Wanted; readonly onChange: (wanted: Wanted) => void }) => {
  const { pieces } = useSet();
  const all = pieces.map(({ id }) => id);
  const chosen = wanted.pieces ?? all;
  const toggle = (id: string) => {
    const next = all.filter((each) => (each === id ? !chosen.includes(id) : chosen.includes(each)));
    onChange({ pieces: next.length === all.length ? null : next });
  };
  return (
    <fieldset>
      <legend className="text-[13px] text-graphite">Templates of</legend>
      {pieces.map(({ id, name, mark }) => (
        <label key={id} className="flex items-center gap-2.5 min-h-11 cursor-pointer">
          <input type="checkbox" className="size-5 accent-moss shrink-0" checked={chosen.includes(id)} onChange={() => toggle(id)} />
          <span className="font-hand">{mark}</span>
          <span className="truncate">{name || 'no name yet'}</span>
        </label>
      ))}
    </fieldset>
  );
};

const Download = ({ wanted, count }: { readonly wanted: Wanted; readonly count: number }) => {
  const document = useSet();
  const dispatch = useAppDispatch();
  const [busy, setBusy] = useState(false);
  const download = async () => {
    setBusy(true);
    try {
      saveAs('templates.pdf', 'application/pdf', await workshop.pdf(document, wanted));
    } catch {
      dispatch(
        noticed({ text: 'The PDF could not be written. Try again; if it keeps failing, please tell the program’s makers.', action: null }),
      );
    } finally {
      setBusy(false);
    }
  };
  return (
    <Button look="main" className="text-[16px]!" disabled={busy || count === 0} onClick={() => void download()}>
      <FileDown size={20} />
      {busy ? 'writing the PDF …' : 'Download the templates (PDF)'}
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
        <h1 className="text-[28px]">Templates</h1>
        <p className="text-graphite">what to print, on what · what you decide</p>
      </header>
      <Choice label="Paper" value={printing.paper} options={PAPER} onChange={(paper) => change('the paper', { paper })} />
      <div className="grid grid-cols-2 gap-5">
        <SizeField
          label="Margin the printer leaves"
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
      <PieceChoice wanted={wanted} onChange={onWanted} />
      <Download wanted={wanted} count={count} />
      <p className="font-hand text-[15px] text-rose border-l-3 border-rose pl-3">
        Print at 100 %, not “fit to page”. Then lay a rule on the bar: it must say {showLength(100 * UM.mm, units)}
        {units.unit === 'mm' ? '' : ' (100 mm)'} both ways.
      </p>
      <LineKey />
    </div>
  );
};

const ALL: Wanted = { pieces: null };

/** What to print and on what; and the real pages. */
export const PrintingView = () => {
  const document = useSet();
  const [wanted, setWanted] = useState<Wanted>(ALL);
  const pages = usePages(document, wanted);
  const count = pages?.length ?? 0;
  return (
    <Spread
      leftLabel="What you decide about printing"
      rightLabel="The pages"
      left={<Decided wanted={wanted} onWanted={setWanted} count={count} />}
      right={
        <div aria-busy={pages === null}>
          <header className="mb-4">
            <h2 className="text-[22px]" data-testid="page-count">
              {pages === null ? 'Making up the pages …' : count === 0 ? 'No pages' : `${count} ${count === 1 ? 'page' : 'pages'}`}
            </h2>
            <p className="text-graphite">
              {pages && count === 0
                ? 'There is nothing to print yet: add a piece, or choose one on the left.'
                : 'what follows · each as it leaves the printer'}
            </p>
          </header>
          <div className="grid grid-cols-2 gap-4">
            {pages?.map((page, index) => (
              <PageDrawing key={`${page.title} ${index}`} page={page} number={index + 1} />
            ))}
          </div>
        </div>
      }
    />
  );
};

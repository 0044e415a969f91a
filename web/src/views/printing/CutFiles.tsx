import { dollUm, UM } from '@parlor/core/measure';
import { type MachineBed, USUAL_BEDS } from '@parlor/core/plot';
import type { PagesWanted } from '@parlor/core/set';
import { ChevronLeft, ChevronRight, FileDown, FolderOpen } from 'lucide-react';
import { useCallback, useEffect, useRef, useState } from 'react';
import { type PlotFormat, type PlotReply, plotThere, type TrialReply, triedThere, useSet, zipThere } from '../../state/index.ts';
import { Button, Check, Choice, Picker, Sheet, SizeField, saveAs } from '../../ui/index.ts';
import { Machine } from './Machine.tsx';

const FORMATS = [
  { value: 'svg', label: 'SVG' },
  { value: 'dxf', label: 'DXF' },
] as const;

const OWN = 'own size';
const BEDS = [...USUAL_BEDS.map(({ name }) => ({ value: name, label: name })), { value: OWN, label: OWN }];

const TYPES = { svg: 'image/svg+xml', dxf: 'image/vnd.dxf' } as const;

const FAULT: TrialReply = { problem: 'it could not be made or read; this is a fault of the program.' };

type Tried = { readonly name: string; readonly reply: TrialReply };

/** The files of the beds, made anew when anything changes; null while they are made. */
const usePlot = (wanted: PagesWanted, bed: MachineBed, format: PlotFormat, copies: boolean, onFault: () => void): PlotReply | null => {
  const document = useSet();
  const [held, setHeld] = useState<{ readonly key: string; readonly reply: PlotReply } | null>(null);
  const { width, height, margin } = bed;
  const key = JSON.stringify([wanted, width, height, margin, format, copies]);
  useEffect(() => {
    let current = true;
    plotThere(document, wanted, { width, height, margin }, format, copies)
      .then((reply) => current && setHeld({ key, reply }))
      .catch(() => current && onFault());
    return () => {
      current = false;
    };
  }, [document, wanted, width, height, margin, format, copies, key, onFault]);
  return held?.key === key ? held.reply : null;
};

/** A file as text; of a kind that is told by its name. */
const formatOf = (name: string): PlotFormat => (/\.dxf$/i.test(name) ? 'dxf' : 'svg');

/** Larger than this no cardboard drawing is. */
const MOST_BYTES = 20e6;

/** Templates, papers and nets for a friend’s cutting machine: what lies on its bed, the files, and a machine to try them on. */
export const CutFiles = ({ wanted, onClose }: { readonly wanted: PagesWanted; readonly onClose: () => void }) => {
  const document = useSet();
  const [format, setFormat] = useState<PlotFormat>('svg');
  const [bedName, setBedName] = useState<string>(USUAL_BEDS[0].name);
  const [own, setOwn] = useState({ width: dollUm(300 * UM.mm), height: dollUm(300 * UM.mm) });
  const [copies, setCopies] = useState(false);
  const [shown, setShown] = useState(0);
  const [tried, setTried] = useState<Tried | null>(null);
  const [theirs, setTheirs] = useState<{ readonly name: string; readonly text: string } | null>(null);
  const picker = useRef<HTMLInputElement>(null);
  const bed: MachineBed = USUAL_BEDS.find(({ name }) => name === bedName) ?? { ...own, margin: 6 * UM.mm };
  const onFault = useCallback(() => setTried({ name: 'The file', reply: FAULT }), []);
  const reply = usePlot(wanted, bed, format, copies, onFault);
  const count = reply?.files.length ?? 0;
  const at = Math.min(shown, Math.max(0, count - 1));
  const mine = reply?.files[at];
  const name = (index: number) => `${document.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-bed-${index + 1}.${format}`;
  const { width, height } = bed;
  const text = theirs ? theirs.text : mine?.text;
  const kind = theirs ? formatOf(theirs.name) : format;
  const label = theirs?.name ?? `bed ${at + 1}`;
  useEffect(() => {
    if (text === undefined) return undefined;
    let current = true;
    triedThere(text, kind, { width, height })
      .catch(() => FAULT)
      .then((trial) => current && setTried({ name: label, reply: trial }));
    return () => {
      current = false;
    };
  }, [text, kind, width, height, label]);
  const open = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_BYTES)
      setTried({ name: file.name, reply: { problem: `It has ${Math.round(file.size / 1e6)} MB; at most 20 are read.` } });
    else setTheirs({ name: file.name, text: await file.text() });
  };
  const download = async () => {
    if (!reply) return;
    if (reply.files.length === 1) return saveAs(name(0), TYPES[format], reply.files[0]?.text ?? '');
    saveAs('cut-files.zip', 'application/zip', await zipThere(reply.files.map(({ text }, index) => ({ name: name(index), text }))));
  };
  return (
    <Sheet wide title="For a cutting machine" open onOpenChange={(isOpen) => !isOpen && onClose()}>
      <div className="grid md:grid-cols-[21rem_minmax(0,1fr)] gap-7">
        <div className="space-y-5">
          <p className="text-graphite">
            {wanted.what === 'templates'
              ? 'Templates'
              : wanted.what === 'coverings'
                ? 'Coverings and nets'
                : 'Templates, coverings and nets'}{' '}
            at true size, in layers: cut, score, fold, glue, guide, text. What is inside is cut first.
          </p>
          <Picker label="The machine’s bed" value={bedName} options={BEDS} onChange={setBedName} />
          {bedName === OWN && (
            <div className="grid grid-cols-2 gap-4">
              <SizeField
                label="Bed, wide"
                world="doll"
                lengthUm={own.width}
                min={50 * UM.mm}
                max={2 * UM.m}
                onChange={(um) => setOwn({ ...own, width: dollUm(um) })}
              />
              <SizeField
                label="Bed, long"
                world="doll"
                lengthUm={own.height}
                min={50 * UM.mm}
                max={2 * UM.m}
                onChange={(um) => setOwn({ ...own, height: dollUm(um) })}
              />
            </div>
          )}
          <Choice label="File" value={format} options={FORMATS} onChange={setFormat} />
          {wanted.what !== 'coverings' && (
            <Check checked={copies} onChange={setCopies}>
              every part, not only one template of a kind
            </Check>
          )}
          <p data-testid="beds">
            {reply === null
              ? 'Laying them on the bed …'
              : count === 0
                ? 'Nothing goes on this bed.'
                : `${count} ${count === 1 ? 'bed' : 'beds'} full, ${reply.files.reduce((sum, { tags }) => sum + tags.length, 0)} to cut out.`}
          </p>
          {reply !== null && reply.tooLarge.length > 0 && (
            <p className="font-hand text-body text-rose border-l-3 border-rose pl-3" data-testid="off-bed">
              Larger than the bed, and left out: {[...new Set(reply.tooLarge)].join(', ')}. Cut them by hand, or take a larger bed.
            </p>
          )}
          <Button look="main" disabled={count === 0} onClick={() => void download()}>
            <FileDown size={20} />
            {count > 1 ? `Download ${count} files, zipped` : 'Download the file'}
          </Button>
          <p className="font-hand text-note text-rose border-l-3 border-rose pl-3">
            Ask whose machine it is which layer is which; foam board wants several passes or a knife. Fingers away while it runs.
          </p>
        </div>
        <section aria-label="Tried on a machine" className="space-y-3 min-w-0">
          <div className="flex flex-wrap items-center gap-2">
            {theirs ? (
              <Button look="quiet" onClick={() => setTheirs(null)}>
                back to this set’s files
              </Button>
            ) : (
              count > 1 && (
                <>
                  <Button look="quiet" className="px-2.5!" aria-label="The bed before" disabled={at === 0} onClick={() => setShown(at - 1)}>
                    <ChevronLeft size={18} />
                  </Button>
                  <span className="text-note tabular-nums">
                    bed {at + 1} of {count}
                  </span>
                  <Button
                    look="quiet"
                    className="px-2.5!"
                    aria-label="The next bed"
                    disabled={at === count - 1}
                    onClick={() => setShown(at + 1)}
                  >
                    <ChevronRight size={18} />
                  </Button>
                </>
              )
            )}
            <Button look="quiet" className="ml-auto" onClick={() => picker.current?.click()}>
              <FolderOpen size={18} /> try a file of yours
            </Button>
            <input
              ref={picker}
              type="file"
              accept=".svg,.dxf"
              aria-label="A file for a cutting machine"
              className="hidden"
              onChange={({ target }) => {
                void open(target.files?.[0]);
                target.value = '';
              }}
            />
          </div>
          {tried && <Machine key={tried.name} name={tried.name} reply={tried.reply} width={width / 1000} height={height / 1000} />}
        </section>
      </div>
    </Sheet>
  );
};

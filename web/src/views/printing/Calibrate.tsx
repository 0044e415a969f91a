import { showLength, UM } from '@parlor/core/measure';
import { marginsOf, percentOf, shareFrom, TEST_BARS } from '@parlor/core/print';
import { PAPERS } from '@parlor/core/stock';
import { FileDown } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { pictureThere, testPageThere } from '../../state/index.ts';
import { Button, Check, NumberField, Sheet, saveAs } from '../../ui/index.ts';
import { showPicture } from './showPicture.ts';
import type { Printing } from './usePrinting.ts';

type Way = keyof typeof TEST_BARS;

const LEAST = 94;
const MOST = 106;

/** A slider for what the printer of the try-out makes of a length. */
const Habit = ({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: number;
  readonly onChange: (value: number) => void;
}) => (
  <label className="flex items-center gap-3 text-note">
    <span className="w-16">{label}</span>
    <input
      type="range"
      min={LEAST}
      max={MOST}
      step={0.1}
      value={value}
      onChange={({ target }) => onChange(Number(target.value))}
      className="flex-1 min-h-touch accent-moss"
    />
    <output className="w-16 text-right tabular-nums">{value.toFixed(1)} %</output>
  </label>
);

/** The test page as a printer with such a habit prints it. */
const Tried = ({
  printing,
  corrected,
  x,
  y,
}: {
  readonly printing: Printing;
  readonly corrected: boolean;
  readonly x: number;
  readonly y: number;
}) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [shown, setShown] = useState('');
  const { width, height } = PAPERS[printing.paper];
  const key = JSON.stringify([printing, corrected, x, y]);
  useEffect(() => {
    let current = true;
    const print = async () => {
      const bytes = await testPageThere(printing, corrected);
      if (!current) return;
      const habit = { x: x / 100, y: y / 100, margins: marginsOf(printing) };
      const picture = await pictureThere(bytes, 1240, { paper: printing.paper, habit });
      const sheet = canvas.current;
      if (!current || !sheet) return picture.close();
      showPicture(sheet, picture);
      setShown(key);
    };
    // A slider moves many times a second; the page is printed when it rests.
    const timer = setTimeout(() => print().catch(() => current && setShown('failed')), 120);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [printing, corrected, x, y, key]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={`The test page as a printer prints it that makes ${x.toFixed(1)} % across and ${y.toFixed(1)} % up`}
      aria-busy={shown !== key && shown !== 'failed'}
      data-tried={shown === key ? (corrected ? 'corrected' : 'plain') : ''}
      className="block w-full bg-sheet shadow-leaf"
      style={{ aspectRatio: `${width} / ${height}` }}
    />
  );
};

/** What a rule says of a bar that came out so many percent long, to the tenth of a millimetre. */
const whatItSays = (share: number, way: Way): number => Math.round((TEST_BARS[way] * share) / 100 / 100) * 100;

type Props = {
  readonly printing: Printing;
  readonly onClose: () => void;
  /** Hears what the printer makes of a length, across and up. */
  readonly onMeasured: (x: number, y: number) => void;
};

/** Print, lay a rule, type: the printer is measured. Who has none at hand tries it on one made of arithmetic. */
export const Calibrate = ({ printing, onClose, onMeasured }: Props) => {
  const [read, setRead] = useState<Readonly<Record<Way, number | null>>>({ x: null, y: null });
  const [done, setDone] = useState(false);
  const [trying, setTrying] = useState(false);
  const [habit, setHabit] = useState({ x: 97, y: 98.5 });
  const shareOf = (way: Way) => (read[way] === null ? null : shareFrom(read[way] * UM.mm, way));
  const shares = { x: shareOf('x'), y: shareOf('y') };
  const fault = (way: Way): string | null =>
    read[way] !== null && shares[way] === null
      ? `No printer makes that of ${TEST_BARS[way] / UM.mm} mm by itself: between ${(TEST_BARS[way] * LEAST) / 100 / UM.mm} and ${(TEST_BARS[way] * MOST) / 100 / UM.mm}. Was “fit to page” or another size chosen?`
      : null;
  const type = (way: Way) => (said: number | null) => {
    setRead({ ...read, [way]: said });
    setDone(false);
  };
  const download = async (corrected: boolean) => saveAs('test-page.pdf', 'application/pdf', await testPageThere(printing, corrected));
  return (
    <Sheet wide title="Measure the printer" open onOpenChange={(open) => !open && onClose()}>
      <div className="grid md:grid-cols-[minmax(0,1fr)_24rem] gap-7">
        <ol className="space-y-6 list-decimal pl-6 marker:font-hand marker:text-head">
          <li className="space-y-2">
            <h3 className="text-lead font-semibold">Print the test page</h3>
            <p>As you print everything else: at 100 %, the paper of your pages.</p>
            <Button onClick={() => void download(false)}>
              <FileDown size={18} /> the test page (PDF)
            </Button>
          </li>
          <li className="space-y-2">
            <h3 className="text-lead font-semibold">Lay a rule along both bars, and type what it says at their ends</h3>
            <p className="text-graphite">A steel rule, from the very first line to the very last. A tenth of a millimetre counts.</p>
            <div className="grid grid-cols-2 gap-5 max-w-md">
              {(['x', 'y'] as const).map((way) => (
                <div key={way}>
                  <NumberField
                    label={way === 'x' ? 'The bar across says, mm' : 'The bar up says, mm'}
                    value={read[way]}
                    onChange={type(way)}
                    min={10}
                    max={400}
                    blank
                  />
                  {fault(way) && (
                    <p role="alert" className="font-hand text-body text-rose">
                      {fault(way)}
                    </p>
                  )}
                </div>
              ))}
            </div>
          </li>
          <li className="space-y-2">
            <h3 className="text-lead font-semibold">Every page is drawn as your printer needs it</h3>
            {shares.x !== null && shares.y !== null ? (
              <p data-testid="measured">
                It makes <strong>{percentOf(shares.x)}</strong> across and <strong>{percentOf(shares.y)}</strong> up
                {shares.x === 1 && shares.y === 1 ? ': it prints true.' : '; pages are corrected for that.'}
              </p>
            ) : (
              <p className="text-graphite">Waiting for both numbers.</p>
            )}
            <Button
              look="main"
              disabled={shares.x === null || shares.y === null || done}
              onClick={() => {
                if (shares.x === null || shares.y === null) return;
                onMeasured(shares.x, shares.y);
                setDone(true);
              }}
            >
              {done ? 'it is kept' : 'keep it'}
            </Button>
            {done && (
              <p>
                To be sure, print it once more: both rules must agree with the bars now.{' '}
                <Button look="quiet" onClick={() => void download(true)}>
                  <FileDown size={18} /> the corrected test page
                </Button>
              </p>
            )}
          </li>
        </ol>
        <section aria-label="Try it on a made-up printer" className="space-y-2">
          <Check checked={trying} onChange={setTrying}>
            no printer at hand: try it on a made-up one
          </Check>
          {trying && (
            <>
              <Habit label="across" value={habit.x} onChange={(x) => setHabit({ ...habit, x })} />
              <Habit label="up" value={habit.y} onChange={(y) => setHabit({ ...habit, y })} />
              <p className="font-hand text-body" data-testid="rule-says">
                {done ? (
                  <>
                    With the correction the rule says{' '}
                    {showLength(whatItSays(habit.x / (printing.printer.x || 1), 'x'), { unit: 'mm', fine: true })} across and{' '}
                    {showLength(whatItSays(habit.y / (printing.printer.y || 1), 'y'), { unit: 'mm', fine: true })} up.
                  </>
                ) : (
                  <>
                    A rule says {showLength(whatItSays(habit.x, 'x'), { unit: 'mm', fine: true })} across and{' '}
                    {showLength(whatItSays(habit.y, 'y'), { unit: 'mm', fine: true })} up.
                  </>
                )}
              </p>
              <Tried printing={printing} corrected={done} x={habit.x} y={habit.y} />
            </>
          )}
        </section>
      </div>
    </Sheet>
  );
};

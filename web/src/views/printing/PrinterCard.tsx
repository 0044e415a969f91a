import { UM } from '@parlor/core/measure';
import { isCorrected, type Printer, percentOf } from '@parlor/core/print';
import { PRINTER_KINDS, PRINTERS } from '@parlor/core/stock';
import { format } from 'date-fns';
import { Ruler } from 'lucide-react';
import { useState } from 'react';
import { Button, Choice, MarginHelp, SizeField } from '../../ui/index.ts';
import { Calibrate } from './Calibrate.tsx';
import { knownPrinter, rememberPrinter } from './knownPrinter.ts';
import { type Printing, usePrinting } from './usePrinting.ts';

const KINDS = PRINTER_KINDS.map((value) => ({ value, label: PRINTERS[value].name }));

const today = (): string => format(new Date(), 'yyyy-MM-dd');

const dayOf = (day: string): string => format(new Date(`${day}T12:00`), 'd MMM yyyy');

/** What the printer does to a page, and what is done about it. */
export const PrinterCard = () => {
  const { printing, change } = usePrinting();
  const [measuring, setMeasuring] = useState(false);
  const { printer } = printing;
  const put = (words: string, part: Partial<Printer>) => change(words, { printer: { ...printer, ...part } });
  const known = printer.measured === null ? knownPrinter() : null;
  return (
    <section aria-label="The printer" className="space-y-3">
      <Choice
        label="Printer"
        value={printer.kind}
        options={KINDS}
        onChange={(kind) => put('the printer', { kind, ...(printer.measured ? { changed: today() } : {}) })}
      />
      {printer.kind === 'own' && (
        <div className="max-w-52">
          <SizeField
            label="Printer’s margin"
            help={<MarginHelp />}
            world="doll"
            lengthUm={printing.margin}
            min={3 * UM.mm}
            max={25 * UM.mm}
            onChange={(margin) => change('the margin', { margin: margin as Printing['margin'] })}
          />
        </div>
      )}
      <p className="text-note" data-testid="printer">
        {printer.measured === null ? (
          'Never measured: pages are drawn as if it printed true.'
        ) : isCorrected([printer.x, printer.y]) ? (
          <>
            Makes <strong>{percentOf(printer.x)}</strong> across and <strong>{percentOf(printer.y)}</strong> up; pages are drawn larger or
            smaller by that. Measured {dayOf(printer.measured)}.
          </>
        ) : (
          <>Prints true. Measured {dayOf(printer.measured)}.</>
        )}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => setMeasuring(true)}>
          <Ruler size={18} />
          {printer.measured === null ? 'measure it, two minutes' : 'measure it again'}
        </Button>
        {known && (
          <Button look="quiet" onClick={() => change('the printer', { printer: known })}>
            use the one measured {known.measured && dayOf(known.measured)}: {percentOf(known.x)} × {percentOf(known.y)}
          </Button>
        )}
        {printer.measured !== null && (
          <Button look="quiet" onClick={() => put('something about the printer has changed', { changed: today() })}>
            something about it has changed
          </Button>
        )}
      </div>
      {measuring && (
        <Calibrate
          printing={printing}
          onClose={() => setMeasuring(false)}
          onMeasured={(x, y) => {
            const next: Printer = { ...printer, x, y, measured: today(), changed: null };
            rememberPrinter(next);
            change('the printer measured', { printer: next });
          }}
        />
      )}
    </section>
  );
};

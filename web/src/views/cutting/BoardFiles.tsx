import { Download, Printer } from 'lucide-react';
import { boardPagesThere, boardsThere, useAppSelector, useSet } from '../../state/index.ts';
import { Button, saveAs } from '../../ui/index.ts';

const KINDS = { svg: 'image/svg+xml', dxf: 'image/vnd.dxf' } as const;

/** The boards as files at true size, each kind of line in a layer of its own. */
export const BoardFiles = () => {
  const document = useSet();
  const layouts = useAppSelector((state) => state.derived.layouts);
  if (layouts.length === 0) return null;
  const name = document.name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-') || 'set';
  const save = async (format: keyof typeof KINDS) => {
    saveAs(`${name}-boards.${format}`, KINDS[format], await boardsThere(document, layouts, format));
  };
  return (
    <section aria-label="The boards as files" className="flex flex-wrap items-center gap-2 mt-8 text-note text-graphite">
      <span className="mr-2">Every board at true size, in layers:</span>
      {(['svg', 'dxf'] as const).map((format) => (
        <Button key={format} onClick={() => void save(format)}>
          <Download size={16} /> {format.toUpperCase()}
        </Button>
      ))}
      <span className="w-full h-0" />
      <span className="mr-2">Smaller, with all sizes, for the table:</span>
      <Button onClick={async () => saveAs(`${name}-boards.pdf`, 'application/pdf', await boardPagesThere(document, layouts))}>
        <Printer size={16} /> the plan as PDF
      </Button>
    </section>
  );
};

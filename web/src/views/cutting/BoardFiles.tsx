import { Download } from 'lucide-react';
import { boardsThere, useAppSelector, useSet } from '../../state/index.ts';
import { Button, saveAs } from '../../ui/index.ts';

const KINDS = { svg: 'image/svg+xml', dxf: 'image/vnd.dxf' } as const;

/** The boards as files at true size, each kind of line in a layer of its own. */
export const BoardFiles = () => {
  const document = useSet();
  const layouts = useAppSelector((state) => state.derived.layouts);
  if (layouts.length === 0) return null;
  const save = async (format: keyof typeof KINDS) => {
    const file = document.name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-') || 'set';
    saveAs(`${file}-boards.${format}`, KINDS[format], await boardsThere(document, layouts, format));
  };
  return (
    <section aria-label="The boards as files" className="flex flex-wrap items-center gap-2 mt-8 text-note text-graphite">
      <span className="mr-2">Every board at true size, in layers (cut, score, guide, text):</span>
      {(['svg', 'dxf'] as const).map((format) => (
        <Button key={format} onClick={() => void save(format)}>
          <Download size={16} /> {format.toUpperCase()}
        </Button>
      ))}
    </section>
  );
};

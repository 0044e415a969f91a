import { type Look, PATTERNS } from '@parlor/core/cover';
import { useEffect, useRef } from 'react';
import { drawLook } from './lookCanvas.ts';
import { usePicturesCame } from './pictures.ts';

type Props = {
  readonly label: string;
  readonly look: Look /** In millimetres; on most screens it is shown at true size. */;
  readonly width: number;
  readonly height: number;
  readonly whole?: boolean;
  readonly className?: string;
};

/** Pixels to the millimetre, at 96 to the inch as CSS counts them. */
const PER_MM = 96 / 25.4;

/** How many millimetres of a pattern have to be seen to know it: one and a half times what begins anew. */
const toKnow = (look: Look): number => {
  if (look.kind === 'sign') return (1.1 * Math.max(look.width, look.height * 1.4)) / 1000;
  if (look.kind !== 'pattern') return look.kind === 'picture' && look.width !== null ? look.width / 1000 : 0;
  const repeat = PATTERNS[look.pattern].repeat(look.sizes);
  return (1.5 * (repeat ? Math.max(repeat.x, repeat.y) : Math.max(...Object.values(look.sizes)))) / 1000;
};

/** A snippet of a look, its lower left corner the pattern's origin: at true size, or with `whole` as much smaller as it takes to show what it is. */
export const LookSwatch = ({ label, look, width, height, whole = false, className }: Props) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  const came = usePicturesCame();
  useEffect(() => {
    const current = canvas.current;
    if (came < 0) return;
    if (!current) return;
    const fine = PER_MM * Math.min(2, window.devicePixelRatio || 1);
    current.width = Math.round(width * fine);
    current.height = Math.round(height * fine);
    const shown = whole ? Math.max(width, toKnow(look)) : width;
    drawLook(current, look, { x0: 0, y0: 0, x1: shown * 1000, y1: ((shown * height) / width) * 1000 });
  }, [look, width, height, whole, came]);
  return <canvas ref={canvas} role="img" aria-label={label} className={className} style={{ width: `${width}mm`, height: `${height}mm` }} />;
};

import type { Look } from '@parlor/core/cover';
import { useEffect, useRef } from 'react';
import { drawLook } from './lookCanvas.ts';

type Props = {
  readonly look: Look /** In millimetres; on most screens it is shown at true size. */;
  readonly width: number;
  readonly height: number;
  readonly className?: string;
};

/** Pixels to the millimetre, at 96 to the inch as CSS counts them. */
const PER_MM = 96 / 25.4;

/** A snippet of a look at true size: its lower left corner is the pattern's origin. */
export const LookSwatch = ({ look, width, height, className }: Props) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const current = canvas.current;
    if (!current) return;
    const fine = PER_MM * Math.min(2, window.devicePixelRatio || 1);
    current.width = Math.round(width * fine);
    current.height = Math.round(height * fine);
    drawLook(current, look, { x0: 0, y0: 0, x1: width * 1000, y1: height * 1000 });
  }, [look, width, height]);
  // A canvas without words in it says nothing to those who cannot see it; its button names it.
  return <canvas ref={canvas} className={className} style={{ width: `${width}mm`, height: `${height}mm` }} />;
};
